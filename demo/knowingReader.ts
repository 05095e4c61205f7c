import {
  beadNumber,
  cardCurrent,
  isFlaw,
  isGauge,
  isTry,
  newFlaw,
  type Bead,
  type CouponDocument,
  type FlawMark,
  type TryKind,
} from '../core/coupon'
import { CAUSES } from '../core/diagnosis'
import { DEFAULT_HOUSE_RULES as rules } from '../core/house'
import { currentWindow } from '../core/setup'
import {
  currentMeant,
  faultChances,
  gapMeantMm,
  GAP_SPREAD_MM,
  heatOf,
  inJoint,
  inStretch,
  legShares,
  LEG_SPREAD,
  MARKED,
  meanWidthMm,
  onBead,
  onRoot,
  runOf,
  stretchesOf,
  WIDTH_SPREAD,
  type CurrentRange,
  type FlawChance,
  type Run,
  type Technique,
} from '../core/simulate'
import { mean } from '../core/statistics'
import { runAs } from '../core/trade'

/**
 * A reader that knows the law by which coupons are run, and how often each technique is met: it weighs techniques drawn
 * as the coupons' own were by the likelihood of all that is marked and gauged. No reader of the marks can do better but
 * by luck, so it says how much there is to be read. Source: Bayes' rule by importance sampling from the prior.
 * @param techniques drawn by the law; some thousands, or it errs by chance
 * @param example a coupon of the work that is read: which flaws it may show, and on which side
 * @returns a reader that answers a chance for each of `CAUSES`, in their order
 */
export function knowingReader(
  techniques: readonly Technique[],
  example: CouponDocument,
): (document: CouponDocument) => number[] {
  const hands = techniques.map(technique => handOf(technique, example))
  return document => {
    const seen = seenOf(document)
    const logs = hands.map(hand => logLikelihood(document, seen, hand))
    const most = Math.max(...logs)
    const odds = CAUSES.map(() => 0)
    let total = 0
    for (const [n, technique] of techniques.entries()) {
      const weight = Math.exp(logs[n]! - most)
      total += weight
      for (const [index, { id }] of CAUSES.entries()) if (id in technique) odds[index]! += weight
    }
    return odds.map(sum => sum / total)
  }
}

/** Logarithms of what one place of a lane may show: nothing at all, and how much likelier each flaw is than none. */
interface LaneLaw {
  readonly nothing: number
  readonly shown: ReadonlyMap<string, number>
}

/** One run of a hand, set to a heat. */
interface RunLaw {
  readonly run: Run
  /** By the number of the bead; a plate that is not cooled warms from bead to bead. */
  readonly faces: readonly LaneLaw[]
  readonly root: LaneLaw
  readonly tries: Readonly<Record<TryKind, ReadonlyMap<string, number>>>
}

/** A technique, as its runs come out: set as it means to, and as a pass of a joint that is set right. */
interface Hand {
  readonly technique: Technique
  readonly heat: number
  readonly off: RunLaw
  readonly right: RunLaw
}

const isPad = ({ passes }: CouponDocument) => !passes
const keyOf = ({ flaw, side }: Pick<FlawMark, 'flaw' | 'side'>) => `${flaw} ${side}`
const SOUND = 'sound'
const KINDS = ['start', 'restart', 'tie-in', 'end'] as const satisfies readonly TryKind[]

function handOf(technique: Technique, example: CouponDocument): Hand {
  const heat = heatOf(technique)
  const off = runLaw(technique, heat, example)
  return { technique, heat, off, right: heat === 0 || isPad(example) ? off : runLaw(technique, 0, example) }
}

function runLaw(technique: Technique, heat: number, example: CouponDocument): RunLaw {
  const run = runOf(technique, heat)
  const warmed = (number: number) => (technique['plate hot'] ?? 0) * Math.max(0, (number - 3) / 2)
  return {
    run,
    faces: isPad(example)
      ? example.beads.map((_, n) => laneLaw(onBead(runOf(technique, heat, warmed(n + 1))), chance => chance, example))
      : [laneLaw(inJoint(run), inStretch, example)],
    root: laneLaw(onRoot(run), inStretch, example),
    tries: Object.fromEntries(KINDS.map(kind => [kind, tryLaw(kind, run)])) as unknown as RunLaw['tries'],
  }
}

/** Two ways to the same mark are one. */
function laneLaw(rows: readonly FlawChance[], inPlace: (chance: number) => number, example: CouponDocument): LaneLaw {
  const bead = example.beads[0]!
  const chances = new Map<string, number>()
  for (const [flaw, chance, side] of rows) {
    const usual = () => newFlaw(example, '', flaw, { beadId: bead.id, atMm: bead.fromMm }).side
    const key = keyOf({ flaw, side: side ?? usual() })
    chances.set(key, 1 - (1 - (chances.get(key) ?? 0)) * (1 - inPlace(chance) * MARKED))
  }
  return {
    nothing: [...chances.values()].reduce((sum, chance) => sum + Math.log1p(-chance), 0),
    shown: new Map([...chances].map(([key, chance]) => [key, Math.log(chance) - Math.log1p(-chance)])),
  }
}

