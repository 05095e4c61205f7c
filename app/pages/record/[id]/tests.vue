<script setup lang="ts">
import type { StudentProgress } from '~~/contract/progress'
import type { TestBay } from '~~/contract/welderTests'
import { continuityRows } from '~/components/testBay/continuityRows'
import { STATE_WORDS } from '~/components/testBay/testHeading'
import { spokenDay } from '~~/core/calendar'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { useCodeBooks } from '~/stores/codeBooks'
import { useProgress } from '~/stores/progress'
import { useSession } from '~/stores/session'
import { useWelderTests } from '~/stores/welderTests'

/** One student's tests: what came of them, how they stand, and what bends laid open. */
const route = useRoute()
const session = useSession()
const tests = useWelderTests()
const books = useCodeBooks()
const progress = useProgress()
const studentId = computed(() => String(route.params.id))
const bay = shallowRef<TestBay | null>(null)
const standing = shallowRef<StudentProgress | null>(null)
const { loading, problem, load } = useLoader(async () => {
  const [found, known] = await Promise.all([
    tests.ofStudent(studentId.value),
    progress.ofStudent(studentId.value),
    books.load(),
  ])
  bay.value = found
  standing.value = known
})
onMounted(load)
useHead({ title: () => `${standing.value?.student.name ?? 'Tests'} · Fusilis` })
const rows = computed(() => (bay.value ? continuityRows(bay.value, books.bookOf, today()) : []))
</script>

<template>
  <div class="page">
    <PageState v-if="problem || (loading && !bay)" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="bay && standing">
      <header class="page-head">
        <div>
          <h1>{{ standing.student.name }}</h1>
          <p>{{ bay.tests.length }} tests</p>
        </div>
        <div class="push"><RecordTabs :student-id="studentId" /></div>
        <v-btn v-if="session.isStaff" color="primary" :to="{ path: '/test-bay/plan', query: { student: studentId } }"
          >Plan a test</v-btn
        >
      </header>
      <PageState v-if="bay.tests.length === 0" empty="No test has been planned yet." />
      <div v-else class="parts">
        <section v-if="rows.length > 0" class="panel" aria-label="Stands">
          <h2>How it stands</h2>
          <ContinuityTable :rows="rows" :today="today()" :can-note="false" :named="false" />
        </section>
        <section class="panel" aria-label="Tests">
          <h2>Tests</h2>
          <ul>
            <li v-for="test in bay.tests" :key="test.id">
              <StateSign :state="test.state" /><b>{{ STATE_WORDS[test.state] }}</b>
              <NuxtLink v-if="session.isStaff" :to="`/test-bay/${test.id}`">{{ test.pieceName }}</NuxtLink><span
                v-else
                >{{ test.pieceName }}</span
              >
              <span class="quiet">{{ books.bookOf(test.book).name }}{{ test.retest ? ' · retest' : '' }}</span
              ><span class="num">{{ spokenDay(test.testDay) }}</span>
            </li>
          </ul>
          <p v-if="standing.bends.bent > 0" class="quiet">
            {{ standing.bends.opened }} of {{ standing.bends.bent }} bends showed something open: readiness counts with
            it.
          </p>
        </section>
        <p class="quiet">
          A school’s test record, and not a certificate. The code in force and the qualified inspector decide.
        </p>
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
section {
  padding: 16px;
  display: grid;
  gap: 10px;
  overflow-x: auto;
}
li {
  display: grid;
  grid-template-columns: 24px 110px minmax(0, 1.4fr) minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  min-height: 44px;
  border-top: 1px solid var(--line);
}
li a {
  color: inherit;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 24px minmax(0, 1fr) auto;
  }
  li .quiet {
    display: none;
  }
  li b {
    display: none;
  }
}
</style>
