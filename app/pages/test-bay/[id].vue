<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { useLocalStorage } from '@vueuse/core'
import { holdAgainst, setForVisual } from '~~/core/criteria'
import { qualifies, unitFor } from '~~/core/qualification'
import {
  asRetest,
  nextStep,
  originOf,
  retestOptions,
  sayStep,
  specimensOf,
  specimenVerdict,
  stopTest,
  takeStep,
  testCoupon,
  testStanding,
  visualOf,
  visualSigned,
  wantsOf,
  type HoldPoint,
  type Specimen,
  type SpecimenResult,
  type StepWants,
  type TestStep,
  type WelderTest,
} from '~~/core/welderTest'
import { cautionsFor, type CautionTopic } from '~~/core/trade'
import type { FitUp } from '~~/core/setup'
import { bookTitle, STATE_WORDS } from '~/components/testBay/testHeading'
import { spokenDay } from '~~/core/calendar'
import { today, wallTime } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { TEST_KEYS } from '~/keys/roomKeys'
import { useTestPapers } from '~/composables/testPapers'
import { useCriteria } from '~/stores/criteria'
import { useHouseRules } from '~/stores/houseRules'
import { messageOf } from '~/stores/request'
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

const document = computed(() => (run.id === testId.value ? run.document : null))
const initialsOf = (name: string) =>
  name
    .split(/\s+/)
    .map(part => part[0] ?? '')
    .join('')
    .toUpperCase()
    .slice(0, 4)
const witness = useLocalStorage(`fusilis.witness.${session.me?.id ?? ''}`, initialsOf(session.me?.name ?? ''))
const seen = () => ({ by: witness.value.trim() || initialsOf(session.me?.name ?? '?'), at: new Date().toISOString() })

const rules = computed(() => houseRules.rulesOf(document.value?.rulesVersion ?? houseRules.current.version))
/** The coupon as it was read; before that as it was welded. */
const coupon = computed(() => run.coupon?.document ?? testCoupon(document.value!, rules.value, wallTime))
const step = computed(() => nextStep(document.value!, run.book!, run.coupon !== null))
const state = computed(() => testStanding(document.value!, run.book!).state)
const unit = computed(() => unitFor(run.book!, document.value!.test))
const specimens = computed(() => specimensOf(document.value!, run.book!))
const outcomes = computed(
  () =>
    new Map(
      specimens.value.flatMap(one =>
        specimenVerdict(document.value!, one, run.book!)
          ? [[one.id, specimenVerdict(document.value!, one, run.book!)!.outcome] as const]
          : [],
      ),
    ),
)
const openings = computed(() =>
  specimens.value.flatMap(one =>
    (document.value!.results[one.id]?.openings ?? []).map(opening => ({
      specimenId: one.id,
      opening,
      atMm: originOf(coupon.value, one, opening).atMm,
    })),
  ),
)
const chosen = ref<string | null>(null)
const set = computed(() => setForVisual(run.book!.criteriaId, criteria.sets))
const held = computed(() => (run.coupon && set.value ? holdAgainst(run.coupon.document, set.value, unit.value) : null))
const pipe = computed(() =>
  document.value!.test.outsideMm === null
    ? null
    : { outsideMm: document.value!.test.outsideMm, wallMm: document.value!.test.thicknessMm },
)
const qualified = computed(() => qualifies(run.book!, [document.value!.test]))
const cautions = computed(() => {
  const now: CautionTopic[] =
    state.value === 'for specimens'
      ? ['cutting', 'bend press']
      : [
          'grinding',
          ...(document.value!.test.form === 'pipe' ? ['fixed pipe' as const] : []),
          ...(/^4/.test(document.value!.test.position) ? ['overhead' as const] : []),
        ]
  return cautionsFor(now).filter(caution => caution.topic !== 'always')
})

const dialog = ref<'stop' | 'fit-up' | 'keys' | 'call off' | 'retest' | null>(null)
const entering = shallowRef<Specimen | null>(null)
const stopWhy = ref('')
const terms = useTemplateRef<{ stamp: () => void }>('terms')
const passes = useTemplateRef<{ add: () => void; drop: () => void }>('passes')
const papers = useTestPapers(() => ({ document: document.value!, book: run.book!, student: run.student }))
const bench = computed(() => ({ path: '/bench', query: { test: testId.value } }))

