import {
  cardCurrent,
  expectedPasses,
  fitUpWanted,
  isGauge,
  isTry,
  newCoupon,
  newFlaw,
  newReading,
  showsRoot,
  usualPiece,
  type Bead,
  type CouponDocument,
  type Mark,
  type Piece,
  type Ticket,
} from '../coupon'
import { EXAMPLE_STUDENT, aFitUp, aTicket } from '../coupon/example'
import type { HouseRules } from '../house'
import type { FitUp } from '../setup'
import type { Random } from '../statistics'
import { inches } from '../units'
import { inJoint, MARKED, onRoot, runOf, tried } from './flawLaws'
import { heatOf, setCurrent } from './padRun'
import type { Technique } from './technique'

/** A joint that is run: its piece, and what its ticket says that is not the example's. */
export interface JointToRun {
  readonly piece: Piece
  readonly ticket: Partial<Ticket>
}

/** A T of three beads run horizontally, an open root on plate upward, and one on fixed pipe. */
export const JOINTS_TO_RUN = {
  T: {
    piece: { kind: 'T', lengthMm: inches(6), thicknessMm: inches(3 / 8), gapMm: 0, legMm: inches(3 / 8), sides: 1 },
    ticket: { position: '2F', travel: 'left to right', rods: 'stubs' },
  },
  openRoot: { piece: usualPiece('plate groove', true), ticket: { position: '3G', travel: 'up', currentA: 110 } },
  pipe: {
    piece: usualPiece('pipe butt'),
    ticket: { position: '5G', travel: 'up', diameterMm: inches(3 / 32), currentA: 80 },
  },
} as const satisfies Record<string, JointToRun>

/**
 * A joint run with a technique and read by an instructor: one pass of it may be set too hot or too cold, the others
 * are right; roots are seen from behind; gaps and legs are gauged now and then.
 * @example weldJointWith({ 'gap tight': 1 }, JOINTS_TO_RUN.openRoot, rules, random)
 */
export function weldJointWith(
  technique: Technique,
  { piece, ticket }: JointToRun,
  rules: HouseRules,
  random: Random,
): CouponDocument {
  const set = aTicket({ ...ticket })
  const planned = expectedPasses(piece, set, rules)
  const hotPass = random.pick(planned).id
  const heatIn = (passId: string | undefined) => (passId === hotPass ? heatOf(technique) : 0)
  const passes = planned.map(pass => ({
    ...pass,
    currentA: setCurrent(cardCurrent({ piece, ticket: set }, pass, rules), heatIn(pass.id), random),
  }))
  const expected = newCoupon(
    { studentId: EXAMPLE_STUDENT, classDay: '2026-10-05', rulesVersion: 1, piece, ticket: set, passes, beadCount: 1 },
    rules,
  )
  const passIn = new Map(expected.beads.map(bead => [bead.id, bead.passId]))
  const runIn = (passId: string | undefined) => runOf(technique, heatIn(passId))
  const rootPass = passes.find(pass => pass.role === 'root')?.id
  let serial = 0
  const marks: Mark[] = expected.marks.map(mark =>
    isTry(mark) ? tried(mark, runIn(passIn.get(mark.beadId)), random) : mark,
  )
  for (const bead of expected.beads) {
    const onItsRoot = bead.face === 'root'
    const chances = onItsRoot ? onRoot(runIn(rootPass)) : inJoint(runIn(bead.passId))
    for (const { fromMm, toMm } of stretchesOf(bead))
      for (const [flaw, chance, side] of chances) {
        if (!random.chance(inStretch(chance) * MARKED)) continue
        const atMm = fromMm + random.uniform() * (toMm - fromMm)
        const fresh = newFlaw(expected, `m${++serial}`, flaw, { beadId: bead.id, atMm })
        marks.push({ ...fresh, side: side ?? fresh.side, severity: random.chance(0.6) ? 2 : 3 })
      }
  }
  marks.push(...legsOf(expected, technique, random))
  const fitUp = showsRoot(piece) && random.chance(0.6) ? { fitUp: gauged(piece, technique, random) } : {}
  return { ...expected, ...fitUp, marks }
}

/** A joint is looked at two inches at a time, mm; six inches of it show a flaw as often as a bead of a pad. */
const STRETCH_MM = inches(2)
export const inStretch = (chance: number) => 1 - (1 - chance) ** (1 / 3)

export function stretchesOf({ fromMm, toMm }: Bead): { readonly fromMm: number; readonly toMm: number }[] {
  const count = Math.max(1, Math.round((toMm - fromMm) / STRETCH_MM))
  const at = (n: number) => fromMm + ((toMm - fromMm) * n) / count
  return Array.from({ length: count }, (_, n) => ({ fromMm: at(n), toMm: at(n + 1) }))
}

/** Legs of a fillet, gauged on its last bead: a rod off the bisector lays more on one plate. */
function legsOf(expected: CouponDocument, technique: Technique, random: Random): Mark[] {
  const { piece, beads } = expected
  if (!('legMm' in piece) || !piece.legMm || !random.chance(0.5) || expected.marks.some(isGauge)) return []
  const wantedMm = piece.legMm
  const shares = legShares(technique)
  const last = beads.at(-1)!
  const place = { beadId: last.id, atMm: (last.fromMm + last.toMm) / 2 }
  const gauge = (share: number) => Math.round(wantedMm * share * (1 + LEG_SPREAD * random.normal()) * 10) / 10
  return [
    newReading('leg-upper', 'upper leg', place, gauge(shares.upper)),
    newReading('leg-lower', 'lower leg', place, gauge(shares.lower)),
  ]
}

/** Legs over what is wanted: a rod off the bisector lays more on the lower plate. */
export function legShares(technique: Technique): { readonly upper: number; readonly lower: number } {
  const down = 0.22 * (technique['work angle'] ?? 0) + 0.2 * (technique['off the joint'] ?? 0)
  return { upper: 1.12 - down, lower: 1.12 + down }
}
/** As a share, one standard deviation. */
export const LEG_SPREAD = 0.05

/** The gap that was fitted up, mm, before the gauge and the tacks put it off by `GAP_SPREAD_MM`. */
export function gapMeantMm(piece: Piece, technique: Technique): number {
  const off = (technique['gap wide'] ?? 0) - (technique['gap tight'] ?? 0)
  return fitUpWanted(piece).gapMm + inches(1 / 32) * off
}
export const GAP_SPREAD_MM = 0.2

/** The gap as the gauge found it. */
function gauged(piece: Piece, technique: Technique, random: Random): FitUp {
  const wanted = fitUpWanted(piece)
  const gapMm = Math.max(0, gapMeantMm(piece, technique) + GAP_SPREAD_MM * random.normal())
  return aFitUp(gapMm, { landMm: wanted.landMm })
}
