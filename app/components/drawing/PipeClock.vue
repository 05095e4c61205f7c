<script setup lang="ts">
import { localPositions, QUADRANTS, sayClock, type PositionId } from '~~/core/trade'

/**
 * Over an unrolled pipe: the clock from 12 through 6 to 12, degrees, and how the pool lies in each arc of the
 * circle.
 */
const props = defineProps<{
  lengthMm: number
  position: PositionId
  quarters: boolean
  px: (pixels: number) => number
}>()

const at = (degrees: number) => (degrees / 360) * props.lengthMm
const hours = Array.from({ length: 25 }, (_, n) => ({ degrees: n * 15, long: n % 6 === 0, half: n % 3 === 0 }))
/** As many labels as there is room for, px: every 45 degrees, else every quarter. */
const labelled = computed(() => hours.filter(hour => (props.lengthMm / props.px(1) > 560 ? hour.half : hour.long)))
const arcs = computed(() =>
  localPositions(props.position).map(arc => ({
    ...arc,
    x: at(arc.fromDegrees),
    width: at(arc.toDegrees - arc.fromDegrees),
  })),
)
/** Quarters are named on the metal itself, under the clock. */
const QUARTERS = QUADRANTS.map((name, index) => ({ name, degrees: index * 90 + 45 }))
const fits = (width: number, text: string) => width / props.px(1) > text.length * 7.4 + 8
</script>

<template>
  <g class="clock">
    <g v-for="arc in arcs" :key="arc.fromDegrees" class="arc" :class="arc.local">
      <rect :x="arc.x" :y="-px(66)" :width="arc.width" :height="px(20)" />
      <text
        v-if="fits(arc.width, arc.local)"
        :x="arc.x + arc.width / 2"
        :y="-px(51.5)"
        :font-size="px(13)"
        text-anchor="middle"
        >{{ arc.local }}</text
      >
    </g>
    <template v-if="quarters">
      <text
        v-for="quarter in QUARTERS"
        :key="quarter.name"
        :x="at(quarter.degrees)"
        :y="px(17)"
        :font-size="px(12)"
        text-anchor="middle"
        class="quarter"
        >{{ quarter.name }}</text
      >
    </template>
    <path
      v-for="hour in hours"
      :key="hour.degrees"
      :d="`M${at(hour.degrees)} ${-px(6)} V${-px(hour.long ? 18 : hour.half ? 13 : 9)}`"
      :stroke-width="px(1.2)"
      class="tick"
    />
    <text
      v-for="hour in labelled"
      :key="`l${hour.degrees}`"
      :x="at(hour.degrees)"
      :y="-px(24)"
      :font-size="px(14)"
      text-anchor="middle"
      :class="{ long: hour.long }"
    >
      {{ sayClock(hour.degrees)
      }}<tspan v-if="hour.degrees % 360 !== 0" class="deg" :font-size="px(11.5)" :dx="px(4)">{{ hour.degrees }}°</tspan>
    </text>
  </g>
</template>

<style scoped>
.tick {
  stroke: var(--quiet);
}
text {
  fill: var(--quiet);
  font-variant-numeric: tabular-nums;
}
.long {
  fill: var(--ink);
  font-weight: 700;
}
.quarter {
  fill: #3d474d;
  opacity: 0.8;
}
.deg {
  fill: var(--quiet);
  font-weight: 400;
}
.arc rect {
  fill: rgb(var(--v-theme-surface));
  stroke: var(--line);
  stroke-width: 0.3;
}
.arc text {
  font-weight: 550;
}
.overhead rect {
  fill: rgb(var(--v-theme-surface-variant));
}
</style>
