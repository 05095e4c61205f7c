import { describe, expect, it } from 'vitest'
import type { FitUp } from '~~/core/setup'
import { inches } from '~~/core/units'
import { fieldsAt, FIT_UP_STAGES, fitUpInputs, fitUpOf, gapNow, newTack, stageOf, valuesOf } from './fitUpFields'

const WANTED = { gapMm: inches(1 / 8), landMm: inches(3 / 32), includedDegrees: 60 }
const inputs = fitUpInputs(WANTED, 5)
const begun = Object.fromEntries(inputs.map(input => [input.id, input.start]))

describe('the fields of a fit-up', () => {
  it('begin with what is wanted, and the pre-set that the last one asks for', () => {
    expect(fitUpOf(begun)).toEqual({
      bare: { leftMm: WANTED.gapMm, rightMm: WANTED.gapMm },
      afterFirstTack: null,
      afterSecondTack: null,
      misalignmentMm: 0,
      presetDegrees: 5,
      leftDegrees: null,
      bevelDegrees: { left: 30, right: 30 },
      landMm: WANTED.landMm,
      tacks: [],
      surface: null,
      clamp: null,
    } satisfies FitUp)
  })
  it('ask for no bevel and no land where there is none', () => {
    const plain = fitUpInputs({ gapMm: 1.6, landMm: null, includedDegrees: null })
    expect(plain.map(input => input.id)).not.toEqual(expect.arrayContaining(['land']))
    const values = Object.fromEntries(plain.map(input => [input.id, input.start]))
    expect(fitUpOf(values)).toMatchObject({ bevelDegrees: null, landMm: null })
  })
  it('ask for a stage’s readings when it is reached', () => {
    expect(FIT_UP_STAGES.map((_, stage) => fieldsAt(inputs, stage).length)).toEqual([
      inputs.length - 4,
      inputs.length - 3,
      inputs.length - 1,
      inputs.length,
    ])
  })
  it.each(FIT_UP_STAGES)('a fit-up kept %s comes back as it was', gauged => {
    const kept = fitUpOf(
      {
        ...begun,
        gauged,
        oneRight: 2,
        twoLeft: 3,
        twoRight: 2.4,
        after: -1,
        surface: 'bright metal',
        clamp: 'far off',
      },
      [newTack([], 150)],
    )
    const again = { ...begun, ...valuesOf(kept) }
    expect(stageOf(again)).toBe(FIT_UP_STAGES.indexOf(gauged))
    expect(fitUpOf(again, kept.tacks)).toEqual(kept)
  })
  it('the gap is the one as tacked, once it is tacked', () => {
    const bare = { leftMm: 3, rightMm: 3 }
    expect(gapNow({ bare, afterSecondTack: null })).toBe(bare)
    expect(gapNow({ bare, afterSecondTack: { leftMm: 3, rightMm: 2 } }).rightMm).toBe(2)
  })
})

it('new tacks go to both ends first, then between, never on one another', () => {
  let tacks: FitUp['tacks'] = []
  for (let n = 0; n < 5; n++) tacks = [...tacks, newTack(tacks, inches(7))]
  expect(tacks.slice(0, 2).map(tack => tack.atMm)).toEqual([inches(1 / 4), inches(6.75)])
  expect(new Set(tacks.map(tack => tack.atMm)).size).toBe(5)
})