/** What the page does for a step, by what it takes. */
const TAKES: Readonly<Record<StepWants, (step: TestStep) => void>> = {
  'a look': step => {
    const opened = step.is === 'specimen' && document.value!.results[step.specimen.id]
    if (opened) openOne()
    else run.change(takeStep(document.value!, step, seen()))
  },
  'a stamp': () => terms.value?.stamp(),
  'the Bench': () => void navigateTo(bench.value),
  'a signature': () => sign(held.value?.outcome === 'fail' ? 'fails' : 'passes', ''),
  'a result': () => openOne(),
  'the papers': () => void papers.record(),
  'a retest': () => {
    if (retest.value) void navigateTo(`/test-bay/${retest.value.id}`)
    else dialog.value = 'retest'
  },
}
const act = () => TAKES[wantsOf(step.value)](step.value)

function sign(outcome: 'passes' | 'fails', why: string) {
  if (!run.coupon || !set.value) return
  const said = visualOf(run.coupon.document, set.value, unit.value)
  run.change({ ...document.value!, visual: visualSigned({ ...seen(), outcome, why }, said) })
}
const witnessed = (point: HoldPoint) => run.change(takeStep(document.value!, { is: 'hold', point }, seen()))
const sound = (specimen: Specimen) => run.change(takeStep(document.value!, { is: 'specimen', specimen }, seen()))
function keepResult(result: Pick<SpecimenResult, 'openings' | 'byHand' | 'note'>) {
  if (
    run.change({
      ...document.value!,
      results: { ...document.value!.results, [entering.value!.id]: { ...seen(), ...result } },
    })
  )
    entering.value = null
}
function stop() {
  if (run.change(stopTest(document.value!, stopWhy.value.trim() || 'stopped', new Date().toISOString())))
    dialog.value = null
  stopWhy.value = ''
}
function keepFitUp(fitUp: FitUp | null) {
  if (run.change({ ...document.value!, fitUp })) dialog.value = null
}

/** The first piece of a retest that was planned already. */
const retest = computed(
  () =>
    tests.bay?.tests.filter(test => test.retest?.of === testId.value).sort((a, b) => a.id.localeCompare(b.id))[0] ??
    null,
)
const stepSaid = computed(() =>
  step.value.is === 'retest' && retest.value ? 'Open the retest' : sayStep(step.value, document.value!),
)
async function planRetest(pieces: number) {
  dialog.value = null
  try {
    const ids = await tests.plan(
      Array.from({ length: pieces }, (): WelderTest =>
        asRetest(document.value!, { of: testId.value, pieces }, { testDay: today(), couponId: uuid() }),
      ),
    )
    await navigateTo(`/test-bay/${ids[0]}`)
  } catch (error) {
    run.problem = messageOf(error)
  }
}
async function callOff() {
  try {
    await tests.callOff(testId.value, run.baseVersion)
    await navigateTo('/test-bay')
  } catch (error) {
    run.problem = messageOf(error)
    dialog.value = null
  }
}
/** The same student's next test that is not done, for two pieces in a row. */
const nextTest = computed(
  () =>
    tests.bay?.tests
      .filter(
        test => test.studentId === document.value?.studentId && test.id !== testId.value && test.state === 'planned',
      )
      .sort((a, b) => a.id.localeCompare(b.id))[0] ?? null,
)
const toNext = () => {
  if (nextTest.value) void navigateTo(`/test-bay/${nextTest.value.id}`)
}
const runs = computed(() => document.value?.startedAt !== null && document.value?.endedAt === null)
const openOne = () => {
  if (step.value.is === 'specimen') entering.value = step.value.specimen
}

usePageKeys(
  TEST_KEYS,
  {
    'step': () => {
      if (document.value) act()
    },
    'stop': () => {
      if (runs.value) dialog.value = 'stop'
    },
    'openings': openOne,
    'bench': () => navigateTo(bench.value),
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
    'keys': () => {
      dialog.value = 'keys'
    },
  },
  () => dialog.value !== null || entering.value !== null || run.saving === 'someone else',
)
</script>

