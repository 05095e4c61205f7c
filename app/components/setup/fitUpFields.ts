import { CLAMPS, SURFACES, type FitUp, type FitUpWanted, type GaugedGap, type Tack } from '~~/core/setup'
import { inches } from '~~/core/units'
import { choice, length, numeric, type SheetInput, type SheetValues } from '~~/core/working'

/** How far a fit-up has come; fields of later stages are not asked for yet. */
export const FIT_UP_STAGES = ['before the tacks', 'after tack 1', 'after tack 2', 'welded'] as const
const NOT_LOOKED = 'not looked at'

/** The stage from which a field is asked for. */
const FROM: Readonly<Record<string, number>> = { oneRight: 1, twoLeft: 2, twoRight: 2, after: 3 }

/** The fields of a fit-up, beginning with what is wanted. */
export function fitUpInputs({ gapMm, landMm, includedDegrees }: FitUpWanted, presetDegrees = 3): readonly SheetInput[] {
  const gap = (id: string, name: string) => length(id, name, 0, 12, gapMm)
  return [
    choice('gauged', 'Gauged', FIT_UP_STAGES),
    gap('bareLeft', 'Left, bare'),
    gap('bareRight', 'Right, bare'),
    gap('oneRight', 'Right, tack 1'),
    gap('twoLeft', 'Left, tacked'),
    gap('twoRight', 'Right, tacked'),
    ...(includedDegrees === null
      ? []
      : [
          numeric('degrees', 'bevelLeft', 'Left bevel', 0, 60, includedDegrees / 2),
          numeric('degrees', 'bevelRight', 'Right bevel', 0, 60, includedDegrees / 2),
        ]),
    ...(landMm === null ? [] : [length('land', 'Root face', 0, 12, landMm)]),
    length('offLine', 'Out of line', 0, 12, 0),
    choice('surface', 'Edges', [NOT_LOOKED, ...SURFACES]),
    choice('clamp', 'Work clamp', [NOT_LOOKED, ...CLAMPS]),
    numeric('degrees', 'preset', 'Pre-set', 0, 20, presetDegrees),
    numeric('degrees', 'after', 'Drawn in still', -20, 20, 0),
  ]
}

export const fieldsAt = (inputs: readonly SheetInput[], stage: number): readonly SheetInput[] =>
  inputs.filter(input => (FROM[input.id] ?? 0) <= stage)

export const stageOf = (values: SheetValues): number =>
  FIT_UP_STAGES.indexOf(values.gauged as (typeof FIT_UP_STAGES)[number])

/** A fit-up as its fields say. */
export function fitUpOf(values: SheetValues, tacks: readonly Tack[] = []): FitUp {
  const of = (id: string) => Number(values[id])
  const said = <T extends string>(id: string, words: readonly T[]) => words.find(word => word === values[id]) ?? null
  const stage = stageOf(values)
  return {
    bare: { leftMm: of('bareLeft'), rightMm: of('bareRight') },
    afterFirstTack: stage >= 1 ? { leftMm: of('bareLeft'), rightMm: of('oneRight') } : null,
    afterSecondTack: stage >= 2 ? { leftMm: of('twoLeft'), rightMm: of('twoRight') } : null,
    misalignmentMm: of('offLine'),
    presetDegrees: of('preset'),
    leftDegrees: stage >= 3 ? of('after') : null,
    bevelDegrees: values.bevelLeft === undefined ? null : { left: of('bevelLeft'), right: of('bevelRight') },
    landMm: values.land === undefined ? null : of('land'),
    tacks,
    surface: said('surface', SURFACES),
    clamp: said('clamp', CLAMPS),
  }
}

/** The fields as a kept fit-up fills them. */
export function valuesOf(fitUp: FitUp): Record<string, number | string> {
  const stage = fitUp.leftDegrees !== null ? 3 : fitUp.afterSecondTack ? 2 : fitUp.afterFirstTack ? 1 : 0
  return {
    gauged: FIT_UP_STAGES[stage]!,
    bareLeft: fitUp.bare.leftMm,
    bareRight: fitUp.bare.rightMm,
    offLine: fitUp.misalignmentMm,
    preset: fitUp.presetDegrees,
    surface: fitUp.surface ?? NOT_LOOKED,
    clamp: fitUp.clamp ?? NOT_LOOKED,
    ...(fitUp.afterFirstTack ? { oneRight: fitUp.afterFirstTack.rightMm } : {}),
    ...(fitUp.afterSecondTack
      ? { twoLeft: fitUp.afterSecondTack.leftMm, twoRight: fitUp.afterSecondTack.rightMm }
      : {}),
    ...(fitUp.leftDegrees !== null ? { after: fitUp.leftDegrees } : {}),
    ...(fitUp.bevelDegrees ? { bevelLeft: fitUp.bevelDegrees.left, bevelRight: fitUp.bevelDegrees.right } : {}),
    ...(fitUp.landMm !== null ? { land: fitUp.landMm } : {}),
  }
}

/** The gap as it stands: as tacked, else bare. */
export const gapNow = ({ bare, afterSecondTack }: Pick<FitUp, 'bare' | 'afterSecondTack'>): GaugedGap =>
  afterSecondTack ?? bare

/** A new tack, half an inch long, where there is none yet: at the ends first. */
export function newTack(tacks: readonly Tack[], seamMm: number): Tack {
  const places = [inches(1 / 4), seamMm - inches(1 / 4), seamMm / 2, seamMm / 4, (3 * seamMm) / 4]
  const free = places.find(place => tacks.every(tack => Math.abs(tack.atMm - place) > inches(1 / 2))) ?? seamMm / 2
  return { atMm: free, lengthMm: inches(1 / 2), feathered: true }
}
