<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { clampToBead, describeMark, isTry, type Bead } from '~~/core/coupon'
import { platePieceOf } from '~~/core/trade'
import type { LengthUnit } from '~~/core/units'
import { useBenchActs } from '~/composables/benchActs'
import { useBench } from '~/stores/bench'
import { placementOf } from '../drawing/placement'

/** The coupon to scale. A tap puts the cursor where the bead is; a tap on a mark takes it; a mark can be dragged along its bead. */
const props = defineProps<{ unit: LengthUnit }>()

const bench = useBench()
const hand = useBenchActs()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLDivElement>('frame')
const size = useElementSize(frame)

const document = computed(() => bench.document!)
const placement = computed(() => placementOf(document.value.piece, document.value.ticket))
const lanes = computed(() => new Map(document.value.beads.map(bead => [bead.id, bead])))
const cursorBead = computed(() => lanes.value.get(bench.cursor.beadId))

/** Room round the plate for numbers and ruler, px; the scale is whatever fits. */
const ROOM = { left: 44, top: 30, right: 20, bottom: 46 }
const scale = computed(() => Math.max(0.5, Math.min(
  (size.width.value - ROOM.left - ROOM.right) / placement.value.width,
  (size.height.value - ROOM.top - ROOM.bottom) / placement.value.height)))
const px = (pixels: number) => pixels / scale.value
const box = computed(() => ({
  x: -px(ROOM.left), y: -px(ROOM.top),
  width: placement.value.width + px(ROOM.left + ROOM.right), height: placement.value.height + px(ROOM.top + ROOM.bottom),
}))
const radius = computed(() => Math.min(px(8), document.value.beads[0]!.widthMm * 0.3))

/** A finger covers about this much, px. */
const REACH = 22
let dragged: { id: string, moved: boolean } | null = null
const dragAt = ref<{ id: string, atMm: number } | null>(null)

function placeUnder(event: PointerEvent): { bead: Bead, atMm: number, offsetMm: number } {
  const matrix = svg.value!.getScreenCTM()!.inverse()
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix)
  const { atMm, offsetMm } = placement.value.place(at.x, at.y)
  const away = (bead: Bead) => Math.hypot(bead.offsetMm - offsetMm, Math.max(0, bead.fromMm - atMm, atMm - bead.toMm))
  const bead = [...document.value.beads].sort((a, b) => away(a) - away(b))[0]!
  return { bead, atMm: clampToBead(bead, atMm), offsetMm }
}

function markUnder(place: { bead: Bead, atMm: number }) {
  const near = document.value.marks
    .filter(mark => mark.beadId === place.bead.id)
    .map(mark => ({ mark, away: mark.kind === 'flaw' ? Math.max(0, mark.atMm - place.atMm, place.atMm - mark.toMm) + (mark.toMm - mark.atMm > 60 ? px(REACH) * 0.9 : 0) : Math.abs(mark.atMm - place.atMm) }))
    .sort((a, b) => a.away - b.away)[0]
  return near && near.away <= px(REACH) ? near.mark : null
}

function down(event: PointerEvent) {
  const place = placeUnder(event)
  const mark = markUnder(place)
  bench.select(mark)
  if (!mark) bench.moveCursor({ beadId: place.bead.id, atMm: place.atMm })
  else {
    dragged = { id: mark.id, moved: false }
    svg.value!.setPointerCapture(event.pointerId)
  }
}

function move(event: PointerEvent) {
  if (!dragged) return
  const { atMm } = placeUnder(event)
  const mark = bench.selected
  if (!dragged.moved && mark && Math.abs(atMm - mark.atMm) < px(6)) return
  dragged.moved = true
  dragAt.value = { id: dragged.id, atMm }
}

function up() {
  if (dragged?.moved && dragAt.value) hand.dragTo(dragged.id, { beadId: bench.cursor.beadId, atMm: dragAt.value.atMm })
  dragged = null
  dragAt.value = null
}

/** Marks as they are shown: the one under the finger where the finger is. */
const shown = computed(() => document.value.marks.map((mark) => {
  if (dragAt.value?.id !== mark.id) return mark
  const length = mark.kind === 'flaw' ? mark.toMm - mark.atMm : 0
  const lane = lanes.value.get(mark.beadId)!
  const at = Math.min(lane.toMm - length, Math.max(lane.fromMm, dragAt.value.atMm))
  return mark.kind === 'flaw' ? { ...mark, atMm: at, toMm: at + length } : { ...mark, atMm: at }
}))

