import { fitLogistic, logistic, logit, type LogisticBelief } from '../statistics'

/**
 * What the coupons alone said of a test on the day it was planned, before tests of the school had moved it, and what
 * came of it, stage by stage. Odds 0 to 1. Were it fitted to what had been moved already, it would unlearn itself.
 */
export interface ToldOutcome {
  readonly bookId: string
  /** Name of the test piece, with its position. */
  readonly pieceName: string
  readonly face: Told
  /** What is seen from behind; null where a piece shows no root, or the two were not told apart. */
  readonly root: Told | null
  /** The bends of a piece that passed its visual; null where there were none. */
  readonly bends: Told | null
}

interface Told {
  readonly said: number
  readonly passed: boolean
}

/** What a shift is of: all tests of the school, those by a book, or those on a piece (by its name). */
export interface ShiftGroup {
  readonly of: 'school' | 'book' | 'piece'
  readonly id?: string
}

/** How far tests of this school go otherwise than its coupons say, on the logit scale, for one stage. */
export interface StageShifts {
  /** What is shifted: the school, a book, a piece; in the order of the belief. */
  readonly groups: readonly ShiftGroup[]
  readonly belief: LogisticBelief
  readonly tests: number
}

/** The stages of a test, each with odds of its own. */
export const STAGES = ['face', 'root', 'bends'] as const
export type Stage = (typeof STAGES)[number]
export type Recalibration = Readonly<Record<Stage, StageShifts>>

/** How far a school's tests, those of a book and of a piece usually stray from what coupons say, logit. */
const STRAYS = {
  face: { school: 0.35, book: 0.15, piece: 0.2 },
  root: { school: 0.35, book: 0.15, piece: 0.2 },
  bends: { school: 0.6, book: 0.1, piece: 0.2 },
} as const
/** How far one student's tests of a piece stray from what the model can know, logit. */
const STUDENT_STRAYS = { face: 0.28, root: 0.28, bends: 0.28 } as const
/** Odds are held off nought and one before they are put on the logit scale. */
const LEAST = 0.01

type Placed = Pick<ToldOutcome, 'bookId' | 'pieceName'>

/** The groups that a test belongs to. */
const groupsOf = ({ bookId, pieceName }: Placed): readonly ShiftGroup[] => [
  { of: 'school' },
  { of: 'book', id: bookId },
  { of: 'piece', id: pieceName },
]
const isSame = (one: ShiftGroup, other: ShiftGroup) => one.of === other.of && one.id === other.id
const straysOf = (stage: Stage, { of }: ShiftGroup) => STRAYS[stage][of]
const onLogit = (odds: number) => logit(Math.min(1 - LEAST, Math.max(LEAST, odds)))

type Row = Placed & Told

/**
 * Fits what a stage's tests say beside the odds: shifts of school, book and piece around nought, each held to nought
 * as strongly as such things usually agree (a hierarchical logistic regression with what was said as its offset;
 * posterior by Laplace).
 */
function fitStage(stage: Stage, rows: readonly Row[]): StageShifts {
  const groups = rows.flatMap(groupsOf).filter((group, n, all) => all.findIndex(other => isSame(group, other)) === n)
  const priors = groups.map(group => ({ mean: 0, deviation: straysOf(stage, group) }))
  // What was said enters as a coefficient that is held at one.
  const { mean, covariance } = fitLogistic(
    rows.map(row => ({
      x: [...groups.map(group => (groupsOf(row).some(own => isSame(own, group)) ? 1 : 0)), onLogit(row.said)],
      tried: 1,
      sound: row.passed ? 1 : 0,
    })),
    [...priors, { mean: 1, deviation: 1e-6 }],
  )
  const size = groups.length
  return {
    groups,
    belief: { mean: mean.slice(0, size), covariance: covariance.slice(0, size).map(row => row.slice(0, size)) },
    tests: rows.length,
  }
}

const rowsOf = (told: readonly ToldOutcome[], stage: Stage): Row[] =>
  told.flatMap(({ bookId, pieceName, [stage]: of }) => (of ? [{ bookId, pieceName, ...of }] : []))

/**
 * How a school's tests came out against what was said of them. With none it shifts nothing, and is as unsure as tests
 * usually stray.
 * @example recalibrate([]).face.tests // 0
 */
export const recalibrate = (told: readonly ToldOutcome[]): Recalibration => ({
  face: fitStage('face', rowsOf(told, 'face')),
  root: fitStage('root', rowsOf(told, 'root')),
  bends: fitStage('bends', rowsOf(told, 'bends')),
})

/** A shift on the logit scale: how sure the school's part of it is, and how far one student strays beside that. */
export interface Shift {
  readonly mean: number
  readonly deviation: number
  readonly student: number
}

/** How a stage of a piece's tests is shifted at this school, and how far one student strays beside it. */
export function shiftOf(recalibration: Recalibration, stage: Stage, piece: Placed): Shift {
  const { groups, belief } = recalibration[stage]
  const wanted = groupsOf(piece)
  const places = wanted.map(group => groups.findIndex(other => isSame(group, other)))
  const known = places.filter(place => place >= 0)
  const unknown = wanted.filter((_, n) => places[n]! < 0)
  const variance =
    known.reduce((sum, i) => sum + known.reduce((row, j) => row + belief.covariance[i]![j]!, 0), 0) +
    unknown.reduce((sum, group) => sum + straysOf(stage, group) ** 2, 0)
  return {
    mean: known.reduce((sum, place) => sum + belief.mean[place]!, 0),
    deviation: Math.sqrt(variance),
    student: STUDENT_STRAYS[stage],
  }
}

/** A group of tests that goes otherwise here than its coupons say. */
export interface Stray {
  readonly group: ShiftGroup
  readonly stage: Stage
  /** Of 100 tests that were said to go half and half, this number more pass; fewer when it is negative. */
  readonly points: number
}

/** A shift that its own doubt does not cover is worth saying. */
const WORTH_SAYING = 1

/**
 * What a person may read of a recalibration: which groups go better or worse here than coupons say, the furthest
 * first.
 * @example straysOfSchool(recalibration)[0] // { group: { of: 'school' }, stage: 'visual', points: 9 }
 */
export function straysOfSchool(recalibration: Recalibration): Stray[] {
  return STAGES.flatMap(stage =>
    recalibration[stage].groups.map((group, n) => {
      const { mean, covariance } = recalibration[stage].belief
      return { group, stage, by: mean[n]!, doubt: Math.sqrt(covariance[n]![n]!) }
    }),
  )
    .filter(({ by, doubt }) => Math.abs(by) > WORTH_SAYING * doubt)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .map(({ group, stage, by }) => ({ group, stage, points: Math.round(100 * (logistic(by) - 0.5)) }))
}
