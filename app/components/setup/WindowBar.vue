<script setup lang="ts">
import type { StartCurrent } from '~~/core/setup'

/** Where the start lies: the window that is run here over the published one. Both are always named. */
const props = defineProps<{ current: StartCurrent }>()
const scale = computed(() => {
  const { window, published } = props.current
  const low = Math.min(window.lowA, published.lowA) - 8
  const high = Math.max(window.highA, published.highA) + 8
  return (amperes: number) => ((amperes - low) / (high - low)) * 100
})
const band = (low: number, high: number) => ({
  left: `${scale.value(low)}%`,
  width: `${scale.value(high) - scale.value(low)}%`,
})
const same = computed(() => props.current.window.source === props.current.published.source)
const outside = computed(
  () => props.current.startA < props.current.published.lowA || props.current.startA > props.current.published.highA,
)
</script>

<template>
  <div class="bar">
    <div class="track" aria-hidden="true">
      <span class="published" :style="band(current.published.lowA, current.published.highA)" />
      <span v-if="!same" class="here" :style="band(current.window.lowA, current.window.highA)" />
      <span class="start" :style="{ left: `${scale(current.startA)}%` }" />
    </div>
    <p class="num">
      <span v-if="!same"
        ><i class="key dark" aria-hidden="true" /> {{ current.window.lowA }}–{{ current.window.highA }} A
        {{ current.window.source.name === 'house rules' ? 'in this house' : 'in practice' }}</span
      >
      <span
        ><i class="key" aria-hidden="true" /> {{ current.published.lowA }}–{{ current.published.highA }} A
        published<template v-if="outside">: the start lies outside it</template></span
      >
    </p>
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 26px;
  border-radius: 6px;
  background: rgb(var(--v-theme-surface-variant));
  overflow: hidden;
}
.track span {
  position: absolute;
}
.published {
  top: 4px;
  bottom: 4px;
  border-radius: 4px;
  background: var(--steel);
}
.here {
  top: 9px;
  bottom: 9px;
  border-radius: 4px;
  background: var(--temper-bronze);
}
.start {
  top: 0;
  bottom: 0;
  width: 4px;
  margin-left: -2px;
  background: rgb(var(--v-theme-on-surface));
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-size: 0.88rem;
  color: var(--quiet);
  margin-top: 4px;
}
.key {
  display: inline-block;
  width: 12px;
  height: 12px;
  border-radius: 3px;
  background: var(--steel);
  vertical-align: -1px;
}
.dark {
  background: var(--temper-bronze);
}
</style>
