<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { newTest } from '~~/core/welderTest'
import type { FloorStudent } from '~~/contract/people'
import type { StudentProgress } from '~~/contract/progress'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { PLAN_KEYS } from '~/keys/roomKeys'
import { useSaving } from '~/composables/saving'
import { bookKeyOf, usePlanOdds, useTestPlan } from '~/composables/testPlan'
import { useCodeBooks } from '~/stores/codeBooks'
import { useFloor } from '~/stores/floor'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { useSections } from '~/stores/sections'
import { useWelderTests } from '~/stores/welderTests'

/**
 * Plans tests: from what a person should be qualified for to the fewest pieces, or from pieces to what they would
 * qualify.
 */
const books = useCodeBooks()
const floor = useFloor()
const houseRules = useHouseRules()
const progress = useProgress()
const sections = useSections()
const tests = useWelderTests()
const route = useRoute()
useHead({ title: 'Plan a test · Fusilis' })

const student = shallowRef<FloorStudent | null>(null)
const standing = shallowRef<StudentProgress | null>(null)
const choosing = ref(false)
const testDay = ref(today())
const limit = ref('')
const unread = ref('')
const { busy, refused, attempt } = useSaving()

const rules = computed(() => houseRules.current.rules)
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([books.load(), houseRules.load(), sections.loaded ? undefined : sections.load()])
  if (sections.current) await floor.load(sections.current.id)
  const asked = floor.students.find(one => one.id === route.query.student)
  if (asked) await choose(asked)
  else choosing.value = floor.students.length > 0
})
onMounted(load)

async function choose(one: FloorStudent) {
  choosing.value = false
  student.value = one
  forget()
  standing.value = await progress.ofStudent(one.id).catch(() => null)
  look()
}

const { wanted, pipeToo, chosen, bookKey, pieces, sets, none, byHand, bookChosen, outcome } = useTestPlan(
  computed(() => !loading.value),
)
const { saidOf, oddsOf, look, forget } = usePlanOdds({ sets, chosen }, standing)

const limitMinutes = computed(() => (limit.value.trim() === '' ? null : Number(limit.value)))
/** Why it cannot be planned as it stands; nothing when it can. */
const wrong = computed(() => {
  if (unread.value) return unread.value
  if (!student.value) return 'Choose the student first'
  if (limitMinutes.value !== null && !(limitMinutes.value >= 5 && limitMinutes.value <= 6000))
    return 'The limit is 5 to 6000 minutes, or nothing'
  return outcome.value.qualified ? '' : outcome.value.why
})
const plan = () =>
  attempt(wrong.value, async () => {
    const { kept, pieces: set } = chosen.value!
    const { id: studentId, hand, booth } = student.value!
    bookKey.value = bookKeyOf(kept)
    const [first] = await tests.plan(
      set.map(piece =>
        newTest(
          {
            book: { id: kept.book.id, version: kept.version },
            couponId: uuid(),
            said: saidOf(chosen.value!, piece),
            retest: null,
            limitMinutes: limitMinutes.value,
            piece,
            welder: { studentId, classDay: testDay.value, rulesVersion: houseRules.current.version, hand, booth },
          },
          rules.value,
        ),
      ),
    )
    await navigateTo(`/test-bay/${first}`)
  })
usePageKeys(
  PLAN_KEYS,
  {
    plan,
    choose: () => {
      choosing.value = true
    },
  },
  () => choosing.value,
)
</script>

<template>
  <div class="page wide">
    <header class="page-head">
      <div>
        <h1>Plan a test</h1>
        <p>{{ student ? `${student.name}, ${student.hand} hand` : 'for nobody yet' }}</p>
      </div>
      <div class="push">
        <v-btn variant="outlined" @click="choosing = true"
          >{{ student ? 'Another student' : 'Choose a student' }} <kbd class="key">/</kbd></v-btn
        >
      </div>
      <v-btn color="primary" :loading="busy" @click="plan"
        >{{ (chosen?.pieces.length ?? 0) > 1 ? `Plan these ${chosen!.pieces.length} tests` : 'Plan this test' }}
        <kbd class="key">Enter</kbd></v-btn
      >
    </header>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="three">
      <div class="left">
        <PlanWanted
          v-model:pipe-too="pipeToo"
          :wanted="wanted"
          :unit="houseRules.unit"
          @change="wanted = $event"
          @problem="unread = $event"
        />
        <section class="panel day" aria-label="When">
          <v-text-field v-model="testDay" type="date" label="Day of the test" hide-details />
          <v-text-field v-model="limit" label="Limit, min" inputmode="numeric" hide-details autocomplete="off" />
        </section>
      </div>
      <PlanSets
        :sets="sets"
        :none="none"
        :chosen="chosen"
        :odds-of="oddsOf"
        :rules="rules"
        :student-id="standing && standing.standing.coupons > 0 ? standing.student.id : null"
        @choose="chosen = $event"
      />
      <section class="panel outcome" aria-label="What they would qualify">
        <h2>Would qualify</h2>
        <v-select
          v-model="bookChosen"
          label="By"
          hide-details
          :items="books.offered.map(one => ({ value: bookKeyOf(one), title: `${one.book.name}, ${one.book.edition}` }))"
        />
        <v-autocomplete
          v-model="byHand"
          label="Pieces"
          multiple
          chips
          closable-chips
          hide-details
          :items="pieces.map(piece => ({ value: piece.id, title: piece.name }))"
        />
        <QualifiesPanel v-if="outcome.qualified" :qualified="outcome.qualified" />
        <p v-else class="quiet">{{ outcome.why }}</p>
      </section>
    </div>
    <StudentPicker v-if="choosing" :students="floor.students" @choose="choose" @close="choosing = false" />
  </div>
</template>

<style scoped>
.wide {
  max-width: 1500px;
}
.key {
  margin-left: 10px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding-bottom: 10px;
}
.three {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 16px;
  align-items: start;
}
.left {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.day {
  padding: 16px;
  display: grid;
  grid-template-columns: 1.6fr 1fr;
  gap: 10px;
}
.outcome {
  padding: 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
@media (max-width: 1100px) {
  .three {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .outcome {
    grid-column: 1 / -1;
  }
}
@media (max-width: 700px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
