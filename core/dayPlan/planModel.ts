import { sayTerms, type Terms } from '../integerProgram'
import { kindOf } from '../rodRoom'
import type { PieceKind } from '../trade'
import { piecesThere, wantedOf, type PlanCase, type PlannedCoupon } from './planCase'
import { EVERYBODY, lineScore, SETTING_UP } from './planScore'
import { readIn, readingsInStep } from './readings'

/** Rows of a program that say "no more than": what they are about, and their sums. */
type Limits = Map<string, { most: number; terms: [number, string][] }>

function limit(limits: Limits, about: string, most: number, term: [number, string]): void {
  const row = limits.get(about) ?? { most, terms: [] }
  row.terms.push(term)
  limits.set(about, row)
}

/**
 * The day as an integer program in LP format: which of the places that coupons may take are taken, so that nobody and
 * no booth has two at once, no coupon is run twice, and readings, rods and pieces suffice. A time-indexed formulation
 * (Dyer and Wolsey 1990, from memory).
 * @param places all that may be taken: `x0` is the first of them
 * @param whole false for its relaxation, which no plan can be better than
 */
export function planModel(
  wanted: PlanCase,
  places: readonly PlannedCoupon[],
  before: readonly PlannedCoupon[],
  whole: boolean,
): string {
  const limits: Limits = new Map()
  places.forEach((line, n) => limitLine(limits, wanted, line, `x${n}`))
  const welds = wanted.students.map((student, n) => {
    const own = places.flatMap((line, k) => (line.studentId === student.id ? ([[1, `x${k}`]] as const) : []))
    return { name: `y${n}`, own }
  })
  for (const { name, own } of welds) {
    limit(limits, `welds ${name}`, 1, [1, name])
    limits.set(`at all ${name}`, { most: 0, terms: [[1, name], ...own.map(([by, x]): [number, string] => [-by, x])] })
  }
  const shares = limitShares(limits, wanted, places)
  const setUps = limitSetUps(limits, places)
  const worth: Terms = [
    ...places.map((line, n) => [lineScore(wanted, line, before), `x${n}`] as const),
    ...welds.map(({ name }) => [EVERYBODY, name] as const),
    ...setUps.map(name => [-SETTING_UP, name] as const),
  ]
  const names = places.map((_, n) => `x${n}`)
  return [
    'Maximize',
    ` worth: ${sayTerms(worth)}`,
    'Subject To',
    ...[...limits.values()].map(({ terms, most }, n) => ` r${n}: ${sayTerms(terms)} <= ${most}`),
    'Bounds',
    ...[...names, ...welds.map(one => one.name), ...shares, ...setUps].map(name => ` 0 <= ${name} <= 1`),
    ...(whole ? ['Binary', ...names.map(name => ` ${name}`)] : []),
    'End',
  ].join('\n')
}

function limitLine(limits: Limits, wanted: PlanCase, line: PlannedCoupon, x: string): void {
  const { stepMinutes } = wanted.terms
  const { studentId, rungId, nth, booth, from, minutes } = line
  limit(limits, `coupon ${studentId} ${rungId} ${nth}`, 1, [1, x])
  for (let step = Math.floor(from / stepMinutes); step * stepMinutes < from + minutes; step++) {
    limit(limits, `student ${studentId} ${step}`, 1, [1, x])
    limit(limits, `booth ${booth} ${step}`, 1, [1, x])
  }
  const read = readIn(wanted, Math.ceil((from + minutes) / stepMinutes))
  limit(limits, `read ${read}`, readingsInStep(wanted.terms), [1, x])
  const { rods, piece } = wantedOf(wanted, line)!
  for (const rod of rods) {
    const there = wanted.rods[kindOf(rod)]
    if (there !== undefined) limit(limits, `rods ${kindOf(rod)}`, there, [rod.count, x])
  }
  const pieces = piecesThere(wanted.terms, piece)
  if (Number.isFinite(pieces)) limit(limits, `piece ${piece}`, pieces, [1, x])
}

/** What pairs save: a piece less where both run that kind. Answers the names of those variables. */
function limitShares(limits: Limits, wanted: PlanCase, places: readonly PlannedCoupon[]): string[] {
  const kinds = Object.keys(wanted.terms.pieces) as PieceKind[]
  return wanted.terms.pairs.flatMap((pair, n) =>
    kinds.flatMap((kind, k) => {
      const row = limits.get(`piece ${kind}`)
      if (!row) return []
      const z = `z${n}k${k}`
      row.terms.push([-1, z])
      for (const student of pair) {
        const own = places.flatMap((line, m): [number, string][] =>
          line.studentId === student && wantedOf(wanted, line)!.piece === kind ? [[-1, `x${m}`]] : [],
        )
        limits.set(`share ${z} ${student}`, { most: 0, terms: [[1, z], ...own] })
      }
      return [z]
    }),
  )
}

/** A student sets up in each booth where any coupon is run. Answers the names of those variables. */
function limitSetUps(limits: Limits, places: readonly PlannedCoupon[]): string[] {
  const names = new Map<string, string>()
  places.forEach(({ studentId, booth, rungId, nth }, n) => {
    const pair = `${studentId} ${booth}`
    const name = names.get(pair) ?? `u${names.size}`
    names.set(pair, name)
    const about = `set up ${pair} ${rungId} ${nth}`
    if (!limits.has(about)) limit(limits, about, 0, [-1, name])
    limit(limits, about, 0, [1, `x${n}`])
  })
  return [...names.values()]
}
