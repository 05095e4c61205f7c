<script setup lang="ts">
import { HORIZON, sayOdds, untilTarget, type Forecast, type FromTo } from '~~/core/readiness'
import type { StudentPace } from '~~/contract/pace'
import { spokenDay } from '~~/core/calendar'
import type { Work } from '~~/core/trade'
import { today } from '~/composables/shopClock'

/**
 * Coupons, hours and a day until the odds wanted, as a range: from the learning curve, the student's own pace, what
 * such coupons take here, and the section's timetable.
 */
const props = defineProps<{ forecast: Forecast; pace: StudentPace; work: Work; counted: boolean }>()

const most = HORIZON.at(-1)!
/** From an amount to another; what lies beyond the horizon is only more. */
const span = (early: string, late: string | null) =>
  late === null ? `${early} or more` : early === late ? early : `${early} to ${late}`
const sayFromTo = ({ least, most: last }: FromTo) =>
  span(String(Math.round(least)), last === null ? null : String(Math.round(last)))
const until = computed(() => {
  const { pace, timetable } = props.pace
  return untilTarget(props.forecast, pace, { work: props.work, timetable, today: today() })
})
/** Today’s odds are said in the same words as those wanted, and are not there yet. */
const isClose = computed(() => {
  const { target, steps } = props.forecast
  return props.counted && steps.length > 0 && sayOdds(steps[0]!.odds) === sayOdds(target)
})
const day = computed(() => {
  const { first, last } = until.value?.then ?? { first: null, last: null }
  if (first === null) return 'not this term'
  return last === null
    ? `${spokenDay(first)} at the earliest, or after this term`
    : span(spokenDay(first), spokenDay(last))
})
</script>

<template>
  <section :aria-label="counted ? 'Until the odds wanted' : 'Until your work is there'">
    <h2 class="section-title">Until {{ counted ? sayOdds(forecast.target) : 'your work is there' }}</h2>
    <p v-if="forecast.likely === 0">
      {{ counted ? 'The odds wanted are there' : 'It is there' }}. A test still is a test.
    </p>
    <p v-else-if="!until">
      {{ most }} more coupons like these would hardly bring it. What would help most stands below.
    </p>
    <template v-else>
      <dl>
        <div>
          <dt>coupons like these</dt>
          <dd>{{ sayFromTo(until.coupons) }}</dd>
        </div>
        <template v-if="until.then">
          <div>
            <dt>hours in the booth</dt>
            <dd>{{ sayFromTo(until.then.hours) }}</dd>
          </div>
          <div>
            <dt>at {{ until.then.perClass.toFixed(1) }} of these a class</dt>
            <dd>{{ day }}</dd>
          </div>
        </template>
      </dl>
      <p class="quiet small">
        <template v-if="isClose">Today is close to it. </template>About four students of five need neither fewer nor
        more.
        {{
          until.then
            ? 'Classes that were missed of late count as missed ahead.'
            : 'Hours and a day can be said once a class is over in which something was run.'
        }}
      </p>
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
