import { expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES, writeRule } from '../house'
import { cautionsFor } from '../trade'
import { cautionsLeft, wantsCautionsRead } from '.'

const always = cautionsFor([])

it('a caution is asked about once, and again when its text changes', () => {
  const texts = always.map(caution => caution.text)
  expect(cautionsLeft(always, [])).toEqual(always)
  expect(cautionsLeft(always, texts)).toEqual([])
  const [first, ...others] = always
  const changed = [{ ...first!, text: `${first!.text} And so on.` }, ...others]
  expect(cautionsLeft(changed, texts)).toEqual([changed[0]])
  // What overhead adds is asked for when somebody first runs overhead.
  expect(cautionsLeft(cautionsFor(['overhead']), texts).map(caution => caution.topic)).toEqual(['overhead', 'overhead'])
})

it('by default cautions are said to the class, and nobody is asked', () => {
  expect(wantsCautionsRead(DEFAULT_HOUSE_RULES)).toBe(false)
  expect(wantsCautionsRead(writeRule(DEFAULT_HOUSE_RULES, 'ways.cautions', 'by each student'))).toBe(true)
})
