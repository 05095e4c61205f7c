<script setup lang="ts">
import { elementOf } from '~~/core/grading'
import type { ReadersAgreement } from '~~/contract/blindReadings'

/** How much each reader marks, beside the level that the school's readings are reckoned at. */
const props = defineProps<{ marks: ReadersAgreement['marks'] }>()

/** Shares under this are worth a word between two readers, where the interval is clear of all. */
const LAX = 0.85
const ofTen = (share: number) => (10 * share).toFixed(1)
const lines = computed(() =>
  props.marks.map(({ name, all, elements }) => {
    const least = elements.reduce((one, other) => (other.share < one.share ? other : one))
    return {
      name,
      ofTen: ofTen(all.share),
      interval: `${ofTen(all.low)} to ${ofTen(all.high)}`,
      least: `${elementOf(least.element).name}, ${ofTen(least.share)}`,
      lax: all.high < 1 && all.share < LAX,
    }
  }),
)
</script>

<template>
  <section class="panel block">
    <h2>How much each marks</h2>
    <table class="lines cards">
      <thead>
        <tr>
          <th scope="col">Reader</th>
          <th scope="col">Of 10 faults, marks</th>
          <th scope="col">95 % interval</th>
          <th scope="col">Least of</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.name" :class="{ lax: line.lax }">
          <th scope="row">{{ line.name }}</th>
          <td class="num" data-name="Of 10 faults, marks">{{ line.lax ? `▼ ${line.ofTen}` : line.ofTen }}</td>
          <td class="num" data-name="95 % interval">{{ line.interval }}</td>
          <td data-name="Least of">{{ line.least }}</td>
        </tr>
      </tbody>
    </table>
    <p class="quiet">
      Ten faults are what a reader on the strict side of this school marks. Reckoned from coupons that two have read,
      and from what each marks of students who practised alike. Skill and odds stand at that level, so that the students
      of a lax reader are not said to be readier.
    </p>
  </section>
</template>

<style scoped>
.block {
  padding: 16px;
  margin-bottom: 14px;
}
h2 {
  font-size: 1.15rem;
  font-weight: 700;
  margin-bottom: 6px;
}
.lax th,
.lax td {
  font-weight: 650;
}
p {
  padding: 8px 10px 0;
  max-width: 80ch;
}
</style>
