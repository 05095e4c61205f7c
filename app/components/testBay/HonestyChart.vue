<script setup lang="ts">
import type { Honesty } from '~~/core/welderTest'

/**
 * What was said against what came: on the line a forecast is honest. The bar is the interval that so few tests
 * allow.
 */
const props = defineProps<{ honesty: Honesty }>()
const SIZE = 240
const x = (share: number) => 34 + share * SIZE
const y = (share: number) => 10 + (1 - share) * SIZE
const TICKS = [0, 0.2, 0.4, 0.6, 0.8, 1]
const radius = (count: number) => 4 + 9 * Math.sqrt(count / Math.max(1, props.honesty.forecasts))
const spoken = computed(() =>
  props.honesty.bands
    .map(band => `of ${band.count} said about ${Math.round(band.said * 10)} of 10, ${band.passed} passed`)
    .join('; '),
)
</script>

<template>
  <svg viewBox="0 0 290 292" role="img" :aria-label="spoken">
    <rect :x="x(0)" :y="y(1)" :width="SIZE" :height="SIZE" class="ground" />
    <path :d="`M${x(0)} ${y(0)} L${x(1)} ${y(1)}`" class="honest" />
    <g v-for="tick in TICKS" :key="tick">
      <text :x="x(tick)" :y="y(0) + 16" text-anchor="middle">{{ tick * 10 }}</text>
      <text :x="x(0) - 6" :y="y(tick) + 4" text-anchor="end">{{ tick * 10 }}</text>
    </g>
    <g v-for="band in honesty.bands" :key="band.low">
      <path :d="`M${x(band.said)} ${y(band.interval.low)} V${y(band.interval.high)}`" class="range" />
      <circle :cx="x(band.said)" :cy="y(band.passed / band.count)" :r="radius(band.count)" />
    </g>
    <text :x="x(0.5)" :y="y(0) + 32" text-anchor="middle">said, of 10</text>
    <text x="8" :y="y(0.5)" text-anchor="middle" :transform="`rotate(-90 8 ${y(0.5)})`">passed, of 10</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 330px;
}
.ground {
  fill: none;
  stroke: var(--line);
}
.honest {
  stroke: var(--quiet);
  stroke-dasharray: 4 4;
}
.range {
  stroke: var(--temper-bronze);
  stroke-width: 2.5;
}
circle {
  fill: var(--temper-blue);
  stroke: rgb(var(--v-theme-surface));
  stroke-width: 1.5;
}
text {
  font-size: 11px;
  fill: currentColor;
}
</style>
