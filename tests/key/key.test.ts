import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { mustBeKnown, readCase, variants, type Case } from './readKey'

const cases = (JSON.parse(readFileSync(new URL('reading.json', import.meta.url), 'utf8')) as Case[]).flatMap(variants)

/**
 * Cases that are not read as the key has them, each with why: good instructors differ (the key says so), or the model
 * cannot know it. A case that is put right is taken off, and none comes on.
 */
const NOT_YET: Readonly<Record<string, string>> = {
  'ro-13': 'disputed: a gap that is tight at one end only speaks for the whole root here',
  'r-18b': 'disputed: the upper toe of a T is taken for the work angle',
  'co-5': 'disputed: who ran a pass is not told from whose coupon it is',
  'r-16b': 'spatter alone does not tell current from arc length',
  'r-13': 'a lump inside is taken for the gap, which was not gauged',
}

describe('an instructor’s key', () => {
  it('has cases of every kind', () => expect(cases.length).toBeGreaterThan(250))
  it.each(cases.map(one => [one.id, one.title, one] as const))('%s: %s', (id, _, one) => {
    mustBeKnown(one)
    const { fails } = readCase(one).after
    if (id in NOT_YET) expect(fails, `${id} is read right: take it off the list`).not.toEqual([])
    else expect(fails).toEqual([])
  })
})
