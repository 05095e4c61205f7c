<script setup lang="ts">
import { classDayAfter, HORIZON, sayOdds, type Forecast } from '~~/core/readiness'
import type { StudentProgress } from '~~/contract/progress'
import { spokenDay } from '~~/core/calendar'
import { today } from '~/composables/shopClock'

/**
 * Coupons, hours and a day until the odds wanted, as a range: from the learning curve, the student's own pace and
 * the section's timetable.
 */
const props = defineProps<{ forecast: Forecast; progress: StudentProgress; counted: boolean }>()

/** Hours in the booth for one coupon of a groove. Common practice, rough. */
const HOURS_EACH = 1.4
const most = HORIZON.at(-1)!
/** From an amount to another; what lies beyond the horizon is only more. */
const span = (early: string, late: string | null) =>
  late === null ? `${early} or more` : early === late ? early : `${early} to ${late}`
const hours = (count: number) => String(Math.round(count * HOURS_EACH))
const said = computed(() => {
  const { early, late, likely } = props.forecast
  if (likely === 0 || early === null) return null
  const day = (count: number | null) =>
    count === null ? null : classDayAfter(count, props.progress.perClass, props.progress.timetable, today())
  const [first, last] = [day(early), day(late)]
  return {
    coupons: span(String(early), late === null ? null : String(late)),
    hours: span(hours(early), late === null ? null : hours(late)),
    day:
      first === null
        ? 'not this term'
        : last === null
          ? `${spokenDay(first)} at the earliest, or after this term`
          : span(spokenDay(first), spokenDay(last)),
  }
})
</script>

<template>
  <section :aria-label="counted ? 'Until the odds wanted' : 'Until your work is there'">
    <h2 class="section-title">Until {{ counted ? sayOdds(forecast.target) : 'your work is there' }}</h2>
    <p v-if="forecast.likely === 0">
      {{ counted ? 'The odds wanted are there' : 'It is there' }}. A test still is a test.
    </p>
    <p v-else-if="!said">
      {{ most }} more coupons like these would hardly bring it. What would help most stands below.
    </p>
    <template v-else>
      <dl>
        <div>
          <dt>coupons like these</dt>
          <dd>{{ said.coupons }}</dd>
        </div>
        <div>
          <dt>hours in the booth</dt>
          <dd>{{ said.hours }}</dd>
        </div>
        <div>
          <dt>at {{ progress.perClass.toFixed(1) }} coupons a class</dt>
          <dd>{{ said.day }}</dd>
        </div>
      </dl>
      <p class="quiet small">About four students of five need neither fewer nor more.</p>
    </template>
  </section>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 34px;
  padding-top: 8px;
}
.small {
  padding-top: 6px;
  font-size: 0.88rem;
}
dt {
  color: var(--quiet);
  font-size: 0.9rem;
}
dd {
  font-size: 1.15rem;
  font-weight: 650;
}
</style>
