import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import type { CouponDocument, Mark, Pass, Place, RunAgain, SetUpChange, Ticket } from '~~/core/coupon'
import { addPass, layOutAgain, newCoupon, passOf, placeOnRow, removePass, thicknessOf } from '~~/core/coupon'
import { gradeCoupon } from '~~/core/grading'
import { questionFor, diagnose, type CauseId } from '~~/core/diagnosis'
import { checkTicket, padRungs, rungSettings } from '~~/core/setup'
import type { HouseRules } from '~~/core/house'
import { inches } from '~~/core/units'
import type { FloorStudent } from '~~/contract/people'
import type { CouponSave, SavedCoupon } from '~~/contract/coupon'
import type { LaneView } from '~/drawing/drawnLanes'
import { useCauses } from './causes'
import { useHouseRules } from './houseRules'
import type { Intent, Sent } from '~/sync/intents'
import { useCoupons } from './coupons'
import { useParkedCoupons, type CouponDraft, type OpenCoupon } from './parkedCoupons'

const DRAFT = 'fusilis.draft.'
const draftKey = (accountId: string) => `${DRAFT}${accountId}`
/** A blind reading keeps a draft of its own, beside the coupon that is on the bench. */
const blindKey = ({ id, stage, student }: Blind) => `fusilis.blind.${student.id}.${id}.${stage}`

/** A coupon that is read blind. */
interface Blind {
  readonly id: string
  readonly stage: string
  readonly student: OpenCoupon['student']
}

/** Whose coupon is laid out: a student, and how the last one was run. */
type Welder = Pick<FloorStudent, 'id' | 'hand' | 'booth'> & { readonly last: RunAgain | null }

const FIRST_PLATE = { kind: 'pad', lengthMm: inches(6), widthMm: inches(4), thicknessMm: inches(3 / 8) } as const
const FIRST_BEADS = 6

/** A new student's first slip: the ladder's first pad, by its card. */
function firstTicket(student: Welder, rules: HouseRules): Ticket {
  const rung = padRungs(rules)[0]!
  return {
    ...rungSettings(rung, student.hand, FIRST_PLATE.thicknessMm, rules),
    rods: 'new',
    hand: student.hand,
    booth: student.booth,
  }
}

/** The last slip once more. How long its rods had been out was that day's. */
function ticketAgain({ hoursOut: _, ...ticket }: Ticket, booth: number | null): Ticket {
  return { ...ticket, booth: booth ?? ticket.booth }
}

