import { computed, ref, type Ref } from 'vue'
import { clampToBead, isFlaw, type Bead, type FlawMark, type Mark } from '~~/core/coupon'
import { discontinuityOf } from '~~/core/trade'
import type { DrawnLanes } from '~/drawing/drawnLanes'
import type { Placement } from '~/drawing/placement'
import { useBenchActs } from './benchActs'
import { useCouponBench } from './couponBench'

/** A finger covers about this much, px. */
const REACH = 22
/** Moved by less than this a finger only taps, px. */
const TAP = 6

interface DrawnStrip {
  readonly svg: Readonly<Ref<SVGSVGElement | null>>
  readonly drawn: Readonly<Ref<DrawnLanes>>
  readonly placement: Readonly<Ref<Placement>>
  /** Pixels of the screen in units of the drawing. */
  readonly px: (pixels: number) => number
}

/** What is under a finger: a mark to be moved along its bead, or the far end of the span that is selected. */
interface Dragged {
  readonly id: string
  readonly by: 'mark' | 'far end'
  moved: boolean
}

export const isSpan = (mark: Mark | null): mark is FlawMark =>
  mark !== null && isFlaw(mark) && discontinuityOf(mark.flaw).givenAs === 'span'

/**
 * A finger or pointer on a drawn strip: a tap puts the cursor where the bead is, a tap on a mark takes it; a mark is
 * dragged along its bead, and a span by its far end.
 */
export function useStripHand({ svg, drawn, placement, px }: DrawnStrip) {
  const bench = useCouponBench()
  const hand = useBenchActs(bench)
  const lanes = computed(() => new Map(drawn.value.beads.map(bead => [bead.id, bead])))
  let dragged: Dragged | null = null
  const dragAt = ref<{ id: string; by: Dragged['by']; atMm: number } | null>(null)

  function placeUnder(event: PointerEvent): { bead: Bead; atMm: number } {
    const matrix = svg.value!.getScreenCTM()!.inverse()
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
    const { atMm, offsetMm } = placement.value.place(at.x, at.y)
    const away = (bead: Bead) => Math.hypot(bead.offsetMm - offsetMm, Math.max(0, bead.fromMm - atMm, atMm - bead.toMm))
    const bead = drawn.value.beads.filter(lane => drawn.value.open.has(lane.id)).sort((a, b) => away(a) - away(b))[0]!
    return { bead, atMm: clampToBead(bead, atMm) }
  }

  function markUnder(place: { bead: Bead; atMm: number }): Mark | null {
    const near = bench
      .coupon!.marks.filter(mark => mark.beadId === place.bead.id)
      .map(mark => ({
        mark,
        away:
          mark.kind === 'flaw'
            ? Math.max(0, mark.atMm - place.atMm, place.atMm - mark.toMm) +
              (mark.toMm - mark.atMm > 60 ? px(REACH) * 0.9 : 0)
            : Math.abs(mark.atMm - place.atMm),
      }))
      .sort((a, b) => a.away - b.away)[0]
    return near && near.away <= px(REACH) ? near.mark : null
  }

  /** Takes what lies under the finger; false where nothing is to be dragged. */
  function down(event: PointerEvent): boolean {
    const place = placeUnder(event)
    const { selected } = bench
    const byEnd =
      isSpan(selected) && selected.beadId === place.bead.id && Math.abs(selected.toMm - place.atMm) < px(REACH) * 0.8
    const mark = byEnd ? selected : markUnder(place)
    bench.select(mark)
    if (!mark) {
      bench.moveCursor({ beadId: place.bead.id, atMm: place.atMm })
      return false
    }
    dragged = { id: mark.id, by: byEnd ? 'far end' : 'mark', moved: false }
    svg.value!.setPointerCapture(event.pointerId)
    return true
  }

  function move(event: PointerEvent): void {
    const mark = bench.selected
    if (!dragged || !mark) return
    const { atMm } = placeUnder(event)
    const from = dragged.by === 'far end' && isSpan(mark) ? mark.toMm : mark.atMm
    if (!dragged.moved && Math.abs(atMm - from) < px(TAP)) return
    dragged.moved = true
    dragAt.value = { id: dragged.id, by: dragged.by, atMm }
  }

  function up(): void {
    const { selected } = bench
    if (dragged?.moved && dragAt.value) {
      const { atMm } = dragAt.value
      if (dragged.by === 'mark') hand.dragTo(dragged.id, { beadId: bench.cursor.beadId, atMm })
      else if (isSpan(selected)) hand.stretch(atMm - selected.toMm)
    }
    dragged = null
    dragAt.value = null
  }

  /** A mark as it lies while it is dragged. */
  function underFinger(mark: Mark): Mark {
    const at = dragAt.value
    if (at?.id !== mark.id) return mark
    const lane = lanes.value.get(mark.beadId)!
    if (at.by === 'far end' && isFlaw(mark)) return { ...mark, toMm: Math.max(mark.atMm, clampToBead(lane, at.atMm)) }
    const length = isFlaw(mark) ? mark.toMm - mark.atMm : 0
    const atMm = Math.min(lane.toMm - length, Math.max(lane.fromMm, at.atMm))
    return isFlaw(mark) ? { ...mark, atMm, toMm: atMm + length } : { ...mark, atMm }
  }

  /** Marks as they are shown: the one under the finger where the finger is. */
  const shown = computed(() =>
    bench.coupon!.marks.filter(mark => drawn.value.open.has(mark.beadId)).map(mark => underFinger(mark)),
  )

  return { lanes, placeUnder, down, move, up, shown }
}
