<script setup lang="ts">
import { MM_PER_INCH, type LengthUnit, wholeSteps } from '~~/core/units'
import type { Placement } from '~/drawing/placement'

/** A ruler along the beads, in the house's unit. */
const props = defineProps<{
  placement: Placement
  lengthMm: number
  unit: LengthUnit
  px: (pixels: number) => number
}>()

const ticks = computed(() => {
  const inch = props.unit === 'in'
  const step = inch ? MM_PER_INCH / 8 : 5
  const perLabel = inch ? 8 : 4
  const count = wholeSteps(props.lengthMm, step)
  return Array.from({ length: count + 1 }, (_, index) => {
    const long = index % perLabel === 0
    const half = index % (perLabel / 2) === 0
    return {
      at: index * step,
      length: long ? 13 : half ? 9 : 5,
      label: long ? (inch ? `${index / 8}${index === 0 ? ' in' : ''}` : `${index * 5}${index === 0 ? ' mm' : ''}`) : '',
    }
  })
})

function lineOf(at: number, length: number) {
  const { upright, point, height } = props.placement
  const { x, y } = point(at, 0)
  return upright
    ? { x1: -props.px(8), x2: -props.px(8 + length), y1: y, y2: y }
    : { x1: x, x2: x, y1: height + props.px(7), y2: height + props.px(7 + length) }
}
</script>

<template>
  <g class="ruler">
    <template v-for="tick in ticks" :key="tick.at">
      <line v-bind="lineOf(tick.at, tick.length)" :stroke-width="px(1.2)" />
      <text
        v-if="tick.label"
        :x="placement.upright ? -px(24) : placement.point(tick.at, 0).x"
        :font-size="px(14)"
        :y="placement.upright ? placement.point(tick.at, 0).y + px(5) : placement.height + px(37)"
        :text-anchor="placement.upright ? 'end' : 'middle'"
        >{{ placement.upright ? tick.label.replace(/ .*/, '') : tick.label }}</text
      >
    </template>
  </g>
</template>

<style scoped>
line {
  stroke: var(--quiet);
}
text {
  fill: var(--quiet);
  font-variant-numeric: tabular-nums;
}
</style>
