<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { daysAfter, recordDay, weekdayName } from '~~/core/calendar'
import { lengthsToCut, type PlannedCoupon } from '~~/core/dayPlan'
import { pieceOf } from '~~/core/trade'
import { formatLength } from '~~/core/units'
import { usualCut, type TypedCut } from '~/composables/cutSheet'
import { useDayPlanner } from '~/composables/dayPlanner'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { useRouteQuery } from '~/composables/routeQuery'
import { saveFile } from '~/composables/saveFile'
import { useSaving } from '~/composables/saving'
import { today } from '~/composables/shopClock'
import { DAY_PLAN_KEYS } from '~/keys/roomKeys'
import { cardsPdf } from '~/papers/cardPdf'
import { planCards } from '~/papers/planCards'
import { planSlips, slipsPdf } from '~/papers/planSlips'
import { useCodeBooks } from '~/stores/codeBooks'
import { useDayPlan } from '~/stores/dayPlan'
import { useHouseRules } from '~/stores/houseRules'
import { useSections } from '~/stores/sections'

/** Who runs what in which booth on a class day: worked out, changed by hand, printed. */
const sections = useSections()
const store = useDayPlan()
const houseRules = useHouseRules()
const books = useCodeBooks()
useHead({ title: 'Plan of the day · Fusilis' })
const asked = useRouteQuery('day', '')
const planner = useDayPlanner()
const { lines, terms, wanted, conflicts, touched, share, looking, searched, from, minutes, nameOf } = planner

const { loading, problem, load } = useLoader(async () => {
  await Promise.all([houseRules.load(), books.load(), sections.loaded ? undefined : sections.load()])
  if (!sections.current) return
  await store.load(sections.current.id, asked.value)
  planner.begin()
})
onMounted(load)
watch([() => sections.current?.id, asked], ([id], [before]) => {
  if (id && before) void load()
})

const known = computed(() => store.known)
const roster = computed(
  () => known.value?.students.map(({ student, absent }) => ({ id: student.id, name: student.name, absent })) ?? [],
)
const heading = computed(() =>
  known.value ? `Plan for ${weekdayName(known.value.classDay)} ${recordDay(known.value.classDay)}` : 'Plan of the day',
)
const under = computed(() => {
  if (!known.value) return ''
  const { meeting, dayOff, kept } = known.value
  const none = dayOff === null ? 'The section does not meet that day' : `No class: ${dayOff}`
  const when = meeting ? `${meeting.from}–${meeting.to}` : none
  return kept.saved && !touched.value ? `${when}, saved by ${kept.saved.by}` : when
})
/** How the plan stands, in one line. */
const stands = computed(() => {
  if (share.value !== null) return `Working out what would serve each student, ${Math.round(100 * share.value)} %`
  if (lines.value.length === 0) return 'Nothing is planned yet.'
  const welding = new Set(lines.value.map(line => line.studentId)).size
  const count = `${welding} of ${wanted.value.students.length} weld, ${lines.value.length} coupons`
  if (looking.value) return `${count}. Looking for a better one …`
  if (!searched.value) return `${count}.`
  const { again, short, moved, overHand } = searched.value
  const none = again ? ' None is better that moves as few.' : ' No plan is better.'
  const proof = short === null ? '' : short < 0.005 ? none : ` At most ${Math.ceil(100 * short)} % under the best.`
  const better = overHand >= 0.01 ? ` ${Math.round(100 * overHand)} % over one made by hand.` : ''
  return `${count}.${proof}${better}${moved > 0 ? ` ${moved} moved.` : ''}`
})

const { busy, refused, attempt } = useSaving()
const picked = shallowRef<PlannedCoupon | null>(null)
const saying = ref(false)
const edited = computed({ get: () => lines.value, set: next => planner.change({ lines: next }) })
/** Not while the day is being loaded again: what is then worked out anew would end a search that began meanwhile. */
const ready = computed(() => !loading.value && share.value === null && wanted.value.students.length > 0)
function plan() {
  picked.value = null
  if (ready.value) planner.plan()
}
const save = () => touched.value && attempt('', planner.save)
const setAbsent = (id: string, absent: boolean) => attempt('', () => planner.noteAbsent(id, absent))
/** What was not saved goes, and what another person saved meanwhile is taken up. */
async function leave() {
  picked.value = null
  planner.leave()
  await load()
}
function startOver() {
  picked.value = null
  planner.change({ lines: [] })
}
usePageKeys(DAY_PLAN_KEYS, { plan, save }, () => busy.value || looking.value)

const slips = () =>
  attempt('', async () => {
    const of = { from: from.value, nameOf, sectionId: sections.current!.id, origin: window.location.origin }
    const made = planSlips(wanted.value, lines.value, of)
    saveFile(await slipsPdf(made, heading.value), `Slips ${known.value!.classDay}.pdf`)
  })
