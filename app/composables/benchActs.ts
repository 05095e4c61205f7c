import { v7 as uuid } from 'uuid'
import {
  FAULTS,
  isFlaw,
  isTry,
  moveMark,
  newFlaw,
  newReading,
  newTry,
  placeAlong,
  placeOver,
  putMark,
  removeMark,
  setDegree,
  stretchSpan,
  tryMeant,
  turnForm,
  turnSide,
  type Mark,
  type Place,
  type GaugeKind,
  type TryMark,
} from '~~/core/coupon'
import { discontinuityOf } from '~~/core/trade'
import { inches } from '~~/core/units'
import type { MarkKind } from '~/keys/markKinds'
import type { CouponBench } from './couponBench'

/** What the Bench can ask about. */
export type BenchDialog =
  | 'discard'
  | 'ticket'
  | 'more'
  | 'students'
  | 'why'
  | 'across'
  | 'over'
  | 'pass'
  | 'fit-up'
  | 'codes'
  | 'told'
  | 'pictures'

export const SMALL_STEP = inches(1 / 8)
export const LARGE_STEP = inches(1 / 2)

/** What a hand can do to the coupon on a bench, by key, by touch or by mouse alike. */
export function useBenchActs(bench: CouponBench) {
  /**
   * Drops what a letter stands for at the cursor; on a mark of it that is selected already it turns to the next
   * fault or form.
   */
  function drop(kind: MarkKind, askReading: (of: 'across' | 'over') => void): void {
    const { coupon, cursor, selected } = bench
    if (!coupon) return
    if (kind.is === 'reading') return askReading(kind.of)
    if (kind.is === 'flaw') {
      if (selected && isFlaw(selected) && selected.flaw === kind.flaw && discontinuityOf(kind.flaw).forms) return form()
      const mark = newFlaw(coupon, uuid(), kind.flaw, { ...cursor })
      return bench.edit(putMark(coupon, mark), mark.id)
    }
    if (selected && isTry(selected) && selected.kind === kind.kind && selected.degree !== 'sound')
      return nextFault(selected)
    const meant = tryMeant(coupon, kind.kind, cursor)
    const mark = meant
      ? meant.degree === 'sound'
        ? setDegree(meant, 3)
        : meant
      : newTry(uuid(), kind.kind, { ...cursor }, coupon.ticket.rods === 'stubs' ? 'stub' : 'new')
    bench.edit(putMark(coupon, mark), mark.id)
    bench.moveCursor({ beadId: mark.beadId, atMm: mark.atMm })
  }

  function nextFault(mark: TryMark): void {
    const faults = FAULTS[mark.kind]
    setFault(mark, faults[(faults.indexOf(mark.fault ?? '') + 1) % faults.length]!)
  }

  function setFault(mark: TryMark, fault: string | null): void {
    if (!bench.coupon) return
    const degree = fault && mark.degree === 'sound' ? 'poor' : mark.degree
    bench.edit(putMark(bench.coupon, { ...mark, degree, fault }), mark.id)
  }

  /** Keeps what the gauge read at the cursor, all of it as one step. */
  function addReadings(read: readonly { of: GaugeKind; valueMm: number }[]): void {
    if (!bench.coupon || read.length === 0) return
    const marks = read.map(({ of, valueMm }) => newReading(uuid(), of, { ...bench.cursor }, valueMm))
    bench.edit(marks.reduce(putMark, bench.coupon), marks.at(-1)!.id)
  }

  function change(with_: (mark: Mark) => Mark): void {
    const { coupon, selected } = bench
    if (!coupon || !selected) return
    const next = with_(selected)
    if (next !== selected) bench.edit(putMark(coupon, next))
  }

  const degree = (digit: 1 | 2 | 3) => change(mark => setDegree(mark, digit))
  const stretch = (byMm: number) => change(mark => (isFlaw(mark) ? stretchSpan(bench.coupon!, mark, byMm) : mark))

  /** Moves the selected mark; the cursor goes with it. */
  function shift(byMm: number): void {
    change(mark => moveMark(bench.coupon!, mark, byMm))
    if (bench.selected) bench.moveCursor({ beadId: bench.selected.beadId, atMm: bench.selected.atMm })
  }

  const side = () => change(mark => (isFlaw(mark) ? turnSide(mark) : mark))

  const form = () => change(mark => (isFlaw(mark) ? turnForm(mark) : mark))

  /** Says which form a flaw has; the same again takes it off. */
  const setForm = (id: string) =>
    change(mark => {
      if (!isFlaw(mark)) return mark
      const { form: before, ...plain } = mark
      return before === id ? plain : { ...plain, form: id }
    })

  function remove(): void {
    if (bench.coupon && bench.selected) bench.edit(removeMark(bench.coupon, bench.selected.id), null)
  }

  /** Moves the cursor along its bead, or round the pipe. */
  function along(byMm: number): void {
    if (!bench.coupon) return
    bench.moveCursor(placeAlong(bench.coupon, bench.cursor, byMm))
    bench.select(null)
  }

  /** Goes to the next bead or pass, or with -1 to the one before. */
  function toBead(step: 1 | -1): void {
    if (!bench.coupon) return
    bench.moveCursor(placeOver(bench.coupon, bench.cursor, step))
    bench.select(null)
  }

  /** Selects the next mark along the coupon, bead by bead. */
  function toMark(step: 1 | -1): void {
    const { coupon, selected } = bench
    if (!coupon || coupon.marks.length === 0) return
    const order = new Map(coupon.beads.map((bead, index) => [bead.id, index]))
    const sorted = [...coupon.marks].sort((a, b) => order.get(a.beadId)! - order.get(b.beadId)! || a.atMm - b.atMm)
    const index = selected ? sorted.findIndex(mark => mark.id === selected.id) + step : step > 0 ? 0 : sorted.length - 1
    bench.select(sorted[(index + sorted.length) % sorted.length]!)
  }

  /** Moves a mark to where a finger or pointer has dragged it. */
  function dragTo(id: string, place: Place): void {
    const { coupon } = bench
    const mark = coupon?.marks.find(candidate => candidate.id === id)
    if (!coupon || !mark) return
    bench.edit(putMark(coupon, moveMark(coupon, mark, place.atMm - mark.atMm)), id)
  }

  return { drop, setFault, setForm, addReadings, degree, stretch, shift, side, remove, along, toBead, toMark, dragTo }
}
