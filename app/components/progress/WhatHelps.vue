<script setup lang="ts">
import type { Help } from '~~/core/readiness'

/**
 * What each skill is worth: the odds if half of its unsound work were sound; for a student, one beside the other,
 * without a count of tests.
 */
const props = defineProps<{ helps: readonly Help[]; odds: number; counted: boolean }>()
const shown = computed(() => props.helps.filter(help => help.gain > 0.005).slice(0, 4))
const most = computed(() => Math.max(...shown.value.map(help => help.gain)))
const part = (gain: number) => (props.counted ? gain : gain / most.value)
</script>

<template>
  <section v-if="shown.length > 0" aria-label="What would help most">
    <h2 class="section-title">What would help most</h2>
    <ul>
      <li v-for="help in shown" :key="help.element">
        <span>{{ help.name }}</span>
        <span class="line" aria-hidden="true"
          ><i v-if="counted" :style="{ width: `${odds * 100}%` }" /><b :style="{ width: `${part(help.gain) * 100}%` }"
        /></span>
        <span v-if="counted" class="to num">{{ Math.max(1, Math.round(help.gain * 100)) }} more in 100</span>
      </li>
    </ul>
    <p class="quiet">Each with half as much unsound as now, everything else as it is.</p>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 6px;
  padding: 8px 0;
}
li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) 128px;
  gap: 12px;
  align-items: center;
}
.line {
  display: flex;
  height: 14px;
  border-radius: 7px;
  overflow: hidden;
  background: rgb(var(--v-theme-surface-variant));
}
.line i {
  background: var(--temper-blue);
}
.line b {
  background: var(--temper-straw);
}
.to {
  white-space: nowrap;
}
</style>
