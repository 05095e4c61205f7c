<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { dayNumber } from '~~/core/calendar'
import { testPieceOf, testPieces } from '~~/core/qualification'
import { habitsOf, proposals, testPlan } from '~~/core/readiness'
import type { StudentProgress } from '~~/contract/progress'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { useReadiness } from '~/composables/forecast'
import { useSaving } from '~/composables/saving'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { useSession } from '~/stores/session'

/**
 * One student's way to a test: what to run next, how a test would go today, what would help, what the next coupon
 * would bring.
 */
const route = useRoute()
const session = useSession()
const houseRules = useHouseRules()
const store = useProgress()
const studentId = computed(() => String(route.params.id))
const progress = shallowRef<StudentProgress | null>(null)
const { busy, refused, attempt } = useSaving()
const ATTEMPTS = 5000
const SEED = 20260914

const { loading, problem, load } = useLoader(async () => {
  const [found] = await Promise.all([store.ofStudent(studentId.value), houseRules.load()])
  progress.value = found
})
onMounted(load)
useHead({ title: () => `${progress.value?.student.name ?? 'Progress'} · Fusilis` })

const chosen = useLocalStorage<Record<string, string>>('fusilis.testPiece', {})
const pieces = computed(() => testPieces(houseRules.unit))
const testId = computed({
  get: () => (pieces.value.find(piece => piece.id === chosen.value[studentId.value]) ?? pieces.value[1]!).id,
  set: id => {
    chosen.value = { ...chosen.value, [studentId.value]: id }
  },
})
const plan = computed(() => testPlan(testPieceOf(testId.value, houseRules.unit), houseRules.current.rules))
const { share, result, problem: stopped, begin, cancel } = useReadiness()
const run = () =>
  progress.value &&
  progress.value.standing.coupons > 0 &&
  begin({
    wanted: {
      plan: plan.value,
      candidate: {
        standing: progress.value.standing,
        curves: progress.value.curves,
        today: dayNumber(today()),
        more: 0,
      },
      habits: habitsOf(progress.value.standing.unsound, progress.value.bends),
      seed: SEED,
    },
    attempts: ATTEMPTS,
    target: houseRules.current.rules.targetOdds,
  })
watch([progress, testId], run)

const next = computed(() =>
  progress.value
    ? proposals({
        ladder: progress.value.ladder.ladder,
        climb: progress.value.climb,
        helps: result.value?.helps ?? [],
        test: plan.value.piece,
        lately: progress.value.lately,
        sameDrillDays: houseRules.current.rules.sameDrillDays,
      })
    : [],
)

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
              <v-btn v-if="share !== null" variant="outlined" @click="cancel">Stop</v-btn>
              <v-btn v-else-if="!result" variant="outlined" @click="run"
                >Run {{ ATTEMPTS.toLocaleString('en') }} attempts</v-btn
              >
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
            <template v-if="result">
              <OddsTen :odds="result.outlook.odds" :low="result.outlook.low" :high="result.outlook.high" />
              <UntilTarget :forecast="result.forecast" :progress="progress" />
            </template>
          </section>
          <NextCoupon :proposals="next" :progress="progress" :can-pin="session.isStaff" :busy="busy" @pin="pin" />
        </div>
        <section v-if="result" class="panel why">
          <WhatEndsIt :plan="plan" :outlook="result.outlook" />
          <WhatHelps :helps="result.helps" :odds="result.outlook.odds" />
          <p class="quiet">
            {{ result.outlook.attempts.toLocaleString('en') }} attempts, each welded start by start and inch by inch at
            rates that this student’s coupons allow; how much of it is poor rather than workable is the student’s own;
            what a test rejects of a bead, what is ground out and what opens in a bend are common practice. It says
            nothing certain of one test: the code in force and the qualified inspector decide.
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
