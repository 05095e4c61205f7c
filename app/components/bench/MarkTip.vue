<script setup lang="ts">
/** What the selected mark says, beside it and inside the drawing. Drawing units; `px` gives them for screen pixels. */
const props = defineProps<{ x: number; y: number; text: string; width: number; px: (pixels: number) => number }>()

const LINE = 20
const wideOf = (text: string) => props.px(text.length * 6.9 + 24)
/** Beside the plate lie its ruler and some air, px. */
const room = computed(() => props.width + props.px(48))
/** In one line where it fits, else broken after the comma that leaves both halves shortest. */
const lines = computed(() => {
  const parts = props.text.split(', ')
  if (wideOf(props.text) <= room.value || parts.length < 2) return [props.text]
  const broken = parts.slice(1).map((_, n) => [parts.slice(0, n + 1).join(', '), parts.slice(n + 1).join(', ')])
  const longest = (both: readonly string[]) => Math.max(...both.map(line => line.length))
  return broken.reduce((best, both) => (longest(both) < longest(best) ? both : best))
})
const wide = computed(() => Math.max(...lines.value.map(wideOf)))
const high = computed(() => props.px(10 + LINE * lines.value.length))
/** Inside the drawing; words wider than it stand out on both sides alike. */
const left = computed(() => {
  const [least, most] = [-props.px(36), props.width - wide.value + props.px(12)]
  if (most < least) return (props.width - wide.value) / 2
  return Math.max(least, Math.min(most, props.x - wide.value / 2))
})
const top = computed(() => {
  const above = props.y - high.value - props.px(22)
  return above < -props.px(24) ? props.y + props.px(22) : above
})
</script>

<template>
  <g class="tip">
    <rect :x="left" :y="top" :width="wide" :height="high" :rx="px(7)" />
    <text
      v-for="(line, n) in lines"
      :key="line"
      :x="left + wide / 2"
      :y="top + px(20 + LINE * n)"
      :font-size="px(14)"
      text-anchor="middle"
      >{{ line }}</text
    >
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
