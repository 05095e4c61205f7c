/**
 * An instructor's key: practice coupons as an instructor marked them, with the causes of which one must lead, and what
 * must, and must not, be told to the student. Every coupon is built and read by the core with the default house rules;
 * then the questions that the application itself asks are answered as the case has them (what is not said is a no), and
 * it is read again. A case passes by the reading after its questions.
 */
import * as coupon from '../../core/coupon'
import * as diagnosis from '../../core/diagnosis'
import { DEFAULT_HOUSE_RULES as rules } from '../../core/house'
import * as trade from '../../core/trade'
import * as units from '../../core/units'

// A key is written by hand, in words of its own: what it says is held against the core when a coupon is built of it.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Loose = any

/** The core's functions, as a key calls them. */
const loose = { ...coupon, ...trade, ...diagnosis } as Loose

// ---- What a case is -------------------------------------------------------------------------------------------------

/** Inches: 3, `1/8`, `1 1/2`; or `2.5 mm`. */
type Size = number | string
/** A bead by its number, `first`, `last`, `all`; a pass by `cap`, `fill 2`; `root side`; or a list of these. */
type On = number | string | (number | string)[]

/**
 * A place on a lane: `at` a point, `from` one `to` another, in inches from the left or lower end. On a pipe by the
 * clock, 0 at the top; from 11:30 over the top to 12:30 is [11.5, 12.5].
 */
interface Place {
  on: On
  at?: Size
  from?: Size
  to?: Size
  clock?: number | [number, number]
}
type Side = 'upper' | 'lower' | 'both'
type Degree = 'light' | 'plain' | 'bad'
type MarkOf =
  | (Place & { flaw: string; side?: Side; degree?: Degree; form?: string })
  | (Place & { gauge: string; is: Size })
  /** Tries that were not sound: all of a kind, those on stubs, every other, or those with these numbers from 1. */
  | { try: string; is: string; which?: 'all' | 'on stubs' | 'every other' | number[]; on?: On }
  /** Beads that were run on stubs. */
  | { rod: 'stub'; on: On }
  /** Expected tries that there were none of. */
  | { none: string }

interface Expected {
  /** Causes of which one must be among the first `within`; empty: nothing is to be changed; absent: Loose may lead. */
  lead?: string[]
  within?: 1 | 2 | 3
  /** What the told sentence must match, and must not; case does not matter. */
  tell?: string
  never?: string
  why: string
}

/** What is turned over in a variant, and what is expected of it where that is not the same. */
type Mirror = 'hand' | 'way' | 'toe' | 'pass'
type MirrorOf = Mirror | ({ is: Mirror; swap?: Record<string, string>; says?: Case['says'] } & Partial<Expected>)

export interface Case extends Expected {
  id: string
  group: string
  title: string
  piece: string | Record<string, Loose>
  ticket?: Record<string, Loose>
  passes?: Record<string, Record<string, Loose>>
  fitUp?: Record<string, Loose>
  marks: MarkOf[]
  /** The true answers, by question; and what the student said before anybody asked. */
  says?: Record<string, 'yes' | 'no'>
  unasked?: Record<string, 'yes' | 'no'>
  /** What was told after the coupon before, and whether it was done. */
  before?: { cause: string; done: 'yes' | 'no' }
  overrule?: { verdict: string; reason: string }
  cleanUp?: string
  /** Good instructors differ here. */
  disputed?: true
  mirror?: MirrorOf[]
  /** Set on a variant that is run the other way along. */
  flipped?: true
}

const MOST_QUESTIONS = 8

// ---- From a case to a coupon ----------------------------------------------------------------------------------------

function mm(size: Size): number {
  if (typeof size === 'number') return units.inches(size)
  if (size.endsWith('mm')) return Number.parseFloat(size)
  const inches = size.split(' ').reduce((sum, part) => {
    const [over, under = '1'] = part.split('/')
    return sum + Number(over) / Number(under)
  }, 0)
  if (!Number.isFinite(inches)) throw new Error(`"${size}" is no size`)
  return units.inches(inches)
}

const USUAL: Record<string, () => Loose> = {
  'open root': () => loose.usualPiece('plate groove', true),
  'backing': () => loose.usualPiece('plate groove', false),
  'pipe': () => loose.usualPiece('pipe butt'),
}