/** The coupon on the bench: the document, where the cursor stands, what is selected, and every step back. */
export const useBench = defineStore('bench', () => {
  const houseRules = useHouseRules()
  const coupons = useCoupons()
  const causes = useCauses()
  const parked = useParkedCoupons()

  const open = shallowRef<OpenCoupon | null>(null)
  const document = shallowRef<CouponDocument | null>(null)
  const cursor = ref<Place>({ beadId: '', atMm: 0 })
  const selectedId = ref<string | null>(null)
  const past = shallowRef<readonly CouponDocument[]>([])
  const future = shallowRef<readonly CouponDocument[]>([])
  /** True once something was marked that is not saved. */
  const touched = ref(false)
  /** A joint is drawn a pass at a time, or all its passes in rows. */
  const view = ref<LaneView>('one pass')
  const keptAt = ref<'here' | 'nowhere'>('here')
  /** Where the browser keeps what is on the bench. */
  let draft = ''

  const rules = computed(() => houseRules.rulesOf(document.value?.rulesVersion ?? houseRules.current.version))
  const grade = computed(() => (document.value ? gradeCoupon(document.value, rules.value) : null))
  const reading = computed(() =>
    document.value ? diagnose(document.value, rules.value, causes.knownOf(document.value.studentId)) : null,
  )
  const question = computed(() =>
    document.value && reading.value
      ? questionFor(document.value, rules.value, reading.value, causes.knownOf(document.value.studentId))
      : null,
  )
  const remarks = computed(() =>
    document.value ? checkTicket(document.value.ticket, thicknessOf(document.value.piece), rules.value) : [],
  )
  const selected = computed(() => document.value?.marks.find(mark => mark.id === selectedId.value) ?? null)
  const cursorBead = computed(() => document.value?.beads.find(bead => bead.id === cursor.value.beadId) ?? null)
  const cursorFace = computed(() => cursorBead.value?.face)
  /** The pass the cursor is on; null on a plate. */
  const pass = computed(() => (document.value && cursorBead.value ? passOf(document.value, cursorBead.value) : null))
  const isRegrade = computed(() => (open.value?.baseVersion ?? 0) > 0)

  /** Keeps the coupon in the browser, so that a reload or a dead server loses nothing. */
  function keepDraft(): void {
    if (!open.value || !document.value) return
    try {
      localStorage.setItem(
        draft,
        JSON.stringify({ ...open.value, touched: touched.value, document: document.value } satisfies CouponDraft),
      )
      keptAt.value = 'here'
    } catch {
      keptAt.value = 'nowhere'
    }
  }

  function dropDraft(): void {
    localStorage.removeItem(draft)
  }

  /** Puts a coupon on the bench. One that was begun there is parked, not lost, and nobody is asked. */
  function lay(opened: OpenCoupon, doc: CouponDocument): void {
    if (open.value && draft.startsWith(DRAFT)) park()
    open.value = opened
    document.value = doc
    touched.value = false
    past.value = []
    future.value = []
    selectedId.value = null
    // A test is read by its cap; a coupon from the first bead on.
    const bead = opened.testId ? doc.beads.at(-1)! : doc.beads.find(lane => lane.face !== 'root')!
    cursor.value = { beadId: bead.id, atMm: (bead.fromMm + bead.toMm) / 2 }
  }

  /** Takes up the coupon that was on the bench before a reload, and those beside it. True when there was one. */
  function resume(account: string): boolean {
    parked.open(account)
    // What lies here already is the draft itself: the page was only left for another room.
    if (open.value && draft === draftKey(account)) return true
    draft = draftKey(account)
    return takeUp()
  }

  /** Puts the coupon aside where it is, when anything was marked on it. */
  function park(): void {
    if (open.value && document.value && touched.value)
      parked.park({ ...open.value, touched: true, document: document.value }, cursor.value, {
        past: past.value,
        future: future.value,
      })
    clear()
  }

  /** Takes a parked coupon up again, where it was left; whatever was begun meanwhile is parked in its place. */
  function takeUpParked(id: string): void {
    const found = parked.take(id)
    if (!found) return
    const { document: doc, touched: marked, cursor: place, past: before, future: after, parkedAt: _, ...opened } = found
    lay(opened, doc)
    touched.value = marked
    cursor.value = place
    past.value = before
    future.value = after
    keepDraft()
  }

  /** Takes the one up that has waited longest; the key goes round. */
  function takeUpNext(): void {
    const [oldest] = parked.all
    if (oldest) takeUpParked(oldest.id)
  }

  /** Takes up the draft that the browser keeps. True when there was one. */
  function takeUp(): boolean {
    const kept = localStorage.getItem(draft)
    if (!kept) return false
    try {
      const { document: doc, touched: marked, ...opened } = JSON.parse(kept) as CouponDraft
      lay(opened, doc)
      touched.value = marked
      return true
    } catch {
      dropDraft()
      return false
    }
  }

  /** A new coupon of a student, laid out as the last one was run. */
  function laidOutFor(student: Welder, classDay: string): CouponDocument {
    const ticket = student.last
      ? ticketAgain(student.last.ticket, student.booth)
      : firstTicket(student, houseRules.current.rules)
    const beadCount = student.last?.beadCount ?? FIRST_BEADS
    const wanted = {
      studentId: student.id,
      classDay,
      rulesVersion: houseRules.current.version,
      ticket,
      piece: student.last?.piece ?? FIRST_PLATE,
      beadCount,
      ...(student.last?.passes ? { passes: student.last.passes } : {}),
    }
    return newCoupon(wanted, houseRules.current.rules)
  }

  /** Opens a new coupon for a student; one that the student has read already is the same coupon, as it lies. */
  function openNew(student: FloorStudent, classDay: string): void {
    const begun = parked.findOf({ studentId: student.id })
    if (begun) return takeUpParked(begun.id)
    if (isBegunFor(student.id)) return
    void causes.loadStudent(student.id).catch(() => {})
    const { selfRead } = student
    lay(
      {
        id: selfRead?.couponId ?? uuid(),
        baseVersion: 0,
        student: { id: student.id, name: student.name },
        presetDegrees: student.last?.nextPresetDegrees ?? null,
      },
      selfRead?.document ?? laidOutFor(student, classDay),
    )
    keepDraft()
  }

  /** Whether a new coupon of this student lies on the bench already, with marks on it. */
  const isBegunFor = (studentId: string) =>
    touched.value && open.value?.baseVersion === 0 && !open.value.testId && open.value.student.id === studentId

  /** Opens a coupon to be read blind, where it was left before a reload. */
  function openBlind(blind: Blind, document: CouponDocument): void {
    putAway()
    draft = blindKey(blind)
    if (!takeUp())
      lay({ id: blind.id, baseVersion: 0, student: { id: blind.student.id, name: blind.student.name } }, document)
  }

  /** Opens a saved coupon to read or grade it again. */
  function openSaved(coupon: SavedCoupon, name: string, testId?: string): void {
    if (parked.findOf({ id: coupon.id })) return takeUpParked(coupon.id)
    void causes.loadStudent(coupon.document.studentId).catch(() => {})
    lay(
      {
        id: coupon.id,
        baseVersion: coupon.version,
        student: { id: coupon.document.studentId, name },
        ...(testId ? { testId } : {}),
      },
      coupon.document,
    )
  }

  /** Opens the coupon of a test, as it was welded. */
  function openOfTest(id: string, testId: string, name: string, document: CouponDocument): void {
    lay({ id, baseVersion: 0, student: { id: document.studentId, name }, testId }, document)
    keepDraft()
  }

  /**
   * Opens a coupon that waited in this browser and was then refused: it can be put right, or held against the
   * version that was in its way.
   */
  function openKept({ id, body, student }: Intent<CouponSave>): void {
    lay({ id, baseVersion: body.baseVersion, student: { id: body.document.studentId, name: student } }, body.document)
    touched.value = true
    keepDraft()
  }

  /** Puts an edited document in place of the one before; the one before can be had back. */
  function edit(next: CouponDocument, select?: string | null): void {
    if (!document.value || next === document.value) return
    past.value = [...past.value, document.value]
    future.value = []
    document.value = next
    touched.value = true
    if (select !== undefined) selectedId.value = select
    keepDraft()
  }

  function step(from: typeof past, to: typeof past): void {
    const doc = from.value.at(-1)
    if (!doc || !document.value) return
    to.value = [...to.value, document.value]
    from.value = from.value.slice(0, -1)
    document.value = doc
    if (!doc.beads.some(bead => bead.id === cursor.value.beadId))
      cursor.value = { ...cursor.value, beadId: doc.beads[0]!.id }
    keepDraft()
  }
  const undo = () => step(past, future)
  const redo = () => step(future, past)

  function moveCursor(place: Place): void {
    cursor.value = place
  }

  /** Takes marks one after the other, each time it is asked. */
  function showInTurn(markIds: readonly string[]): void {
    if (markIds.length === 0) return
    const next = markIds[(markIds.indexOf(selectedId.value ?? '') + 1) % markIds.length]
    select(document.value?.marks.find(mark => mark.id === next) ?? null)
  }

  /** Goes to a pass, or to the root side, as far along as the cursor stands. */
  function goToRow(row: string): void {
    if (!document.value) return
    cursor.value = placeOnRow(document.value, row, cursor.value.atMm)
    selectedId.value = null
  }

  function select(mark: Mark | null): void {
    selectedId.value = mark?.id ?? null
    if (mark) cursor.value = { beadId: mark.beadId, atMm: mark.atMm }
  }

  /**
   * Changes ticket, piece, bead count or passes, and lays the coupon out again. @throws RangeError when the beads
   * do not fit
   */
  function changeSetUp(change: SetUpChange): void {
    if (!document.value) return
    const next = layOutAgain(document.value, change, rules.value)
    edit(next)
    const bead = next.beads.find(lane => lane.id === cursor.value.beadId) ?? next.beads.at(-1)!
    cursor.value = { beadId: bead.id, atMm: Math.min(bead.toMm, Math.max(bead.fromMm, cursor.value.atMm)) }
  }

  /**
   * A bead more or less; in a joint a pass, at the one the cursor is on. @throws RangeError when it does not fit,
   * or it is the last
   */
  function addBead(step: 1 | -1): void {
    if (!document.value) return
    const { passes, beads } = document.value
    if (!passes) changeSetUp({ beadCount: Math.max(1, beads.length + step) })
    else if (pass.value)
      changeSetUp({ passes: step > 0 ? addPass(passes, pass.value.id) : removePass(passes, pass.value.id) })
  }

  /** Keeps what the student answered; the same answer again takes it back. */
  function answer(sign: string, said: 'yes' | 'no'): void {
    if (!document.value) return
    const { answers = {}, ...rest } = document.value
    const { [sign]: before, ...others } = answers
    const next = before === said ? others : { ...others, [sign]: said }
    edit(Object.keys(next).length > 0 ? { ...rest, answers: next } : rest)
  }

  /** Keeps the cause as the instructor sees it; null takes it off again. */
  function sayCause(cause: CauseId | null): void {
    if (!document.value) return
    const { trueCause: _, ...rest } = document.value
    edit(cause ? { ...rest, trueCause: cause } : rest)
  }

  /** Puts a pass as it was run in place of the one with its id. */
  function setPass(changed: Pass): void {
    if (document.value?.passes)
      changeSetUp({ passes: document.value.passes.map(one => (one.id === changed.id ? changed : one)) })
  }

  /** Keeps how the joint was put together; null takes it off again. */
  function keepFitUp(fitUp: CouponDocument['fitUp'] | null): void {
    if (!document.value) return
    const { fitUp: _, ...rest } = document.value
    edit(fitUp ? { ...rest, fitUp } : rest)
  }

  function turnView(): void {
    view.value = view.value === 'one pass' ? 'all passes' : 'one pass'
  }

  /** Keeps a bead's arc time by the stopwatch; null takes it off again. */
  function timeBead(beadId: string, seconds: number | null): void {
    if (!document.value) return
    edit({
      ...document.value,
      beads: document.value.beads.map(bead => {
        if (bead.id !== beadId) return bead
        const { arcSeconds: _, ...untimed } = bead
        return seconds === null ? untimed : { ...untimed, arcSeconds: Math.round(seconds * 10) / 10 }
      }),
    })
  }

  /** Sends the coupon. Saved or kept here, the bench is clear; in a conflict it stays as it is. */
  async function save(why: string): Promise<Sent<SavedCoupon>> {
    if (!open.value || !document.value) throw new Error('There is no coupon on the bench')
    const advised = reading.value ? { advised: reading.value.nextRun } : {}
    const result = await coupons.save(
      open.value.id,
      { baseVersion: open.value.baseVersion, why, document: { ...document.value, ...advised } },
      open.value.student.name,
    )
    if (result.is !== 'conflict') clear()
    return result
  }

  /**
   * Ends a conflict. Both versions stay in the coupon's history; the chosen one stands. Answers what came of it:
   * somebody may have saved it once more meanwhile.
   */
  async function settle(theirs: SavedCoupon, choice: 'mine' | 'theirs'): Promise<Sent<SavedCoupon>> {
    if (!open.value) throw new Error('There is no coupon on the bench')
    const { name } = open.value.student
    open.value = { ...open.value, baseVersion: theirs.version }
    const kept = await save(
      choice === 'mine' ? `Kept over the version of ${theirs.savedBy}` : 'Kept beside the version that stands',
    )
    if (choice === 'mine' || kept.is !== 'saved') return kept
    return coupons.save(
      theirs.id,
      { baseVersion: kept.answer.version, why: `The version of ${theirs.savedBy} stands`, document: theirs.document },
      name,
    )
  }

  function clear(): void {
    dropDraft()
    putAway()
  }

  /** Takes the coupon off the bench; its draft stays in the browser. */
  function putAway(): void {
    open.value = null
    document.value = null
    touched.value = false
    selectedId.value = null
    past.value = []
    future.value = []
  }

  return {
    open,
    document,
    cursor,
    cursorFace,
    pass,
    view,
    selectedId,
    selected,
    past,
    future,
    touched,
    keptAt,
    rules,
    grade,
    reading,
    question,
    remarks,
    isRegrade,
    resume,
    laidOutFor,
    openNew,
    openSaved,
    openOfTest,
    openKept,
    openBlind,
    park,
    takeUpParked,
    takeUpNext,
    putAway,
    edit,
    undo,
    redo,
    moveCursor,
    goToRow,
    showInTurn,
    select,
    changeSetUp,
    addBead,
    setPass,
    keepFitUp,
    answer,
    sayCause,
    turnView,
    timeBead,
    save,
    settle,
    clear,
  }
})
