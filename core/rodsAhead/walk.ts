import type { ClassDay, ClassWeek } from '../calendar'
import type { Ladder, LadderRung, RungState } from '../ladder'
import { rungsInUse } from '../ladder'

/** A student on the way along the ladder. */
export interface Climber {
  readonly studentId: string
  readonly hand: 'right' | 'left'
  /** Where they stand on every rung in use, in the ladder's order. */
  readonly climb: readonly RungState[]
  /** The last day of the term, ISO 8601: none comes after it. */
  readonly until: ClassDay
  /** When their section meets. */
  readonly week: ClassWeek
}

/** Rungs that lead on, not drills beside the way: with the own hand, and with new rods. */
const leadsOn = ({ hand, rods }: LadderRung) => hand === 'own' && rods === 'new'
/**
 * A student who has been on a rung for longer than is usual has about this number of coupons left on it. Common
 * practice.
 */
const LEAST_LEFT = 2
/** A student's own tempo counts as much as the usual one after this number of coupons. Common practice. */
const OWN_TEMPO = 12

/** The way from where a student is now to the ladder's end, and how fast this student goes along it. */
export interface WayAhead {
  /** Nearest first; empty where all is signed off. */
  readonly rungs: readonly { readonly id: string; readonly usual: number; readonly done: number }[]
  /** How many coupons this student takes for one that is usual, by the rungs that are behind. */
  readonly tempo: number
}

/** @example wayAhead(FULL_LADDER, beginner).rungs[0].id // 'arc-strikes' */
export function wayAhead(ladder: Ladder, { climb }: Pick<Climber, 'climb'>): WayAhead {
  const states = new Map(climb.map(state => [state.rungId, state]))
  const doneOn = (rung: LadderRung) => states.get(rung.id)?.coupons ?? 0
  const dayOf = (rung: LadderRung) => states.get(rung.id)?.lastDay ?? ''
  const way = rungsInUse(ladder).filter(leadsOn)
  const left = way.filter(rung => states.get(rung.id)?.status !== 'signed off')
  // Of two that were run on the same day it is the further one.
  const now = left.reduce((at, rung) => (dayOf(rung) !== '' && dayOf(rung) >= dayOf(at) ? rung : at), left[0]!)
  const ahead = left.slice(Math.max(0, left.indexOf(now)))
  const behind = way.filter(rung => !ahead.includes(rung) && doneOn(rung) > 0)
  const sum = (of: (rung: LadderRung) => number) => behind.reduce((total, rung) => total + of(rung), 0)
  return {
    rungs: ahead.map(rung => ({ id: rung.id, usual: rung.coupons, done: doneOn(rung) })),
    tempo: (sum(doneOn) + OWN_TEMPO) / (sum(rung => rung.coupons) + OWN_TEMPO),
  }
}

/**
 * On which rungs a student's next coupons are run: those still left on this one, then the next ones, each as long as
 * this student usually takes; on the last one all that are left.
 * @param coupons how many are run, may be a fraction
 * @param tempo coupons for one that is usual
 * @returns coupons by the id of their rung
 */
export function walk({ rungs }: WayAhead, coupons: number, tempo: number): ReadonlyMap<string, number> {
  const run = new Map<string, number>()
  let left = coupons
  for (const [n, { id, usual, done }] of rungs.entries()) {
    if (left <= 0) break
    const wanted = n === 0 ? Math.max(LEAST_LEFT, tempo * usual - done) : tempo * usual
    const here = n === rungs.length - 1 ? left : Math.min(left, wanted)
    run.set(id, here)
    left -= here
  }
  return run
}