function pieceOf(piece: Case['piece']) {
  const { kind, length, width, thick, leg, gap, pipe } = typeof piece === 'string' ? ({ kind: piece } as Loose) : piece
  const usual = USUAL[kind]?.() ?? loose.usualPiece(kind)
  const sizes = { lengthMm: length, widthMm: width, thicknessMm: thick, legMm: leg, gapMm: gap }
  const given = Object.entries(sizes).filter(([, size]) => size !== undefined)
  return { ...usual, ...Object.fromEntries(given.map(([of, size]) => [of, mm(size)])), ...(pipe ? { pipe } : {}) }
}

/** `E7018 1/8` as a class and a diameter. */
function rodOf(rod: string) {
  const [classification, ...size] = rod.split(' ')
  return { classification, diameterMm: mm(size.join(' ')) }
}

function ticketOf({ rod = 'E7018 1/8', A = 125, position = '1G', ...more }: Record<string, Loose> = {}) {
  const travel = loose.positionOf(position).travel[0]
  const usual = { rods: 'new', polarity: 'DCEP', hand: 'right', travel, booth: null }
  return { rung: 'practice', ...usual, position, currentA: A, ...rodOf(rod), ...more }
}

/** `fill 2` is the second fill pass, `last` the last one laid, 3 the third; `all` are all. */
function passesMeant(doc: Loose, on: number | string): Loose[] {
  const { passes } = doc
  if (on === 'all') return passes
  if (typeof on === 'number') return passes.slice(on - 1, on)
  if (on === 'first' || on === 'last') return passes.slice(on === 'last' ? -1 : 0).slice(0, 1)
  const [role, nth = '1'] = on.split(' ')
  const ofRole = passes.filter((pass: Loose) => pass.role === role)
  return nth === 'last' ? ofRole.slice(-1) : ofRole.slice(Number(nth) - 1, Number(nth))
}

function lanes(doc: Loose, on: On): Loose[] {
  if (Array.isArray(on)) return on.flatMap(one => lanes(doc, one))
  const laid = doc.beads.filter((bead: Loose) => bead.face !== 'root')
  const found =
    on === 'root side'
      ? doc.beads.filter((bead: Loose) => bead.face === 'root')
      : doc.passes
        ? passesMeant(doc, on).flatMap(pass => laid.filter((bead: Loose) => bead.passId === pass.id))
        : on === 'all'
          ? laid
          : [on === 'first' ? laid[0] : on === 'last' ? laid.at(-1) : laid[Number(on) - 1]].filter(Boolean)
  if (found.length === 0) throw new Error(`there is no lane "${on}"`)
  return found
}

/** Where a mark lies, mm; `toMm` is null for a point, and for what has its usual length. */
interface Spot {
  bead: Loose
  fromMm: number
  toMm: number | null
}

function places(doc: Loose, { on, at, from, to, clock }: Place, flipped = false): Spot[] {
  const beads = lanes(doc, on)
  if (clock !== undefined) {
    const round = coupon.seamLength(doc.piece)
    const [first, last] = Array.isArray(clock) ? clock : [clock, clock]
    const spans: [number, number][] =
      last > 12
        ? [
            [first, 12],
            [0, last - 12],
          ]
        : [[first, last]]
    const along = (hours: number) => (hours / 12) * round
    return beads.flatMap(bead =>
      spans.flatMap(([a, b]): Spot[] => {
        const [fromMm, toMm] = [Math.max(bead.fromMm, along(a)), Math.min(bead.toMm, along(b))]
        // A point at 6 lies on the half that begins there.
        if (a === b) return fromMm === toMm && fromMm < bead.toMm ? [{ bead, fromMm, toMm: null }] : []
        return fromMm < toMm ? [{ bead, fromMm, toMm }] : []
      }),
    )
  }
  return beads.map(bead => {
    const along = (size: Size) => (flipped ? bead.fromMm + bead.toMm - mm(size) : mm(size))
    const ends = from !== undefined && to !== undefined ? [along(from), along(to)].sort((a, b) => a - b) : null
    const middle = at === undefined ? (bead.fromMm + bead.toMm) / 2 : along(at)
    return { bead, fromMm: ends?.[0] ?? middle, toMm: ends?.[1] ?? null }
  })
}

