<script setup lang="ts">
import { wallAfter } from '~~/core/calendar'
import { planAnswers, type PlanCase, type PlannedCoupon } from '~~/core/dayPlan'

/** What an instructor asks of a plan: who idles, who was passed over, and whether all can be read. */
const props = defineProps<{
  wanted: PlanCase
  lines: readonly PlannedCoupon[]
  from: string
  nameOf: (studentId: string) => string
}>()

/** Who has less than this share of the class in a booth is named. Our own figure. */
const HALF = 0.5
const answers = computed(() => planAnswers(props.wanted, props.lines))
const few = computed(() =>
  answers.value.atWork.filter(({ minutes }) => minutes > 0 && minutes < HALF * answers.value.openMinutes),
)
const span = computed(() => {
  const minutes = answers.value.atWork.map(one => one.minutes)
  const [least, most] = [Math.min(...minutes), Math.max(...minutes)]
  return least === most ? `${least}` : `${least} to ${most}`
})
const busiest = computed(() => {
  const { busiest: step, then } = answers.value.toRead
  return `${then} at ${wallAfter(props.from, step * props.wanted.terms.stepMinutes)}`
})
</script>

<template>
  <section v-if="lines.length > 0" aria-label="What it comes to" class="comes-to">
    <h2>What it comes to</h2>
    <dl>
      <dt>In a booth</dt>
      <dd class="num">{{ span }} of {{ answers.openMinutes }} min each</dd>
      <template v-if="few.length > 0">
        <dt>Little to do</dt>
        <dd>
          <span v-for="one in few" :key="one.studentId" class="num"
            >{{ nameOf(one.studentId) }}, {{ one.minutes }} min</span
          >
        </dd>
      </template>
      <template v-if="answers.passedOver.length > 0">
        <dt>Passed over</dt>
        <dd>
          <span v-for="{ studentId, coupon } in answers.passedOver" :key="studentId"
            >{{ nameOf(studentId) }}: {{ coupon.name }}</span
          >
        </dd>
      </template>
      <dt>To read</dt>
      <dd class="num">{{ answers.toRead.count }} of {{ answers.toRead.most }} there is time for; most {{ busiest }}</dd>
    </dl>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.05rem;
  font-weight: 700;
  padding-bottom: 6px;
}
dl {
  display: grid;
  gap: 2px;
}
dt {
  font-size: 0.82rem;
  color: var(--quiet);
}
dd {
  padding-bottom: 6px;
}
dd span {
  display: block;
}
</style>
