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

/**
 * How far a school's tests usually stray from what its coupons say, logit: all stages together, as where examiners let
 * pass or hands shake on the day; then each stage, a book and a piece by itself.
 */
const TOGETHER_STRAY = 0.22
const STRAYS = {
  face: { school: 0.2, book: 0.15, piece: 0.2 },
  root: { school: 0.3, book: 0.15, piece: 0.2 },
  bends: { school: 0.5, book: 0.1, piece: 0.2 },
} as const
/**
 * What a stage has of its own has long tails, so that a stage far off by itself leaves the others alone: Student's t of
 * two degrees of freedom, fitted by expectation and maximisation (Lange, Little and Taylor 1989), which settles in a
 * few steps.
 */
const TAILS = 2
const STEPS = 6
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

interface Row extends Placed, Told {
  readonly stage: Stage
}

const rowsOf = (told: readonly ToldOutcome[]): Row[] =>
  told.flatMap(({ bookId, pieceName, ...by }) =>
    STAGES.flatMap(stage => (by[stage] ? [{ stage, bookId, pieceName, ...by[stage] }] : [])),
  )

/** A shift of one stage: the part of the school's that is this stage's own, or that of a book or a piece. */
interface Column {
  readonly stage: Stage
  readonly group: ShiftGroup
}

const keyOf = (stage: Stage, { of, id }: ShiftGroup) => `${stage} ${of} ${id ?? ''}`

/** What is shifted, stage by stage: the school, then every book and piece that has had a test. */
const columnsOf = (rows: readonly Row[]): Column[] =>
  STAGES.flatMap(stage =>
    [{ of: 'school' } as ShiftGroup, ...rows.filter(row => row.stage === stage).flatMap(groupsOf)]
      .filter((group, n, all) => all.findIndex(other => isSame(group, other)) === n)
      .map(group => ({ stage, group })),
  )

/**
 * How a school's tests came out against what was said of them: shifts around nought, each held to it as strongly as
 * such things usually agree (a hierarchical logistic regression, what was said as its offset; posterior by Laplace).
 * With no test it shifts nothing, and is as unsure as tests usually stray.
 * @example recalibrate([]).face.tests // 0
 */
export function recalibrate(told: readonly ToldOutcome[]): Recalibration {
  const rows = rowsOf(told)
  const columns = columnsOf(rows)
  const places = new Map(columns.map(({ stage, group }, n) => [keyOf(stage, group), n + 1]))
  const tried = rows.map(row => {
    const x = Array<number>(columns.length + 2).fill(0)
    x[0] = 1
    for (const group of groupsOf(row)) x[places.get(keyOf(row.stage, group))!] = 1
    // What was said enters as a coefficient that is held at one.
    x[columns.length + 1] = onLogit(row.said)
    return { x, tried: 1, sound: row.passed ? 1 : 0 }
  })
  const fit = (own: readonly number[]) =>
    fitLogistic(tried, [
      { mean: 0, deviation: TOGETHER_STRAY },
      ...own.map(deviation => ({ mean: 0, deviation })),
      { mean: 1, deviation: 1e-6 },
    ])
  const usual = columns.map(({ stage, group }) => straysOf(stage, group))
  let belief = fit(usual)
  for (let step = 0; step < STEPS; step++) {
    const { mean, covariance } = belief
    belief = fit(
      columns.map(({ group }, n) =>
        group.of === 'school'
          ? Math.sqrt((TAILS * usual[n]! ** 2 + mean[n + 1]! ** 2 + covariance[n + 1]![n + 1]!) / (TAILS + 1))
          : usual[n]!,
      ),
    )
  }
  const { mean, covariance } = belief
  const stageOf = (stage: Stage): StageShifts => {
    const own = columns.flatMap((column, n) => (column.stage === stage ? [{ group: column.group, at: n + 1 }] : []))
    // The school's shift of a stage is that of all stages and what is the stage's own.
    const parts = own.map(({ group, at }) => (group.of === 'school' ? [0, at] : [at]))
    return {
      groups: own.map(({ group }) => group),
      belief: {
        mean: parts.map(part => sumOf(part, at => mean[at]!)),
        covariance: parts.map(part => parts.map(other => sumOf(part, a => sumOf(other, b => covariance[a]![b]!)))),
      },
      tests: rows.filter(row => row.stage === stage).length,
    }
  }
  return { face: stageOf('face'), root: stageOf('root'), bends: stageOf('bends') }
}

const sumOf = <T>(values: readonly T[], of: (value: T) => number) => values.reduce((sum, value) => sum + of(value), 0)

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
