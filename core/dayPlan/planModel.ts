import { sayTerms, type Terms } from '../integerProgram'
import { kindOf } from '../rodRoom'
import type { PieceKind } from '../trade'
import type { Bay } from './bays'
import { piecesThere, stepsTaken, wantedOf, type PlanCase, type PlannedCoupon } from './planCase'
import { EVERYBODY, FAIR_SHARE, fairMinutes, lineScore, SETTING_UP } from './planScore'
import { readIn, readingsInStep } from './readings'

/** Rows of a program that say "no more than": what they are about, and their sums. */
type Limits = Map<string, { most: number; terms: [number, string][] }>

function limit(limits: Limits, about: string, most: number, term: [number, string]): void {
  const row = limits.get(about) ?? { most, terms: [] }
  row.terms.push(term)
  limits.set(about, row)
}

/**
 * The day as an integer program in LP format: which of the places that coupons may take are taken, so that no student
 * has two at once, no bay has more than its booths, no coupon is run twice, and readings, rods and pieces suffice. A
 * time-indexed formulation (Dyer and Wolsey 1990, from memory).
 * @param places all that may be taken: `x0` is the first of them
 * @param bays the booths that are told apart no further
 * @param whole false for its relaxation, which no plan can be better than
 */
export function planModel(
  wanted: PlanCase,
  places: readonly PlannedCoupon[],
  bays: readonly Bay[],
  before: readonly PlannedCoupon[],
  whole: boolean,
): string {
  const limits: Limits = new Map()
  const bayOf = new Map(bays.flatMap((bay, n) => bay.booths.map(booth => [booth, { ...bay, name: `b${n}` }] as const)))
  places.forEach((line, n) => {
    limitLine(limits, wanted, line, `x${n}`)
    const { name, booths } = bayOf.get(line.booth)!
    for (const step of stepsTaken(wanted, line)) limit(limits, `bay ${name} ${step}`, booths.length, [1, `x${n}`])
  })
  const welds = wanted.students.map((student, n) => {
    const own = places.flatMap(({ studentId, minutes }, k) =>
      studentId === student.id ? [{ x: `x${k}`, minutes }] : [],
    )
    return { name: `y${n}`, fair: `f${n}`, own }
  })
  const fair = fairMinutes(wanted)
  for (const { name, fair: share, own } of welds) {
    limits.set(`at all ${name}`, { most: 0, terms: [[1, name], ...own.map(({ x }): [number, string] => [-1, x])] })
    const minutes = own.map(({ x, minutes }): [number, string] => [-minutes, x])
    limits.set(`fair ${name}`, { most: 0, terms: [[fair, share], ...minutes] })
  }
  const shares = limitShares(limits, wanted, places)
  const setUps = limitSetUps(limits, places, booth => bayOf.get(booth)!.name)
  const worth: Terms = [
    ...places.map((line, n) => [lineScore(wanted, line, before), `x${n}`] as const),
    ...welds.map(({ name }) => [EVERYBODY, name] as const),
    ...welds.map(one => [FAIR_SHARE, one.fair] as const),
    ...setUps.map(name => [-SETTING_UP, name] as const),
  ]
  const names = places.map((_, n) => `x${n}`)
  return [
    'Maximize',
    ` worth: ${sayTerms(worth)}`,
    'Subject To',
    ...[...limits.values()].map(({ terms, most }, n) => ` r${n}: ${sayTerms(terms)} <= ${most}`),
    'Bounds',
    ...[...names, ...welds.flatMap(one => [one.name, one.fair]), ...shares, ...setUps].map(
      name => ` 0 <= ${name} <= 1`,
    ),
    ...(whole ? ['Binary', ...names.map(name => ` ${name}`)] : []),
    'End',
  ].join('\n')
}

function limitLine(limits: Limits, wanted: PlanCase, line: PlannedCoupon, x: string): void {
  const { stepMinutes } = wanted.terms
  const { studentId, rungId, nth, from, minutes } = line
  limit(limits, `coupon ${studentId} ${rungId} ${nth}`, 1, [1, x])
  for (const step of stepsTaken(wanted, line)) limit(limits, `student ${studentId} ${step}`, 1, [1, x])
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

/** A student sets up in each bay where any coupon is run. Answers the names of those variables. */
function limitSetUps(limits: Limits, places: readonly PlannedCoupon[], bayOf: (booth: number) => string): string[] {
  const names = new Map<string, string>()
  places.forEach(({ studentId, booth, rungId, nth }, n) => {
    const pair = `${studentId} ${bayOf(booth)}`
    const name = names.get(pair) ?? `u${names.size}`
    names.set(pair, name)
    const about = `set up ${pair} ${rungId} ${nth}`
    if (!limits.has(about)) limit(limits, about, 0, [-1, name])
    limit(limits, about, 0, [1, `x${n}`])
  })
  return [...names.values()]
}