const tip = computed(() => {
  const mark = bench.selected
  if (!mark) return null
  const lane = lanes.value.get(mark.beadId)!
  const middle = mark.kind === 'flaw' ? (mark.atMm + mark.toMm) / 2 : mark.atMm
  return { ...placement.value.point(middle, lane.offsetMm), text: describeMark(document.value, mark, props.unit).replace(/^bead \d+, /, '') }
})
const tipWidth = computed(() => px((tip.value?.text.length ?? 0) * 6.9 + 24))
const tipX = computed(() => Math.min(placement.value.width - tipWidth.value + px(12), Math.max(-px(36), (tip.value?.x ?? 0) - tipWidth.value / 2)))
const tipY = computed(() => {
  const above = (tip.value?.y ?? 0) - px(52)
  return above < -px(24) ? (tip.value?.y ?? 0) + px(22) : above
})
/** Short runs in rows carry their numbers at their own ends; lanes that cross the plate carry them at its edge. */
const inRows = computed(() => platePieceOf(document.value.piece.kind).inRows)
const numberAt = (bead: Bead) => (inRows.value
  ? placement.value.upright ? placement.value.point(bead.fromMm - px(16), bead.offsetMm) : placement.value.point(bead.fromMm - px(19), bead.offsetMm - px(5))
  : placement.value.upright
  ? placement.value.point(document.value.piece.lengthMm + px(12), bead.offsetMm)
  : placement.value.point(-px(20), bead.offsetMm - px(5)))
/** Lanes closer than a line of text show every other number. */
const numbered = computed(() => {
  if (inRows.value) return document.value.beads.map((bead, index) => ({ bead, number: index + 1 }))
  const step = (document.value.beads[1]?.offsetMm ?? 99) - document.value.beads[0]!.offsetMm
  const every = Math.max(1, Math.ceil(px(placement.value.upright ? 20 : 17) / step))
  return document.value.beads.map((bead, index) => ({ bead, number: index + 1 })).filter(({ number }) => (number - 1) % every === 0 || number === document.value.beads.length && every === 1)
})
const soundTries = computed(() => shown.value.filter(mark => isTry(mark) && mark.degree === 'sound'))
const against = computed(() => shown.value.filter(mark => !isTry(mark) || mark.degree !== 'sound'))
</script>

<template>
  <div ref="frame" class="drawing">
    <svg
      ref="svg" :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`" :width="box.width * scale" :height="box.height * scale"
      aria-hidden="true" @pointerdown="down" @pointermove="move" @pointerup="up" @pointercancel="up"
    >
      <PadPlate :document="document" :placement="placement" />
      <g v-if="cursorBead" :transform="placement.transform">
        <rect
          :x="cursorBead.fromMm - px(5)" :y="placement.across(cursorBead.offsetMm) - cursorBead.widthMm / 2 - px(2)"
          :width="cursorBead.toMm - cursorBead.fromMm + px(10)" :height="cursorBead.widthMm + px(4)" :rx="px(8)" class="lane" :stroke-width="px(2)"
        />
        <MarkSign v-for="mark in soundTries" :key="mark.id" :mark="mark" :bead="lanes.get(mark.beadId)!" :placement="placement" :selected="mark.id === bench.selectedId" :radius="radius * 0.8" />
        <MarkSign v-for="mark in against" :key="mark.id" :mark="mark" :bead="lanes.get(mark.beadId)!" :placement="placement" :selected="mark.id === bench.selectedId" :radius="radius" />
        <g v-if="!bench.selected" :transform="`translate(${bench.cursor.atMm} ${placement.across(cursorBead.offsetMm)})`" class="cursor">
          <path :d="`M0 ${-cursorBead.widthMm / 2 - px(5)} V ${cursorBead.widthMm / 2 + px(5)}`" :stroke-width="px(5)" class="under" />
          <path :d="`M0 ${-cursorBead.widthMm / 2 - px(5)} V ${cursorBead.widthMm / 2 + px(5)}`" :stroke-width="px(2.4)" />
        </g>
      </g>
      <text
        v-for="{ bead, number } in numbered" :key="bead.id" :x="numberAt(bead).x" :y="numberAt(bead).y" :font-size="px(15)" text-anchor="middle"
        class="number" :class="{ here: bead.id === bench.cursor.beadId }"
      >{{ number }}</text>
      <RulerScale :placement="placement" :piece="document.piece" :unit="unit" :px="px" />
      <g v-if="tip" class="tip">
        <rect :x="tipX" :y="tipY" :width="tipWidth" :height="px(30)" :rx="px(7)" />
        <text :x="tipX + tipWidth / 2" :y="tipY + px(20)" :font-size="px(14)" text-anchor="middle">{{ tip.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.drawing { min-height: 0; min-width: 0; height: 100%; overflow: hidden; display: grid; place-items: center; }
svg { touch-action: none; user-select: none; cursor: crosshair; max-width: 100%; max-height: 100%; overflow: visible; }
.lane { fill: none; stroke: var(--ink); }
.cursor path { stroke: #ffb648; }
.cursor .under { stroke: #14191c; }
.number { fill: var(--quiet); font-weight: 550; }
.number.here { fill: var(--ink); font-weight: 800; }
.tip rect { fill: #14191c; }
.tip text { fill: #fff; font-weight: 600; }
.tip { pointer-events: none; }
</style>
