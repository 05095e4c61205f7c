import { mean } from '../statistics'
import type { CouponDocument, FlawMark, GaugeKind, GaugeMark, Mark, TryKind, TryMark } from '../coupon'
import { beadNumber, isFlaw, isPlate, isGauge, isTry } from '../coupon'
import { laps, sizeLimit, straightness, unionLength } from '../grading'
import { wantedWidth, type HouseRules } from '../house'
import { inches, over, SAME_SHARE, under } from '../units'
import { isLevel } from './level'
import { PLACES, strengthOn } from './strength'
import { SIGNS, signOf, type LookedFor, type SignId } from './signTable'

/** A sign that was found, with the marks that show it. */
export interface Sign {
  readonly id: SignId
  readonly markIds: readonly string[]
  /** How much of the coupon shows it, 0 to 1: of its beads, or of its tries; 1 for what was answered. */
  readonly share: number
  /** Of a sign of starts, restarts or ends: how many were bad, of how many. */
  readonly tries?: { readonly bad: number; readonly of: number }
  /** Only said, when the student was asked or unasked; nothing on the coupon shows it. */
  readonly told?: true
}

/** What was looked at: signs that were found, and those looked for and not found. */
export interface SeenSigns {
  readonly signs: readonly Sign[]
  readonly absent: readonly SignId[]
}

/**
 * The signs on a coupon, each with the marks that show it, and the answers to what was asked.
 * A sign is read by its pattern: which toe, at starts or everywhere, on one bead or growing from bead to bead.
 * Source: common practice.
 */
export function signsOf(document: CouponDocument, rules: HouseRules): SeenSigns {
  const signs = merged([
    ...flawSigns(document),
    ...trySigns(document),
    ...gaugeSigns(document, rules),
    ...answered(document, 'yes'),
  ])
  const found = new Set(signs.map(sign => sign.id))
  const denied = new Set(answered(document, 'no').map(sign => sign.id))
  // Where nothing shows, what is told is read alone: that the coupon is sound says that the trouble is slight, not that
  // it is not there.
  const looked = signs.length > 0 && signs.every(sign => sign.told) ? NOTHING : lookedAt(document)
  return {
    signs,
    absent: SIGNS.filter(({ id, lookedFor }) => !found.has(id) && (denied.has(id) || looked.has(lookedFor))).map(
      sign => sign.id,
    ),
  }
}

const NOTHING: ReadonlySet<LookedFor> = new Set()

/** What was marked and gauged, or gauged and answered, is one sign. */
function merged(signs: readonly Sign[]): Sign[] {
  const byId = new Map<SignId, Sign>()
  for (const sign of signs) {
    const { id } = sign
    const before = byId.get(id)
    byId.set(
      id,
      before
        ? { ...before, markIds: [...before.markIds, ...sign.markIds], share: Math.max(before.share, sign.share) }
        : sign,
    )
  }
  return [...byId.values()]
}

const laid = (document: CouponDocument) => document.beads.filter(bead => bead.face !== 'root')

/**
 * A sign on some marks, as a share of the coupon's beads: each counts by how strongly it shows there. One slip on a
 * fillet of one bead is one slip, not the whole of it.
 */
function onBeads(document: CouponDocument, id: SignId, marks: readonly Mark[]): Sign[] {
  if (marks.length === 0) return []
  const beads = document.beads.filter(bead => marks.some(mark => mark.beadId === bead.id))
  const places = Math.max(PLACES, laid(document).length)
  const most = places / Math.max(1, laid(document).length)
  const strength = beads.reduce(
    (sum, bead) =>
      sum +
      strengthOn(
        bead,
        marks.filter(mark => mark.beadId === bead.id),
        most,
      ),
    0,
  )
  return [{ id, markIds: marks.map(mark => mark.id), share: Math.min(1, strength / places) }]
}

/** One short place on a root is no less than one bead of a six-bead pad. */
const ONE_PLACE = 1 / 6

/** A sign on the root side, as a share of its length: it is one lane, however many passes lie over it. */
function alongRoot(document: CouponDocument, id: SignId, marks: readonly FlawMark[]): Sign[] {
  const lane = document.beads.find(bead => bead.face === 'root')
  if (!lane || marks.length === 0) return []
  const covered = unionLength(marks.map(mark => ({ fromMm: mark.atMm, toMm: mark.toMm }))) / (lane.toMm - lane.fromMm)
  return [{ id, markIds: marks.map(mark => mark.id), share: Math.max(ONE_PLACE, covered) }]
}

