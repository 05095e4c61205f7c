<script setup lang="ts">
import { firstDaySteps, type FirstStepId } from '~/composables/firstDay'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { usePeople } from '~/stores/people'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'
import { useShop } from '~/stores/shop'

/** A school's first day: from nothing to the first coupon read. It is left and taken up again at any step. */
const session = useSession()
const sections = useSections()
const people = usePeople()
const shop = useShop()
const houseRules = useHouseRules()
useHead({ title: 'First day · Fusilis' })

const LIKELY_BOOTHS = 12
const form = ref<'class' | 'roster' | 'student' | null>(null)
/** The step that was opened; else the first that is not done. */
const asked = ref<FirstStepId | null>(null)

const { loading, problem, load } = useLoader(async () => {
  await Promise.all([sections.load(), shop.load(), houseRules.load()])
  if (sections.current) await people.loadStudents(sections.current.id)
})
onMounted(load)

const booths = computed(
  () => (shop.shop.plan?.rooms ?? []).flatMap(room => room.fixtures).filter(one => one.booth).length,
)
const likely = computed(() =>
  Math.max(LIKELY_BOOTHS, people.students.length, ...people.students.map(student => student.booth ?? 0)),
)
const steps = computed(() =>
  firstDaySteps({
    timeZone: session.me?.timeZone ?? '',
    sections: sections.all.length,
    students: people.students.length,
    booths: booths.value,
    rulesVersions: houseRules.versions.length,
  }),
)
const done = computed(() => steps.value.filter(step => step.done).length)
const open = computed(() => asked.value ?? steps.value.find(step => !step.done)?.id ?? null)
watch(done, () => {
  asked.value = null
})

/** What a step came to, in words. */
const came = computed<Record<FirstStepId, string>>(() => ({
  clock: session.me?.timeZone ?? '',
  class: sections.all.map(section => section.name).join(', '),
  students: people.students.length === 1 ? 'One student' : `${people.students.length} students`,
  booths: booths.value === 1 ? 'One booth' : `${booths.value} booths`,
  ways: houseRules.current.saved?.why ?? '',
}))

async function taken() {
  form.value = null
  await load()
}
</script>

<template>
  <div class="page first">
    <header class="page-head">
      <div>
        <h1>The first day</h1>
        <p>{{ done }} of {{ steps.length }} done. Leave at any step: what is done stays, and the rest waits here.</p>
      </div>
      <v-btn class="push" variant="text" to="/">To the Floor</v-btn>
    </header>
    <PageState v-if="problem || (loading && !sections.loaded)" :problem="problem" :loading="loading" @again="load" />
    <PageState v-else-if="!session.isLead" empty="The school is set up by a lead instructor."
      ><v-btn color="primary" to="/">To the Floor</v-btn></PageState
    >
    <ol v-else class="steps">
      <FirstStep
        v-for="(step, n) in steps"
        :key="step.id"
        :number="n + 1"
        v-bind="step"
        :came="came[step.id]"
        :open="open === step.id"
        @open="asked = step.id"
      >
        <ZoneChooser v-if="step.id === 'clock'" />
        <v-btn v-else-if="step.id === 'class'" :color="step.done ? undefined : 'primary'" @click="form = 'class'">{{
          step.done ? 'Another class' : 'Name the class'
        }}</v-btn>
        <template v-else-if="step.id === 'students'">
          <p v-if="!sections.current" class="quiet">First name the class they are in.</p>
          <div v-else class="acts">
            <v-btn :color="step.done ? undefined : 'primary'" @click="form = 'roster'">Paste the roster</v-btn>
            <v-btn variant="outlined" @click="form = 'student'">Add one</v-btn>
          </div>
        </template>
        <FirstBooths v-else-if="step.id === 'booths'" :likely="likely" />
        <FirstWays v-else />
      </FirstStep>
      <li class="panel go">
        <div>
          <b>Then read a coupon</b>
          <small>One to try first, which nobody ran and which is not kept; or the first real one.</small>
        </div>
        <div class="acts">
          <v-btn variant="outlined" to="/bench?try=1">Try the Bench</v-btn>
          <v-btn :color="done === steps.length ? 'primary' : undefined" variant="flat" to="/bench"
            >Read the first coupon</v-btn
          >
        </div>
      </li>
    </ol>
    <SectionForm v-if="form === 'class'" :section="null" @done="taken" @close="form = null" />
    <RosterImport v-if="form === 'roster'" :section="sections.current!" @done="taken" @close="form = null" />
    <StudentForm
      v-if="form === 'student'"
      :student="null"
      :sections="sections.all"
      :section-id="sections.current!.id"
      @done="taken"
      @close="form = null"
    />
  </div>
</template>

<style scoped>
.first {
  max-width: 1060px;
}
.steps {
  display: grid;
  gap: 12px;
  padding: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.go {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  align-items: center;
  justify-content: space-between;
  padding: 16px 18px;
}
.go div:first-child {
  display: grid;
}
small {
  font-size: 0.92rem;
  color: var(--quiet);
}
</style>
