<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { useFloorLive } from '~/composables/floorLive'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { usePeople } from '~/stores/people'
import { useRods } from '~/stores/rods'
import { useSections } from '~/stores/sections'

/** The rod room: what is out and for how long, what is drawn, what lies there, what to buy. */
const rods = useRods()
const sections = useSections()
const people = usePeople()
const houseRules = useHouseRules()
useHead({ title: 'Rod room · Fusilis' })

const CLOCK_MS = 15_000
const now = useNow({ interval: CLOCK_MS })
const drawn = computed(() => rods.drawnAt(now.value))

const { loading, problem, load } = useLoader(async () => {
  if (!sections.loaded) await sections.load()
  await Promise.all([rods.load(), houseRules.load()])
  if (sections.current) await people.loadStudents(sections.current.id)
})
onMounted(load)
watch(
  () => sections.current?.id,
  (id, before) => {
    if (before && id) void load()
  },
)
useFloorLive(
  () => sections.current?.id ?? null,
  () => void rods.load().catch(() => {}),
)
const here = computed(() => people.students.filter(student => student.active))
const form = ref<'lot' | 'list' | null>(null)
</script>

<template>
  <div class="page">
    <header class="page-head">
      <div>
        <h1>Rod room</h1>
        <p>Low-hydrogen rods have a clock from the moment they leave the oven.</p>
      </div>
      <div class="push"><SectionChooser /></div>
      <v-btn variant="text" @click="form = 'list'">Lots from a list</v-btn>
      <v-btn :color="rods.room.lots.length === 0 ? 'primary' : undefined" variant="outlined" @click="form = 'lot'"
        >New lot</v-btn
      >
    </header>
    <PageState v-if="problem || (loading && !rods.loaded)" :problem="problem" :loading="loading" @again="load" />
    <PageState
      v-else-if="rods.room.lots.length === 0"
      empty="No rods are kept yet: a lot is a box or more of one maker’s number."
      ><v-btn color="primary" @click="form = 'lot'">Write the first lot down</v-btn></PageState
    >
    <div v-else class="rods">
      <div class="hand">
        <RodIssue :students="here" />
        <RodsDrawn :drawn="drawn" />
      </div>
      <div class="store">
        <RodStore />
        <OvenPanel :now="now" />
        <RodUse />
      </div>
      <RodsUsed />
    </div>
    <LotsImport v-if="form === 'list'" @done="form = null" @close="form = null" />
    <RodLotForm v-if="form === 'lot'" :lot="null" @done="form = null" @close="form = null" />
  </div>
</template>

<style scoped>
.rods {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px;
  align-items: start;
}
.hand,
.store {
  display: grid;
  gap: 18px;
  min-width: 0;
}
@media (max-width: 1000px) {
  .rods {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
