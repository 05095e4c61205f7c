<script setup lang="ts">
import { longDay, spokenDay } from '~~/core/calendar'
import type { SavedCoupon } from '~~/contract/coupon'
import type { StudentToday } from '~~/contract/studentToday'
import { useLoader } from '~/composables/loader'
import { useSaving } from '~/composables/saving'
import { useWayToTest } from '~/composables/wayToTest'
import { useHouseRules } from '~/stores/houseRules'
import { useOwnDay } from '~/stores/ownDay'
import { useSession } from '~/stores/session'

/** What a student opens on: the last coupon with the one thing to change, what to run next and how to set up for it. */
const session = useSession()
const houseRules = useHouseRules()
const store = useOwnDay()
useHead({ title: 'Today · Fusilis' })
const studentId = computed(() => session.me?.studentId ?? '')
const day = shallowRef<StudentToday | null>(null)
const coupon = shallowRef<SavedCoupon | null>(null)
/** The order of what would help is reckoned, not counted: fewer attempts than where odds are shown. */
const ATTEMPTS = 500
const way = useWayToTest(() => studentId.value, ATTEMPTS)
const { progress, next } = way

const { loading, problem, load } = useLoader(async () => {
  await Promise.all([loadDay(), way.load()])
})
onMounted(load)

/** What was said of the last coupon is asked for once its student has seen it. */
async function loadDay() {
  const found = await store.of(studentId.value)
  coupon.value = found.newest?.verdict ? await store.coupon(found.newest.couponId) : null
  day.value = found
}

const { busy, refused, attempt } = useSaving()
const show = () =>
  attempt('', async () => {
    await store.coupon(day.value!.newest!.couponId)
    await loadDay()
  })

const rungs = computed(() => progress.value?.ladder.ladder.rungs ?? [])
/** Today's plan first, then what the instructor pinned, then what brings most. */
const proposed = computed(() => {
  const planned = day.value?.planned.map(line => ({ line, rung: rungs.value.find(one => one.name === line.rung) }))
  const first = planned?.find(one => one.rung)
  if (first) return { rung: first.rung!, why: `planned for ${first.line.at}, booth ${first.line.booth}` }
  const pin = progress.value?.pin
  const pinned = pin && rungs.value.find(rung => rung.id === pin.rungId)
  if (pinned) return { rung: pinned, why: `${pin.by} wants it next` }
  return next.value[0] ? { rung: next.value[0].rung, why: next.value[0].toStudent } : null
})
const booth = computed(() => day.value?.planned[0]?.booth ?? day.value?.student.booth ?? null)
/** The panel of another booth than the own one is not known here. */
const offset = computed(() => (booth.value === day.value?.student.booth ? (day.value?.panelOffsetA ?? null) : null))
const under = computed(() => {
  if (!day.value) return ''
  const { section, meeting, dayOff, nextClass } = day.value
  const then = nextClass ? `, next class ${spokenDay(nextClass)}` : ''
  if (meeting) return `${section}, ${meeting.from}–${meeting.to}`
  return `${section}: no class today${dayOff ? `, ${dayOff}` : ''}${then}`
})
</script>

<template>
  <div class="page">
    <PageState v-if="problem || (loading && !day)" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="day && progress">
      <header class="page-head">
        <div>
          <h1>{{ longDay(day.classDay) }}</h1>
          <p>{{ under }}</p>
        </div>
      </header>
      <CautionsRead :student-id="studentId" />
      <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
      <div class="parts">
        <div class="column">
          <LastCoupon
            v-if="day.newest"
            :newest="day.newest"
            :coupon="coupon"
            :rules="houseRules.current.rules"
            :busy="busy"
            @show="show"
          />
          <section v-else class="panel block" aria-label="Last coupon">
            <h2>No coupon yet</h2>
            <p>Run the first one by the card beside this, then say that it is ready.</p>
          </section>
          <section class="panel block" aria-label="The queue">
            <ReadyNow :student-id="studentId" :name="day.student.name" />
          </section>
          <HowFar class="far-along" :rungs="rungs" :climb="progress.climb" :next="proposed?.rung.id ?? null" />
        </div>
        <NextCard
          v-if="proposed"
          :rung="proposed.rung"
          :why="proposed.why"
          :hand="day.student.hand"
          :booth="booth"
          :panel-offset-a="offset"
          :rules="houseRules.current.rules"
        />
        <section v-else class="panel block"><h2>Every rung is signed off</h2></section>
      </div>
      <nav class="foot" aria-label="More of the own record">
        <v-btn variant="text" :to="`/record/${studentId}/progress`">The way to a test</v-btn>
        <v-btn variant="text" :to="`/record/${studentId}`">All coupons and the curve</v-btn>
        <v-btn variant="text" :to="`/record/${studentId}/tests`">Tests</v-btn>
      </nav>
    </template>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
  padding-bottom: 16px;
}
.column {
  display: grid;
  gap: 16px;
}
.block {
  display: grid;
  gap: 8px;
  padding: 16px 18px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
  /* In one column the next coupon comes before the ladder. */
  .column {
    display: contents;
  }
  .far-along {
    order: 1;
  }
}
</style>
