import { mean } from '../statistics'
import { RIGHT_BOW, type RightBead, type ShownBead, type Station } from '../simulate'
import { formatLength, type LengthUnit } from '../units'
import { positionOfCard, type BeadCardId } from './beadCards'

/** What is read off a shown bead: whole-bead means, mm, and counts. */
export interface BeadLook {
  readonly widthMm: number
  readonly heightMm: number
  /** The narrowest and the widest place. */
  readonly fromMm: number
  readonly toMm: number
  /** How far its middle strays, from one side to the other. */
  readonly strayMm: number
  readonly bow: number
  readonly undercut: { readonly upper: number; readonly lower: number }
  readonly overlap: { readonly upper: number; readonly lower: number }
  readonly restartMm: number
  readonly growsMm: number
}

const LUMP_MM = 12

/**
 * Measures a shown bead as a gauge would, clear of its ends and its restart.
 * @example lookOf(bead).widthMm // mean width, mm
 */
export function lookOf(bead: ShownBead): BeadLook {
  const plain = bead.stations.filter(
    ({ atMm }) => atMm > LUMP_MM && atMm < bead.lengthMm - LUMP_MM && Math.abs(atMm - bead.restartAtMm) > LUMP_MM,
  )
  const of = (read: (station: Station) => number) => mean(plain.map(read))
  const widths = plain.map(station => station.widthMm)
  const strays = bead.stations.map(station => station.strayMm)
  const heightMm = of(station => station.heightMm)
  const restart = bead.stations.filter(({ atMm }) => Math.abs(atMm - bead.restartAtMm) < 2)
  const [early, late] = [
    plain.filter(({ atMm }) => atMm < bead.lengthMm * 0.4),
    plain.filter(({ atMm }) => atMm > bead.lengthMm * 0.6),
  ]
  return {
    widthMm: of(station => station.widthMm),
    heightMm,
    fromMm: Math.min(...widths),
    toMm: Math.max(...widths),
    strayMm: Math.max(...strays) - Math.min(...strays),
    bow: mean(bead.ripples.map(ripple => ripple.bowMm)) / of(station => station.widthMm),
    undercut: { upper: of(station => station.undercutMm.upper), lower: of(station => station.undercutMm.lower) },
    overlap: { upper: of(station => station.overlapMm.upper), lower: of(station => station.overlapMm.lower) },
    restartMm: mean(restart.map(station => station.heightMm)) - heightMm,
    growsMm: mean(late.map(station => station.widthMm)) - mean(early.map(station => station.widthMm)),
  }
}

/**
 * What told, in words and measures, the plainest first. Only what can be seen on the bead shown, not what its cause
 * might show.
 * @param card decides on which plate it lies
 * @example tellsOf('current high', bead, right, 'in')[0] // 'Wide: 3/8 in, where 1/4 in is right'
 */
export function tellsOf(
  card: BeadCardId,
  bead: ShownBead,
  right: Omit<RightBead, 'level'>,
  unit: LengthUnit,
): string[] {
  const look = lookOf(bead)
  const say = (mm: number) => formatLength(mm, unit)
  /** What the gauge does not show is not told: two sizes that read alike are alike. */
  const read = (mm: number, rightMm: number, weight: number) => (say(mm) === say(rightMm) ? 0 : weight)
  const [wide, high] = [look.widthMm / right.widthMm, look.heightMm / right.heightMm]
  const even = (look.toMm - look.fromMm) / look.widthMm
  const both = Math.min(look.undercut.upper, look.undercut.lower)
  const found: [string, number][] = [
    [
      `Wide: ${say(look.widthMm)}, where ${say(right.widthMm)} is right`,
      read(look.widthMm, right.widthMm, wide - 1.12),
    ],
    [
      `Narrow: ${say(look.widthMm)}, where ${say(right.widthMm)} is right`,
      read(look.widthMm, right.widthMm, 0.9 - wide),
    ],
    [
      `High: ${say(look.heightMm)}, where ${say(right.heightMm)} is right`,
      read(look.heightMm, right.heightMm, high - 1.12),
    ],
    [
      `Flat: ${say(look.heightMm)} high, where ${say(right.heightMm)} is right`,
      read(look.heightMm, right.heightMm, 0.9 - high),
    ],
    ['Ripples long and pointed', look.bow / RIGHT_BOW - 1.25],
    ['Ripples blunt and close', 0.75 - look.bow / RIGHT_BOW],
    [
      `Width swings from ${say(look.fromMm)} to ${say(look.toMm)}`,
      even - 0.28 - Math.max(0, look.growsMm / look.widthMm),
    ],
    [`Wider toward the end, by ${say(look.growsMm)}`, 2 * (look.growsMm / look.widthMm - 0.15)],
    [`Wanders by ${say(look.strayMm)}`, look.strayMm / 2 - 0.6],
    ['Undercut on both toes', 2 * (both - 0.1)],
    ['Undercut on the upper toe only', both < 0.1 ? 2 * (look.undercut.upper - 0.2) : 0],
    ['Rolled over at both toes', 2 * (Math.min(look.overlap.upper, look.overlap.lower) - 0.12)],
    [
      'Hangs and rolls over on the lower side',
      positionOfCard(card) === '2G' && look.overlap.upper < 0.1 ? 2 * (look.overlap.lower - 0.2) : 0,
    ],
    ['Coarse spatter beside it', (bead.spatter.length - 14) / 20],
    [
      bead.pores.every(pore => pore.atMm < LUMP_MM) ? 'Pinholes at the start only' : 'Pinholes along it',
      (bead.pores.length - 1) / 5,
    ],
    ['Slag left at the toes', (bead.slag.length - 1.5) / 2],
    [`A lump at the restart, ${say(look.restartMm)} high`, look.restartMm - 0.7],
    [`A dip at the restart, ${say(-look.restartMm)} deep`, -look.restartMm - 0.7],
    ['A hollow crater at the end', bead.crater.depthMm - 0.9],
    ['A star crack in the crater', bead.crater.cracked ? 1 : 0],
    ['Strikes beside the bead', bead.strikes.length],
  ]
  return found
    .filter(([, weight]) => weight > 0)
    .sort((a, b) => b[1] - a[1])
    .map(([words]) => words)
}
