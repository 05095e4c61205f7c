<script setup lang="ts">
/** What the selected mark says, beside it and inside the drawing. Drawing units; `px` gives them for screen pixels. */
const props = defineProps<{ x: number; y: number; text: string; width: number; px: (pixels: number) => number }>()

const wide = computed(() => props.px(props.text.length * 6.9 + 24))
/** Inside the drawing; words wider than it stand out on both sides alike. */
const left = computed(() => {
  const [least, most] = [-props.px(36), props.width - wide.value + props.px(12)]
  if (most < least) return (props.width - wide.value) / 2
  return Math.max(least, Math.min(most, props.x - wide.value / 2))
})
const top = computed(() => {
  const above = props.y - props.px(52)
  return above < -props.px(24) ? props.y + props.px(22) : above
})
</script>

<template>
  <g class="tip">
    <rect :x="left" :y="top" :width="wide" :height="px(30)" :rx="px(7)" />
    <text :x="left + wide / 2" :y="top + px(20)" :font-size="px(14)" text-anchor="middle">{{ text }}</text>
  </g>
</template>

<style scoped>
.tip {
  pointer-events: none;
}
rect {
  fill: #14191c;
  stroke: #fff;
  stroke-opacity: 0.35;
  stroke-width: 0.25;
}
text {
  fill: #fff;
  font-weight: 600;
}
</style>
