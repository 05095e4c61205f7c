<script setup lang="ts">
import { sayOdds } from '~~/core/readiness'
import type { TestSummary } from '~~/contract/welderTests'
import { isOpen, STATE_WORDS, urgencyOf } from '~/components/testBay/testHeading'
import { longDay, spokenDay } from '~~/core/calendar'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { TESTS_KEYS } from '~/keys/roomKeys'
import { useCodeBooks } from '~/stores/codeBooks'
import { useWelderTests } from '~/stores/welderTests'

/** The school's tests: what wants a person first, then what came of the others. */
const tests = useWelderTests()
const books = useCodeBooks()
useHead({ title: 'Test bay · Fusilis' })
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([tests.load(), books.load()])
})
onMounted(load)

const asked = ref('')
const FIRST = 40
const most = ref(FIRST)
const all = computed(() =>
  (tests.bay?.tests ?? []).filter(test =>
    test.student.toLocaleLowerCase().includes(asked.value.trim().toLocaleLowerCase()),
  ),
)
const open = computed(() =>
  all.value
    .filter(test => isOpen(test.state))
    .sort((a, b) => urgencyOf(a.state) - urgencyOf(b.state) || a.testDay.localeCompare(b.testDay)),
)
const done = computed(() => all.value.filter(test => !isOpen(test.state)))
/** Of another year it is said which. */
const dayShown = (day: string) => (day.slice(0, 4) === today().slice(0, 4) ? spokenDay(day) : longDay(day))
const bookOf = (test: TestSummary) => books.bookOf(test.book).name
usePageKeys(TESTS_KEYS, { plan: () => navigateTo('/test-bay/plan') })
</script>

<template>
  <div class="page">
    <header class="page-head">
      <h1>Test bay</h1>
      <TestBayTabs />
      <div class="push">
        <v-btn color="primary" to="/test-bay/plan">Plan a test <kbd class="key">N</kbd></v-btn>
      </div>
    </header>
    <PageState v-if="problem || (loading && !tests.bay)" :problem="problem" :loading="loading" @again="load" />
    <PageState v-else-if="tests.bay && tests.bay.tests.length === 0" empty="No test has been planned yet."
      ><v-btn color="primary" to="/test-bay/plan">Plan the first</v-btn></PageState
    >
    <div v-else class="lists">
      <v-text-field
        v-model="asked"
        class="find"
        label="Student"
        hide-details
        clearable
        autocomplete="off"
        @click:clear="asked = ''"
      />
      <section
        v-for="[name, rows] in [
          ['To do', open],
          ['Done', done.slice(0, most)],
        ] as const"
        :key="name"
        class="panel list"
        :aria-label="name"
      >
        <h2>
          {{ name }} <span class="quiet num">{{ name === 'Done' ? done.length : rows.length }}</span>
        </h2>
        <p v-if="rows.length === 0" class="quiet">
          {{
            asked
              ? 'Nobody of that name.'
              : name === 'To do'
                ? 'Nothing is planned or under way.'
                : 'No test has a result yet.'
          }}
        </p>
        <ul>
          <li v-for="test in rows" :key="test.id">
            <NuxtLink :to="`/test-bay/${test.id}`">
              <StateSign :state="test.state" /><span class="state">{{ STATE_WORDS[test.state] }}</span>
              <b>{{ test.student }}</b><span class="piece"
                >{{ test.pieceName }}<small v-if="test.retest">retest</small></span
              >
              <span class="quiet book">{{ bookOf(test) }}</span><span class="quiet odds">{{
                test.odds === null ? '' : `said ${sayOdds(test.odds)}`
              }}</span
              ><span class="num day">{{ dayShown(test.testDay) }}</span>
            </NuxtLink>
          </li>
        </ul>
        <v-btn v-if="name === 'Done' && done.length > most" variant="text" @click="most += FIRST"
          >{{ done.length - most }} more</v-btn
        >
      </section>
    </div>
  </div>
</template>

<style scoped>
.key {
  margin-left: 10px;
}
.lists {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.find {
  max-width: 320px;
}
.list {
  padding: 14px 16px;
}
.list h2 {
  padding-bottom: 6px;
}
li a {
  display: grid;
  grid-template-columns: 22px 92px minmax(120px, 1.1fr) minmax(150px, 1.6fr) 92px 140px 128px;
  gap: 12px;
  align-items: center;
  min-height: 46px;
  color: inherit;
  text-decoration: none;
  border-top: 1px solid var(--line);
}
li a:hover {
  background: rgb(var(--v-theme-surface-variant));
}
.state {
  font-weight: 600;
}
small {
  margin-left: 8px;
  color: var(--quiet);
}
.day {
  text-align: right;
}
@media (max-width: 900px) {
  li a {
    grid-template-columns: 22px minmax(0, 1fr) auto;
    padding: 6px 0;
  }
  .book,
  .odds,
  .state {
    display: none;
  }
  .piece {
    grid-column: 2;
    grid-row: 2;
  }
  .day {
    grid-column: 3;
    grid-row: 1;
  }
}
</style>
