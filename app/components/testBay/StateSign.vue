<script setup lang="ts">
import type { TestState } from '~~/core/welderTest'

/** Where a test stands: by shape first, by colour second. */
defineProps<{ state: TestState; size?: number }>()
const FRACTIONS: Readonly<Record<Exclude<TestState, 'passed' | 'failed'>, number>> = {
  'planned': 0,
  'under way': 0.25,
  'for visual': 0.5,
  'for specimens': 0.75,
}
/** A ring filled so far, clockwise from the top. */
function arc(share: number): string {
  const angle = 2 * Math.PI * share
  return `M12 12 V3 A9 9 0 ${share > 0.5 ? 1 : 0} 1 ${12 + 9 * Math.sin(angle)} ${12 - 9 * Math.cos(angle)} Z`
}
</script>

<template>
  <svg viewBox="0 0 24 24" :width="size ?? 22" :height="size ?? 22" role="img" :aria-label="state">
    <template v-if="state === 'passed'">
      <circle cx="12" cy="12" r="10" class="passed" />
      <path d="M7 12.5 l3.4 3.6 L17 8.6" class="stroke" />
    </template>
    <template v-else-if="state === 'failed'">
      <rect x="3" y="3" width="18" height="18" rx="2" class="failed" />
      <path d="M8 8 L16 16 M16 8 L8 16" class="stroke" />
    </template>
    <template v-else>
      <circle cx="12" cy="12" r="9" class="ring" />
      <path v-if="FRACTIONS[state] > 0" :d="arc(FRACTIONS[state])" class="part" />
    </template>
  </svg>
</template>

<style scoped>
svg {
  flex: none;
}
.passed {
  fill: var(--temper-blue);
}
.failed {
  fill: #b3331b;
}
.stroke {
  fill: none;
  stroke: #fff;
  stroke-width: 2.4;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.ring {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 2;
}
.part {
  fill: var(--temper-bronze);
}
</style>
