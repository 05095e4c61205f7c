import { useManualRefHistory } from '@vueuse/core'
import { computed, inject, ref, shallowRef, type InjectionKey, type UnwrapNestedRefs } from 'vue'
import type { Bead, CouponDocument, Mark, Pass, Place, SetUpChange } from '~~/core/coupon'
import { addPass, layOutAgain, passOf, placeOnRow, removePass } from '~~/core/coupon'
import type { CauseId } from '~~/core/diagnosis'
import type { HouseRules } from '~~/core/house'
import type { LaneView } from '~/drawing/drawnLanes'

interface Used {
  /** The house rules that a coupon is laid out and judged by. */
  readonly rulesOf: (coupon: CouponDocument | null) => HouseRules
  /** Called once something was marked, or taken back. */
  readonly changed: () => void
}

/**
 * A bench: the coupon that lies on it, where the cursor stands, what is selected, and every step back. The
 * instructor's Bench is one, each blind reading is another.
 */
export function makeCouponBench({ rulesOf, changed }: Used) {
  const coupon = shallowRef<CouponDocument | null>(null)
  const history = useManualRefHistory(coupon)
  const cursor = ref<Place>({ beadId: '', atMm: 0 })
  const selectedId = ref<string | null>(null)
  /** True once something was marked that is not saved. */
  const touched = ref(false)
  /** What a caliper sent, mm, before it was said what it measures. */
  const sentMm = ref<number | null>(null)
  /** A joint is drawn a pass at a time, or all its passes in rows. */
  const view = ref<LaneView>('one pass')

  const rules = computed(() => rulesOf(coupon.value))
  const selected = computed(() => coupon.value?.marks.find(mark => mark.id === selectedId.value) ?? null)
  const cursorBead = computed(() => coupon.value?.beads.find(bead => bead.id === cursor.value.beadId) ?? null)
  const cursorFace = computed(() => cursorBead.value?.face)
  /** The pass the cursor is on; null on a plate. */
  const pass = computed(() => (coupon.value && cursorBead.value ? passOf(coupon.value, cursorBead.value) : null))

  /** Puts a coupon down; null clears the bench. No step leads back to what lay there before. */
  function putDown(next: CouponDocument | null, at?: Place): void {
    coupon.value = next
    history.commit()
    history.clear()
    touched.value = false
    selectedId.value = null
    if (next) cursor.value = at ?? middleOf(next, next.beads.find(lane => lane.face !== 'root')!.id)
  }

  /** The steps back and forward, to be taken up again where the coupon was left. */
  const steps = () => ({ back: [...history.undoStack.value], forward: [...history.redoStack.value] })
  function takeUpSteps({ back, forward }: ReturnType<typeof steps>): void {
    history.undoStack.value = back
    history.redoStack.value = forward
  }

  /** Puts an edited coupon in place of the one before; the one before can be had back. */
  function edit(next: CouponDocument, select?: string | null): void {
    if (!coupon.value || next === coupon.value) return
    coupon.value = next
    history.commit()
    touched.value = true
    if (select !== undefined) selectedId.value = select
    changed()
  }

  /** The cursor stays where it is, or goes to a bead that there is. */
  function holdCursor({ beads }: CouponDocument): void {
    if (!beads.some(bead => bead.id === cursor.value.beadId)) cursor.value = { ...cursor.value, beadId: beads[0]!.id }
  }

  function step(take: () => void): void {
    take()
    if (!coupon.value) return
    holdCursor(coupon.value)
    changed()
  }
  const undo = () => step(history.undo)
  const redo = () => step(history.redo)

  /** Puts an earlier version in place of what lies here, as an edit like any other: it can be taken back. */
  function takeUpVersion(earlier: CouponDocument): void {
    edit(earlier, null)
    holdCursor(earlier)
  }

  function moveCursor(place: Place): void {
    cursor.value = place
  }

  function select(mark: Mark | null): void {
    selectedId.value = mark?.id ?? null
    if (mark) cursor.value = { beadId: mark.beadId, atMm: mark.atMm }
  }

  /** Takes marks one after the other, each time it is asked. */
  function showInTurn(markIds: readonly string[]): void {
    if (markIds.length === 0) return
    const next = markIds[(markIds.indexOf(selectedId.value ?? '') + 1) % markIds.length]
    select(coupon.value?.marks.find(mark => mark.id === next) ?? null)
  }

  /** Goes to a pass, or to the root side, as far along as the cursor stands. */
  function goToRow(row: string): void {
    if (!coupon.value) return
    cursor.value = placeOnRow(coupon.value, row, cursor.value.atMm)
    selectedId.value = null
  }

  function turnView(): void {
    view.value = view.value === 'one pass' ? 'all passes' : 'one pass'
  }

  /**
   * Changes ticket, piece, bead count or passes, and lays the coupon out again. @throws RangeError when the beads
   * do not fit
   */
  function changeSetUp(change: SetUpChange): void {
    if (!coupon.value) return
    const next = layOutAgain(coupon.value, change, rules.value)
    edit(next)
    const bead = next.beads.find(lane => lane.id === cursor.value.beadId) ?? next.beads.at(-1)!
    cursor.value = { beadId: bead.id, atMm: Math.min(bead.toMm, Math.max(bead.fromMm, cursor.value.atMm)) }
  }

  /**
   * A bead more or less; in a joint a pass, at the one the cursor is on. @throws RangeError when it does not fit,
   * or it is the last
   */
  function addBead(step: 1 | -1): void {
    if (!coupon.value) return
    const { passes, beads } = coupon.value
    if (!passes) changeSetUp({ beadCount: Math.max(1, beads.length + step) })
    else if (pass.value)
      changeSetUp({ passes: step > 0 ? addPass(passes, pass.value.id) : removePass(passes, pass.value.id) })
  }

  /** Puts a pass as it was run in place of the one with its id. */
  function setPass(run: Pass): void {
    if (coupon.value?.passes) changeSetUp({ passes: coupon.value.passes.map(one => (one.id === run.id ? run : one)) })
  }

  /** Keeps what the student answered; the same answer again takes it back. */
  function answer(sign: string, said: 'yes' | 'no'): void {
    if (!coupon.value) return
    const { answers = {}, ...rest } = coupon.value
    const { [sign]: before, ...others } = answers
    const next = before === said ? others : { ...others, [sign]: said }
    edit(Object.keys(next).length > 0 ? { ...rest, answers: next } : rest)
  }

  /** Keeps the cause as the instructor sees it; null takes it off again. */
  function sayCause(cause: CauseId | null): void {
    if (!coupon.value) return
    const { trueCause: _, ...rest } = coupon.value
    edit(cause ? { ...rest, trueCause: cause } : rest)
  }

  /** Keeps whether the student did what was told before; null while it was not asked. */
  function sayDone(done: 'yes' | 'no' | null): void {
    const told = coupon.value?.toldBefore
    if (coupon.value && told && told.done !== done) edit({ ...coupon.value, toldBefore: { ...told, done } })
  }

  /** By one key: done, not done, not asked. */
  function turnDone(): void {
    const done = coupon.value?.toldBefore?.done
    sayDone(done === 'yes' ? 'no' : done === 'no' ? null : 'yes')
  }

  /** Keeps how the joint was put together; null takes it off again. */
  function keepFitUp(fitUp: CouponDocument['fitUp'] | null): void {
    if (!coupon.value) return
    const { fitUp: _, ...rest } = coupon.value
    edit(fitUp ? { ...rest, fitUp } : rest)
  }

  /** Keeps a bead's arc time by the stopwatch, s; null takes it off again. */
  function timeBead(beadId: string, seconds: number | null): void {
    const arcSeconds = seconds === null ? undefined : Math.round(seconds * 10) / 10
    editBead(beadId, ({ arcSeconds: _, ...untimed }) =>
      arcSeconds === undefined ? untimed : { ...untimed, arcSeconds },
    )
  }

  /** Keeps where on a bead the panel was turned, and to what, A; null takes it off again. */
  function turnCurrent(beadId: string, turned: Bead['turned'] | null): void {
    editBead(beadId, ({ turned: _, ...steady }) => (turned ? { ...steady, turned } : steady))
  }

  function editBead(beadId: string, change: (bead: Bead) => Bead): void {
    if (!coupon.value) return
    edit({ ...coupon.value, beads: coupon.value.beads.map(bead => (bead.id === beadId ? change(bead) : bead)) })
  }

  const { canUndo, canRedo } = history
  return {
    ...{ coupon, cursor, cursorFace, pass, view, selectedId, selected, touched, sentMm, rules, canUndo, canRedo },
    ...{
      putDown,
      steps,
      takeUpSteps,
      edit,
      takeUpVersion,
      undo,
      redo,
      moveCursor,
      select,
      showInTurn,
      goToRow,
      turnView,
    },
    ...{ changeSetUp, addBead, setPass, answer, sayDone, turnDone, sayCause, keepFitUp, timeBead, turnCurrent },
  }
}

/** Half way along a bead. */
export function middleOf(coupon: CouponDocument, beadId: string): Place {
  const { fromMm, toMm } = coupon.beads.find(bead => bead.id === beadId)!
  return { beadId, atMm: (fromMm + toMm) / 2 }
}

export type CouponBench = UnwrapNestedRefs<ReturnType<typeof makeCouponBench>>

/** The bench that a page's drawing, marks and gauges work on. */
export const COUPON_BENCH: InjectionKey<CouponBench> = Symbol('coupon bench')

/** The bench of the page that a component stands on. @throws Error where none was provided */
export function useCouponBench(): CouponBench {
  const bench = inject(COUPON_BENCH)
  if (!bench) throw new Error('This page has no bench: provide(COUPON_BENCH, …)')
  return bench
}
