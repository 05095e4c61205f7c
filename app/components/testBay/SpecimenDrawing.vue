<script setup lang="ts">
import { isTry, passOf, type CouponDocument } from '~~/core/coupon'
import type { Opening, Specimen } from '~~/core/welderTest'
import { formatLength, type LengthUnit } from '~~/core/units'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'
import { labelAt, leftOver, sector } from '~/drawing/specimenShapes'

/**
 * The piece with what is cut from it, to scale: a plate from above, a pipe unrolled and from its end. Openings of
 * bends stand where they lay.
 */
const props = defineProps<{
  coupon: CouponDocument
  specimens: readonly Specimen[]
  outcomes: ReadonlyMap<string, 'passes' | 'fails' | 'another specimen'>
  openings: readonly { readonly specimenId: string; readonly opening: Opening; readonly atMm: number }[]
  unit: LengthUnit
  pipe: { readonly outsideMm: number; readonly wallMm: number } | null
  chosen: string | null
}>()
defineEmits<{ choose: [id: string] }>()

const SIDE_MM = 34
const cap = computed(() => props.coupon.beads.filter(bead => passOf(props.coupon, bead)?.face === 'face').at(-1)!.id)
const drawn = computed(() => drawnLanes(props.coupon, 'one pass', cap.value))
const placement = computed(() => placementOf(drawn.value, false))
const middle = computed(() => placement.value.height / 2)
const seamMm = computed(() => drawn.value.lengthMm)
/** What the visual had against it, on the metal that is seen. */
const lanes = computed(
  () => new Map(drawn.value.beads.filter(bead => drawn.value.open.has(bead.id)).map(bead => [bead.id, bead])),
)
const against = computed(() =>
  props.coupon.marks.filter(
    mark =>
      lanes.value.has(mark.beadId) &&
      (mark.kind === 'flaw' ? mark.found === undefined : isTry(mark) && mark.degree !== 'sound'),
  ),
)
/** Lettering that reads alike on a short plate and on a long pipe. */
const em = computed(() => seamMm.value / (props.pipe ? 30 : 42))
const box = computed(() => ({
  x: -2,
  y: middle.value - SIDE_MM - 2.6 * em.value,
  width: seamMm.value + 4,
  height: 2 * SIDE_MM + 5.4 * em.value,
}))
/** What goes over 12 o'clock is drawn at both ends. */
const pieces = computed(() =>
  props.specimens.flatMap(specimen =>
    props.pipe && specimen.fromMm < 0
      ? [
          { ...specimen, fromMm: 0, label: true },
          { ...specimen, fromMm: seamMm.value + specimen.fromMm, toMm: seamMm.value, label: false },
        ]
      : [{ ...specimen, label: true }],
  ),
)
const waste = computed(() => (props.pipe ? [] : leftOver(props.specimens, seamMm.value)))
const stateOf = (id: string) => props.outcomes.get(id)?.replace(' ', '-') ?? 'open'
const ring = computed(() =>
  props.pipe ? { outer: props.pipe.outsideMm / 2, inner: props.pipe.outsideMm / 2 - props.pipe.wallMm } : null,
)
const numberOf = (id: string) => props.specimens.findIndex(specimen => specimen.id === id) + 1
</script>

