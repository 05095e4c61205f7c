<script setup lang="ts">
import { elementOf } from '~~/core/grading'
import { LIES, SKILL_ELEMENTS, skillOf, skillRate, whenNext, type Lie } from '~~/core/progress'
import { positionOf } from '~~/core/trade'
import type { StudentProgress } from '~~/contract/progress'

/**
 * What the next coupon is expected to bring, by how the pool lies: a rate with its interval, pale where it leans on
 * others more than on own work.
 */
const props = defineProps<{ progress: StudentProgress; today: number }>()
const nameOf = (lie: Lie) => (lie === 'round the pipe' ? lie : positionOf(lie).name)
const lies = computed(() => LIES.filter(lie => props.progress.standing.here[lie] > 0))
const rows = computed(() =>
  SKILL_ELEMENTS.filter(element => props.progress.standing.beliefs[element]).map(element => ({
    element,
    name: elementOf(element).name,
    cells: lies.value.map(lie => {
      const { standing, curves } = props.progress
      const cell = {
        element,
        lie,
        work: lie === 'round the pipe' ? 'pipe' : 'plate',
        rodFamily: 'low hydrogen',
        otherHand: false,
        otherWay: false,
      } as const
      return { lie, ...skillRate(skillOf(standing, curves, element), cell, whenNext(standing, lie, props.today)) }
    }),
  })),
)
const percent = (share: number) => Math.round(share * 100)
</script>

<template>
  <section class="panel skill">
    <h2 class="section-title">What the next coupon would bring</h2>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Sound, in 100</th>
            <th v-for="lie in lies" :key="lie" scope="col">
              {{ nameOf(lie) }}<small>{{ progress.standing.here[lie] }} coupons</small>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.element">
            <th scope="row">{{ row.name }}</th>
            <td v-for="cell in row.cells" :key="cell.lie">
              <span class="line" aria-hidden="true"
                ><i :style="{ left: `${cell.low * 100}%`, width: `${(cell.high - cell.low) * 100}%` }" /><b
                  :style="{ left: `${cell.rate * 100}%` }"
              /></span>
              <span class="num"
                ><b>{{ percent(cell.rate) }}</b
                >{{ ' ' }} <small>{{ percent(cell.low) }} to {{ percent(cell.high) }}</small></span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet">
      Recent work counts most; where there is little to go by, a rate leans on the student’s other work and on the
      school. Lengths count as beads of 6 in. Intervals 95 %.
    </p>
  </section>
</template>

<style scoped>
.skill {
  padding: 16px;
  display: grid;
  gap: 10px;
}
.scroll {
  overflow-x: auto;
}
th,
td {
  text-align: left;
  padding: 6px 12px 6px 0;
  font-weight: 400;
}
thead th {
  color: var(--quiet);
  font-size: 0.9rem;
  font-weight: 600;
  vertical-align: bottom;
}
thead th::first-letter {
  text-transform: uppercase;
}
tbody th {
  font-weight: 550;
  white-space: nowrap;
}
tbody tr > * {
  border-top: 1px solid var(--line);
}
small {
  color: var(--quiet);
  font-weight: 500;
}
thead small {
  display: block;
}
td .num {
  white-space: nowrap;
}
.line {
  position: relative;
  display: block;
  height: 8px;
  border-radius: 4px;
  background: rgb(var(--v-theme-surface-variant));
  min-width: 90px;
  margin-bottom: 2px;
}
.line i {
  position: absolute;
  top: 0;
  bottom: 0;
  border-radius: 4px;
  background: rgb(var(--v-theme-secondary));
  opacity: 0.5;
}
.line b {
  position: absolute;
  width: 4px;
  top: -3px;
  bottom: -3px;
  margin-left: -2px;
  border-radius: 2px;
  background: currentColor;
}
</style>
