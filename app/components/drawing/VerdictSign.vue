<script setup lang="ts">
import type { Verdict } from '~~/core/coupon'

/** A verdict by its shape first: an arrowhead goes on, a ring comes round again, a slab starts from nothing. */
defineProps<{ verdict: Verdict; size?: number }>()
</script>

<template>
  <svg :width="size ?? 28" :height="size ?? 28" viewBox="0 0 28 28" aria-hidden="true">
    <path v-if="verdict === 'move on'" d="M4 3 L25 14 L4 25 L9 14 Z" class="on" />
    <path
      v-else-if="verdict === 'run it again'"
      d="M21 6.2 A 10.4 10.4 0 1 0 24.2 16 M24.6 2.2 V 9.4 H 17.2"
      class="again"
    />
    <path v-else d="M3 10 H25 V18 H3 Z" class="over" />
  </svg>
</template>

<style scoped>
svg {
  flex: none;
}
.on {
  fill: rgb(var(--v-theme-success));
}
.again {
  fill: none;
  stroke: rgb(var(--v-theme-warning));
  stroke-width: 3.6;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.over {
  fill: var(--poor);
}
</style>
