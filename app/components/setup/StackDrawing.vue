<script setup lang="ts">
import type { JointShape, StackBead, StackPlan } from '~~/core/deposit'
import { formatLength, type LengthUnit } from '~~/core/units'
import { beadMiddle, outlinePath, stackPaths } from '~/drawing/stackPaths'

/** A joint in section that fills bead by bead. Each bead's aim can be dragged, or moved with the arrow keys. */
const props = defineProps<{
  plan: StackPlan
  shape: JointShape
  /** Where beads are aimed by hand, by their number: a moment ahead of the plan. */
  aims: Readonly<Record<number, number>>
  laid: number
  unit: LengthUnit
}>()
const emit = defineEmits<{ aim: [bead: number, mm: number] }>()
/** One press of an arrow key, mm: 1/64 in. */
const STEP = 25.4 / 64

const side = computed(() => -props.plan.section.leftMm)
const paths = computed(() => stackPaths(props.plan, props.shape))
const box = computed(
  () => `${paths.value.box.x} ${paths.value.box.y} ${paths.value.box.width} ${paths.value.box.height}`,
)
/** Figures and dots keep their size on the screen at every size of plate. */
const mark = computed(() => paths.value.box.height / 26)

const svg = useTemplateRef<SVGSVGElement>('svg')
const frame = useTemplateRef<SVGGElement>('frame')
const dragging = ref(0)
function drag(event: PointerEvent) {
  if (dragging.value === 0 || !svg.value || !frame.value) return
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(frame.value.getScreenCTM()!.inverse())
  emit('aim', dragging.value, Math.min(side.value - 1, Math.max(1 - side.value, at.x)))
}
function grab(event: PointerEvent, bead: number) {
  dragging.value = bead
  svg.value?.setPointerCapture(event.pointerId)
}
function key(event: KeyboardEvent, bead: StackBead) {
  const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (!way) return
  event.preventDefault()
  const from = props.aims[bead.number] ?? bead.aimMm
  emit('aim', bead.number, from + way * STEP * (event.shiftKey ? 4 : 1))
}
</script>

<template>
  <svg
    ref="svg"
    :viewBox="box"
    role="group"
    :aria-label="`Section, ${plan.beads.length} beads`"
    @pointermove="drag"
    @pointerup="dragging = 0"
    @pointercancel="dragging = 0"
  >
    <g ref="frame" :transform="paths.turn">
      <path v-if="paths.below" :d="paths.below" class="plate under" />
      <path :d="paths.plate" class="plate" />
      <path v-if="paths.seam" :d="paths.seam" class="plate" />
      <g
        v-for="bead in plan.beads"
        :key="bead.number"
        :class="['bead', bead.role, { ahead: bead.number > laid, tight: bead.tight }]"
      >
        <path :d="outlinePath(bead.outline)" />
        <text
          :x="beadMiddle(bead).x"
          :y="-beadMiddle(bead).y"
          :font-size="mark"
          :transform="paths.turn ? `rotate(45 ${beadMiddle(bead).x} ${-beadMiddle(bead).y})` : undefined"
        >
          {{ bead.number }}
        </text>
      </g>
      <g
        v-for="bead in plan.beads"
        :key="`aim ${bead.number}`"
        class="aim"
        role="slider"
        tabindex="0"
        :aria-label="`Aim of bead ${bead.number}, ${bead.role}`"
        :aria-valuenow="Math.round(bead.aimMm * 10) / 10"
        :aria-valuemin="Math.round(-side)"
        :aria-valuemax="Math.round(side)"
        :aria-valuetext="`${formatLength(Math.abs(bead.aimMm), unit)} ${bead.aimMm < 0 ? 'left' : 'right'} of the middle`"
        @pointerdown.prevent="grab($event, bead.number)"
        @keydown="key($event, bead)"
      >
        <circle :cx="bead.aimMm" :cy="-bead.topMm" :r="mark * 1.1" class="grip" />
        <circle :cx="bead.aimMm" :cy="-bead.topMm" :r="mark * 0.28" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 430px;
  touch-action: none;
  user-select: none;
}
.plate {
  fill: var(--steel-light);
  stroke: var(--steel-dark);
  stroke-width: 0.2;
}
.under {
  fill: var(--steel);
}
.bead path {
  fill: #8a959b;
  stroke: #2c373d;
  stroke-width: 0.18;
}
.fill path {
  fill: #a7b1b6;
}
.cap path,
.single path {
  fill: #bfc8cc;
}
.ahead path {
  fill-opacity: 0.25;
  stroke-dasharray: 0.8 0.5;
}
.tight path {
  stroke: #a82a14;
  stroke-width: 0.5;
}
text {
  font-weight: 700;
  fill: #14191c;
  text-anchor: middle;
  dominant-baseline: central;
  pointer-events: none;
}
.ahead text {
  fill: rgb(var(--v-theme-on-surface));
}
.aim {
  cursor: ew-resize;
  outline: none;
}
.aim circle {
  fill: #14191c;
}
.aim .grip {
  fill: transparent;
}
.aim:hover .grip,
.aim:focus-visible .grip {
  fill: #f3c26b;
  fill-opacity: 0.8;
  stroke: #14191c;
  stroke-width: 0.2;
}
</style>
