import { ALL_MEANS, type BoothNeed } from '../floor'
import type { Random } from '../statistics'
import { inches } from '../units'
import { USUAL_TERMS, type PlanCase, type PlanStudent, type WantedCoupon } from './planCase'

const FLAT: BoothNeed = { piece: 'pad', position: '1G', currentA: 125, polarity: 'DCEP' }
const PIPE: BoothNeed = { piece: 'pipe butt', position: '6G', currentA: 85, polarity: 'DCEP' }

/** A coupon of a made-up class. */
export const aWanted = (rungId: string, worth: number, more: Partial<WantedCoupon> = {}): WantedCoupon => ({
  rungId,
  nth: 1,
  name: rungId,
  minutes: 40,
  worth,
  need: FLAT,
  rods: [{ classification: 'E7018', diameterMm: inches(1 / 8), count: 5 }],
  piece: 'pad',
  ...more,
})
export const aPipe = (rungId: string, worth: number): WantedCoupon =>
  aWanted(rungId, worth, {
    need: PIPE,
    piece: 'pipe butt',
    minutes: 90,
    rods: [{ classification: 'E6010', diameterMm: inches(1 / 8), count: 3 }],
  })

export const aStudent = (id: string, booth: number | null, coupons: readonly WantedCoupon[]): PlanStudent => ({
  id,
  booth,
  coupons,
})

/** A class of some minutes in some booths, of which the last few have a pipe stand. */
export const aDay = (
  students: readonly PlanStudent[],
  {
    minutes = 180,
    booths = 4,
    stands = 1,
    ...more
  }: Partial<PlanCase['terms']> & {
    minutes?: number
    booths?: number
    stands?: number
    rods?: Readonly<Record<string, number>>
  } = {},
): PlanCase => {
  const { rods = {}, ...terms } = more
  return {
    minutes,
    terms: { ...USUAL_TERMS, ...terms },
    students,
    booths: Array.from({ length: booths }, (_, n) => ({
      booth: n + 1,
      means: { ...ALL_MEANS, pipeStand: n >= booths - stands },
    })),
    rods,
  }
}

/** Booths for some of a class. */
const BOOTHS_EACH = 0.75

/**
 * A made-up class for measuring: two thirds pad, a third is at pipe, for which there are fewer stands than students; a
 * quarter has no booth and takes what is free.
 */
export function madeUpDay(size: number, random: Random): PlanCase {
  const booths = Math.ceil(BOOTHS_EACH * size)
  const students = Array.from({ length: size }, (_, n) => {
    const worth = () => 0.4 + random.uniform()
    const pads = [1, 2, 3].map(nth => aWanted('pad', worth() * 0.7 ** (nth - 1), { nth, minutes: 42 }))
    const pipes = n % 3 === 0 ? [aPipe('pipe 5G', 1 + worth()), aPipe('pipe 6G', 0.6 + worth())] : []
    return aStudent(`s${n}`, n < booths ? n + 1 : null, [...pipes, ...pads])
  })
  return {
    ...aDay(students, { booths, stands: Math.ceil(size / 8), readMinutes: 3 }),
    rods: { 'E7018 1/8 in': size * 9, 'E6010 1/8 in': size },
  }
}