function withMark(doc: Loose, mark: MarkOf, flipped?: true): Loose {
  const id = `m${doc.marks.length}`
  if ('none' in mark) return { ...doc, marks: doc.marks.filter((one: Loose) => one.kind !== mark.none) }
  if ('rod' in mark) {
    const on = lanes(doc, mark.on).map(bead => bead.id)
    return { ...doc, marks: doc.marks.map((one: Loose) => (on.includes(one.beadId) ? { ...one, rod: mark.rod } : one)) }
  }
  if ('try' in mark) return withTries(doc, mark)
  const found = places(doc, mark, flipped)
  if (found.length === 0) throw new Error(`nothing lies at that place: ${JSON.stringify(mark)}`)
  return found.reduce((before, { bead, fromMm, toMm }, index) => {
    const place = { beadId: bead.id, atMm: toMm === null ? fromMm : (fromMm + toMm) / 2 }
    if ('gauge' in mark)
      return loose.putMark(before, loose.newReading(`${id}-${index}`, mark.gauge, place, mm(mark.is)))
    const usual = loose.newFlaw(before, `${id}-${index}`, mark.flaw, place)
    const sized = loose.setDegree(usual, { light: 1, plain: 2, bad: 3 }[mark.degree ?? 'plain'])
    return loose.putMark(before, {
      ...sized,
      ...(toMm === null || loose.discontinuityOf(mark.flaw).givenAs === 'bead' ? {} : { atMm: fromMm, toMm }),
      ...(mark.side ? { side: mark.side } : {}),
      ...(mark.form ? { form: mark.form } : {}),
    })
  }, doc)
}

function withTries(doc: Loose, { try: kind, is, which = 'all', on }: Extract<MarkOf, { try: string }>): Loose {
  if (!loose.FAULTS[kind]?.includes(is)) throw new Error(`"${is}" is no fault of a ${kind}`)
  const beads = on === undefined ? doc.beads : lanes(doc, on)
  const tried = doc.marks.filter(
    (one: Loose) => one.kind === kind && beads.some((bead: Loose) => bead.id === one.beadId),
  )
  const bad = tried.filter((one: Loose, index: number) =>
    which === 'all'
      ? true
      : which === 'on stubs'
        ? one.rod === 'stub'
        : which === 'every other'
          ? index % 2 === 0
          : which.includes(index + 1),
  )
  if (bad.length === 0) throw new Error(`there is no such ${kind}`)
  return bad.reduce((before: Loose, one: Loose) => loose.putMark(before, { ...one, degree: 'poor', fault: is }), doc)
}

/** Gaps as `[left, right]`; what is not given was not gauged. */
function fitUpOf(
  { gap, afterTack1, afterTack2, land, misaligned = 0, tacks = [], surface, clamp }: Loose,
  flipped?: true,
) {
  const ends = (pair: [Size, Size] | undefined) => {
    const [leftMm, rightMm] = (flipped ? [...(pair ?? [])].reverse() : (pair ?? [])).map(mm)
    return pair ? { leftMm, rightMm } : null
  }
  return {
    bare: ends(gap),
    afterFirstTack: ends(afterTack1),
    afterSecondTack: ends(afterTack2),
    misalignmentMm: mm(misaligned),
    presetDegrees: 3,
    leftDegrees: null,
    bevelDegrees: null,
    landMm: land === undefined ? null : mm(land),
    tacks: tacks.map(({ at, feathered = true }: Loose) => ({ atMm: mm(at), lengthMm: mm(0.5), feathered })),
    surface: surface ?? null,
    clamp: clamp ?? null,
  }
}

function withPasses(doc: Loose, wanted: NonNullable<Case['passes']>): Loose {
  const changed = new Map<string, Loose>()
  for (const [on, { A, rod, cleaned, felt, by, ...more }] of Object.entries(wanted)) {
    const log = Object.fromEntries(Object.entries({ cleaned, felt, by }).filter(([, said]) => said !== undefined))
    const change = {
      ...more,
      ...(A ? { currentA: A } : {}),
      ...(rod ? rodOf(rod) : {}),
      ...(Object.keys(log).length ? { log } : {}),
    }
    const found = passesMeant(doc, on)
    if (found.length === 0) throw new Error(`there is no pass "${on}"`)
    found.forEach(pass => changed.set(pass.id, change))
  }
  const passes = doc.passes.map((pass: Loose) => ({ ...pass, ...changed.get(pass.id) }))
  return loose.layOutAgain(doc, { passes }, rules)
}

function build(one: Case): Loose {
  const piece = pieceOf(one.piece)
  const beadCount = (typeof one.piece === 'object' && one.piece.beads) || 6
  const opened = loose.newCoupon(
    { studentId: 'student', classDay: '2026-10-05', rulesVersion: 1, piece, ticket: ticketOf(one.ticket), beadCount },
    rules,
  )
  const laid = one.passes ? withPasses(opened, one.passes) : opened
  const fitted = one.fitUp ? { ...laid, fitUp: fitUpOf(one.fitUp, one.flipped) } : laid
  const marked = one.marks.reduce((doc, mark) => withMark(doc, mark, one.flipped), fitted)
  return {
    ...marked,
    ...(one.unasked ? { answers: one.unasked } : {}),
    ...(one.before ? { toldBefore: { couponId: 'before', says: '', ...one.before } } : {}),
    ...(one.overrule ? { overrule: one.overrule } : {}),
    ...(one.cleanUp ? { cleanUp: one.cleanUp } : {}),
  }
}

