<script setup lang="ts">
import type { CutBar, CutOrder } from '~~/core/cutting'
import { formatLength, type LengthUnit } from '~~/core/units'

/** Bars as they are cut, to one scale: like ones once, with how often. What is kept is open, what is lost is red. */
const props = defineProps<{ bars: readonly CutBar[]; order: CutOrder; unit: LengthUnit }>()
const WIDTH = 1000
const HEIGHT = 44

const longest = computed(() => Math.max(...props.bars.map(bar => bar.lengthMm)))
const scale = computed(() => WIDTH / longest.value)
/** Like bars are cut one after the other. */
const groups = computed(() => {
  const found = new Map<string, { bar: CutBar; times: number }>()
  for (const bar of props.bars) {
    const like = `${bar.stock} ${bar.pieces.map(piece => piece.name + piece.lengthMm).join()}`
    found.set(like, { bar, times: (found.get(like)?.times ?? 0) + 1 })
  }
  return [...found.values()].sort((a, b) => b.times - a.times)
})
const say = (mm: number) => formatLength(mm, props.unit)
/** The pieces of a bar in words: `4 × practice plate 6 in`. */
function listed({ pieces }: CutBar): string {
  const kinds = new Map<string, number>()
  for (const { name, lengthMm } of pieces) {
    const words = `${name} ${say(lengthMm)}`
    kinds.set(words, (kinds.get(words) ?? 0) + 1)
  }
  return [...kinds].map(([words, count]) => `${count} × ${words}`).join(', ')
}
const left = ({ leftMm, keeps }: CutBar) => (leftMm <= 0 ? 'nothing left' : `${say(leftMm)} ${keeps ? 'kept' : 'lost'}`)
</script>

<template>
  <ul>
    <li v-for="({ bar, times }, n) in groups" :key="n">
      <p>
        <b class="num">{{ times }} ×</b> {{ order.stock[bar.stock]!.name }}: {{ listed(bar) }}; {{ left(bar) }}
      </p>
      <svg :viewBox="`-2 -2 ${WIDTH + 4} ${HEIGHT + 4}`" role="img" :aria-label="`${times} bars: ${listed(bar)}`">
        <rect :width="bar.lengthMm * scale" :height="HEIGHT" class="bar" :class="{ lost: !bar.keeps }" />
        <g v-for="(piece, i) in bar.pieces" :key="i" :transform="`translate(${piece.fromMm * scale} 0)`">
          <rect :width="piece.lengthMm * scale" :height="HEIGHT" class="piece" />
          <text v-if="piece.lengthMm * scale > 60" :x="(piece.lengthMm * scale) / 2" :y="HEIGHT / 2 + 5">
            {{ say(piece.lengthMm) }}
          </text>
        </g>
      </svg>
    </li>
  </ul>
</template>

<style scoped>
ul {
  padding: 0;
  display: grid;
  gap: 14px;
}
li {
  list-style: none;
}
svg {
  display: block;
  width: 100%;
  margin-top: 4px;
}
.bar {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.5;
}
.bar.lost {
  fill: rgba(var(--v-theme-error), 0.28);
}
.piece {
  fill: var(--steel);
  stroke: rgb(var(--v-theme-surface));
  stroke-width: 2;
}
text {
  text-anchor: middle;
  font-size: 15px;
  font-weight: 600;
  fill: #10181d;
}
</style>
