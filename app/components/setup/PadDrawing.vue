<script setup lang="ts">
import type { PadPlan } from '~~/core/deposit'
import { padSection } from '~~/core/deposit'

/**
 * The pad from above with every restart, and beside it in section: one scale, bead beside bead, each with the metal
 * it holds.
 */
const props = defineProps<{ plan: PadPlan; beadMm: number; lengthMm: number; widthMm: number; thicknessMm: number }>()

/** Where the first bead's lower edge lies: the pad stands centred on its plate. */
const lower = computed(() => (props.widthMm - props.beadMm - props.plan.stepMm * (props.plan.beads - 1)) / 2)
const lanes = computed(() =>
  props.plan.restarts.map((places, index) => ({
    y: props.widthMm - lower.value - props.beadMm / 2 - props.plan.stepMm * index,
    places,
  })),
)
const beads = computed(() =>
  padSection({
    count: props.plan.beads,
    beadMm: props.beadMm,
    stepMm: props.plan.stepMm,
    areaMm2: props.plan.beadAreaMm2,
  }),
)
const highest = computed(() => Math.max(...beads.value.flatMap(bead => bead.map(point => point.y))))
const left = computed(() => props.lengthMm + Math.max(8, props.lengthMm * 0.06))
const face = computed(() => left.value + props.thicknessMm)
const sections = computed(() =>
  beads.value.map(bead => {
    const points = bead.map(
      ({ x, y }) => `${(face.value + y).toFixed(2)} ${(props.widthMm - lower.value - x).toFixed(2)}`,
    )
    return `M${points.join(' L')} Z`
  }),
)
const box = computed(() => {
  const over = Math.max(0, -lower.value)
  return `-2 ${-over - 2} ${face.value + highest.value + 4} ${props.widthMm + 2 * over + 4}`
})
</script>

<template>
  <svg :viewBox="box" role="img" :aria-label="`Plan and section: ${plan.beads} beads, ${plan.restartCount} restarts`">
    <rect :width="lengthMm" :height="widthMm" class="plate" />
    <rect
      v-for="(lane, index) in lanes"
      :key="index"
      x="0"
      :y="lane.y - beadMm / 2"
      :width="lengthMm"
      :height="beadMm"
      :rx="beadMm * 0.42"
      class="bead"
    />
    <template v-for="(lane, index) in lanes" :key="`r${index}`">
      <circle
        v-for="at in lane.places"
        :key="at"
        :cx="at"
        :cy="lane.y"
        :r="Math.max(0.8, beadMm * 0.2)"
        class="restart"
      />
    </template>
    <rect :x="left" y="0" :width="thicknessMm" :height="widthMm" class="plate" />
    <path v-for="(d, index) in sections" :key="`s${index}`" :d="d" class="cut" :class="{ odd: index % 2 === 1 }" />
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-height: 380px;
}
.plate {
  fill: var(--steel-light);
  stroke: var(--steel-dark);
  stroke-width: 0.3;
}
.bead {
  fill: var(--steel);
  stroke: #46525a;
  stroke-width: 0.3;
}
.restart {
  fill: #fff;
  stroke: #14191c;
  stroke-width: 0.45;
}
.cut {
  fill: #8a959b;
  stroke: #333e44;
  stroke-width: 0.22;
}
.odd {
  fill: var(--steel);
}
</style>