// ---- Mirrors --------------------------------------------------------------------------------------------------------

const OTHER: Record<string, string> = {
  'upper': 'lower',
  'lower': 'upper',
  'upper leg': 'lower leg',
  'lower leg': 'upper leg',
  'right': 'left',
  'left': 'right',
  'left to right': 'right to left',
  'right to left': 'left to right',
}
const other = <T>(word: T): T => (OTHER[word as string] as T) ?? word

const otherToe = (mark: Loose) => ({
  ...mark,
  ...(mark.side ? { side: other(mark.side) } : {}),
  ...(mark.gauge ? { gauge: other(mark.gauge) } : {}),
})
const otherPass = (mark: Loose, swap: Record<string, string>) =>
  mark.on === undefined ? mark : { ...mark, on: [mark.on].flat().map((on: Loose) => swap[String(on)] ?? on) }

/** A case and its variants: what is expected of one stays as it is unless the mirror says otherwise. */
export function variants(one: Case): Case[] {
  const { mirror = [], ...plain } = one
  const turned = mirror.map((entry): Case => {
    const { is, swap = {}, ...expected } = typeof entry === 'string' ? { is: entry } : entry
    const ticket = ticketOf(one.ticket)
    const changed: Partial<Case> =
      is === 'hand'
        ? { ticket: { ...one.ticket, hand: other(ticket.hand) } }
        : is === 'way'
          ? { ticket: { ...one.ticket, travel: other(ticket.travel) }, flipped: true }
          : { marks: one.marks.map(mark => (is === 'toe' ? otherToe(mark) : otherPass(mark, swap))) }
    return { ...plain, ...changed, ...expected, id: `${one.id}~${is}` }
  })
  return [plain, ...turned]
}

// ---- Reading and judging --------------------------------------------------------------------------------------------

interface Reading {
  reading: Loose
  /** Why it fails; empty when it passes. */
  fails: string[]
}

function judged({ lead, within = 1, tell, never }: Case, reading: Loose): Reading {
  const fails: string[] = []
  const ids: string[] = reading.causes.map((row: Loose) => row.cause.id)
  if (lead && lead.length > 0 && !ids.slice(0, within).some(id => lead.includes(id)))
    fails.push(
      `${within > 1 ? `first ${within}: ` : ''}${ids.slice(0, within).join(', ') || 'nothing'} leads; wanted ${lead.join(' or ')}`,
    )
  if (lead?.length === 0 && reading.change)
    fails.push(`singles out "${reading.change.cause.id}" where nothing is to be changed`)
  if (tell && !new RegExp(tell, 'i').test(reading.nextRun)) fails.push(`does not tell /${tell}/`)
  const said = never && new RegExp(never, 'i').exec(reading.nextRun)
  if (said) fails.push(`must not be told: "${said[0]}"`)
  return { reading, fails }
}

export function readCase(one: Case) {
  const doc = build(one)
  const alone = judged(one, loose.diagnose(doc, rules))
  const asked: string[] = []
  let [answered, after] = [doc, alone]
  while (asked.length < MOST_QUESTIONS) {
    const question = loose.questionFor(answered, rules, after.reading)
    if (!question) break
    const answer = one.says?.[question.sign] ?? 'no'
    asked.push(`${question.sign}? ${answer}`)
    answered = { ...answered, answers: { ...answered.answers, [question.sign]: answer } }
    after = judged(one, loose.diagnose(answered, rules))
  }
  return { one, alone, asked, after }
}

/** Names that the project does not know are mistakes of the key. */
export function mustBeKnown(one: Case): void {
  const causes = diagnosis.CAUSES.map((cause: Loose) => cause.id)
  const signs = diagnosis.SIGNS.filter((sign: Loose) => sign.ask !== null).map((sign: Loose) => sign.id)
  for (const id of [...(one.lead ?? []), ...(one.before ? [one.before.cause] : [])])
    if (!causes.includes(id)) throw new Error(`there is no cause "${id}"`)
  for (const id of Object.keys({ ...one.says, ...one.unasked }))
    if (!signs.includes(id)) throw new Error(`there is no question "${id}"`)
  for (const pattern of [one.tell, one.never]) if (pattern) new RegExp(pattern)
}
