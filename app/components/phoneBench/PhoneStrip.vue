<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { describeFinding, describePlace, isTry, laneName, standsUpright, stripOf } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import { useCouponBench } from '~/composables/couponBench'
import { usePinch } from '~/composables/pinch'
import { isSpan, useStripHand } from '~/composables/stripHand'
import { laneAlone } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'

/**
 * One bead or pass at a time, as long as the screen allows and as wide as a finger. A tap puts the cursor there; two
 * fingers stretch it; what is stretched is pushed along by one.
 */
const props = defineProps<{ unit: LengthUnit }>()
const bench = useCouponBench()
const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<HTMLDivElement>('frame')
const size = useElementSize(frame)
const id = useId()

const coupon = computed(() => bench.coupon!)
const upright = computed(() => standsUpright(coupon.value))
const strip = computed(() => stripOf(coupon.value.piece))
const lengthMm = computed(() => strip.value.lengthMm)
const round = computed(() => strip.value.round)

/** Room round the lane for its ruler and clock, px; and how wide the lane is, at most. */
const ENDS = 16
const ROOM = computed(() => ({ over: round.value ? 74 : 8, under: upright.value ? 44 : 40 }))
const WIDEST = 150
/** A pipe is read a half at a time: its whole way round is too long for a hand. */
const { zoom, centre, pinched, press, slide, release } = usePinch({
  alongY: () => upright.value,
  start: () => (round.value ? 2 : 1),
  mmOf: pixels => px(pixels),
})
const along = computed(() => Math.max(80, (upright.value ? size.height.value : size.width.value) - 2 * ENDS))
const across = computed(() => (upright.value ? size.width.value : size.height.value))
const scale = computed(() => (along.value / lengthMm.value) * zoom.value)
const px = (pixels: number) => pixels / scale.value
const widthMm = computed(() =>
  px(Math.max(44, Math.min(WIDEST, across.value - ROOM.value.over - ROOM.value.under)) * 0.72),
)

const drawn = computed(() => laneAlone(coupon.value, bench.cursor.beadId, widthMm.value))
const placement = computed(() => placementOf(drawn.value, upright.value))
const { lanes, down, move, up, shown } = useStripHand({ svg, drawn, placement, px })
const cursorBead = computed(() => lanes.value.get(bench.cursor.beadId))

/** Where what is seen begins, mm along the strip. */
const shownMm = computed(() => lengthMm.value / zoom.value)
const fromMm = computed(() => Math.min(lengthMm.value - shownMm.value, Math.max(0, centre.value - shownMm.value / 2)))
const box = computed(() => {
  const [width, height] = [px(size.width.value), px(size.height.value)]
  const { over, under } = ROOM.value
  if (upright.value) {
    const spare = width - drawn.value.widthMm - px(under)
    return { x: -px(under) - spare / 2, y: lengthMm.value - fromMm.value - shownMm.value - px(ENDS), width, height }
  }
  const spare = Math.max(0, height - drawn.value.widthMm - px(over + under))
  return { x: fromMm.value - px(ENDS), y: -px(over) - spare / 2, width, height }
})
const viewBox = computed(() => `${box.value.x} ${box.value.y} ${box.value.width} ${box.value.height}`)

/** The cursor, wherever it went, is in sight. */
watch(
  () => [bench.cursor.beadId, bench.cursor.atMm, zoom.value] as const,
  ([, atMm]) => {
    const edge = shownMm.value * 0.05
    if (atMm < fromMm.value + edge || atMm > fromMm.value + shownMm.value - edge) centre.value = atMm
  },
  { immediate: true },
)

/** True while a finger moves the cursor or a mark: then it is shown large beside it. */
const moving = ref(false)
const onMark = ref(false)
function touch(event: PointerEvent) {
  if (press(event)) return
  onMark.value = down(event)
  moving.value = onMark.value || zoom.value === 1
}
function drag(event: PointerEvent) {
  if (pinched.value || (!onMark.value && zoom.value > 1)) return slide(event)
  if (!moving.value) return
  if (onMark.value) move(event)
  else down(event)
}
function lift(event: PointerEvent) {
  release(event)
  up()
  moving.value = false
  onMark.value = false
}

