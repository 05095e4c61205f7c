<script setup lang="ts">
import type { JointShape, StackBead, StackPlan } from '~~/core/deposit'
import { formatLength, type LengthUnit } from '~~/core/units'

/** A joint in section that fills bead by bead. Each bead's aim can be dragged, or moved with the arrow keys. */
const props = defineProps<{ plan: StackPlan, shape: JointShape, laid: number, unit: LengthUnit }>()
const emit = defineEmits<{ aim: [bead: number, mm: number] }>()
/** One press of an arrow key, mm: 1/64 in. */
const STEP = 25.4 / 64

const isFillet = computed(() => props.shape.kind === 'fillet')
const thickness = computed(() => (props.shape.kind === 'fillet' || props.shape.kind === 'U' ? props.shape.thicknessMm : props.shape.groove.thicknessMm))
const side = computed(() => -props.plan.section.leftMm)
const line = (points: readonly { x: number, y: number }[]) => `${points.map(({ x, y }, n) => `${n === 0 ? 'M' : 'L'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join(' ')} Z`

const plate = computed(() => {
  const { floor, gridMm, leftMm, depthMm } = props.plan.section
  const top = Array.from(floor, (y, n) => ({ x: leftMm + n * gridMm, y }))
  if (!isFillet.value) return line([...top, { x: side.value, y: -depthMm }, { x: -side.value, y: -depthMm }])
  const t = thickness.value * Math.SQRT1_2
  const [first, last] = [top[0]!, top.at(-1)!]
  return line([...top, { x: last.x + t, y: last.y - t }, { x: 0, y: -depthMm - 2 * t }, { x: first.x - t, y: first.y - t }])
})
/** What is under the groove: the backing bar, or the other side of a double V. */
const below = computed(() => {
  const { depthMm, edgeMm, floor, gridMm, leftMm } = props.plan.section
  if (props.shape.kind === 'V' && props.shape.backing) {
    const half = Math.min(side.value, edgeMm + 4)
    return line([{ x: -half, y: -depthMm }, { x: half, y: -depthMm }, { x: half, y: -depthMm - 5 }, { x: -half, y: -depthMm - 5 }])
  }
  if (props.shape.kind !== 'double V') return ''
  const t = props.shape.groove.thicknessMm
  const under = Array.from(floor, (y, n) => ({ x: leftMm + n * gridMm, y: Math.min(-depthMm, -t - y) }))
  return line([...under, { x: side.value, y: -depthMm }, { x: -side.value, y: -depthMm }])
})
const box = computed(() => {
  const { depthMm } = props.plan.section
  const high = Math.max(3, props.plan.reinforcementMm + 2)
  if (!isFillet.value) return `${-side.value} ${-high} ${2 * side.value} ${high + (props.shape.kind === 'double V' ? thickness.value : depthMm) + (below.value ? 6 : 2)}`
  const reach = depthMm * Math.SQRT2
  return `${-reach - 12} ${-reach - 12} ${reach + 14 + thickness.value} ${reach + 14 + thickness.value}`
})
/** A fillet is planned with its face level; it is drawn as it stands: the lower plate level, on the left. */
const turn = computed(() => (isFillet.value ? `rotate(-45) translate(0 ${-props.plan.section.depthMm})` : undefined))
/** The upright stands on the lower plate: the line between them. */
const seam = computed(() => {
  const { depthMm } = props.plan.section
  const t = thickness.value * Math.SQRT1_2
  return isFillet.value ? `M0 ${depthMm} L${t} ${depthMm + t}` : ''
})
/** Figures and dots keep their size on the screen, whatever the plate's. */
const mark = computed(() => Number(box.value.split(' ')[3]) / 26)
const middle = (bead: StackBead) => ({ x: (bead.fromMm + bead.toMm) / 2, y: bead.outline.reduce((sum, point) => sum + point.y, 0) / bead.outline.length })

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
  emit('aim', bead.number, bead.aimMm + way * STEP * (event.shiftKey ? 4 : 1))
}
</script>

<template>
  <svg ref="svg" :viewBox="box" role="group" :aria-label="`Section, ${plan.beads.length} beads`" @pointermove="drag" @pointerup="dragging = 0" @pointercancel="dragging = 0">
    <g ref="frame" :transform="turn">
      <path v-if="below" :d="below" class="plate under" />
      <path :d="plate" class="plate" />
      <path v-if="seam" :d="seam" class="plate" />
      <g v-for="bead in plan.beads" :key="bead.number" :class="['bead', bead.role, { ahead: bead.number > laid, tight: bead.tight }]">
        <path :d="line(bead.outline)" />
        <text :x="middle(bead).x" :y="-middle(bead).y" :font-size="mark" :transform="isFillet ? `rotate(45 ${middle(bead).x} ${-middle(bead).y})` : undefined">{{ bead.number }}</text>
      </g>
      <g
        v-for="bead in plan.beads" :key="`aim ${bead.number}`" class="aim" role="slider" tabindex="0" :aria-label="`Aim of bead ${bead.number}, ${bead.role}`" :aria-valuenow="Math.round(bead.aimMm * 10) / 10"
        :aria-valuemin="Math.round(-side)" :aria-valuemax="Math.round(side)" :aria-valuetext="`${formatLength(Math.abs(bead.aimMm), unit)} ${bead.aimMm < 0 ? 'left' : 'right'} of the middle`" @pointerdown.prevent="grab($event, bead.number)" @keydown="key($event, bead)"
      >
        <circle :cx="bead.aimMm" :cy="-bead.topMm" :r="mark * 1.1" class="grip" /><circle :cx="bead.aimMm" :cy="-bead.topMm" :r="mark * 0.28" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
svg { width: 100%; max-height: 430px; touch-action: none; user-select: none; }
.plate { fill: var(--steel-light); stroke: var(--steel-dark); stroke-width: 0.2; }
.under { fill: var(--steel); }
.bead path { fill: #8a959b; stroke: #2c373d; stroke-width: 0.18; }
.fill path { fill: #a7b1b6; }
.cap path, .single path { fill: #bfc8cc; }
.ahead path { fill-opacity: 0.25; stroke-dasharray: 0.8 0.5; }
.tight path { stroke: #a82a14; stroke-width: 0.5; }
text { font-weight: 700; fill: #14191c; text-anchor: middle; dominant-baseline: central; pointer-events: none; }
.ahead text { fill: rgb(var(--v-theme-on-surface)); }
.aim { cursor: ew-resize; outline: none; }
.aim circle { fill: #14191c; }
.aim .grip { fill: transparent; }
.aim:hover .grip, .aim:focus-visible .grip { fill: #f3c26b; fill-opacity: 0.8; stroke: #14191c; stroke-width: 0.2; }
</style>
