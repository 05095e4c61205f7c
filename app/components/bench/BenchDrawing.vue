<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { describeFinding, isTry, rowOf, standsUpright, type Bead } from '~~/core/coupon'
import { pieceOf } from '~~/core/trade'
import type { LengthUnit } from '~~/core/units'
import { useCouponBench } from '~/composables/couponBench'
import { useStripHand } from '~/composables/stripHand'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'
import { usePictures } from '~/stores/pictures'

/**
 * The coupon to scale. A tap puts the cursor where the bead is; a tap on a mark takes it; a mark can be dragged
 * along its bead.
 */
const props = defineProps<{ unit: LengthUnit }>()

const bench = useCouponBench()
const pictures = usePictures()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLDivElement>('frame')
const size = useElementSize(frame)

const coupon = computed(() => bench.coupon!)
const drawn = computed(() => drawnLanes(coupon.value, bench.view, bench.cursor.beadId))
const placement = computed(() => placementOf(drawn.value, standsUpright(coupon.value)))

/** Room round the plate for numbers and ruler, px; the scale is the largest that fits. */
const ROOM = { left: 44, top: 30, right: 20, bottom: 46 }
const roomTop = computed(() => (drawn.value.round ? 74 : ROOM.top))
const scale = computed(() =>
  Math.max(
    0.5,
    Math.min(
      (size.width.value - ROOM.left - ROOM.right) / placement.value.width,
      (size.height.value - roomTop.value - ROOM.bottom) / placement.value.height,
    ),
  ),
)
const px = (pixels: number) => pixels / scale.value
const box = computed(() => ({
  x: -px(ROOM.left),
  y: -px(roomTop.value),
  width: placement.value.width + px(ROOM.left + ROOM.right),
  height: placement.value.height + px(roomTop.value + ROOM.bottom),
}))
const { lanes, down, move, up, shown } = useStripHand({ svg, drawn, placement, px })
const cursorBead = computed(() => lanes.value.get(bench.cursor.beadId))
const radius = computed(() => Math.min(px(8), (cursorBead.value ?? drawn.value.beads[0]!).widthMm * 0.34))

const tip = computed(() => {
  const mark = bench.selected
  const lane = mark && lanes.value.get(mark.beadId)
  if (!mark || !lane) return null
  const middle = mark.kind === 'flaw' ? (mark.atMm + mark.toMm) / 2 : mark.atMm
  return {
    ...placement.value.point(middle, lane.offsetMm),
    text: describeFinding(coupon.value.piece, mark, props.unit),
  }
})
/** Short runs on a plate carry their numbers at their own ends; lanes that cross it carry them at its edge. */
const shortRuns = computed(() => pieceOf(coupon.value.piece.kind).inRows)
const numberAt = (bead: Bead) =>
  shortRuns.value
    ? placement.value.upright
      ? placement.value.point(bead.fromMm - px(16), bead.offsetMm)
      : placement.value.point(bead.fromMm - px(19), bead.offsetMm - px(5))
    : placement.value.upright
      ? placement.value.point(drawn.value.lengthMm + px(12), bead.offsetMm)
      : placement.value.point(-px(20), bead.offsetMm - px(5))
/** Number of a lane: of its bead on a plate, of its pass in a joint. */
const numberOf = (bead: Bead, index: number) =>
  bead.face === 'root'
    ? 'root'
    : String(bead.passId ? coupon.value.passes!.findIndex(pass => pass.id === bead.passId) + 1 : index + 1)
/**
 * Lanes closer than a line of text show every other number; the two halves of a pass share one, and under the top
 * layer there is none.
 */