const radius = computed(() => Math.min(px(11), widthMm.value * 0.3))
const soundTries = computed(() => shown.value.filter(mark => isTry(mark) && mark.degree === 'sound'))
const against = computed(() => shown.value.filter(mark => !isTry(mark) || mark.degree !== 'sound'))
const selected = computed(() => shown.value.find(mark => mark.id === bench.selectedId) ?? null)
const says = computed(() =>
  selected.value
    ? describeFinding(coupon.value.piece, selected.value, props.unit)
    : `${laneName(coupon.value, bench.cursor.beadId)}, ${describePlace(coupon.value.piece, bench.cursor.atMm, props.unit)}`,
)
/** The far end of the span that is selected: it is pulled there. */
const end = computed(() => {
  const mark = selected.value
  const lane = mark && lanes.value.get(mark.beadId)
  return mark && isSpan(mark) && lane ? { x: mark.toMm, y: placement.value.across(lane.offsetMm) } : null
})
const LOUPE = 112
const loupe = computed(() => {
  const mark = selected.value
  const atMm = mark ? (onMark.value && isSpan(mark) ? mark.toMm : mark.atMm) : bench.cursor.atMm
  const { x, y } = placement.value.point(atMm, drawn.value.widthMm / 2)
  const half = px(LOUPE / 2) / 1.8
  return `${x - half} ${y - half} ${2 * half} ${2 * half}`
})
</script>

<template>
  <div class="strip">
    <p class="says num" role="status">{{ says }}</p>
    <div ref="frame" class="frame">
      <svg
        ref="svg"
        :viewBox="viewBox"
        width="100%"
        height="100%"
        aria-hidden="true"
        @pointerdown="touch"
        @pointermove="drag"
        @pointerup="lift"
        @pointercancel="lift"
      >
        <g :id="id">
          <WeldedStrip :document="coupon" :drawn="drawn" :placement="placement" />
          <g v-if="cursorBead" :transform="placement.transform">
            <MarkSign
              v-for="mark in [...soundTries, ...against]"
              :key="mark.id"
              :mark="mark"
              :bead="lanes.get(mark.beadId)!"
              :placement="placement"
              :selected="mark.id === bench.selectedId"
              :radius="isTry(mark) && mark.degree === 'sound' ? radius * 0.8 : radius"
            />
            <circle v-if="end" :cx="end.x" :cy="end.y" :r="px(13)" class="end" :stroke-width="px(3)" />
            <path
              v-if="!bench.selected"
              :d="`M${bench.cursor.atMm} ${placement.across(cursorBead.offsetMm) - widthMm / 2 - px(8)} v${widthMm + px(16)}`"
              :stroke-width="px(3)"
              class="cursor"
            />
          </g>
        </g>
        <RulerScale :placement="placement" :length-mm="lengthMm" :unit="unit" :px="px" />
        <PipeClock v-if="round" :length-mm="lengthMm" :position="coupon.ticket.position" :quarters="false" :px="px" />
      </svg>
      <svg v-if="moving" class="loupe" :class="{ upright }" :viewBox="loupe" aria-hidden="true">
        <use :href="`#${id}`" />
      </svg>
    </div>
  </div>
</template>

<style scoped>
.strip {
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.says {
  padding: 2px 12px;
  font-weight: 600;
  font-size: 0.92rem;
  line-height: 1.25;
  height: 2.6em;
  overflow: hidden;
}
.frame {
  min-height: 0;
  position: relative;
  overflow: hidden;
}
svg {
  display: block;
  touch-action: none;
  user-select: none;
}
.cursor {
  stroke: #d98a1f;
  fill: none;
}
.end {
  fill: #f3c26b;
  stroke: #14191c;
}
.loupe {
  position: absolute;
  top: 4px;
  right: 8px;
  width: 112px;
  height: 112px;
  border-radius: 50%;
  border: 3px solid #14191c;
  background: rgb(var(--v-theme-surface));
  pointer-events: none;
}
.loupe.upright {
  right: auto;
  left: 8px;
}
</style>
