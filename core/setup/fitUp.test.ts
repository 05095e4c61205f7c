import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { inches } from '../units'
import { checkFitUp, type FitUp, type FitUpWanted } from '.'

const GAP = inches(1 / 8)
const even = (mm: number) => ({ leftMm: mm, rightMm: mm })
const aFitUp = (change: Partial<FitUp> = {}): FitUp => ({
  bare: even(GAP),
  afterFirstTack: even(GAP),
  afterSecondTack: even(GAP),
  misalignmentMm: 0,
  presetDegrees: 3,
  leftDegrees: null,
  bevelDegrees: { left: 30, right: 30 },
  landMm: inches(3 / 32),
  tacks: [{ atMm: inches(1 / 4), lengthMm: inches(1 / 2), feathered: true }],
  surface: 'bright metal',
  clamp: 'on bare metal, near',
  ...change,
})
const WANTED: FitUpWanted = { gapMm: GAP, landMm: inches(3 / 32), includedDegrees: 60 }
const said = (change: Partial<FitUp>, unit: 'in' | 'mm' = 'in') =>
  checkFitUp(aFitUp(change), WANTED, unit).findings.map(finding => `${finding.text}: ${finding.then}`)

// Common practice: gauge both ends before and after each tack; a tack draws the far end shut.
describe('a fit-up', () => {
  it('that gauges as wanted has nothing against it', () => expect(said({})).toEqual([]))

  it('tight after the first tack is wedged before the second', () => {
    expect(said({ afterFirstTack: { leftMm: GAP, rightMm: inches(3 / 32) } })).toEqual([
      '1/32 in tight at the right end after tack 1: Wedge it before tack 2',
    ])
  })
  it('says both ends before the tacks, tight or wide', () => {
    expect(
      said({ bare: { leftMm: inches(1 / 16), rightMm: inches(3 / 16) }, afterFirstTack: null, afterSecondTack: null }),
    ).toEqual([
      '1/16 in tight at the left end before the tacks: Open it with the gauge rod',
      '1/16 in wide at the right end before the tacks: Close it up',
    ])
  })
  it('says what a tacked gap will do to the root', () => {
    expect(said({ afterSecondTack: { leftMm: inches(3 / 16), rightMm: GAP } })[0]).toContain('keyhole will run away')
    expect(
      said({ afterFirstTack: even(inches(3 / 32)), bare: even(GAP), afterSecondTack: even(inches(1 / 16)) }).join(),
    ).toContain('No penetration there')
  })
  it('says how much a tack drew shut, so that the next is wedged by as much', () => {
    expect(said({ afterFirstTack: { leftMm: GAP, rightMm: inches(5 / 32) }, afterSecondTack: even(GAP) })).toContain(
      'Tack 2 drew the right end shut by 1/32 in: Wedge the next one open by as much before that tack',
    )
  })
  it('at exactly 1/32 is told, under it is not; out of line at exactly 1/16 is not, over it is', () => {
    expect(said({ afterSecondTack: { leftMm: GAP - inches(1 / 32), rightMm: GAP } })).toHaveLength(1)
    expect(said({ afterSecondTack: { leftMm: GAP - inches(1 / 40), rightMm: GAP } })).toHaveLength(0)
    expect(said({ misalignmentMm: inches(1 / 16) })).toHaveLength(0)
    expect(said({ misalignmentMm: inches(3 / 32) })).toEqual([
      'Plates out of line by 3/32 in: One wall of the root will be missed: set it again',
    ])
  })
  it('tells 2.4 mm from 1/8 in, as gauges are marked', () =>
    expect(said({ afterSecondTack: { leftMm: 2.4, rightMm: GAP } })).toHaveLength(1))
  it('says what is wrong with the edges, and what it will do', () => {
    expect(said({ bevelDegrees: { left: 25, right: 30 } })).toEqual([
      'Included angle 5° tight: The rod will not reach the root: bevel again',
      'Bevels differ by 5°: Point the rod at the steeper wall',
    ])
    expect(said({ bevelDegrees: { left: 28, right: 32 } })).toEqual([])
    expect(said({ landMm: inches(1 / 8) })).toEqual([
      'Root face 1/32 in thick: It will not melt through: grind it down',
    ])
    expect(said({ landMm: inches(1 / 16) })[0]).toContain('thin')
    expect(said({ surface: 'mill scale' })[0]).toContain('bright metal')
  })
  it('says which tack is blunt, and where the clamp should be', () => {
    const tacks = [
      { atMm: inches(1 / 4), lengthMm: inches(1 / 2), feathered: false },
      { atMm: inches(6), lengthMm: inches(1 / 2), feathered: true },
    ]
    expect(said({ tacks, clamp: 'far off' })).toEqual([
      'Tack at 1/4 in not feathered: The root will not tie in there: grind both its ends to a ramp',
      'Work clamp far off: Arc blow will be worse: bring it to the joint',
    ])
  })
  it('keeps quiet on what nobody gauged', () =>
    expect(said({ bevelDegrees: null, landMm: null, tacks: [], surface: null, clamp: null })).toEqual([]))
  it('speaks the house’s unit', () => expect(said({ misalignmentMm: 2.5 }, 'mm')[0]).toContain('2.5 mm'))
  it('refuses a gap under nothing', () =>
    expect(() => checkFitUp(aFitUp({ bare: even(-1) }), WANTED, 'in')).toThrow(/0 or more/))
})

describe('the next pre-set', () => {
  it('is more by what was left toward the weld, less by what was left away from it', () => {
    const next = (leftDegrees: number | null) => checkFitUp(aFitUp({ leftDegrees }), WANTED, 'in').nextPresetDegrees
    expect([next(2), next(-1), next(0), next(null)]).toEqual([5, 2, 3, null])
  })
  it('brings the piece flat when it draws alike again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (presetDegrees, drawn) => {
          const { nextPresetDegrees } = checkFitUp(
            aFitUp({ presetDegrees, leftDegrees: drawn - presetDegrees }),
            WANTED,
            'in',
          )
          expect(nextPresetDegrees! - drawn).toBeCloseTo(0, 9)
        },
      ),
    )
  })
})