const cards = () =>
  attempt('', async () => {
    const { students, common, classDay } = known.value!
    const { rules } = houseRules.current
    const made = planCards(lines.value, {
      students: students.map(({ student }) => student),
      rungs: common?.ladder.ladder.rungs ?? [],
      rules,
      sectionId: sections.current!.id,
      origin: window.location.origin,
    })
    saveFile(await cardsPdf(made, rules), `Cards ${classDay}.pdf`)
  })
const sheet = useLocalStorage<TypedCut>('fusilis.cutting', usualCut(houseRules.unit))
function cut() {
  const pieces = lengthsToCut(wanted.value, lines.value)
    .filter(one => !one.pipe)
    .map(({ piece, lengthMm, count }) => ({
      name: pieceOf(piece).name,
      length: formatLength(lengthMm, houseRules.unit),
      count: String(count),
    }))
  sheet.value = { ...sheet.value, pieces }
  return navigateTo('/set-up/cutting')
}
/** What cannot be, each once: the coupons that it is about are marked where they stand. */
const MOST_SAID = 6
const said = computed(() => [...new Set(conflicts.value.map(conflict => conflict.says))])
const print = () => window.print()
</script>

<template>
  <div class="page wide">
    <header class="page-head">
      <div>
        <h1>{{ heading }}</h1>
        <p>{{ under }}</p>
      </div>
      <nav v-if="known" class="no-print" aria-label="Days">
        <v-btn
          variant="text"
          :icon="mdiChevronLeft"
          aria-label="The day before"
          @click="asked = daysAfter(known.classDay, -1)"
        />
        <v-btn
          variant="text"
          :icon="mdiChevronRight"
          aria-label="The day after"
          @click="asked = daysAfter(known.classDay, 1)"
        />
        <v-btn v-if="known.classDay !== today()" variant="text" @click="asked = ''">Today</v-btn>
      </nav>
      <div class="push no-print"><SectionChooser /></div>
      <v-btn class="no-print" variant="text" to="/day">The day</v-btn>
    </header>
    <PageState v-if="problem || (loading && !known)" :problem="problem" :loading="loading" @again="load" />
    <EmptySection v-else-if="!sections.current || roster.length === 0" />
    <PageState
      v-else-if="known && known.booths.length === 0"
      empty="No booth is in service: give students their booths, or lay the shop out under House."
    />
    <template v-else-if="known">
      <div class="acts no-print">
        <v-btn v-if="looking" variant="outlined" @click="planner.stop">Stop looking</v-btn>
        <v-btn v-else color="primary" :disabled="!ready" @click="plan">{{
          lines.length === 0 ? 'Plan it' : 'Plan again'
        }}</v-btn>
        <p role="status">{{ stands }}</p>
        <span class="push" />
        <v-btn v-if="lines.length > 0" variant="text" @click="startOver">Start over</v-btn>
        <v-btn variant="text" :aria-expanded="saying" @click="saying = !saying">Planned by</v-btn>
        <PlanPaper :none="lines.length === 0" @slips="slips" @cards="cards" @print="print" />
        <v-btn v-if="touched" variant="text" @click="leave">Leave it</v-btn>
        <v-btn variant="outlined" :loading="busy" :disabled="!touched" @click="save">Save</v-btn>
      </div>
      <p v-if="refused || planner.problem.value" role="alert" class="alert">{{ refused || planner.problem.value }}</p>
      <ul v-if="said.length > 0" role="alert" class="alert">
        <li v-for="one in said.slice(0, MOST_SAID)" :key="one">▲ {{ one }}</li>
        <li v-if="said.length > MOST_SAID">and {{ said.length - MOST_SAID }} more</li>
      </ul>
      <div class="plan">
        <div class="drawn">
          <PlanTermsForm
            v-if="saying"
            class="panel by no-print"
            :terms="terms"
            :from="from"
            :minutes="minutes"
            :students="roster"
            :welded="known.welded"
            @change="planner.change({ terms: { ...terms, ...$event } })"
          />
          <PlanChart
            v-model="edited"
            v-model:picked="picked"
            :wanted="wanted"
            :from="from"
            :conflicts="conflicts"
            :name-of="nameOf"
          />
        </div>
        <aside>
          <PlanLeft
            v-model:picked="picked"
            class="panel block no-print"
            :wanted="wanted"
            :lines="lines"
            :students="roster"
            :busy="busy"
            @absent="setAbsent"
          />
          <PlanAnswers class="panel block" :wanted="wanted" :lines="lines" :from="from" :name-of="nameOf" />
          <PlanDraws class="panel block" :wanted="wanted" :lines="lines" :from="from" @cut="cut" />
        </aside>
      </div>
    </template>
  </div>
</template>

<style scoped>
.wide {
  max-width: 1500px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  padding-bottom: 12px;
}
.acts .push {
  margin-left: auto;
}
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
  gap: 18px;
  align-items: start;
}
.drawn,
aside {
  display: grid;
  gap: 14px;
  min-width: 0;
}
.block,
.by {
  padding: 14px 16px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding-bottom: 10px;
}
@media (max-width: 1000px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .plan {
    display: block;
  }
}
</style>
