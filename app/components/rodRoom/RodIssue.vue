<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { Student } from '~~/contract/people'
import { hasClock, hoursAllowed, lotName } from '~~/core/rodRoom'
import { useSaving } from '~/composables/saving'
import { useHouseRules } from '~/stores/houseRules'
import { useRods } from '~/stores/rods'

/** Rods are drawn: which, how many, for whom. The clock begins with it. */
const props = defineProps<{ students: readonly Student[] }>()
const rods = useRods()
const houseRules = useHouseRules()
const { busy, refused, attempt } = useSaving()
const USUAL_HANDFUL = 8
const lotId = ref('')
const studentId = ref<string | null>(null)
const count = ref(String(USUAL_HANDFUL))
const notice = ref('')

const items = computed(() =>
  rods.room.lots.map(lot => ({ value: lot.id, title: `${lotName(lot)} · ${rods.room.stock[lot.id] ?? 0} there` })),
)
const lot = computed(() => rods.room.lots.find(one => one.id === lotId.value) ?? null)
const people = computed(() =>
  props.students.map(student => ({
    value: student.id,
    title: student.booth ? `${student.booth} · ${student.name}` : student.name,
  })),
)
const clock = computed(() => {
  if (!lot.value) return ''
  const hours = hoursAllowed(lot.value, houseRules.current.rules.exposureHours)
  return hours === null ? 'No clock: these rods never see an oven.' : `They may be out for ${hours} h.`
})
/** A line keeps its number until it stands: pressed twice, it is one line. */
let line = uuid()

async function issue() {
  const rodsDrawn = Number(count.value)
  const student = props.students.find(one => one.id === studentId.value)
  const wrong = !lot.value
    ? 'Choose the rods'
    : !Number.isInteger(rodsDrawn) || rodsDrawn < 1
      ? 'How many: a whole number, 1 or more'
      : ''
  const said = {
    lotId: lotId.value,
    kind: 'issued',
    count: rodsDrawn,
    studentId: studentId.value,
    booth: student?.booth ?? null,
  } as const
  if (!(await attempt(wrong, () => rods.write(line, said)))) return
  line = uuid()
  notice.value = `${rodsDrawn} drawn${student ? ` for ${student.name}` : ''}`
  studentId.value = null
}
</script>

<template>
  <form class="panel issue" aria-label="Draw rods" novalidate @submit.prevent="issue">
    <h2>Draw rods</h2>
    <v-select v-model="lotId" label="Rods" :items="items" hide-details />
    <div class="pair">
      <v-autocomplete
        v-model="studentId"
        label="For"
        :items="people"
        placeholder="nobody in particular"
        clearable
        hide-details
      />
      <v-text-field v-model="count" label="How many" inputmode="numeric" hide-details />
    </div>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
    <div class="act">
      <p class="quiet" role="status">{{ notice || clock }}</p>
      <v-btn type="submit" color="primary" :loading="busy">{{
        lot && hasClock(lot) ? 'Draw, start the clock' : 'Draw'
      }}</v-btn>
    </div>
  </form>
</template>

<style scoped>
.issue {
  padding: 16px 18px;
  display: grid;
  gap: 10px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 120px;
  gap: 10px;
}
.act {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}
.alert {
  color: var(--poor);
  font-weight: 550;
}
</style>
