<script setup lang="ts">
/** Travel against the card's: the middle of the track is on it, the ends are half and double. */
const props = defineProps<{ ofTarget: number }>()
const place = computed(() => Math.min(100, Math.max(0, 50 + 50 * Math.log2(props.ofTarget))))
const word = computed(() => {
  const percent = Math.round(Math.abs(props.ofTarget - 1) * 100)
  return percent < 10 ? 'on the card' : `${percent} % ${props.ofTarget > 1 ? 'faster' : 'slower'}`
})
</script>

<template>
  <div class="gauge">
    <span class="track" aria-hidden="true"><i :style="{ left: `${place}%` }" /></span> {{ word }}
  </div>
</template>

<style scoped>
.gauge {
  display: flex;
  align-items: center;
  gap: 10px;
  white-space: nowrap;
}
.track {
  position: relative;
  width: 110px;
  height: 14px;
  border-radius: 7px;
  background:
    linear-gradient(90deg, transparent 40%, var(--steel) 40% 60%, transparent 60%), rgb(var(--v-theme-surface-variant));
}
i {
  position: absolute;
  top: -3px;
  width: 5px;
  height: 20px;
  margin-left: -2.5px;
  border-radius: 2px;
  background: rgb(var(--v-theme-on-surface));
}
</style>