const PLAIN: readonly (readonly [FlawMark['flaw'], SignId])[] = [
  ['slag', 'slag between'],
  ['melt-through', 'burn-through'],
  ['crooked', 'crooked'],
  ['irregular width', 'width uneven'],
  ['irregular surface', 'rough ripples'],
  ['excess weld metal', 'too high'],
  ['underfill', 'too low'],
  ['sagging', 'sag'],
  ['arc strike', 'stray strike'],
  ['lap', 'lap off'],
]
const ROOT: readonly (readonly [FlawMark['flaw'], SignId])[] = [
  ['incomplete penetration', 'root not through'],
  ['excess penetration', 'root heavy'],
  ['root concavity', 'root concave'],
]

function flawSigns(document: CouponDocument): Sign[] {
  const flaws = document.marks.filter(isFlaw)
  const of = (flaw: FlawMark['flaw']) => flaws.filter(mark => mark.flaw === flaw)
  const see = (id: SignId, marks: readonly Mark[]) => onBeads(document, id, marks)
  const [undercut, overlap, pores] = [of('undercut'), of('overlap'), of('porosity')]
  const [unfused, cracks] = [of('incomplete fusion'), of('crack')]
  const isCraterCrack = (mark: FlawMark) => mark.form === 'crater' || (!mark.form && isAtEnd(document, mark))
  // Where no toe is above the other, the one that is eaten more is called the upper, whichever way it is drawn.
  const turned = !isLevel(document) && leansToLower(undercut, overlap)
  const atStarts = pores.filter(mark => isNearTry(document, mark))
  const heats = [...undercut, ...overlap, ...of('sagging')]
  const joint = !isPlate(document.piece)
  return [
    ...bySide(undercut, { upper: 'undercut upper', lower: 'undercut lower', both: 'undercut both' }, turned, see),
    ...bySide(overlap, { upper: 'overlap upper', lower: 'overlap lower', both: 'overlap any' }, turned, see),
    ...see('crack in crater', cracks.filter(isCraterCrack)),
    ...see(
      'crack along',
      cracks.filter(mark => !isCraterCrack(mark)),
    ),
    ...see(atStarts.length === pores.length ? 'porosity at starts' : 'porosity everywhere', pores),
    ...see(
      'one wall',
      unfused.filter(mark => joint && (mark.side === 'upper' || mark.side === 'lower')),
    ),
    ...see(
      'no fusion',
      unfused.filter(mark => !joint || (mark.side !== 'upper' && mark.side !== 'lower')),
    ),
    ...see(
      'spatter',
      of('spatter').filter(mark => mark.severity > 1),
    ),
    ...PLAIN.flatMap(([flaw, id]) => see(id, of(flaw))),
    ...ROOT.flatMap(([flaw, id]) => alongRoot(document, id, of(flaw))),
    ...(grows(document, heats) ? see('growing', heats) : []),
  ]
}

const OTHER = { upper: 'lower', lower: 'upper' } as const

/** Whether the lower toe is eaten more than the upper, or the upper rolled over more than the lower. */
function leansToLower(undercut: readonly FlawMark[], overlap: readonly FlawMark[]): boolean {
  const sum = (flaws: readonly FlawMark[], side: 'upper' | 'lower') =>
    flaws
      .filter(flaw => flaw.side === side)
      .reduce((total, flaw) => total + flaw.severity * (1 + flaw.toMm - flaw.atMm), 0)
  return sum(undercut, 'lower') + sum(overlap, 'upper') > sum(undercut, 'upper') + sum(overlap, 'lower')
}

/** A flaw on one toe is not the same as on the other: which toe it sits on is half of what it says. */
function bySide(
  flaws: readonly FlawMark[],
  ids: Readonly<Record<'upper' | 'lower' | 'both', SignId>>,
  turned: boolean,
  see: (id: SignId, marks: readonly Mark[]) => Sign[],
): Sign[] {
  const on = (side: FlawMark['side']) => (side === 'upper' || side === 'lower' ? (turned ? OTHER[side] : side) : 'both')
  return (['upper', 'lower', 'both'] as const).flatMap(side =>
    see(
      ids[side],
      flaws.filter(flaw => on(flaw.side) === side),
    ),
  )
}