function tryLaw(kind: TryKind, run: Run): ReadonlyMap<string, number> {
  const logs = new Map<string, number>()
  let before = 0
  for (const [fault, chance] of faultChances(kind, run)) {
    logs.set(fault, before + Math.log(chance))
    before += Math.log1p(-chance)
  }
  return logs.set(SOUND, before)
}

/** A lane with what was marked on it. */
interface SeenLane {
  readonly bead: Bead
  /** From 0 on a pad; of a joint always 0. */
  readonly place: number
  /** How many places of it were looked at by themselves. */
  readonly places: number
  readonly flaws: readonly string[]
  readonly tries: readonly (readonly [TryKind, string])[]
  readonly widthMm: number | null
}

function seenOn(document: CouponDocument, bead: Bead): SeenLane {
  const own = document.marks.filter(mark => mark.beadId === bead.id)
  return {
    bead,
    place: isPad(document) ? beadNumber(document, bead.id) - 1 : 0,
    places: isPad(document) ? 1 : stretchesOf(bead).length,
    flaws: own.filter(isFlaw).map(keyOf),
    tries: own.filter(isTry).map(({ kind, degree, fault }) => [kind, degree === 'sound' ? SOUND : fault!] as const),
    widthMm: own.filter(isGauge).find(mark => mark.of === 'width')?.valueMm ?? null,
  }
}

/** What was run at one setting: a pad, or a pass of a joint. */
interface SeenRun {
  readonly currentA: number
  readonly window: CurrentRange
  readonly lanes: readonly SeenLane[]
}

function seenOf(document: CouponDocument): readonly SeenRun[] {
  const { ticket, passes, beads } = document
  const lanes = beads.map(bead => seenOn(document, bead))
  if (!passes) {
    const window = currentWindow({ ...ticket, position: runAs(ticket.position) }, rules)
    return [{ currentA: ticket.currentA, window, lanes }]
  }
  const root = passes.find(pass => pass.role === 'root')?.id
  return passes.map(pass => ({
    currentA: pass.currentA,
    window: cardCurrent(document, pass, rules),
    lanes: lanes.filter(({ bead }) => (bead.face === 'root' ? root : bead.passId) === pass.id),
  }))
}

/** Of a normal, but for what is the same of all. */
const logNormal = (value: number, mean: number, sd: number) => -0.5 * ((value - mean) / sd) ** 2 - Math.log(sd)

/** One run was set as the technique has it, and of several it is not known which; the others are right. */
function logLikelihood(document: CouponDocument, seen: readonly SeenRun[], hand: Hand): number {
  const at = ({ currentA, window, lanes }: SeenRun, law: RunLaw, heat: number) => {
    const { meanA, sdA } = currentMeant(window, heat)
    return ofLanes(lanes, law) + logNormal(currentA, meanA, sdA)
  }
  const right = seen.map(run => at(run, hand.right, seen.length === 1 ? hand.heat : 0))
  const gains = seen.map((run, n) => at(run, hand.off, hand.heat) - right[n]!)
  const most = Math.max(...gains)
  return (
    right.reduce((sum, one) => sum + one, 0) +
    most +
    Math.log(mean(gains.map(gain => Math.exp(gain - most)))) +
    ofLegs(document, hand.technique) +
    ofGap(document, hand.technique)
  )
}

function ofLanes(lanes: readonly SeenLane[], { run, faces, root, tries }: RunLaw): number {
  let sum = 0
  for (const lane of lanes) {
    const law = lane.bead.face === 'root' ? root : faces[lane.place]!
    sum += lane.places * law.nothing
    for (const key of lane.flaws) sum += law.shown.get(key)!
    for (const [kind, fault] of lane.tries) sum += tries[kind].get(fault)!
    if (lane.widthMm === null) continue
    const meant = meanWidthMm(lane.bead, run)
    sum += logNormal(lane.widthMm, meant, WIDTH_SPREAD * meant)
  }
  return sum
}

function ofLegs({ piece, marks }: CouponDocument, technique: Technique): number {
  if (!('legMm' in piece) || !piece.legMm) return 0
  const { upper, lower } = legShares(technique)
  const legs = { 'upper leg': piece.legMm * upper, 'lower leg': piece.legMm * lower }
  return marks.filter(isGauge).reduce((sum, { of, valueMm }) => {
    const meant = of === 'upper leg' || of === 'lower leg' ? legs[of] : null
    return meant === null ? sum : sum + logNormal(valueMm, meant, LEG_SPREAD * meant)
  }, 0)
}

const ofGap = ({ piece, fitUp }: CouponDocument, technique: Technique): number =>
  fitUp?.bare ? logNormal(fitUp.bare.leftMm, gapMeantMm(piece, technique), GAP_SPREAD_MM) : 0
