<script setup lang="ts">
import { sayToStudent, type Help } from '~~/core/readiness'

/** How far along a student is, in the words that the student reads: no count of tests, what is there and what next. */
const props = defineProps<{ odds: number; coupons: number; helps: readonly Help[] }>()
const WORTH = 0.005
const told = computed(() =>
  sayToStudent(props.odds, props.coupons, props.helps.find(help => help.gain > WORTH)?.name ?? null),
)
</script>

<template>
  <div class="own">
    <p class="says">{{ told.says }}</p>
    <p>{{ told.then }}</p>
  </div>
</template>

<style scoped>
.own {
  display: grid;
  gap: 6px;
}
.says {
  font-size: 1.3rem;
  font-weight: 650;
}
</style>
