import { beadFigures, type BeadFigures } from './beadFigures'
import type { Random } from '../statistics'
import type { Technique } from './technique'

/** A place on a bead: along it, and above its centre line, mm. */
export interface ShownSpot {
  readonly atMm: number
  readonly offsetMm: number
  readonly diameterMm: number
}

/** The bead at one place along it, mm: its size, how far its middle lies off the line, what its toes show. */
export interface Station {
  readonly atMm: number
  readonly widthMm: number
  readonly heightMm: number
  readonly strayMm: number
  readonly undercutMm: BeadFigures['undercutMm']
  readonly overlapMm: BeadFigures['overlapMm']
  readonly sag: number
}

/** A bead as it lies on the plate, welded from left to right, with one restart. Lengths in millimetres. */
export interface ShownBead {
  readonly lengthMm: number
  readonly stations: readonly Station[]
  /** Each ripple: where its toes are and how far its middle bows back from the travel. */
  readonly ripples: readonly { readonly atMm: number; readonly bowMm: number }[]
  readonly pores: readonly ShownSpot[]
  readonly spatter: readonly ShownSpot[]
  readonly strikes: readonly ShownSpot[]
  readonly slag: readonly { readonly fromMm: number; readonly toMm: number; readonly side: 'upper' | 'lower' }[]
  readonly restartAtMm: number
  readonly crater: { readonly depthMm: number; readonly cracked: boolean }
}

/** The bead a rod should give. */
export interface RightBead {
  readonly widthMm: number
  readonly heightMm: number
  /** Flat or overhead; not on an upright plate, where metal hangs to the lower side. */
  readonly level: boolean
}

export const SHOWN_LENGTH_MM = 150
const STEP_MM = 0.75
/** How far a lump or a dip reaches along the bead, mm. */
const LUMP_MM = 5

/**
 * A bead run with a technique, as it would look: the law of `beadFigures`, and chance for what chance decides.
 * @param right the bead wanted
 * @example shownBead({ 'current high': 1 }, { widthMm: 6, heightMm: 2, level: true },
 *   seededRandom(1)).stations[50]!.widthMm > 6 // true
 */
export function shownBead(technique: Technique, right: RightBead, random: Random): ShownBead {
  const at = (share: number) => beadFigures(technique, share, right.level)
  const middle = at(0.5)
  const restartAtMm = SHOWN_LENGTH_MM * (0.42 + 0.16 * random.uniform())
  const sway = waves(random)
  const wander = waves(random)
  const stations = Array.from({ length: Math.round(SHOWN_LENGTH_MM / STEP_MM) + 1 }, (_, n): Station => {
    const atMm = n * STEP_MM
    const figures = at(atMm / SHOWN_LENGTH_MM)
    const swing = 1 + figures.widthSwing * sway(atMm, 24) + 0.012 * random.normal()
    const lump = figures.restartMm * bump(atMm - restartAtMm) + figures.startLumpMm * bump(atMm - LUMP_MM)
    const hollow = figures.craterMm * bump((atMm - SHOWN_LENGTH_MM + LUMP_MM) / 0.8)
    return {
      atMm,
      widthMm: right.widthMm * figures.width * swing * (1 + (0.12 * lump) / right.heightMm),
      heightMm: Math.max(0.2, right.heightMm * figures.height * (2 - swing) + lump - hollow),
      strayMm: figures.strayMm * wander(atMm, 90),
      undercutMm: ragged(figures.undercutMm, sway(atMm + 40, 16)),
      overlapMm: ragged(figures.overlapMm, sway(atMm + 80, 30)),
      sag: figures.sag,
    }
  })
  const spot = (
    offsetMm: number,
    diameterMm: number,
    atMm = 6 + random.uniform() * (SHOWN_LENGTH_MM - 12),
  ): ShownSpot => ({
    atMm,
    offsetMm,
    diameterMm,
  })
  const half = (right.widthMm * middle.width) / 2
  const side = () => (random.chance(0.5) ? 1 : -1)
  return {
    lengthMm: SHOWN_LENGTH_MM,
    stations,
    restartAtMm,
    ripples: ripplesOf(at, right.widthMm, random),
    pores: [
      ...draw((middle.pores * SHOWN_LENGTH_MM) / 100, random, () =>
        spot((random.uniform() - 0.5) * half, 0.5 + 0.6 * random.uniform()),
      ),
      ...draw(middle.startPores, random, () =>
        spot((random.uniform() - 0.5) * half, 0.5 + 0.5 * random.uniform(), 3 + 8 * random.uniform()),
      ),
    ],
    spatter: draw((middle.spatter * SHOWN_LENGTH_MM) / 100, random, () =>
      spot(side() * half * (1.25 + 1.6 * random.uniform()), 0.35 + 0.9 * random.uniform() * middle.width),
    ),
    strikes: draw(middle.strikes, random, () => spot(side() * half * (2 + random.uniform()), 3)),
    slag: slagOf(middle.slag, random),
    crater: { depthMm: middle.craterMm, cracked: middle.craterMm > 1.2 && random.chance(0.6) },
  }
}

/** A slow wave of no fixed beat, about -1 to 1. */
function waves(random: Random): (atMm: number, periodMm: number) => number {
  const [one, other] = [random.uniform(), random.uniform()].map(share => share * 2 * Math.PI)
  return (atMm, periodMm) =>
    0.72 * Math.sin((2 * Math.PI * atMm) / periodMm + one!) +
    0.4 * Math.sin((2 * Math.PI * atMm) / (periodMm * 0.618) + other!)
}

const bump = (offMm: number) => Math.exp(-((offMm / LUMP_MM) ** 2))

/** Toes are eaten and rolled over here more, there less. */
const ragged = ({ upper, lower }: BeadFigures['undercutMm'], wave: number) => ({
  upper: Math.max(0, upper * (1 + 0.5 * wave)),
  lower: Math.max(0, lower * (1 - 0.5 * wave)),
})

/** As many as the mean says, give or take the part of one. */
const draw = <T>(mean: number, random: Random, one: () => T): T[] =>
  Array.from({ length: Math.floor(mean + random.uniform()) }, one)

function ripplesOf(at: (share: number) => BeadFigures, widthMm: number, random: Random): ShownBead['ripples'] {
  const ripples: { atMm: number; bowMm: number }[] = []
  for (let atMm = 2; atMm < SHOWN_LENGTH_MM - 2;) {
    const { width, bow, pitch, widthSwing } = at(atMm / SHOWN_LENGTH_MM)
    ripples.push({ atMm, bowMm: widthMm * width * bow })
    atMm += 1.25 * pitch * (1 + (0.06 + widthSwing) * random.normal() * 0.5)
  }
  return ripples
}

function slagOf(share: number, random: Random): ShownBead['slag'] {
  return (['upper', 'lower'] as const).flatMap(side =>
    draw(share * 5, random, () => {
      const fromMm = 5 + random.uniform() * (SHOWN_LENGTH_MM - 40)
      return { side, fromMm, toMm: fromMm + 10 + 16 * random.uniform() }
    }),
  )
}
