<script setup lang="ts">
import { sayBefore, sayOdds, saySure, type SaidBefore } from '~~/core/readiness'

/** Odds as ten test plates, some of which go well: people read counts rightly. The range is bracketed under them. */
const props = defineProps<{
  odds: number
  low: number
  high: number
  /** Coupons of this student, and what came of tests by the odds that were said of them. */
  coupons: number
  before: readonly SaidBefore[]
}>()
const STEP = 34
const at = (share: number) => share * 10 * STEP
const filled = (n: number) => Math.min(1, Math.max(0, props.odds * 10 - n))
</script>

<template>
  <figure>
    <figcaption>
      <b>{{ sayOdds(odds) }}</b> attempts would go well
    </figcaption>
    <svg
      :viewBox="`-2 -2 ${10 * STEP + 2} 52`"
      role="img"
      :aria-label="`${sayOdds(odds)}; between ${sayOdds(low)} and ${sayOdds(high)}`"
    >
      <g v-for="n in 10" :key="n" :transform="`translate(${(n - 1) * STEP} 0)`">
        <rect width="28" height="28" rx="4" class="plate" />
        <rect :width="28 * filled(n - 1)" height="28" rx="4" class="well" />
        <path d="M3 14 h22" class="seam" />
      </g>
      <path class="range" :d="`M${at(low)} 36 v8 H${at(high)} v-8`" />
    </svg>
    <p>{{ saySure({ low, high }, coupons) }}</p>
    <p class="quiet">{{ sayBefore(before, odds) }}</p>
  </figure>
</template>

<style scoped>
figcaption {
  font-size: 1.15rem;
  padding-bottom: 8px;
}
figcaption b {
  font-size: 1.5rem;
  font-weight: 700;
  letter-spacing: -0.01em;
}
svg {
  display: block;
  width: 100%;
  max-width: 420px;
}
.plate {
  fill: rgb(var(--v-theme-surface-variant));
  stroke: var(--quiet);
  stroke-width: 0.8;
}
.well {
  fill: var(--temper-blue);
}
.seam {
  stroke: rgb(var(--v-theme-surface));
  stroke-width: 2.5;
  stroke-dasharray: 2.5 1.2;
  opacity: 0.75;
}
.range {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
}
</style>