const numbered = computed(() => {
  const rows = new Set<string>()
  const own = drawn.value.beads
    .map((bead, index) => ({ bead, number: numberOf(bead, index) }))
    .filter(({ bead }) => drawn.value.open.has(bead.id) && !rows.has(rowOf(bead)) && rows.add(rowOf(bead)))
  if (shortRuns.value) return own
  const step = Math.abs((own[1]?.bead.offsetMm ?? 99) - own[0]!.bead.offsetMm)
  const every = Math.max(1, Math.ceil(px(placement.value.upright ? 20 : 17) / step))
  return own.filter((_, index) => index % every === 0)
})
const soundTries = computed(() => shown.value.filter(mark => isTry(mark) && mark.degree === 'sound'))
const against = computed(() => shown.value.filter(mark => !isTry(mark) || mark.degree !== 'sound'))
</script>

<template>
  <div ref="frame" class="drawing">
    <svg
      ref="svg"
      :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
      :width="box.width * scale"
      :height="box.height * scale"
      aria-hidden="true"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="up"
    >
      <WeldedStrip :document="coupon" :drawn="drawn" :placement="placement" />
      <PictureLayer
        :picture="pictures.shown"
        :drawn="drawn"
        :placement="placement"
        :side="cursorBead?.face === 'root' ? 'root' : 'face'"
      />
      <g v-if="cursorBead" :transform="placement.transform">
        <rect
          :x="cursorBead.fromMm - px(5)"
          :y="placement.across(cursorBead.offsetMm) - cursorBead.widthMm / 2 - px(2)"
          :width="cursorBead.toMm - cursorBead.fromMm + px(10)"
          :height="cursorBead.widthMm + px(4)"
          :rx="px(8)"
          class="lane"
          :stroke-width="px(2)"
        />
        <MarkSign
          v-for="mark in soundTries"
          :key="mark.id"
          :mark="mark"
          :bead="lanes.get(mark.beadId)!"
          :placement="placement"
          :selected="mark.id === bench.selectedId"
          :radius="radius * 0.8"
        />
        <MarkSign
          v-for="mark in against"
          :key="mark.id"
          :mark="mark"
          :bead="lanes.get(mark.beadId)!"
          :placement="placement"
          :selected="mark.id === bench.selectedId"
          :radius="radius"
        />
        <g
          v-if="!bench.selected"
          :transform="`translate(${bench.cursor.atMm} ${placement.across(cursorBead.offsetMm)})`"
          class="cursor"
        >
          <path
            :d="`M0 ${-cursorBead.widthMm / 2 - px(5)} V ${cursorBead.widthMm / 2 + px(5)}`"
            :stroke-width="px(5)"
            class="under"
          />
          <path
            :d="`M0 ${-cursorBead.widthMm / 2 - px(5)} V ${cursorBead.widthMm / 2 + px(5)}`"
            :stroke-width="px(2.4)"
          />
        </g>
      </g>
      <text
        v-for="{ bead, number } in numbered"
        :key="bead.id"
        :x="numberAt(bead).x"
        :y="numberAt(bead).y"
        :font-size="px(15)"
        text-anchor="middle"
        class="number"
        :class="{ here: bead.id === bench.cursor.beadId }"
      >
        {{ number }}
      </text>
      <RulerScale :placement="placement" :length-mm="drawn.lengthMm" :unit="unit" :px="px" />
      <PipeClock
        v-if="drawn.round"
        :length-mm="drawn.lengthMm"
        :position="coupon.ticket.position"
        :quarters="!drawn.inRows"
        :px="px"
      />
      <MarkTip v-if="tip" v-bind="tip" :width="placement.width" :px="px" />
    </svg>
  </div>
</template>

<style scoped>
.drawing {
  min-height: 0;
  min-width: 0;
  height: 100%;
  overflow: hidden;
  display: grid;
  place-items: center;
}
svg {
  touch-action: none;
  user-select: none;
  cursor: crosshair;
  max-width: 100%;
  max-height: 100%;
  overflow: visible;
}
.lane {
  fill: none;
  stroke: var(--ink);
}
.cursor path {
  stroke: #ffb648;
}
.cursor .under {
  stroke: #14191c;
}
.number {
  fill: var(--quiet);
  font-weight: 550;
}
.number.here {
  fill: var(--ink);
  font-weight: 800;
}
</style>
