<script setup lang="ts">
import { daysAfter } from '~~/core/calendar'
import { daysOffFault, MOST_DAYS_OFF, type SchoolCalendar, type SchoolDaysOff } from '~~/contract/schoolCalendar'
import { readCalendar } from '~/components/house/calendarFile'
import { decodeText } from '~/composables/listFile'
import { useLoader } from '~/composables/loader'
import { today } from '~/composables/shopClock'
import { useVersionedDraft } from '~/composables/versionedDraft'
import { useSchoolCalendar } from '~/stores/schoolCalendar'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

/** The days without class: holidays, breaks between terms, a day on which one section does not meet. */
const store = useSchoolCalendar()
const sections = useSections()
const session = useSession()
useHead({ title: 'Calendar · Fusilis' })
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([store.load(), sections.load()])
})
onMounted(load)

const { draft, why, busy, refused, begin, edit: put, leave, save } = useVersionedDraft<SchoolCalendar>('calendar')
const lines = computed(() => draft.value?.sheet.daysOff ?? store.kept.calendar.daysOff)
function edit(daysOff: readonly SchoolDaysOff[]) {
  if (draft.value) put({ daysOff })
  else begin({ daysOff }, store.kept.version)
}
/** Those that are over stand apart: they are kept, since paces are taken from the weeks behind. */
const rows = computed(() =>
  lines.value.map((daysOff, n) => ({ daysOff, n })).sort((a, b) => a.daysOff.from.localeCompare(b.daysOff.from)),
)
const ahead = computed(() => rows.value.filter(({ daysOff }) => daysOff.to >= today()))
const behind = computed(() => rows.value.filter(({ daysOff }) => daysOff.to < today()))
const change = (at: number, daysOff: SchoolDaysOff) => edit(lines.value.map((one, n) => (n === at ? daysOff : one)))
const remove = (at: number) => edit(lines.value.filter((_, n) => n !== at))
const add = () => edit([...lines.value, { from: today(), to: today(), name: '', sectionId: null }])

const notice = ref('')
const unread = ref('')
const [MOST_BYTES, YEAR] = [2_000_000, 366]
/** A file's days go in beside what stands; the same days once. */
async function takeFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  notice.value = unread.value = ''
  try {
    if (file.size > MOST_BYTES) throw new Error('This file is over 2 MB; a calendar of holidays is smaller.')
    const within = { from: today(), to: daysAfter(today(), YEAR) }
    const { daysOff, atHours } = readCalendar(decodeText(await file.arrayBuffer()), within)
    const has = (one: (typeof daysOff)[number]) =>
      lines.value.some(({ from, to, name }) => from === one.from && to === one.to && name === one.name)
    const more = daysOff.filter(one => !has(one)).map(one => ({ ...one, sectionId: null }))
    if (more.length > 0) edit([...lines.value, ...more])
    const left = atHours > 0 ? ` ${atHours} at hours of a day were left out.` : ''
    notice.value =
      more.length > 0
        ? `${more.length} taken in: look them through, then save.${left}`
        : `All of it stands here.${left}`
  } catch (error) {
    unread.value = (error as Error).message
  }
}

const fault = computed(() => {
  if (lines.value.length > MOST_DAYS_OFF) return `At most ${MOST_DAYS_OFF} lines can be kept`
  const nameless = lines.value.some(({ name }) => name.trim() === '')
  return nameless
    ? 'Say what each line is for'
    : (lines.value.map(one => daysOffFault(one)?.message).find(Boolean) ?? '')
})
/** No reason is asked why a day is free: its name says it. */
async function keep() {
  why.value = 'edited'
  if (!(await save(fault.value, ({ sheet, baseVersion }) => store.save(baseVersion, sheet)))) return
  notice.value = 'Saved.'
  await sections.load()
}
</script>

<template>
  <div class="page">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <section v-else class="panel block" aria-label="Days without class">
      <header>
        <h2>Days without class</h2>
        <template v-if="session.isLead">
          <label class="file push"
            >From a calendar file<input type="file" accept=".ics,text/calendar" @change="takeFile"
          /></label>
          <v-btn variant="outlined" @click="add">Add days</v-btn>
        </template>
      </header>
      <p class="quiet">Plans, rods for the coming weeks, and the days on which students may be ready go by them.</p>
      <p v-if="unread" role="alert" class="alert">{{ unread }}</p>
      <p v-else-if="notice" role="status" class="quiet">{{ notice }}</p>
      <p v-if="rows.length === 0" class="none">
        None yet: every week is reckoned as a week of class.
        <span v-if="!session.isLead">A lead says when there is none.</span>
      </p>
      <DaysOffList label="From today on" :rows="ahead" :sections="sections.all" @change="change" @remove="remove" />
      <details v-if="behind.length > 0">
        <summary>{{ behind.length }} behind</summary>
        <DaysOffList label="Behind" :rows="behind" :sections="sections.all" @change="change" @remove="remove" />
      </details>
      <div v-if="draft" class="foot">
        <p v-if="refused || fault" role="alert" class="alert">{{ refused || fault }}</p>
        <v-btn variant="text" @click="leave">Leave it</v-btn>
        <v-btn color="primary" :loading="busy" :disabled="fault !== ''" @click="keep">Save the calendar</v-btn>
      </div>
      <p v-else-if="store.kept.saved" class="quiet">
        Saved by {{ store.kept.saved.by }}, version {{ store.kept.version }}.
      </p>
    </section>
  </div>
</template>

<style scoped>
.block {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  max-width: 980px;
  padding: 16px 18px;
}
header,
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
h2 {
  font-size: 1.15rem;
  font-weight: 700;
}
.push {
  margin-left: auto;
}
.file {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
summary {
  min-height: 44px;
  cursor: pointer;
  align-content: center;
}
.foot {
  justify-content: flex-end;
}
.alert {
  margin-right: auto;
  color: var(--poor);
  font-weight: 600;
}
</style>
