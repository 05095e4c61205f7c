import type { ClassDay } from '../calendar'
import { mean } from '../statistics'
import type { Work } from '../trade'

/** Hours in the booth that a coupon usually takes: set-up, welding and cleaning. Common practice, rough. */
export const USUAL_HOURS: Readonly<Record<Work, number>> = {
  plate: 0.7,
  joint: 0.6,
  fillet: 0.7,
  groove: 1.4,
  pipe: 1.6,
}
const WORKS = Object.keys(USUAL_HOURS) as Work[]

/** A class that is over, as one student spent it. */
export interface PastClass {
  readonly classDay: ClassDay
  /** In the booth; 0 for a class that was missed. */
  readonly minutes: number
  /** Coupons that were run, by kind of work. */
  readonly coupons: Readonly<Partial<Record<Work, number>>>
}

/** What a coupon of a kind of work takes at a school, hours in the booth, and how far that may be off, as a share. */
export interface HoursOfWork {
  readonly hours: number
  readonly strays: number
}
export type HoursHere = Readonly<Record<Work, HoursOfWork>>

/** Coupons of a kind that what is usual weighs as much as. Common practice. */
const USUAL_WEIGHS = 4
/** How far schools are off what is usual, and one student off the own school at one kind of work. Common practice. */
const SCHOOLS_STRAY = 0.4
const STUDENT_STRAYS = 0.2
/** Enough until nothing moves by a minute. */
const ROUNDS = 60

const countOf = ({ coupons }: PastClass, work: Work): number => coupons[work] ?? 0

/** What was run in a class, in hours that it takes here. */
const worthOf = (one: PastClass, hours: Readonly<Record<Work, number>>): number =>
  WORKS.reduce((sum, work) => sum + countOf(one, work) * hours[work], 0)

/**
 * What coupons of each kind take here, from classes of several students who ran different work: the time of a class is
 * shared out over what was run in it, by what each kind is thought to take, and each kind takes what was shared out to
 * it; so on until nothing moves. Held to what is usual while there is little.
 * Source: proportional fitting (expectation and maximisation for sums of which only the whole is seen).
 * @param classes of any students of the school
 * @example hoursHere([]).groove.hours // 1.4
 */
export function hoursHere(classes: readonly PastClass[]): HoursHere {
  const filled = classes.filter(one => one.minutes > 0 && WORKS.some(work => countOf(one, work) > 0))
  let hours = USUAL_HOURS
  for (let round = 0; round < ROUNDS; round++) {
    const worths = filled.map(one => worthOf(one, hours))
    const taken = (work: Work) =>
      filled.reduce((sum, one, n) => sum + ((one.minutes / 60) * countOf(one, work) * hours[work]) / worths[n]!, 0)
    hours = Object.fromEntries(
      WORKS.map(work => [
        work,
        (taken(work) + USUAL_WEIGHS * USUAL_HOURS[work]) / (runOf(filled, work) + USUAL_WEIGHS),
      ]),
    ) as Record<Work, number>
  }
  return Object.fromEntries(
    WORKS.map(work => {
      const unknown = SCHOOLS_STRAY * Math.sqrt(USUAL_WEIGHS / (runOf(filled, work) + USUAL_WEIGHS))
      return [work, { hours: hours[work], strays: Math.hypot(unknown, STUDENT_STRAYS) }]
    }),
  ) as unknown as HoursHere
}

const runOf = (classes: readonly PastClass[], work: Work): number =>
  classes.reduce((sum, one) => sum + countOf(one, work), 0)

/** How fast a student comes on, in hours that work takes here. */
export interface Pace {
  /** Classes that it rests on, those that were missed among them. */
  readonly classes: number
  /** Hours' worth of work that a class brings, and how far one class is off another. */
  readonly mean: number
  readonly deviation: number
  /** Hours in the booth for one hour's worth of work. */
  readonly times: number
  readonly here: HoursHere
}

/** From one class to another, as a share of what a class brings, before several are known. Common practice. */
const USUAL_STRAY = 0.5
/** Hours' worth of work that are believed to take as long as they do here. Common practice. */
const AS_HERE_WEIGHS = 2

/**
 * A student's pace, from the last classes of the section: those that were missed bring nothing.
 * @param past classes that are over; what a class under way will bring is not known yet
 * @returns null where nothing was run in any of them
 * @example paceOf([{ classDay: '2026-10-05', minutes: 210, coupons: { plate: 3 } }], hoursHere([]))!.mean // 2.1
 */
export function paceOf(past: readonly PastClass[], here: HoursHere): Pace | null {
  const hours = Object.fromEntries(WORKS.map(work => [work, here[work].hours])) as Record<Work, number>
  const worths = past.map(one => worthOf(one, hours))
  const worth = worths.reduce((sum, one) => sum + one, 0)
  if (worth === 0) return null
  const middle = mean(worths)
  const squares = worths.reduce((sum, one) => sum + (one - middle) ** 2, (USUAL_STRAY * middle) ** 2)
  const spent = past.reduce((sum, { minutes }) => sum + minutes / 60, 0)
  return {
    classes: past.length,
    mean: middle,
    deviation: Math.sqrt(squares / past.length),
    times: (spent + AS_HERE_WEIGHS) / (worth + AS_HERE_WEIGHS),
    here,
  }
}

/** A number of coupons of a kind of work. */
export interface CouponsToRun {
  readonly coupons: number
  readonly work: Work
}

/** The furthest that is looked ahead, classes. */
const MOST_CLASSES = 400
/** Nine coupons at three a class are three classes, even where their hours round to more. */
const SAME_HOURS = 1e-9

/**
 * Classes until a number of coupons is run: what classes bring strays, and so does what is believed of their mean, and
 * of the work.
 * @param sure standard deviations on the slow side; below 0 on the quick side
 * @returns null where it would be more classes than anybody looks ahead
 * @example classesFor(paceOf(past, hoursHere([]))!, { coupons: 10, work: 'groove' }, 0) // 7, at two hours a class
 */
export function classesFor(pace: Pace, { coupons, work }: CouponsToRun, sure: number): number | null {
  const { hours, strays } = pace.here[work]
  const wanted = coupons * hours
  for (let n = 0; n <= MOST_CLASSES; n++) {
    const off = Math.hypot(pace.deviation * Math.sqrt(n + n ** 2 / pace.classes), strays * wanted)
    if (n * pace.mean - sure * off >= wanted - SAME_HOURS) return n
  }
  return null
}

/**
 * Hours in the booth until a number of coupons is run.
 * @param sure standard deviations on the slow side; below 0 on the quick side
 */
export function hoursFor(pace: Pace, { coupons, work }: CouponsToRun, sure: number): number {
  const { hours, strays } = pace.here[work]
  const off = Math.hypot(strays, pace.deviation / (pace.mean * Math.sqrt(pace.classes)))
  return coupons * hours * pace.times * Math.exp(sure * off)
}
