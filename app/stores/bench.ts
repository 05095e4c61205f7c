import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { nextCoupon, thicknessOf, type CouponDocument, type RungToRun } from '~~/core/coupon'
import { exampleRead } from '~~/core/coupon/example'
import { gradeCoupon } from '~~/core/grading'
import { questionFor, diagnose } from '~~/core/diagnosis'
import { checkTicket } from '~~/core/setup'
import type { FloorStudent } from '~~/contract/people'
import type { CouponSave, SavedCoupon } from '~~/contract/coupon'
import { makeCouponBench, middleOf } from '~/composables/couponBench'
import { useCouponDraft } from '~/composables/couponDraft'
import { useCauses } from './causes'
import { useFloor } from './floor'
import { useHouseRules } from './houseRules'
import { useGroupReading } from './groupReading'
import type { Intent, Sent } from '~/sync/intents'
import { sealedDrawer } from '~/sync/sealedDrawer'
import { useCoupons } from './coupons'
import { outboxSeal } from './outbox'
import { useRods, ofRods } from './rods'
import { useParkedCoupons, type CouponDraft, type OpenCoupon } from './parkedCoupons'

const draftKey = (accountId: string) => `fusilis.draft.${accountId}`

/** What was proposed before is proposed anew by what lies there now. */
const withoutAdvice = ({ advised: _, advisedCause: __, ...rest }: CouponDocument): CouponDocument => rest

