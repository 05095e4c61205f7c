import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { DEFAULT_HOUSE_RULES } from '../house'
import { ELECTRODES, PAD_POSITIONS, ROD_SIZES } from '../trade'
import { JOINTS, PASSES, practiceOf, publishedWindow, startCurrent, type CurrentCase } from '.'

const aCase = (change: Partial<CurrentCase>): CurrentCase => ({
  classification: 'E7018',
  diameterMm: inches(1 / 8),
  position: '1G',
  joint: 'pad',
  pass: 'bead',
  ...change,
})

// Common practice: currents as schools state them.
describe('what schools run', () => {
  it('is the row that names most of the case', () => {
    expect(practiceOf(aCase({ classification: 'E6013', polarity: 'AC' }))!.where).toBe('flat on AC')
    expect(practiceOf(aCase({ classification: 'E6013', polarity: 'DCEP' }))!.where).toBe('flat on DC')
    expect(practiceOf(aCase({ diameterMm: inches(3 / 32), thicknessMm: 3 }))!.where).toBe('1/8 in plate')
    expect(practiceOf(aCase({ diameterMm: inches(3 / 32), thicknessMm: 10 }))!.where).toBe('flat')
  })
  it('says nothing where practice names nothing', () => {
    expect(practiceOf(aCase({ classification: 'E7024' }))).toBeNull()
    expect(practiceOf(aCase({ classification: 'E6010', joint: 'pad' }))).toBeNull()
  })
  it('keeps its start inside its own window, in every row that a case can reach', () => {
    for (const { classification } of ELECTRODES) {
      for (const { diameterMm } of ROD_SIZES) {
        for (const { id, travel } of PAD_POSITIONS) {
          for (const joint of JOINTS) {
            for (const pass of PASSES[joint]) {
              const row = practiceOf(
                aCase({ classification, diameterMm, position: id, travel: travel[0], joint, pass }),
              )
              if (row) expect(row.startA >= row.lowA && row.startA <= row.highA, row.where).toBe(true)
            }
          }
        }
      }
    }
  })
  it('runs the hot pass 5 to 10 A over the root', () => {
    const of = (pass: 'root' | 'hot') =>
      practiceOf(aCase({ classification: 'E6010', joint: 'V, open root', pass, position: '3G' }))!.startA
    expect(of('hot') - of('root')).toBeGreaterThanOrEqual(5)
    expect(of('hot') - of('root')).toBeLessThanOrEqual(10)
  })
  // Common practice: E7018 · 1/8 vertical and on pipe is run under the published 115 A; shown as guidance, never as
  // an error.
  it('may lie under the published window, and then the card shows both', () => {
    const { startA, published, window } = startCurrent(aCase({ position: '3G', travel: 'up' }), DEFAULT_HOUSE_RULES)
    expect(startA).toBeLessThan(published.lowA)
    expect(published).toEqual(publishedWindow('E7018', inches(1 / 8)))
    expect(window.source.certainty).toBe('common practice')
  })
})

describe('a rod without practice', () => {
  it.each(['E6011', 'E6012', 'E7014', 'E7024'])(
    '%s starts in the middle of its published window, flat',
    classification => {
      const { startA, published } = startCurrent(aCase({ classification }), DEFAULT_HOUSE_RULES)
      expect(Math.abs(startA - (published.lowA + published.highA) / 2)).toBeLessThanOrEqual(2.5)
    },
  )
  it('is refused when no window is kept for it', () => {
    expect(() => startCurrent(aCase({ classification: 'E6020' }), DEFAULT_HOUSE_RULES)).toThrow(/No rod "E6020"/)
    expect(() => startCurrent(aCase({ diameterMm: 9 }), DEFAULT_HOUSE_RULES)).toThrow(/No rod of 9 mm/)
  })
})
