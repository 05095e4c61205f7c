<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { sayMeetings } from '~~/core/floor'
import { clampDueOn } from '~~/core/setup'
import { dayOf, today } from '~/composables/shopClock'
import { useFloorLive } from '~/composables/floorLive'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { FLOOR_KEYS } from '~/keys/roomKeys'
import { useFloor } from '~/stores/floor'
import { useHouseRules } from '~/stores/houseRules'
import { useBlindReadings } from '~/stores/blindReadings'
import { useOutbox } from '~/stores/outbox'
import { messageOf } from '~/stores/request'
import { useGroupReading } from '~/stores/groupReading'
import { useSections } from '~/stores/sections'
import { useShop } from '~/stores/shop'

const sections = useSections()
const floor = useFloor()
const readings = useBlindReadings()
const shop = useShop()
const houseRules = useHouseRules()
/** Wide enough for the shop to be drawn; a phone or an upright tablet has the list. */
const wide = useMediaQuery('(min-width: 1100px)')
const outbox = useOutbox()
const handing = ref(false)
const refused = ref('')
useHead({ title: 'Floor · Fusilis' })

const { loading, problem, load } = useLoader(async () => {
  if (!sections.loaded) await sections.load()
  if (sections.current) await Promise.all([floor.load(sections.current.id), shop.load(), houseRules.load()])
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

useFloorLive(
  () => floor.sectionId,
  serial => void floor.follow(serial).catch(() => {}),
)

const readToday = computed(() => floor.students.filter(student => student.last?.classDay === today()).length)
const meetings = computed(() => sayMeetings(sections.current?.meetings ?? []))
const others = computed(() => floor.longestAgo.filter(student => !floor.waitOf(student.id)))
const remarking = ref(false)
/** Several coupons of one table are about to be read. */
const grouping = ref(false)
const group = useGroupReading()
function readTable(ids: string[]) {
  group.begin(ids)
  return navigateTo(toBench(ids[0]!))
}
const refusedHere = ref('')
async function tryTo(act: () => Promise<void>) {
  refusedHere.value = ''
  try {
    await act()
  } catch (error) {
    refusedHere.value = messageOf(error)
  }
}
const setReady = (studentId: string, ready: boolean) => tryTo(() => floor.setReady(studentId, ready))
/** The booth that is about to be taken out of service. */
const breaking = ref<number | null>(null)
/** The booth whose machine a clamp meter is held to. */
const clamping = ref<{ booth: number | null } | null>(null)
const clampsDue = computed(() =>
  floor.booths.machines.filter(one => clampDueOn(dayOf(one.at), houseRules.current.rules.clampDays) <= today()),
)
const putBack = (id: string) => tryTo(() => shop.putBack(id).then(floor.follow))
const here = computed(() => floor.booths.students.filter(student => student.here).length)
const toldLast = (studentId: string) => floor.students.find(one => one.id === studentId)?.last?.nextRun ?? ''
const toBench = (studentId: string) => ({ path: '/bench', query: { student: studentId } })

usePageKeys(
  FLOOR_KEYS,
  {
    next: () => {
      if (floor.next) void navigateTo(toBench(floor.next.id))
    },
  },
  () => handing.value || remarking.value || breaking.value !== null || clamping.value !== null || grouping.value,
)
/** What was noted of a booth shows at once. */
function afterNoting() {
  breaking.value = null
  clamping.value = null
  void tryTo(floor.follow)
}
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
      <v-btn v-if="floor.next" variant="text" to="/day">The day</v-btn>
      <v-btn v-if="floor.next" variant="text" @click="remarking = true">Remark</v-btn>
      <v-btn v-if="floor.next" variant="outlined" @click="askToHandOver">Hand over tablet</v-btn>
      <v-btn v-if="floor.next" color="primary" :to="toBench(floor.next.id)">Next coupon <kbd class="key">N</kbd></v-btn>
    </header>
    <PageState
      v-if="problem || (loading && floor.students.length === 0)"
      :problem="problem"
      :loading="loading"
      @again="load"
    />
    <EmptySection v-else-if="!sections.current || floor.students.length === 0" />
    <template v-else>
      <p v-if="refusedHere" role="alert" class="alert">{{ refusedHere }}</p>
      <div :class="{ drawn: wide }">
        <div class="beside">
          <div class="count">
            <p class="quiet">
              {{ here }} of {{ floor.students.length }} here, {{ readToday }} read today{{
                floor.queue.waiting.length > 0 ? '' : '; nobody waits'
              }}.
              <template v-if="!wide">The student read longest ago stands first.</template>
            </p>
            <v-btn v-if="!wide" variant="text" @click="clamping = { booth: null }">Clamp meter</v-btn>
            <v-btn v-if="floor.students.length > 1" variant="outlined" @click="grouping = true">Read a table</v-btn>
          </div>
          <FloorQueue
            v-if="floor.queue.waiting.length > 0"
            :queue="floor.queue"
            :read-by="floor.readBy"
            :told="toldLast"
            @not-ready="setReady($event, false)"
          />
          <p v-if="clampsDue.length > 0" class="quiet count">
            Clamp meter due: booth {{ clampsDue.map(one => one.booth).join(', ') }}.
          </p>
          <section v-if="floor.remarks.length > 0" class="panel for-next" aria-label="For next time">
            <h2>For next time</h2>
            <RemarkList :remarks="floor.remarks" about @tick="tryTo(() => floor.tick($event))" />
          </section>
        </div>
        <ShopFloor
          v-if="wide"
          @ready="(studentId, ready) => setReady(studentId, ready)"
          @take-out="breaking = $event"
          @put-back="putBack"
          @clamp="clamping = { booth: $event }"
        />
        <ul v-else class="floor">
          <li v-for="student in others" :key="student.id" class="panel">
            <FloorStudentCard
              :student="student"
              :read-by="floor.readBy(student.id)"
              @ready="setReady(student.id, true)"
            />
          </li>
        </ul>
      </div>
    </template>
    <BoothFaultForm v-if="breaking !== null" :booth="breaking" @close="breaking = null" @saved="afterNoting" />
    <ClampForm
      v-if="clamping"
      :booth="clamping.booth"
      :machines="floor.booths.machines"
      @close="clamping = null"
      @saved="afterNoting"
    />
    <GroupReadingForm
      v-if="grouping"
      :students="floor.students"
      :waiting="floor.queue.waiting.map(one => one.studentId)"
      @begin="readTable"
      @close="grouping = false"
    />
    <RemarkForm
      v-if="remarking && floor.sectionId"
      :section-id="floor.sectionId"
      :students="floor.students"
      @close="remarking = false"
    />
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
      <p v-if="outbox.mine.length > 0" role="status">
        {{ outbox.mine.length }} not sent yet: kept here for you alone, and sent when you sign in here again.
      </p>
    </FormDialog>
  </div>
</template>

<style scoped>
.drawn {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 16px;
  align-items: start;
}
.drawn .beside {
  order: 2;
}
.for-next {
  padding: 12px 16px 8px;
  margin-bottom: 16px;
}
.for-next h2 {
  font-size: 1.1rem;
  font-weight: 700;
  margin-bottom: 4px;
}
/* Narrower than its words and acts: one under the other. */
.count {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  margin-bottom: 10px;
}
.count > p {
  flex: 1 1 120px;
}
.floor {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 420px), 1fr));
  gap: 12px;
}
.floor > li {
  padding: 12px 14px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.quiet {
  font-size: 0.9rem;
}
.key {
  margin-left: 10px;
}
</style>