<template>
  <div class="drawing" :class="{ round: ring }">
    <svg :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`" role="img" aria-label="The piece with its specimens">
      <defs>
        <pattern id="waste" width="3" height="3" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0 V3" stroke="#55616a" stroke-width="0.5" />
        </pattern>
      </defs>
      <rect x="0" :y="middle - SIDE_MM" :width="seamMm" :height="2 * SIDE_MM" class="metal" />
      <WeldedStrip :document="coupon" :drawn="drawn" :placement="placement" />
      <rect
        v-for="part in waste"
        :key="part.fromMm"
        :x="part.fromMm"
        :y="middle - SIDE_MM"
        :width="part.toMm - part.fromMm"
        :height="2 * SIDE_MM"
        fill="url(#waste)"
        opacity="0.35"
      />
      <g
        v-for="piece in pieces"
        :key="`${piece.id} ${piece.fromMm}`"
        class="cut"
        :class="[stateOf(piece.id), { chosen: piece.id === chosen }]"
        @click="$emit('choose', piece.id)"
      >
        <rect
          :x="piece.fromMm"
          :y="middle - SIDE_MM + 1"
          :width="piece.toMm - piece.fromMm"
          :height="2 * SIDE_MM - 2"
          rx="0.8"
        />
        <template v-if="piece.label">
          <text
            :x="(piece.fromMm + piece.toMm) / 2"
            :y="middle - SIDE_MM - 0.7 * em"
            :font-size="em * 1.15"
            class="name"
          >
            {{ numberOf(piece.id) }} {{ piece.kind }}
          </text>
          <text :x="(piece.fromMm + piece.toMm) / 2" :y="middle + SIDE_MM + 1.35 * em" :font-size="em" class="size">
            {{ formatLength(piece.toMm - piece.fromMm, unit) }}
          </text>
        </template>
      </g>
      <MarkSign
        v-for="mark in against"
        :key="mark.id"
        :mark="mark"
        :bead="lanes.get(mark.beadId)!"
        :placement="placement"
        :selected="false"
        :radius="em * 0.6"
      />
      <g v-for="(one, n) in openings" :key="n" class="opening">
        <circle :cx="one.atMm" :cy="middle" :r="em * 0.62" />
        <path :d="`M${one.atMm - em * 0.3} ${middle} h${em * 0.6}`" />
      </g>
    </svg>
    <svg
      v-if="ring"
      :viewBox="`${-ring.outer * 1.5} ${-ring.outer * 1.5} ${ring.outer * 3} ${ring.outer * 3}`"
      role="img"
      aria-label="The pipe from its end, 12 o’clock on top"
      class="end"
    >
      <circle :r="(ring.outer + ring.inner) / 2" class="wall" :stroke-width="ring.outer - ring.inner" />
      <g
        v-for="specimen in specimens"
        :key="specimen.id"
        class="cut"
        :class="[stateOf(specimen.id), { chosen: specimen.id === chosen }]"
        @click="$emit('choose', specimen.id)"
      >
        <path :d="sector(specimen, seamMm, ring.outer + 1, ring.inner - 1)" />
        <text
          :x="labelAt(specimen, seamMm, ring.outer * 1.28).x"
          :y="labelAt(specimen, seamMm, ring.outer * 1.28).y"
          :font-size="ring.outer / 5.2"
          class="name at"
        >
          {{ specimen.kind }}
        </text>
        <text
          :x="labelAt(specimen, seamMm, ring.inner * 0.74).x"
          :y="labelAt(specimen, seamMm, ring.inner * 0.74).y"
          :font-size="ring.outer / 6"
          class="size at"
        >
          {{ `${labelAt(specimen, seamMm, 1).degrees}°` }}
        </text>
      </g>
      <text y="0" :font-size="ring.outer / 5" class="size at">{{ coupon.ticket.position }}</text>
      <path :d="`M0 ${-ring.outer * 1.3} v${ring.outer * 0.2}`" class="top" :stroke-width="ring.outer / 40" />
      <text :y="-ring.outer * 1.33" :font-size="ring.outer / 6" class="size" text-anchor="middle">12</text>
    </svg>
  </div>
</template>

<style scoped>
.drawing {
  display: grid;
  gap: 14px;
}
.drawing.round {
  grid-template-columns: minmax(0, 2.3fr) minmax(150px, 1fr);
  align-items: center;
}
svg {
  display: block;
  width: 100%;
  max-height: 340px;
}
.metal {
  fill: var(--steel-light);
  stroke: var(--steel-dark);
  stroke-width: 0.4;
}
.wall {
  fill: none;
  stroke: var(--steel);
}
.cut {
  cursor: pointer;
}
.cut rect,
.cut path {
  fill: rgba(255, 255, 255, 0.16);
  stroke: #1d262b;
  stroke-width: 0.7;
  stroke-dasharray: 2.4 1.4;
}
.passes rect,
.passes path {
  fill: rgba(36, 84, 154, 0.28);
  stroke-dasharray: none;
}
.fails rect,
.fails path {
  fill: rgba(179, 51, 27, 0.5);
  stroke: #7c1f0e;
  stroke-dasharray: none;
}
.another-specimen rect,
.another-specimen path {
  fill: rgba(216, 176, 74, 0.5);
  stroke-dasharray: none;
}
.chosen rect,
.chosen path {
  stroke: #d1741d;
  stroke-width: 1.6;
  stroke-dasharray: none;
}
text {
  fill: var(--ink);
  text-anchor: middle;
}
.name {
  font-weight: 650;
}
.size {
  fill: var(--quiet);
  font-variant-numeric: tabular-nums;
}
.at {
  dominant-baseline: central;
}
.top {
  stroke: var(--quiet);
}
.opening circle {
  fill: #b3331b;
  stroke: #fff;
  stroke-width: 0.4;
}
.opening path {
  stroke: #fff;
  stroke-width: 0.7;
}
@media (max-width: 900px) {
  .drawing.round {
    grid-template-columns: minmax(0, 1fr);
  }
  .end {
    max-width: 260px;
    margin: 0 auto;
  }
}
</style>