const FAULT_SIGNS: readonly (readonly [SignId, readonly TryKind[], readonly string[]])[] = [
  ['restart high', ['restart', 'tie-in'], ['high']],
  ['restart low', ['restart', 'tie-in'], ['low', 'gap']],
  ['restart off line', ['restart', 'tie-in'], ['off line']],
  ['restart dirty', ['restart', 'tie-in'], ['slag', 'pinholes']],
  ['start stuck', ['start'], ['stuck', 'cold']],
  ['start pinholes', ['start'], ['pinholes']],
  ['start poor', ['start'], ['lump', 'not burnt over']],
  ['crater', ['end'], ['crater']],
  ['ends low', ['end'], ['low', 'short of the edge', 'run off']],
]

/** Of fewer tries one bad one says no more than one of so many. Common practice. */
export const FEWEST_TRIES = 5

function trySigns(document: CouponDocument): Sign[] {
  const tries = document.marks.filter(isTry)
  return FAULT_SIGNS.flatMap(([id, kinds, faults]): Sign[] => {
    const tried = tries.filter((mark): mark is TryMark => kinds.includes(mark.kind))
    const bad = tried.filter(mark => mark.degree !== 'sound' && faults.includes(mark.fault ?? ''))
    return bad.length === 0
      ? []
      : [
          {
            id,
            markIds: bad.map(mark => mark.id),
            share: bad.length / Math.max(tried.length, FEWEST_TRIES),
            tries: { bad: bad.length, of: tried.length },
          },
        ]
  })
}

/** Legs that differ by more than this are uneven, mm. Common practice: 1/16 in. */
const EVEN_LEGS_MM = inches(1 / 16)

const LEGS = ['upper leg', 'lower leg'] as const
const legsIn = ({ marks }: CouponDocument, of: (typeof LEGS)[number]) => marks.filter(isGauge).filter(m => m.of === of)

/** Whether one leg of a fillet was gauged longer than the other. */
function legsUneven(document: CouponDocument): boolean {
  const [upper, lower] = LEGS.map(of => legsIn(document, of).map(mark => mark.valueMm)) as [number[], number[]]
  return upper.length > 0 && lower.length > 0 && over(Math.abs(mean(upper) - mean(lower)), EVEN_LEGS_MM)
}

function legSigns(document: CouponDocument): Sign[] {
  const both = LEGS.flatMap(of => legsIn(document, of))
  return legsUneven(document)
    ? [{ id: 'uneven legs', markIds: both.map(mark => mark.id), share: Math.min(1, (GAUGED * both.length) / 2) }]
    : []
}

const gaugeSigns = (document: CouponDocument, rules: HouseRules): Sign[] => [
  ...legSigns(document),
  ...widthSigns(document, rules),
  ...sizeSigns(document, rules),
  ...lineSigns(document, rules),
]

function widthSigns(document: CouponDocument, rules: HouseRules): Sign[] {
  if (!isPlate(document.piece)) return []
  const { lowMm, highMm } = wantedWidth(rules, document.ticket.diameterMm)
  const widths = document.marks.filter(isGauge).filter(mark => mark.of === 'width')
  return [
    ...onBeads(
      document,
      'wide',
      widths.filter(mark => over(mark.valueMm, highMm)),
    ),
    ...onBeads(
      document,
      'narrow',
      widths.filter(mark => under(mark.valueMm, lowMm)),
    ),
  ]
}

/** One place that was gauged, as a share of a piece: nobody gauges by a slip. Common practice. */
const GAUGED = 0.35

/** What a gauge finds too much or too little of, as the sign that a mark of it would be. */
const TOO_MUCH: Readonly<Partial<Record<GaugeKind, SignId>>> = {
  height: 'too high',
  convexity: 'too high',
  penetration: 'root heavy',
}
const TOO_LITTLE: Readonly<Partial<Record<GaugeKind, SignId>>> = {
  'height': 'too low',
  'throat': 'too low',
  'upper leg': 'too low',
  'lower leg': 'too low',
}

