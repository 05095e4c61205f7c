<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { bookTitle, STATE_WORDS } from '~/components/testBay/testHeading'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { useTestActs } from '~/composables/testActs'
import { useTestPapers } from '~/composables/testPapers'
import { useTestView } from '~/composables/testView'
import { TEST_KEYS } from '~/keys/roomKeys'
import { useCriteria } from '~/stores/criteria'
import { useHouseRules } from '~/stores/houseRules'
import { useSession } from '~/stores/session'
import { useWelderTest } from '~/stores/welderTest'
import { useWelderTests } from '~/stores/welderTests'

/**
 * One test, from the checklist to the record: the next step has the one key, everything else can be done out of
 * turn.
 */
const run = useWelderTest()
const tests = useWelderTests()
const criteria = useCriteria()
const houseRules = useHouseRules()
const session = useSession()
const route = useRoute()
const testId = computed(() => String(route.params.id))

const { loading, problem, load } = useLoader(async () => {
  await Promise.all([houseRules.load(), criteria.load(), tests.load()])
  await run.open(testId.value, session.me!.id)
})
onMounted(load)
watch(testId, load)
onBeforeUnmount(run.close)
useHead({ title: () => `${run.student || 'Test'} · Test bay · Fusilis` })

const view = useTestView(() => testId.value)
const { welderTest, coupon, step, stepSaid, state, unit, specimens, outcomes, openings, held, qualified } = view
const { cautions, nextTest, clockRuns } = view
const drawings = useTemplateRef('drawings')
const papers = useTestPapers(
  () => ({ document: welderTest.value!, book: run.book!, student: run.student }),
  async () => (run.coupon ? drawings.value!.everyPicture(run.coupon.id, run.coupon.document) : []),
)
const terms = useTemplateRef<{ stamp: () => void }>('terms')
const passes = useTemplateRef<{ add: () => void; drop: () => void }>('passes')
const acts = useTestActs(() => testId.value, view, { stamp: () => terms.value?.stamp(), print: papers.record })
const { witness, dialog, entering, act, openOne } = acts
const toNext = () => {
  if (nextTest.value) void navigateTo(`/test-bay/${nextTest.value.id}`)
}

usePageKeys(
  TEST_KEYS,
  {
    'step': () => {
      if (welderTest.value) act()
    },
    'stop': () => {
      if (clockRuns.value) dialog.value = 'stop'
    },
    'openings': openOne,
    'bench': () => navigateTo(acts.bench()),
    'pass less': () => passes.value?.drop(),
    'pass more': () => passes.value?.add(),
    'fit-up': () => {
      dialog.value = 'fit-up'
    },
    'record': papers.record,
    'labels': papers.labels,
    'json': papers.json,
    'next test': toNext,
    'undo': run.undo,
  },
  () => dialog.value !== null || entering.value !== null || run.saving === 'someone else',
)
</script>

<template>
  <div class="page wide">
    <PageState v-if="problem || !welderTest || !run.book" :problem="problem" :loading="loading" @again="load" />
    <template v-else>
      <header class="page-head">
        <StateSign :state="state" :size="34" />
        <div>
          <h1>
            <NuxtLink :to="`/record/${welderTest.studentId}/tests`">{{ run.student }}</NuxtLink>
          </h1>
          <p>
            {{ welderTest.pieceName }} · {{ bookTitle(run.book) }} · {{ spokenDay(welderTest.testDay) }} ·
            {{ STATE_WORDS[state] }}
          </p>
        </div>
        <div class="push acts">
          <v-btn v-if="nextTest" variant="outlined" @click="toNext"
            >Next: {{ nextTest.pieceName }} <kbd class="key">T</kbd></v-btn
          >
          <v-btn variant="outlined" :loading="papers.busy.value === 'labels'" @click="papers.labels">Labels</v-btn>
          <v-btn variant="outlined" :loading="papers.busy.value === 'record'" @click="papers.record">Record PDF</v-btn>
          <v-btn variant="outlined" @click="papers.json">JSON</v-btn>
        </div>
      </header>
      <p v-if="run.problem || papers.problem.value" role="alert" class="alert">
        {{ run.problem || papers.problem.value }}
      </p>
      <p v-if="run.saving === 'kept here'" role="status" class="alert">
        The server does not answer. What you do is kept in this browser and sent when it does.
      </p>
      <div class="parts">
        <TestNow
          :document="welderTest"
          :book="run.book"
          :step="step"
          :step-said="stepSaid"
          @act="act"
          @stop="dialog = 'stop'"
        />
        <div class="pair">
          <div class="column">
            <TestTerms
              ref="terms"
              v-model:witness="witness"
              :document="welderTest"
              @change="run.change"
              @hold="acts.witnessed"
              @fit-up="dialog = 'fit-up'"
            />
            <VisualPanel
              :held="held"
              :visual="welderTest.visual"
              :can-sign="welderTest.endedAt !== null && Object.keys(welderTest.results).length === 0"
              :unit="unit"
              :bench-address="`/bench?test=${testId}`"
              @sign="acts.sign"
            />
          </div>
          <div class="column">
            <PassRuns ref="passes" :document="welderTest" @change="run.change" />
            <TestCuts
              :document="welderTest"
              :book="run.book"
              :coupon="coupon"
              :specimens="specimens"
              :outcomes="outcomes"
              :openings="openings"
              :unit="unit"
              @examine="run.change({ ...welderTest, examinedBy: $event })"
              @sound="acts.sound"
              @enter="entering = $event"
            />
            <section class="panel gives" aria-label="What it would qualify">
              <h2 class="section-title">{{ state === 'passed' ? 'Qualifies' : 'Would qualify' }}</h2>
              <QualifiesPanel :qualified="qualified" />
            </section>
          </div>
        </div>
        <ul v-if="state !== 'passed' && state !== 'failed'" class="cautions">
          <li v-for="caution in cautions" :key="caution.text">{{ caution.text }}</li>
        </ul>
        <div class="foot">
          <v-textarea
            label="Notes"
            :model-value="welderTest.notes"
            rows="1"
            auto-grow
            maxlength="2000"
            hide-details
            @change="run.change({ ...welderTest, notes: ($event.target as HTMLTextAreaElement).value })"
          />
          <v-btn variant="text" :disabled="run.past.length === 0" @click="run.undo">Take the last step back</v-btn>
          <v-btn v-if="state === 'planned'" variant="text" color="error" @click="dialog = 'call off'"
            >Call it off</v-btn
          >
        </div>
      </div>
      <PaperDrawings ref="drawings" />
      <TestDialogs
        v-model:dialog="dialog"
        v-model:entering="entering"
        :document="welderTest"
        :book="run.book"
        :coupon="coupon"
        :unit="unit"
        :contested="run.saving === 'someone else'"
        @stop="acts.stop"
        @call-off="acts.callOff"
        @settle="run.settle"
        @retest="acts.planRetest"
        @fit-up="acts.keepFitUp"
        @result="acts.keepResult"
      />
    </template>
  </div>
</template>

<style scoped>
.wide {
  max-width: 1400px;
}
h1 a {
  color: inherit;
  text-decoration: none;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.key {
  margin-left: 8px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding-bottom: 10px;
}
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.45fr);
  gap: 16px;
  align-items: start;
}
.column {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.gives {
  padding: 16px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.cautions {
  display: grid;
  gap: 4px;
  padding: 12px 16px;
  border-left: 4px solid var(--temper-straw);
}
.foot {
  display: flex;
  gap: 12px;
  align-items: start;
}
@media (max-width: 900px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
  .foot {
    flex-wrap: wrap;
  }
}
</style>
