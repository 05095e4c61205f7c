<script setup lang="ts">
import { elementOf } from '~~/core/grading'
import type { FailureCount, Outlook, TestPlan } from '~~/core/readiness'

/** The piece, pass by pass along its seam: the darker a place, the more attempts end there. */
const props = defineProps<{ plan: TestPlan; outlook: Outlook; heading: string }>()

const passes = computed(() => {
  const found = new Map<string, { id: string; role: string; cells: number[] }>()
  for (const task of props.plan.tasks)
    if (!found.has(task.pass))
      found.set(task.pass, { id: task.pass, role: task.role, cells: Array<number>(12).fill(0) })
  for (const row of props.outlook.failures) found.get(row.pass)!.cells[row.twelfth]! += row.count
  return [...found.values()].reverse()
})
const most = computed(() => Math.max(1, ...passes.value.flatMap(pass => pass.cells)))
const pipe = computed(() => 'pipe' in props.plan.piece.piece)
const HOURS = ['12', '1', '2', '3', '4', '5', '6', '7', '8', '9', '10', '11']
const STAGES: Readonly<Record<FailureCount['stage'], string>> = {
  face: 'seen on the cap',
  root: 'seen at the root',
  bend: 'opens in a bend',
}

/** The same counts, summed by what and where they are seen. */
const reasons = computed(() => {
  const sums = new Map<string, { says: string; count: number }>()
  for (const { stage, element, role, count } of props.outlook.failures) {
    const key = `${stage} ${element} ${role}`
    const says = `${elementOf(element).name}, ${role}: ${STAGES[stage]}`
    sums.set(key, { says, count: (sums.get(key)?.count ?? 0) + count })
  }
  return [...sums.values()].sort((a, b) => b.count - a.count).slice(0, 5)
})
const failed = computed(() => props.outlook.failures.reduce((sum, row) => sum + row.count, 0))
const part = (count: number) => `${Math.max(1, Math.round((100 * count) / Math.max(1, failed.value)))} %`
</script>

<template>
  <section v-if="failed > 0" :aria-label="heading">
    <h2 class="section-title">{{ heading }}</h2>
    <div class="pair">
      <svg
        viewBox="0 0 320 170"
        preserveAspectRatio="xMinYMin meet"
        role="img"
        aria-label="Where on the piece it is decided, by pass and place"
      >
        <g v-for="(pass, row) in passes" :key="pass.id" :transform="`translate(0 ${row * (140 / passes.length)})`">
          <text x="0" :y="70 / passes.length + 4">{{ pass.role }}</text>
          <rect
            v-for="(count, twelfth) in pass.cells"
            :key="twelfth"
            :x="44 + twelfth * 22.8"
            y="1"
            width="21.6"
            :height="140 / passes.length - 2"
            rx="2"
            class="metal"
          />
          <rect
            v-for="(count, twelfth) in pass.cells"
            :key="`hot ${twelfth}`"
            :x="44 + twelfth * 22.8"
            y="1"
            width="21.6"
            :height="140 / passes.length - 2"
            rx="2"
            class="hot"
            :opacity="count / most"
          />
        </g>
        <g v-for="strip in plan.strips" :key="strip.fromMm">
          <rect
            :x="44 + (strip.fromMm / plan.seamMm) * 273.6"
            y="0"
            :width="((strip.toMm - strip.fromMm) / plan.seamMm) * 273.6"
            height="140"
            class="strip"
          />
          <text :x="44 + ((strip.fromMm + strip.toMm) / 2 / plan.seamMm) * 273.6" y="153" text-anchor="middle">
            {{ strip.bend }}
          </text>
        </g>
        <g v-if="pipe">
          <text v-for="(hour, n) in HOURS" :key="hour" :x="44 + n * 22.8" y="168" text-anchor="middle" class="hour">
            {{ n % 3 === 0 ? hour : '' }}
          </text>
        </g>
      </svg>
      <ol>
        <li v-for="reason in reasons" :key="reason.says">
          <b class="num">{{ part(reason.count) }}</b><span>{{ reason.says }}</span>
        </li>
      </ol>
    </div>
  </section>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
  padding-top: 8px;
}
svg {
  width: 100%;
}
text {
  font-size: 10.5px;
  fill: currentColor;
}
.hour {
  fill: var(--quiet);
}
.metal {
  fill: var(--steel-light);
}
.hot {
  fill: #b3331b;
}
.strip {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.2;
  stroke-dasharray: 4 2.5;
  opacity: 0.8;
}
li {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr);
  align-items: baseline;
  padding: 3px 0;
}
li b {
  font-size: 1.05rem;
}
@media (max-width: 820px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
