<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { Corners, Point } from '~~/core/picture'

/** A picture with the four corners of its coupon, to be dragged or moved by arrow keys under a loupe. */
const props = defineProps<{ url: string; widthPx: number; heightPx: number }>()
const corners = defineModel<Corners>({ required: true })
const emit = defineEmits<{ scale: [pxOfScreen: number] }>()

const LETTERS = ['A', 'B', 'C', 'D'] as const
const PLACES = ['start, upper', 'end, upper', 'end, lower', 'start, lower'] as const
/** Half of what the loupe shows, px of the screen at the picture's scale; and how much larger. */
const LOUPE = 26
const TIMES = 4

const svg = useTemplateRef<SVGSVGElement>('svg')
const size = useElementSize(svg)
const held = ref<number | null>(null)
/** Pixels of the screen in pixels of the picture. */
const scale = computed(() => (size.width.value > 0 ? props.widthPx / size.width.value : 1))
const px = (pixels: number) => pixels * scale.value
watch(scale, now => emit('scale', now), { immediate: true })

const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
function put(index: number, { x, y }: Point) {
  corners.value = corners.value.map((corner, n) =>
    n === index ? { x: within(x, props.widthPx), y: within(y, props.heightPx) } : corner,
  ) as unknown as Corners
}

/** Where the finger took the handle, off its middle: a corner does not jump to the finger. */
let grip = { x: 0, y: 0 }
function under(event: PointerEvent): Point {
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.value!.getScreenCTM()!.inverse())
  return { x: at.x, y: at.y }
}
function down(index: number, event: PointerEvent) {
  const [corner, at] = [corners.value[index]!, under(event)]
  grip = { x: corner.x - at.x, y: corner.y - at.y }
  held.value = index
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function move(index: number, event: PointerEvent) {
  if (held.value !== index || event.buttons === 0) return
  const at = under(event)
  put(index, { x: at.x + grip.x, y: at.y + grip.y })
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function key(index: number, event: KeyboardEvent) {
  const way = ARROWS[event.key]
  if (!way) return
  event.preventDefault()
  const corner = corners.value[index]!
  const step = (event.shiftKey ? 20 : 2) * Math.max(0.5, scale.value / 2)
  put(index, { x: corner.x + way[0] * step, y: corner.y + way[1] * step })
}

const loupe = computed(() => {
  if (held.value === null) return null
  const corner = corners.value[held.value]!
  const side = px(LOUPE * 2 * TIMES)
  // In the corner of the picture that is farthest from the finger.
  return {
    x: corner.x < props.widthPx / 2 ? props.widthPx - side - px(6) : px(6),
    y: corner.y < props.heightPx / 2 ? props.heightPx - side - px(6) : px(6),
    side,
    box: `${corner.x - px(LOUPE)} ${corner.y - px(LOUPE)} ${px(2 * LOUPE)} ${px(2 * LOUPE)}`,
    cross: `M${corner.x - px(8)} ${corner.y} h${px(16)} M${corner.x} ${corner.y - px(8)} v${px(16)}`,
  }
})
const edge = computed(() => `M${corners.value.map(({ x, y }) => `${x} ${y}`).join(' L')} Z`)
</script>

<template>
  <svg ref="svg" :viewBox="`0 0 ${widthPx} ${heightPx}`" class="corners" role="group" aria-label="The coupon’s corners">
    <image :href="url" :width="widthPx" :height="heightPx" />
    <path :d="edge" class="edge under" :stroke-width="px(4)" />
    <path :d="edge" class="edge" :stroke-width="px(1.6)" />
    <g
      v-for="(corner, index) in corners"
      :key="LETTERS[index]"
      tabindex="0"
      role="button"
      :aria-label="`Corner ${LETTERS[index]}: ${PLACES[index]}. Arrow keys move it`"
      :transform="`translate(${corner.x} ${corner.y})`"
      class="handle"
      @pointerdown="down(index, $event)"
      @pointermove="move(index, $event)"
      @focus="held = index"
      @blur="held = null"
      @keydown="key(index, $event)"
    >
      <circle :r="px(24)" class="reach" />
      <circle :r="px(13)" class="ring" :stroke-width="px(3)" />
      <path :d="`M${-px(5)} 0 H${px(5)} M0 ${-px(5)} V${px(5)}`" :stroke-width="px(1.4)" class="cross" />
      <text :x="px(17)" :y="-px(12)" :font-size="px(17)">{{ LETTERS[index] }}</text>
    </g>
    <g v-if="loupe" class="loupe">
      <svg :x="loupe.x" :y="loupe.y" :width="loupe.side" :height="loupe.side" :viewBox="loupe.box">
        <image :href="url" :width="widthPx" :height="heightPx" />
        <path :d="edge" class="edge" :stroke-width="px(0.5)" />
        <path :d="loupe.cross" class="cross" :stroke-width="px(0.6)" />
      </svg>
      <rect :x="loupe.x" :y="loupe.y" :width="loupe.side" :height="loupe.side" :stroke-width="px(2)" class="frame" />
    </g>
  </svg>
</template>

<style scoped>
.corners {
  display: block;
  max-width: 100%;
  max-height: 56dvh;
  margin: 0 auto;
  touch-action: none;
  user-select: none;
  background: #14191c;
  border-radius: 6px;
}
.edge {
  fill: none;
  stroke: #ffb648;
}
.edge.under {
  stroke: #14191c;
  stroke-opacity: 0.6;
}
.handle {
  cursor: grab;
  outline: none;
}
.reach {
  fill: transparent;
}
.ring {
  fill: rgb(20 25 28 / 0.25);
  stroke: #ffb648;
}
.handle:focus-visible .ring {
  stroke: #fff;
}
.cross {
  stroke: #fff;
  fill: none;
}
text {
  fill: #fff;
  font-weight: 800;
  paint-order: stroke;
  stroke: #14191c;
  stroke-width: 0.2em;
}
.loupe {
  pointer-events: none;
}
.frame {
  fill: none;
  stroke: #fff;
}
</style>