/** The instructor's Bench: whose coupon lies on it, what it says, and how it is parked and saved. */
export const useBench = defineStore('bench', () => {
  const houseRules = useHouseRules()
  const coupons = useCoupons()
  const causes = useCauses()
  const rods = useRods()
  const floor = useFloor()
  const group = useGroupReading()
  const parked = useParkedCoupons()
  const draft = useCouponDraft(sealedDrawer<CouponDraft>(outboxSeal))

  const open = shallowRef<OpenCoupon | null>(null)
  const bench = makeCouponBench({
    rulesOf: lies => houseRules.rulesOf(lies?.rulesVersion ?? houseRules.current.version),
    changed: keepDraft,
  })
  const { coupon, cursor, touched, rules } = bench

  const grade = computed(() => (coupon.value ? gradeCoupon(coupon.value, rules.value) : null))
  const reading = computed(() =>
    coupon.value ? diagnose(coupon.value, rules.value, causes.knownOf(coupon.value.studentId)) : null,
  )
  const question = computed(() =>
    coupon.value && reading.value
      ? questionFor(coupon.value, rules.value, reading.value, causes.knownOf(coupon.value.studentId))
      : null,
  )
  const remarks = computed(() =>
    coupon.value ? checkTicket(coupon.value.ticket, thicknessOf(coupon.value.piece), rules.value) : [],
  )
  const isRegrade = computed(() => (open.value?.baseVersion ?? 0) > 0)

  function keepDraft(): void {
    if (open.value && coupon.value)
      void draft.keep({ ...open.value, touched: touched.value, document: coupon.value, cursor: cursor.value })
  }

  /** Puts a coupon on the bench. One that was begun there is parked, not lost, without a question. */
  function lay(opened: OpenCoupon, lies: CouponDocument): void {
    if (open.value) park()
    open.value = opened
    // A test is read by its cap; a coupon from the first bead on.
    bench.putDown(lies, opened.testId ? middleOf(lies, lies.beads.at(-1)!.id) : undefined)
  }

  /** Takes a coupon up again where it was left. */
  function layDraft({ document: lies, touched: marked, cursor: place, ...opened }: CouponDraft): void {
    lay(opened, lies)
    touched.value = marked
    if (place) cursor.value = place
  }

  /** Takes up the coupon that was on the bench before a reload, and those beside it; the account's seal is open. */
  async function resume(accountId: string): Promise<void> {
    await parked.open(accountId)
    const moved = draft.keepAt(draftKey(accountId), accountId)
    // What lies here already is the draft itself: the page was only left for another room.
    if (open.value && !moved) return
    open.value = null
    // Where two were kept, the older one is parked.
    for (const kept of await draft.found()) layDraft(kept)
  }

  /** Puts the coupon aside where it is, when anything was marked on it. */
  function park(): void {
    if (open.value && coupon.value && touched.value)
      parked.park({ ...open.value, touched: true, document: coupon.value, cursor: cursor.value }, bench.steps())
    clear()
  }

  /** Takes a parked coupon up again, where it was left; what was begun meanwhile is parked in its place. */
  function takeUpParked(id: string): void {
    const found = parked.take(id)
    if (!found) return
    layDraft(found.coupon)
    bench.takeUpSteps(found.steps)
    keepDraft()
  }

  /** Takes the one up that has waited longest; the key goes round. */
  function takeUpNext(): void {
    const [oldest] = parked.all
    if (oldest) takeUpParked(oldest.id)
  }

  /** Opens a new coupon for a student; one that the student has read already is the same coupon, as it lies. */
  function openNew(welder: FloorStudent, classDay: string, rung: RungToRun | null = null): void {
    const student = group.alike(welder)
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
      {
        ...withRods(
          selfRead
            ? withMachine(selfRead.document)
            : nextCoupon(
                { ...student, panelOffsetA: floor.panelOffsetOf(student.booth) },
                { classDay, ...houseRules.current },
                rung,
              ),
        ),
        ...toldTo(welder),
      },
    )
    keepDraft()
  }

  /** A coupon that was laid out elsewhere says how far the panel of its booth's machine is off. */
  function withMachine(lies: CouponDocument): CouponDocument {
    const panelOffsetA = floor.panelOffsetOf(lies.ticket.booth)
    return panelOffsetA ? { ...lies, ticket: { ...lies.ticket, panelOffsetA } } : lies
  }

  /** The ticket says which rods the student has in the hand, and for how long they have been out. */
  function withRods(lies: CouponDocument): CouponDocument {
    const drawn = rods.inHand(lies.studentId, lies.ticket, new Date())
    return drawn ? { ...lies, ticket: ofRods(lies.ticket, drawn) } : lies
  }

  /** What the student was told last, to be asked about on this coupon. */
  function toldTo({ last }: FloorStudent): Pick<CouponDocument, 'toldBefore'> {
    if (!last) return {}
    const { couponId, nextRun: says, toldCause: cause } = last
    return { toldBefore: { couponId, says, cause, done: null } }
  }

  /** Whether a new coupon of this student lies on the bench already, with marks on it. */
  const isBegunFor = (studentId: string) =>
    touched.value && open.value?.baseVersion === 0 && !open.value.testId && open.value.student.id === studentId

  /** Opens a saved coupon to read or grade it again. */
  function openSaved(saved: SavedCoupon, name: string, testId?: string): void {
    if (parked.findOf({ id: saved.id })) return takeUpParked(saved.id)
    void causes.loadStudent(saved.document.studentId).catch(() => {})
    lay(
      {
        id: saved.id,
        baseVersion: saved.version,
        student: { id: saved.document.studentId, name },
        ...(testId ? { testId } : {}),
      },
      saved.document,
    )
  }

  /** Lays a made-up coupon down, read half-way, to try the Bench on. */
  function openToTry(): void {
    const sample = exampleRead(rules.value)
    lay(
      { id: uuid(), baseVersion: 0, student: { id: sample.studentId, name: 'A coupon to try' }, toTry: true },
      { ...sample, rulesVersion: houseRules.current.version },
    )
    keepDraft()
  }

  /** Opens the coupon of a test, as it was welded. */
  function openOfTest(id: string, testId: string, name: string, welded: CouponDocument): void {
    lay({ id, baseVersion: 0, student: { id: welded.studentId, name }, testId }, welded)
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

  /** Sends the coupon. Saved or kept here, the bench is clear; in a conflict it stays as it is. */
  async function save(why: string): Promise<Sent<SavedCoupon>> {
    if (!open.value || !coupon.value) throw new Error('There is no coupon on the bench')
    const change = reading.value?.change
    const advised = reading.value ? { advised: reading.value.nextRun } : {}
    const advisedCause = change ? { advisedCause: change.cause.id } : {}
    const result = await coupons.save(
      open.value.id,
      {
        baseVersion: open.value.baseVersion,
        why,
        document: { ...withoutAdvice(coupon.value), ...advised, ...advisedCause },
      },
      open.value.student.name,
    )
    if (result.is !== 'conflict') clear()
    return result
  }

  /**
   * Ends a conflict. Both versions stay in the coupon's history; the chosen one stands. Answers what came of it:
   * another person may have saved it once more meanwhile.
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

  /** Takes the coupon off the bench, and its draft out of the browser. */
  function clear(): void {
    draft.drop()
    open.value = null
    bench.putDown(null)
  }

  return {
    ...bench,
    ...{ open, keptAt: draft.keptAt, grade, reading, question, remarks, isRegrade },
    ...{
      resume,
      openNew,
      openSaved,
      openToTry,
      openOfTest,
      openKept,
      park,
      takeUpParked,
      takeUpNext,
      save,
      settle,
      clear,
    },
  }
})
