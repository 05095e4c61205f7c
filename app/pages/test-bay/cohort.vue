<script setup lang="ts">
import type { Stray } from '~~/core/readiness'
import { firstTimeBy, hasResult, honestyOf } from '~~/core/welderTest'
import { useLoader } from '~/composables/loader'
import { useCodeBooks } from '~/stores/codeBooks'
import { useWelderTests } from '~/stores/welderTests'

/**
 * The school's tests in figures: passed the first time, by position and rod; and whether the odds that were said
 * came true.
 */
const tests = useWelderTests()
const books = useCodeBooks()
useHead({ title: 'Tests in figures · Fusilis' })
const strays = shallowRef<readonly Stray[]>([])
const { loading, problem, load } = useLoader(async () => {
  const [found] = await Promise.all([tests.strays(), tests.load(), books.load()])
  strays.value = found
})
onMounted(load)

const results = computed(() =>
  (tests.bay?.tests ?? [])
    .filter(test => hasResult(test.state))
    .map(test => ({ ...test, passed: test.state === 'passed' })),
)
const byPosition = computed(() => firstTimeBy(results.value, test => test.position))
const byRod = computed(() => firstTimeBy(results.value, test => test.classification))
const byBook = computed(() => firstTimeBy(results.value, test => books.bookOf(test.book).name))
const honesty = computed(() => honestyOf(results.value))
const score = (value: number) => value.toFixed(2)
const VERDICTS = {
  'better': 'The odds tell tests apart better than the school’s average does.',
  'worse': 'The school’s average would do better than the odds: do not lean on them.',
  'no telling': 'Too few tests yet to tell the odds from the school’s average.',
} as const
</script>

<template>
  <div class="page">
    <header class="page-head">
      <h1>Test bay</h1>
      <TestBayTabs />
    </header>
    <PageState v-if="problem || (loading && !tests.bay)" :problem="problem" :loading="loading" @again="load" />
    <PageState v-else-if="results.length === 0" empty="No test has a result yet." />
    <div v-else class="two">
      <section class="panel" aria-label="Passed the first time">
        <h2>Passed the first time</h2>
        <FirstTimeTable :rows="byPosition" heading="Position" /><FirstTimeTable
          :rows="byRod"
          heading="Filled with"
        /><FirstTimeTable :rows="byBook" heading="By" />
        <p class="quiet">Intervals are exact binomial, 95 %. A retest is taken, and no first try.</p>
      </section>
      <section class="panel" aria-label="Were the odds honest?">
        <h2>Were the odds honest?</h2>
        <template v-if="honesty">
          <p class="verdict">{{ VERDICTS[honesty.against] }}</p>
          <HonestyChart :honesty="honesty" />
          <dl>
            <div>
              <dt>Forecasts with a result</dt>
              <dd class="num">{{ honesty.forecasts }}</dd>
            </div>
            <div>
              <dt>Brier score, 0 is best</dt>
              <dd class="num">{{ score(honesty.brier) }}</dd>
            </div>
            <div>
              <dt>of always saying the share that passed</dt>
              <dd class="num">{{ score(honesty.brierOfShare) }}</dd>
            </div>
          </dl>
        </template>
        <p v-else class="quiet">No test that has a result was planned with odds.</p>
        <SchoolStrays :strays="strays" />
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(280px, 1fr);
  gap: 16px;
  align-items: start;
}
section {
  padding: 16px;
  display: grid;
  gap: 14px;
}
.verdict {
  font-size: 1.1rem;
  font-weight: 600;
}
dl {
  display: grid;
  gap: 6px;
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
dt {
  color: var(--quiet);
}
dd {
  font-weight: 650;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
