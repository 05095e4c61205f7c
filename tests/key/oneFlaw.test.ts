import { describe, expect, it } from 'vitest'
import { readCase, variants, type Case } from './readKey'

/** Where a cap, a single bead or a quarter is a whole of its own: one flaw on it is enough to say something to try. */
const PIECES: Readonly<Record<string, Pick<Case, 'piece' | 'ticket'> & { readonly on: string }>> = {
  'lap': { piece: 'lap', ticket: { position: '2F', rod: 'E7018 1/8', A: 125 }, on: 'last' },
  'T': { piece: 'T', ticket: { position: '2F', rod: 'E7018 1/8', A: 125 }, on: 'last' },
  'square butt': { piece: 'square butt', ticket: { position: '1G', rod: 'E7018 1/8', A: 120 }, on: 'last' },
  'cap of an open root': { piece: 'open root', ticket: { position: '3G', rod: 'E7018 3/32', A: 85 }, on: 'cap' },
  'cap in 6G': { piece: 'pipe', ticket: { position: '6G', rod: 'E7018 3/32', A: 80 }, on: 'cap' },
}
const FLAWS: readonly (readonly [flaw: string, side?: 'upper' | 'lower' | 'both'])[] = [
  ['undercut', 'upper'],
  ['undercut', 'lower'],
  ['undercut', 'both'],
  ['overlap', 'upper'],
  ['overlap', 'lower'],
  ['porosity'],
  ['slag'],
  ['incomplete fusion'],
  ['spatter'],
  ['underfill'],
  ['excess weld metal'],
  ['irregular width'],
  ['irregular surface'],
]
/** Inches; on the pipe, as hours of the clock. */
const LENGTHS = [1, 2, 4]
const AN_INCH_IN_HOURS = 0.8
const MOST_WORDS = 25

describe('one plain flaw is enough', () => {
  it.each(Object.keys(PIECES))('on a %s: something to try is said of each kind, at each length', name => {
    const { on, ...piece } = PIECES[name]!
    for (const [flaw, side] of FLAWS)
      for (const length of LENGTHS) {
        const place =
          name === 'cap in 6G'
            ? { clock: [2, 2 + AN_INCH_IN_HOURS * length] as [number, number] }
            : { from: 1, to: 1 + length }
        const marks = [{ flaw, on, ...(side ? { side } : {}), ...place }]
        const one: Case = { id: `${name} ${flaw} ${length}`, group: '', title: '', why: '', marks, ...piece }
        const { reading } = readCase(variants(one)[0]!).alone
        expect(reading.change, one.id).not.toBeNull()
        expect(reading.nextRun, one.id).not.toMatch(/same settings|hold these|singled out/i)
        const [told] = String(reading.nextRun).split('. Then ')
        expect(told!.split(' ').length, told).toBeLessThanOrEqual(MOST_WORDS)
        // Nothing is between beads where there is one, and no toe of a vertical weld is left or right, or upper.
        if (name === 'lap' || name === 'T') expect(told, one.id).not.toMatch(/between beads/i)
        if (name.startsWith('cap')) expect(told, one.id).not.toMatch(/left toe|right toe|upper plate/i)
      }
  })
})
