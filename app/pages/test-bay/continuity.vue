<script setup lang="ts">
import { lapsing } from '~~/core/welderTest'
import { continuityRows, rowsOfThoseHere } from '~/components/testBay/continuityRows'
import { lapsesIcs, type Lapse } from '~/papers/lapsesIcs'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { saveFile } from '~/composables/saveFile'
import { useCodeBooks } from '~/stores/codeBooks'
import { messageOf } from '~/stores/request'
import { useWelderTests } from '~/stores/welderTests'

/** What keeps qualifications alive: who used which process when, and what lapses next. */
const tests = useWelderTests()
const books = useCodeBooks()
useHead({ title: 'Continuity · Fusilis' })
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([tests.load(), books.load()])
})
onMounted(load)

const DAYS = 60
const noting = shallowRef<Lapse | null>(null)
const all = computed(() => (tests.bay ? continuityRows(tests.bay, books.bookOf, today()) : []))
/** There is no reminder of those who have left: theirs stands on their Record. */
const rows = computed(() => (tests.bay ? rowsOfThoseHere(all.value, tests.bay) : []))
const left = computed(() => all.value.length - rows.value.length)
const soon = computed(() => lapsing(rows.value, today(), DAYS) as Lapse[])
const standing = computed(() => rows.value.filter(row => row.lapsedOn === null && !soon.value.includes(row)))
const lapsed = computed(() => rows.value.filter(row => row.lapsedOn !== null))
function calendar() {
  try {
    saveFile(
      new Blob([lapsesIcs(rows.value.filter(row => row.lapsedOn === null))], { type: 'text/calendar;charset=utf-8' }),
      'continuity.ics',
    )
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <div class="page">
    <header class="page-head">
      <h1>Test bay</h1>
      <TestBayTabs />
      <div class="push"><v-btn v-if="rows.length > 0" variant="outlined" @click="calendar">Calendar (ICS)</v-btn></div>
    </header>
    <PageState v-if="problem || (loading && !tests.bay)" :problem="problem" :loading="loading" @again="load" />
    <PageState
      v-else-if="all.length === 0"
      empty="Nobody has passed a test yet: from the first on, its dates are watched here."
    />
    <div v-else class="lists">
      <section
        v-for="[name, list] in [
          [`Lapses within ${DAYS} days`, soon],
          ['Stands', standing],
          ['Lapsed', lapsed],
        ] as const"
        :key="name"
        class="panel list"
        :aria-label="name"
      >
        <h2>
          {{ name }} <span class="quiet num">{{ list.length }}</span>
        </h2>
        <p v-if="list.length === 0" class="quiet">None.</p>
        <ContinuityTable v-else :rows="list" :today="today()" can-note named @use="noting = $event" />
      </section>
      <p v-if="left > 0" class="quiet">
        Of students who have left there {{ left === 1 ? 'is one more' : `are ${left} more` }}, on their Records.
      </p>
      <p class="quiet">
        A school’s record, by each book from memory. Whether and how a qualification stands is for the employer, the
        code in force and the qualified inspector.
      </p>
    </div>
    <UseForm v-if="noting" :row="noting" @done="noting = null" @close="noting = null" />
  </div>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.list {
  padding: 14px 16px;
  overflow-x: auto;
}
.list h2 {
  padding-bottom: 6px;
}
</style>
