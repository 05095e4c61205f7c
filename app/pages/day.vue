<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { recordDay, weekdayName } from '~~/core/calendar'
import type { DayStudent } from '~~/contract/day'
import { useFloorLive } from '~/composables/floorLive'
import { useLoader } from '~/composables/loader'
import { useRouteQuery } from '~/composables/routeQuery'
import { useSaving } from '~/composables/saving'
import { today } from '~/composables/shopClock'
import { useDay } from '~/stores/day'
import { useSections } from '~/stores/sections'

/** The class day from opening to closing: who is here, what to look out for, what was shown, who stands first next. */
const sections = useSections()
const days = useDay()
useHead({ title: 'The day · Fusilis' })
const asked = useRouteQuery('day', '')
const { loading, problem, load } = useLoader(async () => {
  if (!sections.loaded) await sections.load()
  if (sections.current) await days.load(sections.current.id, asked.value)
})
onMounted(load)
watch([() => sections.current?.id, asked], ([id], [before]) => {
  if (id && before) void load()
})
const { busy, refused, attempt } = useSaving()

const day = computed(() => days.day)
const live = computed(() => day.value?.classDay === today())
useFloorLive(
  () => (live.value ? (sections.current?.id ?? null) : null),
  () => void days.again().catch(() => {}),
)
const heading = computed(() =>
  day.value ? `${weekdayName(day.value.classDay)} ${recordDay(day.value.classDay)}` : 'The day',
)
const under = computed(() => {
  if (!day.value) return ''
  const { section, meeting, dayOff } = day.value
  if (dayOff !== null) return `${section}: no class, ${dayOff}`
  return meeting ? `${section}, ${meeting.from}–${meeting.to}` : `${section} does not meet that day`
})
/** Who was there and was not read: they stand first when the section meets again. */
const first = computed(
  () => day.value?.students.filter(one => one.attendance.state === 'here' && one.coupons === 0) ?? [],
)
const read = computed(() => day.value?.students.filter(one => one.coupons > 0).length ?? 0)
const coupons = computed(() => day.value?.students.reduce((sum, one) => sum + one.coupons, 0) ?? 0)

const correcting = shallowRef<DayStudent | null>(null)
/** With whom the cautions are read. */
const reading = shallowRef<DayStudent | null>(null)
function afterReading() {
  reading.value = null
  void days.again().catch(() => {})
}
const cameNow = (student: DayStudent) => attempt('', () => days.cameNow(student))
const leftNow = (student: DayStudent) => attempt('', () => days.leftNow(student))
const print = () => window.print()
</script>

<template>
  <div class="page">
    <header class="page-head">
      <div>
        <h1>{{ heading }}</h1>
        <p>{{ under }}</p>
      </div>
      <nav v-if="day" class="around no-print" aria-label="Class days">
        <v-btn
          variant="text"
          :icon="mdiChevronLeft"
          :disabled="!day.before"
          aria-label="The class day before"
          @click="asked = day.before ?? ''"
        />
        <v-btn
          variant="text"
          :icon="mdiChevronRight"
          :disabled="!day.after || day.after > today()"
          aria-label="The class day after"
          @click="asked = day.after ?? ''"
        />
        <v-btn v-if="!live" variant="text" @click="asked = ''">Today</v-btn>
      </nav>
      <div class="push no-print"><SectionChooser /></div>
      <v-btn class="no-print" variant="text" :to="{ path: '/plan', query: asked === '' ? {} : { day: asked } }"
        >Plan</v-btn
      >
      <v-btn class="no-print" variant="text" to="/wall">Wall screen</v-btn>
      <v-btn class="no-print" variant="outlined" to="/">Floor</v-btn>
      <v-btn v-if="day" class="no-print" variant="outlined" @click="print">Print</v-btn>
    </header>
    <PageState v-if="problem || (loading && !day)" :problem="problem" :loading="loading" @again="load" />
    <EmptySection v-else-if="!sections.current || (day && day.students.length === 0)" />
    <div v-else-if="day" class="day">
      <div class="roll">
        <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
        <DayRoll
          :students="day.students"
          :live="live"
          :busy="busy"
          @came="cameNow"
          @left="leftNow"
          @correct="correcting = $event"
          @cautions="reading = $event"
        />
      </div>
      <div class="side">
        <section class="panel block" aria-label="What it came to">
          <h2>What it came to</h2>
          <p v-if="coupons === 0" class="quiet">{{ live ? 'Nothing is read yet.' : 'Nothing was read.' }}</p>
          <p v-else>
            {{ coupons }} {{ coupons === 1 ? 'coupon' : 'coupons' }} of {{ read }}
            {{ read === 1 ? 'student' : 'students' }} read.
          </p>
          <p v-if="first.length > 0">
            <b>{{ live ? 'Still to be read:' : 'Not read, and first next time:' }}</b>
            {{ first.map(one => one.name).join(', ') }}.
          </p>
          <p v-else-if="read > 0" class="quiet">Whoever was here was read.</p>
        </section>
        <DayShown :day="day" />
        <section class="panel block" aria-label="Cautions for this class">
          <h2>Say before the first arc</h2>
          <ul class="cautions">
            <li v-for="caution in day.cautions" :key="caution.text">{{ caution.text }}</li>
          </ul>
          <p class="quiet">
            The maker’s instructions, the data sheet, local rules and the school’s own officer come first.
          </p>
        </section>
      </div>
    </div>
    <v-dialog
      v-if="reading"
      :model-value="true"
      max-width="560"
      :aria-label="`Cautions for ${reading.name}`"
      @update:model-value="reading = null"
    >
      <CautionsRead :student-id="reading.id" :read-with="reading.name" @read="afterReading" />
    </v-dialog>
    <AttendanceForm
      v-if="correcting && day"
      :student="correcting"
      :class-day="day.classDay"
      @close="correcting = null"
    />
  </div>
</template>

<style scoped>
.around {
  display: flex;
}
.day {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(300px, 380px);
  gap: 18px;
  align-items: start;
}
.side {
  display: grid;
  gap: 18px;
}
.block {
  padding: 14px 16px;
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
.cautions {
  padding-left: 18px;
  list-style: disc;
}
.cautions li {
  margin-bottom: 6px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  margin-bottom: 8px;
}
@media (max-width: 1000px) {
  .day {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .day {
    display: block;
  }
}
</style>
