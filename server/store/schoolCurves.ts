import {
  fitSchool,
  NOTHING_WRONG,
  wrongOf,
  type SchoolCurves,
  type SchoolReadings,
  type Wrong,
} from '../../core/progress'
import { couponsReadTwice } from './couponsReadTwice'
import { database, fromJson, rows, run, toDateTime, toIso } from './database'
import { currentRules } from './houseRules'
import { oneForAll } from './oneForAll'
import { schoolHistory } from './trials'

/** The school's curves as they were last fitted; version 0 while they never were. */
export interface KeptCurves {
  readonly version: number
  readonly curves: SchoolCurves
  /** What the coupons they rest on had wrong. */
  readonly wrong: Wrong
}

interface CurveRow {
  version: number
  curves: unknown
  wrong: unknown
  coupons: number
  fitted_at: string
}

const newest = () =>
  rows<CurveRow>(
    database(),
    'SELECT version, curves, wrong, coupons, fitted_at FROM school_curve ORDER BY version DESC LIMIT 1',
  )

export async function schoolCurves(): Promise<KeptCurves> {
  const [row] = await newest()
  if (!row) return { version: 0, curves: {}, wrong: NOTHING_WRONG }
  return {
    version: row.version,
    curves: withReaders(fromJson(row.curves)),
    wrong: row.wrong === null ? NOTHING_WRONG : fromJson(row.wrong),
  }
}

/** Curves that were fitted before readers were set apart name none. */
const withReaders = (curves: SchoolCurves): SchoolCurves =>
  Object.fromEntries(
    Object.entries(curves).map(([element, curve]) => [element, { ...curve, readers: curve.readers ?? {} }]),
  )

/** A school is known well enough from this number of its newest coupons. */
const FITTED_TO = 4000
const A_DAY_MS = 86_400_000
/** Fewer coupons than this say less than the curves a school starts with. */
const FEWEST = 60

/**
 * Whether the curves are to be fitted again: at most once a day, and when the school has a quarter more coupons
 * than they rest on, or enough at all.
 */
export async function curvesAreDue(now: Date): Promise<boolean> {
  const [[row], [count]] = await Promise.all([
    newest(),
    rows<{ n: number }>(database(), `SELECT COUNT(*) AS n FROM (SELECT id FROM coupon LIMIT ${FITTED_TO}) AS some`),
  ])
  if (!row) return count!.n >= FEWEST
  const aged = now.getTime() - new Date(toIso(row.fitted_at)).getTime()
  return aged > A_DAY_MS && (count!.n > 1.25 * row.coupons || (count!.n === FITTED_TO && aged > 30 * A_DAY_MS))
}

/** Fits curves to what a school tried. */
export type FitCurves = (known: SchoolReadings) => Promise<SchoolCurves>

/** Fits them here; a server has a worker do it. */
export const fitHere: FitCurves = async known => fitSchool(known)

/** Has the school's curves fitted to its newest coupons, and keeps them. */
export const keepCurves = oneForAll(async (now: Date, fit: FitCurves): Promise<void> => {
  // Looked up first: where two servers fit at one moment, one version is kept, and no student is computed anew twice.
  const { version } = await schoolCurves()
  const [students, twice, { rules }] = await Promise.all([schoolHistory(FITTED_TO), couponsReadTwice(), currentRules()])
  const curves = await fit({ students, twice, rules })
  const coupons = new Set(students.flat().map(row => row.couponId)).size
  await run(
    database(),
    'INSERT IGNORE INTO school_curve (version, curves, wrong, coupons, fitted_at) VALUES (?, ?, ?, ?, ?)',
    [version + 1, JSON.stringify(curves), JSON.stringify(wrongOf(students.flat())), coupons, toDateTime(now)],
  )
})