<template>
  <div class="page wide">
    <PageState v-if="problem || !document || !run.book" :problem="problem" :loading="loading" @again="load" />
    <template v-else>
      <header class="page-head">
        <StateSign :state="state" :size="34" />
        <div>
          <h1>
            <NuxtLink :to="`/record/${document.studentId}/tests`">{{ run.student }}</NuxtLink>
          </h1>
          <p>
            {{ document.pieceName }} · {{ bookTitle(run.book) }} · {{ spokenDay(document.testDay) }} ·
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
          <v-btn variant="text" aria-label="Keys" @click="dialog = 'keys'">?</v-btn>
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
          :document="document"
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
              :document="document"
              @change="run.change"
              @hold="witnessed"
              @fit-up="dialog = 'fit-up'"
            />
            <VisualPanel
              :held="held"
              :visual="document.visual"
              :can-sign="document.endedAt !== null && Object.keys(document.results).length === 0"
              :unit="unit"
              :bench-address="`/bench?test=${testId}`"
              @sign="sign"
            />
          </div>
          <div class="column">
            <PassRuns ref="passes" :document="document" @change="run.change" />
            <section class="panel cuts" aria-label="What is cut">
              <div class="cut-head">
                <h2 class="section-title">{{ document.examinedBy === 'radiograph' ? 'Radiograph' : 'Specimens' }}</h2>
                <v-select
                  v-if="
                    run.book.radiograph && document.test.weld === 'groove' && Object.keys(document.results).length === 0
                  "
                  class="by"
                  label="Examined by"
                  hide-details
                  density="compact"
                  :items="['specimens', 'radiograph']"
                  :model-value="document.examinedBy"
                  @update:model-value="run.change({ ...document, examinedBy: $event })"
                />
              </div>
              <SpecimenDrawing
                id="specimens"
                :coupon="coupon"
                :specimens="specimens"
                :outcomes="outcomes"
                :openings="openings"
                :unit="unit"
                :pipe="pipe"
                :chosen="chosen"
                @choose="chosen = $event"
              />
              <SpecimenList
                :document="document"
                :book="run.book"
                :specimens="specimens"
                :coupon="coupon"
                :chosen="chosen"
                :open="document.visual?.outcome === 'passes'"
                @choose="chosen = $event"
                @sound="sound"
                @enter="entering = $event"
              />
            </section>
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
            :model-value="document.notes"
            rows="1"
            auto-grow
            maxlength="2000"
            hide-details
            @change="run.change({ ...document, notes: ($event.target as HTMLTextAreaElement).value })"
          />
          <v-btn variant="text" :disabled="run.past.length === 0" @click="run.undo">Take the last step back</v-btn>
          <v-btn v-if="state === 'planned'" variant="text" color="error" @click="dialog = 'call off'"
            >Call it off</v-btn
          >
        </div>
      </div>
      <FormDialog
        v-if="dialog === 'stop'"
        heading="Stop the clock"
        save="Stop it"
        leave="Weld on"
        @submit="stop"
        @close="dialog = null"
        ><v-text-field v-model="stopWhy" label="Why" maxlength="200" autofocus autocomplete="off"
      /></FormDialog>
      <FormDialog
        v-if="dialog === 'call off'"
        heading="Call this test off?"
        save="Call it off"
        danger
        @submit="callOff"
        @close="dialog = null"
        ><p>Nothing of it has been welded. The plan goes, and nothing of it is kept.</p></FormDialog
      >
      <FormDialog
        v-if="run.saving === 'someone else'"
        heading="Somebody else changed this test"
        save="Mine goes over it"
        leave="Theirs stands"
        @submit="run.settle('mine')"
        @close="run.settle('theirs')"
        ><p>What you did since is kept in this browser. Both versions stay among the test’s versions.</p></FormDialog
      >
      <RetestChoice
        v-if="dialog === 'retest'"
        :options="retestOptions(run.book, document.testDay)"
        @choose="planRetest"
        @close="dialog = null"
      />
      <KeyList v-if="dialog === 'keys'" :keys="TEST_KEYS" @close="dialog = null" />
      <LazyFitUpEditor
        v-if="dialog === 'fit-up'"
        :document="{ ...coupon, ...(document.fitUp ? { fitUp: document.fitUp } : {}) }"
        :unit="unit"
        :preset-degrees="null"
        @keep="keepFitUp"
        @close="dialog = null"
      />
      <SpecimenForm
        v-if="entering"
        :key="entering.id"
        :specimen="entering"
        :document="document"
        :book="run.book"
        @keep="keepResult"
        @close="entering = null"
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
.cuts,
.gives {
  padding: 16px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.cut-head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.by {
  max-width: 190px;
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
