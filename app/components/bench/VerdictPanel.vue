<script setup lang="ts">
import type { Grade } from '~~/core/grading'
import { elementOf } from '~~/core/grading'
import { formatFraction, formatLength, type LengthUnit } from '~~/core/units'
import { useBench } from '~/stores/bench'

/** What the marks say: the verdict and why, the elements. A reason leads to its marks. */
const props = defineProps<{ grade: Grade; unit: LengthUnit }>()
defineEmits<{ codes: [] }>()
const bench = useBench()

const VERDICTS = { 'move on': 'Move on', 'run it again': 'Run it again', 'start over': 'Start over' } as const

/** Marks that a reason names; an element they belong to is what the coupon is held back by. */
const blamed = computed(() => new Set(props.grade.reasons.flatMap(reason => reason.markIds)))

const rows = computed(() =>
  props.grade.measures.elements
    .filter(
      measure =>
        measure.tried > 0 &&
        (measure.sound < measure.tried || elementOf(measure.element).counted === 'tries' || measure.element === 'run'),
    )
    .map(measure => {
      const element = elementOf(measure.element)
      const share = measure.sound / measure.tried
      const amount =
        element.counted === 'mm'
          ? `${props.unit === 'in' ? formatFraction(measure.sound, 4) : Math.round(measure.sound)} of ${formatLength(measure.tried, props.unit)}`
          : `${measure.sound} of ${measure.tried}`
      return {
        id: measure.element,
        name: element.name,
        share,
        amount,
        markIds: measure.markIds,
        against: measure.markIds.some(id => blamed.value.has(id)),
      }
    }),
)
const spread = computed(() => {
  const { width } = props.grade.measures
  return width
    ? `${formatLength(width.meanMm, props.unit)}${width.count > 1 ? ` ± ${formatLength(width.plusMinusMm, props.unit)}` : ''}`
    : null
})
</script>

<template>
  <div class="reading">
    <header aria-live="polite">
      <VerdictSign :verdict="grade.verdict" :size="34" />
      <div>
        <h2>{{ VERDICTS[grade.verdict] }}</h2>
        <p v-if="grade.verdict !== grade.computed" class="quiet">the marks say: {{ grade.computed }}</p>
      </div>
    </header>
    <ul v-if="grade.reasons.length > 0" class="reasons">
      <li v-for="reason in grade.reasons.slice(0, 4)" :key="reason.text">
        <button type="button" @click="bench.showInTurn(reason.markIds)">{{ reason.text }}</button>
      </li>
    </ul>
    <p v-else class="quiet">Nothing against it by the house’s rules.</p>
    <button type="button" class="codes" @click="$emit('codes')">Hold it against codes <kbd>7</kbd></button>
    <table>
      <caption class="sr-only">
        Elements
      </caption>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.name }}</th>
          <td class="bar"><span :style="{ width: `${row.share * 100}%` }" :class="{ against: row.against }" /></td>
          <td class="num">
            <button v-if="row.markIds.length > 0" type="button" @click="bench.showInTurn(row.markIds)">
              {{ row.amount }}</button><template v-else>{{ row.amount }}</template>
          </td>
        </tr>
        <tr v-if="spread">
          <th scope="row">Width read</th>
          <td />
          <td class="num">{{ spread }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.reading {
  display: grid;
  gap: 12px;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
}
h2 {
  font-size: 1.5rem;
  font-weight: 750;
  letter-spacing: -0.015em;
  line-height: 1.1;
}
button {
  text-align: left;
  min-height: 32px;
  border-radius: 6px;
}
button:hover {
  text-decoration: underline;
}
.codes {
  min-height: 44px;
  font-weight: 550;
}
.reasons li {
  line-height: 1.25;
}
.reasons button {
  font-weight: 550;
}
th {
  text-align: left;
  font-weight: 450;
  padding: 3px 0;
  font-size: 0.95rem;
  white-space: nowrap;
}
td.num {
  text-align: right;
  font-weight: 600;
  white-space: nowrap;
  font-size: 0.92rem;
  padding-left: 8px;
}
.bar {
  width: 26%;
  padding-left: 8px;
}
.bar span {
  min-width: 3px;
}
.bar span {
  display: block;
  height: 8px;
  border-radius: 4px;
  background: rgb(var(--v-theme-secondary));
}
.bar span.against {
  background: repeating-linear-gradient(115deg, var(--poor) 0 5px, transparent 5px 7px);
}
</style>
