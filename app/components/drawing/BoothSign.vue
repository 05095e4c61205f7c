<script setup lang="ts">
import type { BoothState } from '~~/core/floor'

/** How a booth stands, by its shape first: sparks weld, a full diamond waits, an eye reads, a cross is out. */
defineProps<{ state: BoothState; size?: number }>()
const SPARKS =
  'M12 1 L14.4 7.8 L21.5 6.5 L16.8 12 L21.5 17.5 L14.4 16.2 L12 23 L9.6 16.2 L2.5 17.5 L7.2 12 L2.5 6.5 L9.6 7.8 Z'
</script>

<template>
  <svg :width="size ?? 22" :height="size ?? 22" viewBox="0 0 24 24" aria-hidden="true">
    <path v-if="state === 'welding'" :d="SPARKS" class="sparks" />
    <path v-else-if="state === 'waits'" d="M12 2 L22 12 L12 22 L2 12 Z" class="full" />
    <g v-else-if="state === 'read now'" class="line">
      <path d="M1.5 12 Q12 1 22.5 12 Q12 23 1.5 12 Z" />
      <circle cx="12" cy="12" r="3.4" class="full" />
    </g>
    <path v-else-if="state === 'out of service'" d="M4 4 L20 20 M20 4 L4 20" class="cross" />
    <circle v-else cx="12" cy="12" r="8.5" class="away" />
  </svg>
</template>

<style scoped>
svg {
  flex: none;
}
.sparks {
  fill: var(--temper-straw);
  stroke: var(--temper-bronze);
  stroke-width: 1.2;
}
.full {
  fill: currentColor;
}
.line {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
}
.line .full {
  stroke: none;
  fill: currentColor;
}
.cross {
  stroke: var(--poor);
  stroke-width: 3.4;
}
.away {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 2;
  stroke-dasharray: 3.2 3.2;
}
</style>
