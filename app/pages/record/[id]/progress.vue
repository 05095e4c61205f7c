<script setup lang="ts">
import { dayNumber } from '~~/core/calendar'
import { testedBy } from '~~/core/readiness'
import type { StudentPace } from '~~/contract/pace'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { useSaving } from '~/composables/saving'
import { useWayToTest } from '~/composables/wayToTest'
import { useProgress } from '~/stores/progress'
import { useSession } from '~/stores/session'

/**
 * One student's way to a test: what to run next, how a test would go today, what would help, what the next coupon
 * would bring.
 */
const route = useRoute()
const session = useSession()
const store = useProgress()
const studentId = computed(() => String(route.params.id))
const pace = shallowRef<StudentPace | null>(null)
const { busy, refused, attempt } = useSaving()
const ATTEMPTS = 5000
const way = useWayToTest(() => studentId.value, ATTEMPTS)
const { progress, pieces, testId, offered, book, bookId, plan, share, result, stopped, run, cancel, next } = way

const { loading, problem, load } = useLoader(async () => {
  const [ownPace] = await Promise.all([store.paceOf(studentId.value), way.load()])
  pace.value = ownPace
})
onMounted(load)
useHead({ title: () => `${progress.value?.student.name ?? 'Progress'} · Fusilis` })

const tenths = (odds: number) => Math.round(odds * 10)
const stages = computed(() => {
  const { visual, bends } = result.value!.outlook
  return plan.value!.strips.length === 0
    ? ''
    : `By eye ${tenths(visual)} of 10 would be accepted, and ${tenths(bends)} of 10 of those would bend sound.`
})

const pin = (rungId: string | null, over: string) =>
  attempt('', async () => {
    progress.value = await store.pin(studentId.value, { rungId, over })
  })
</script>

<template>
  <div class="page">
    <PageState v-if="problem || (loading && !progress)" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="progress">
      <header class="page-head">
        <div>
          <h1>{{ progress.student.name }}</h1>
          <p>
            {{ progress.climb.filter(state => state.status === 'signed off').length }} of
            {{ progress.climb.length }} rungs signed off
          </p>
        </div>
        <div class="push"><RecordTabs :student-id="studentId" /></div>
      </header>
      <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
      <PageState
        v-if="progress.standing.coupons === 0"
        empty="No coupon has been read yet: the first ones say where to begin."
      />
      <div v-else class="parts">
        <div class="top">
          <section class="panel outlook" aria-label="How a test would go today">
            <div class="ask">
              <v-select
                v-model="testId"
                label="Test piece"
                hide-details
                :items="pieces.map(piece => ({ value: piece.id, title: piece.name }))"
              />
              <v-select
                v-model="bookId"
                label="By"
                hide-details
                :items="offered.map(kept => ({ value: kept.book.id, title: kept.book.name }))"
              />
              <v-btn v-if="share !== null" variant="outlined" @click="cancel">Stop</v-btn>
              <v-btn v-else-if="!result" variant="outlined" @click="run">{{
                session.isStaff ? `Run ${ATTEMPTS.toLocaleString('en')} attempts` : 'Work it out'
              }}</v-btn>
            </div>
            <v-progress-linear
              v-if="share !== null"
              :model-value="share * 100"
              color="primary"
              height="8"
              rounded
              aria-label="Attempts under way"
            />
            <p v-if="stopped" role="alert" class="alert">{{ stopped }}</p>
            <p v-if="!plan" class="quiet">{{ book.book.name }} has no test on this piece.</p>
            <template v-else-if="result">
              <OwnOutlook
                v-if="!session.isStaff"
                :odds="result.outlook.odds"
                :coupons="progress.standing.coupons"
                :helps="result.helps"
              />
              <OddsTen
                v-else
                :odds="result.outlook.odds"
                :low="result.outlook.low"
                :high="result.outlook.high"
                :coupons="progress.standing.coupons"
                :before="progress.school.before"
              />
              <p v-if="session.isStaff" class="quiet">{{ stages }}</p>
              <UntilTarget
                v-if="pace"
                :forecast="result.forecast"
                :pace="pace"
                :work="testedBy(plan).work"
                :counted="session.isStaff"
              />
            </template>
          </section>
          <NextCoupon :proposals="next" :progress="progress" :can-pin="session.isStaff" :busy="busy" @pin="pin" />
        </div>
        <section v-if="result && plan" class="panel why">
          <WhatEndsIt
            :plan="plan"
            :outlook="result.outlook"
            :heading="session.isStaff ? 'What ends the others' : 'Where it is decided'"
          />
          <WhatHelps :helps="result.helps" :odds="result.outlook.odds" :counted="session.isStaff" />
          <p v-if="session.isStaff" class="quiet">
            {{ result.outlook.attempts.toLocaleString('en') }} attempts, each welded start by start and inch by inch at
            rates that this student’s coupons allow. What the test would reject is read off the student’s own marks,
            held against its visual criteria; how often a strip opens goes by what is buried, and by the school’s own
            bends. Tests that have a result here move the odds. It says nothing certain of one test: the code in force
            and the qualified inspector decide.
          </p>
          <p v-else class="quiet">
            Read off your own coupons. It says nothing certain of one test: the code in force and the qualified
            inspector decide.
          </p>
        </section>
        <SkillTable :progress="progress" :today="dayNumber(today())" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.top {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(280px, 1fr);
  gap: 16px;
}
.outlook,
.why {
  padding: 18px;
  display: grid;
  gap: 16px;
  align-content: start;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: center;
}
.ask .v-select {
  max-width: 340px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
@media (max-width: 900px) {
  .top {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