/** Readings outside their limits are signs, like what is marked by eye. */
function sizeSigns(document: CouponDocument, rules: HouseRules): Sign[] {
  const found = new Map<SignId, GaugeMark[]>()
  const uneven = legsUneven(document)
  for (const mark of document.marks.filter(isGauge)) {
    const limit =
      isPlate(document.piece) && mark.of === 'height'
        ? { lowMm: rules.heightMm.low, highMm: rules.heightMm.high }
        : sizeLimit(document, mark, rules)
    if (!limit) continue
    const tooMuch = limit.highMm !== null && over(mark.valueMm, limit.highMm) && TOO_MUCH[mark.of]
    // A leg that is short beside a long one lies off the bisector: nothing is thin.
    const besideALong = uneven && (mark.of === 'upper leg' || mark.of === 'lower leg')
    const tooLittle = !besideALong && limit.lowMm !== null && under(mark.valueMm, limit.lowMm) && TOO_LITTLE[mark.of]
    const sign = tooMuch || tooLittle
    if (sign) found.set(sign, [...(found.get(sign) ?? []), mark])
  }
  return [...found].flatMap(([id, marks]) =>
    id === 'root heavy'
      ? [{ id, markIds: marks.map(mark => mark.id), share: Math.min(1, GAUGED * marks.length) }]
      : onBeads(document, id, marks),
  )
}

/** Beads that are off the line, and laps that are off, as they were gauged. */
function lineSigns(document: CouponDocument, rules: HouseRules): Sign[] {
  const rowOf = (id: SignId, off: readonly { readonly markIds: readonly string[] }[]): Sign[] =>
    off.length === 0
      ? []
      : [{ id, markIds: off.flatMap(row => row.markIds), share: off.length / laid(document).length }]
  return [
    ...rowOf(
      'crooked',
      straightness(document, rules).filter(row => over(row.offMm, rules.straight.offMm)),
    ),
    ...rowOf(
      'lap off',
      laps(document).filter(
        row => under(row.share, rules.overlap.low, SAME_SHARE) || over(row.share, rules.overlap.high, SAME_SHARE),
      ),
    ),
  ]
}

const answered = ({ answers = {} }: CouponDocument, wanted: 'yes' | 'no'): Sign[] =>
  Object.entries(answers)
    .filter(([, answer]) => answer === wanted)
    .map(([id]) => ({ id: signOf(id).id, markIds: [], share: 1, told: true as const }))

/** What there was to look at on this coupon. */
function lookedAt(document: CouponDocument): ReadonlySet<LookedFor> {
  const looked = new Set<LookedFor>(['always'])
  const tried = (...kinds: TryKind[]) => document.marks.some(mark => isTry(mark) && kinds.includes(mark.kind))
  const read = (...of: string[]) => document.marks.some(mark => isGauge(mark) && of.includes(mark.of))
  const plate = isPlate(document.piece)
  if (tried('start')) looked.add('starts')
  if (tried('restart', 'tie-in')) looked.add('restarts')
  if (tried('end')) looked.add('ends')
  if (laid(document).length > 1) looked.add('laps')
  if (plate && read('width')) looked.add('widths')
  if (read('upper leg') && read('lower leg')) looked.add('legs')
  if (plate && document.beads.length >= 4) looked.add('rows')
  if (!plate) looked.add('joints')
  if (document.beads.some(bead => bead.face === 'root')) looked.add('root')
  return looked
}

/** A pore within half an inch of a start or restart belongs to it, mm. */
const AT_A_START = 12.7

function isNearTry(document: CouponDocument, flaw: FlawMark): boolean {
  return document.marks.some(
    mark => isTry(mark) && mark.kind !== 'end' && mark.beadId === flaw.beadId && liesAt(flaw, mark.atMm),
  )
}

/** A flaw that is longer goes on along the bead, and is no matter of one place of it, mm. Common practice. */
const LONGEST_AT_A_PLACE = inches(1.5)

/** Whether a flaw lies about a place, whichever way the bead was run. */
const liesAt = ({ atMm, toMm }: FlawMark, placeMm: number) =>
  toMm - atMm <= LONGEST_AT_A_PLACE && atMm <= placeMm + AT_A_START && toMm >= placeMm - AT_A_START

/** A crack that nobody gave a kind, within half an inch of where a bead ends, is a crater's. */
function isAtEnd(document: CouponDocument, flaw: FlawMark): boolean {
  return document.marks.some(
    mark =>
      isTry(mark) &&
      (mark.kind === 'end' || mark.kind === 'restart') &&
      mark.beadId === flaw.beadId &&
      liesAt(flaw, mark.atMm),
  )
}

/** Nothing on the first half of the beads, and three or more on the second: heat builds up. */
function grows(document: CouponDocument, flaws: readonly FlawMark[]): boolean {
  const half = document.beads.length / 2
  return (
    isPlate(document.piece) &&
    document.beads.length >= 4 &&
    flaws.length >= 3 &&
    flaws.every(flaw => beadNumber(document, flaw.beadId) > half)
  )
}
