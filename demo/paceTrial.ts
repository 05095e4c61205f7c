import { classesFor, hoursFor, hoursHere, paceOf, type PastClass } from '../core/readiness'
import { mean, quantile, seededRandom, type Random } from '../core/statistics'
import type { Work } from '../core/trade'

/** How long things take in a shop, and who comes: nothing of it is what pace is reckoned by. */
export interface PaceWorld {
  readonly name: string
  /** Hours that a coupon takes in the middle. */
  readonly takes: Readonly<Record<Work, number>>
  /** How far hands, and coupons of one hand, are off one another, as a power of e. */
  readonly hands: number
  readonly coupons: number
  /** Hours that a coupon waits to be read. */
  readonly waits: number
  /** Of classes, how many a student misses at most; each has a share of their own. */
  readonly missed: number
  /** By how much quicker each class makes a hand, as a share. */
  readonly quickens: number
}

export const PACE_WORLDS: readonly PaceWorld[] = [
  {
    name: 'a shop by kinds of work',
    takes: { plate: 0.62, joint: 0.6, fillet: 0.66, groove: 1.15, pipe: 1.9 },
    hands: 0.25,
    coupons: 0.3,
    waits: 0,
    missed: 0.3,
    quickens: 0,
  },
  {
    name: 'a shop where they wait to be read, and become quicker',
    takes: { plate: 0.5, joint: 0.5, fillet: 0.6, groove: 1.3, pipe: 1.3 },
    hands: 0.15,
    coupons: 0.4,
    waits: 0.25,
    missed: 0.15,
    quickens: 0.01,
  },
  {
    name: 'a shop where every coupon takes as long',
    takes: { plate: 0.8, joint: 0.8, fillet: 0.8, groove: 0.8, pipe: 0.8 },
    hands: 0.2,
    coupons: 0.2,
    waits: 0,
    missed: 0.3,
    quickens: 0,
  },
]

const CLASS_HOURS = 3.5
/** No student begins a coupon of which less than this share can still be welded. */
const WORTH_BEGINNING = 0.6
const SURE = 0.84

/** One student in a shop. */
interface Worker {
  readonly times: number
  readonly misses: number
}

/** One class: coupons are run one after another until the time is out. */
function spend(world: PaceWorld, worker: Worker, nth: number, next: () => Work, random: Random): PastClass {
  const classDay = String(nth)
  if (random.chance(worker.misses)) return { classDay, minutes: 0, coupons: {} }
  const hours = random.chance(0.2) ? 0.75 * CLASS_HOURS : CLASS_HOURS
  const coupons: Partial<Record<Work, number>> = {}
  for (let left = hours; ;) {
    const work = next()
    const quick = (1 - world.quickens) ** nth
    const takes = world.waits + world.takes[work] * worker.times * quick * Math.exp(world.coupons * random.normal())
    if (left < WORTH_BEGINNING * takes) break
    coupons[work] = (coupons[work] ?? 0) + 1
    left -= takes
  }
  return { classDay, minutes: 60 * hours, coupons }
}

const countOf = ({ coupons }: PastClass) => Object.values(coupons).reduce((sum, count) => sum + count, 0)

/** How often classes and hours that were said held what it took; and how often it took more of them. */
export interface PaceScore {
  readonly students: number
  readonly classesHeld: number
  readonly classesLater: number
  readonly hoursHeld: number
  readonly hoursMore: number
  /** How far the middle of what was said is off what it took, as a share: half of the students are nearer. */
  readonly classesOff: number
  readonly hoursOff: number
}

/** What students run at one stage of the ladder or another. */
const STAGES: readonly (readonly Work[])[] = [
  ['plate', 'plate', 'joint'],
  ['plate', 'fillet'],
  ['plate', 'fillet', 'groove'],
  ['groove', 'groove', 'plate'],
  ['groove', 'pipe', 'plate'],
]
const IN_A_SECTION = 12

/**
 * Classes and hours until a number of coupons is run, said and taken: sections of students who have come to one stage
 * of the ladder or another run grooves or pipe from now on. One seed, one answer.
 */
export function tryPace(world: PaceWorld, seed: number, sections: number): PaceScore {
  const random = seededRandom(seed)
  const found = Array.from({ length: sections }, () => trySection(world, random)).flat()
  const share = (is: (row: PaceRow) => boolean) => mean(found.map(row => (is(row) ? 1 : 0)))
  const offBy = (of: (row: PaceRow) => readonly [took: number, said: number]) =>
    quantile(
      found.map(of).map(([took, said]) => Math.abs(said - took) / took),
      0.5,
    )
  return {
    students: found.length,
    classesHeld: share(({ classes, soonest, latest }) => classes >= soonest && classes <= latest),
    classesLater: share(({ classes, latest }) => classes > latest),
    hoursHeld: share(({ hours, fewest, most }) => hours >= fewest && hours <= most),
    hoursMore: share(({ hours, most }) => hours > most),
    classesOff: offBy(row => [row.classes, row.saidClasses]),
    hoursOff: offBy(row => [row.hours, row.saidHours]),
  }
}

/** What was said of one student, and what it took. */
interface PaceRow {
  readonly classes: number
  readonly saidClasses: number
  readonly saidHours: number
  readonly soonest: number
  readonly latest: number
  readonly hours: number
  readonly fewest: number
  readonly most: number
}

function trySection(world: PaceWorld, random: Random): PaceRow[] {
  const known = 3 + Math.floor(6 * random.uniform())
  const students = Array.from({ length: IN_A_SECTION }, (_, n) => {
    const worker = { times: Math.exp(world.hands * random.normal()), misses: world.missed * random.uniform() }
    const next = () => random.pick(STAGES[n % STAGES.length]!)
    return { worker, past: Array.from({ length: known }, (_class, nth) => spend(world, worker, nth, next, random)) }
  })
  const here = hoursHere(students.flatMap(({ past }) => past))
  return students.flatMap(({ worker, past }) => {
    const pace = paceOf(past, here)
    if (!pace) return []
    const wanted = { coupons: 3 + Math.floor(30 * random.uniform()), work: random.pick<Work>(['groove', 'pipe']) }
    let [classes, hours] = [0, 0]
    for (let left = wanted.coupons; left > 0; classes++) {
      const one = spend(world, worker, known + classes, () => wanted.work, random)
      left -= countOf(one)
      hours += one.minutes / 60
    }
    return [
      {
        classes,
        hours,
        saidClasses: classesFor(pace, wanted, 0) ?? Infinity,
        saidHours: hoursFor(pace, wanted, 0),
        soonest: classesFor(pace, wanted, -SURE) ?? Infinity,
        latest: classesFor(pace, wanted, SURE) ?? Infinity,
        fewest: Math.floor(hoursFor(pace, wanted, -SURE)),
        most: Math.ceil(hoursFor(pace, wanted, SURE)),
      },
    ]
  })
}
