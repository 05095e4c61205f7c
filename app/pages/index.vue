<script setup lang="ts">
import { describeRod } from '~~/core/coupon'
import { spokenDay } from '~~/core/calendar'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { FLOOR_KEYS } from '~/keys/roomKeys'
import { useFloor } from '~/stores/floor'
import { useBlindReadings } from '~/stores/blindReadings'
import { messageOf } from '~/stores/request'
import { useSections } from '~/stores/sections'

const sections = useSections()
const floor = useFloor()
const readings = useBlindReadings()
const handing = ref(false)
const refused = ref('')
useHead({ title: 'Floor · Fusilis' })

const { loading, problem, load } = useLoader(async () => {
  if (!sections.loaded) await sections.load()
  if (sections.current) await floor.load(sections.current.id)
})
onMounted(load)
watch(
  () => sections.current?.id,
  (id, before) => {
    if (before && id) void load()
  },
)

/** A whole new page: nothing of the instructor's stays in the tablet's memory. */
async function handOver() {
  try {
    await readings.handOver(sections.current!.id)
    window.location.assign('/kiosk')
  } catch (error) {
    refused.value = messageOf(error)
  }
}

const readToday = computed(() => floor.students.filter(student => student.last?.classDay === today()).length)
const meetings = computed(
  () => sections.current?.meetings.map(one => `${one.weekday} ${one.from}–${one.to}`).join(', ') ?? '',
)
const queue = computed(() =>
  [...floor.students].sort((a, b) => (a.last?.savedAt ?? '').localeCompare(b.last?.savedAt ?? '')),
)

usePageKeys(
  FLOOR_KEYS,
  {
    next: () => {
      if (queue.value[0]) void navigateTo({ path: '/bench', query: { student: queue.value[0].id } })
    },
  },
  () => handing.value,
)
function askToHandOver() {
  handing.value = true
  refused.value = ''
}
</script>

<template>
  <div class="page">
    <header class="page-head">
      <div>
        <h1>{{ sections.current?.name ?? 'Floor' }}</h1>
        <p>{{ meetings }}</p>
      </div>
      <div class="push"><SectionChooser /></div>
      <v-btn v-if="queue[0]" variant="outlined" @click="askToHandOver">Hand over tablet</v-btn>
      <v-btn v-if="queue[0]" color="primary" :to="{ path: '/bench', query: { student: queue[0].id } }"
        >Next coupon <kbd class="key">N</kbd></v-btn
      >
    </header>
    <PageState
      v-if="problem || (loading && floor.students.length === 0)"
      :problem="problem"
      :loading="loading"
      @again="load"
    />
    <PageState v-else-if="!sections.current" empty="There is no section yet."
      ><v-btn color="primary" to="/house">Add a section</v-btn></PageState
    >
    <PageState v-else-if="floor.students.length === 0" empty="Nobody is in this section yet."
      ><v-btn color="primary" to="/house">Fill the roster</v-btn></PageState
    >
    <template v-else>
      <p class="quiet count">
        {{ readToday }} of {{ floor.students.length }} read today; whoever has waited longest stands first
      </p>
      <ul class="floor">
        <li v-for="student in queue" :key="student.id" class="panel">
          <div class="top">
            <span class="booth num" :aria-label="student.booth ? `booth ${student.booth}` : 'no booth'">{{
              student.booth ?? '–'
            }}</span>
            <NuxtLink class="name" :to="`/record/${student.id}`">{{ student.name }}</NuxtLink>
            <span v-if="student.hand === 'left'" class="hand">left hand</span>
            <span v-if="student.selfRead" class="hand">has read it</span>
            <v-btn
              variant="outlined"
              :to="{ path: '/bench', query: { student: student.id } }"
              :aria-label="`Read a coupon of ${student.name}`"
              >Read</v-btn
            >
          </div>
          <div v-if="student.last" class="last">
            <VerdictSign :verdict="student.last.verdict" :size="24" />
            <div>
              <p class="run">{{ student.last.nextRun }}</p>
              <p class="quiet">
                {{ student.last.verdict }} · {{ student.last.ticket.rung }} · {{ describeRod(student.last.ticket) }} ·
                {{ student.last.ticket.currentA }} A ·
                {{ student.last.classDay === today() ? 'today' : spokenDay(student.last.classDay) }}
              </p>
            </div>
          </div>
          <p v-else class="quiet">No coupon read yet.</p>
        </li>
      </ul>
    </template>
    <FormDialog
      v-if="handing"
      heading="Hand this tablet over?"
      save="Hand over"
      :message="refused"
      @submit="handOver"
      @close="handing = false"
    >
      <p>
        Students of {{ sections.current?.name }} read their own coupons on it, each with a code. You are signed out;
        sign in again to take it back.
      </p>
    </FormDialog>
  </div>
</template>

<style scoped>
.count {
  margin-bottom: 10px;
}
.floor {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 400px), 1fr));
  gap: 12px;
}
li {
  padding: 12px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.top {
  display: flex;
  align-items: center;
  gap: 10px;
}
.booth {
  width: 36px;
  height: 36px;
  display: grid;
  place-items: center;
  border-radius: 8px;
  background: rgb(var(--v-theme-surface-variant));
  font-weight: 700;
  flex: none;
}
.name {
  font-size: 1.1rem;
  font-weight: 650;
  color: inherit;
  text-decoration: none;
  min-height: 44px;
  display: flex;
  align-items: center;
}
.name:hover {
  text-decoration: underline;
}
.hand {
  font-size: 0.8rem;
  color: var(--quiet);
}
.top .v-btn {
  margin-left: auto;
}
.last {
  display: flex;
  gap: 12px;
  align-items: flex-start;
}
.run {
  font-weight: 550;
  line-height: 1.35;
}
.quiet {
  font-size: 0.9rem;
}
.key {
  margin-left: 10px;
}
</style>
