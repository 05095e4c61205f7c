<script setup lang="ts">
import type { SetUpCase } from '~~/core/setup'
import { saveFile } from '~/composables/saveFile'
import { useHouseRules } from '~/stores/houseRules'
import { usePeople } from '~/stores/people'
import { messageOf } from '~/stores/request'
import { useSections } from '~/stores/sections'
import { boothCards } from '~/papers/boothCards'
import { cardsPdf } from '~/papers/cardPdf'

/** Whose booths get this card; then paper or PDF. */
const props = defineProps<{ wanted: SetUpCase; name: string }>()
const emit = defineEmits<{ close: [] }>()
const people = usePeople()
const sections = useSections()
const houseRules = useHouseRules()

const chosen = ref<string[]>([])
const problem = ref('')
const busy = ref(false)
const students = computed(() =>
  people.students.filter(student => student.active).sort((a, b) => (a.booth ?? Infinity) - (b.booth ?? Infinity)),
)
const rules = computed(() => houseRules.current.rules)
const cards = computed(() =>
  boothCards(
    students.value.filter(student => chosen.value.includes(student.id)),
    props.wanted,
    props.name,
    rules.value,
    window.location.origin,
  ),
)

onMounted(async () => {
  try {
    if (sections.current) await people.loadStudents(sections.current.id)
  } catch (error) {
    problem.value = messageOf(error)
  }
})
const toggle = (id: string) => {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter(one => one !== id) : [...chosen.value, id]
}
const all = () => {
  chosen.value = chosen.value.length === students.value.length ? [] : students.value.map(student => student.id)
}

async function pdf() {
  busy.value = true
  problem.value = ''
  try {
    saveFile(await cardsPdf(cards.value, rules.value), `cards ${props.name}.pdf`)
  } catch (error) {
    problem.value = `The PDF could not be made: ${messageOf(error)}`
  } finally {
    busy.value = false
  }
}
const print = () => window.print()
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="Cards for booths" @update:model-value="emit('close')">
    <section class="panel ask">
      <h2>Cards for booths</h2>
      <p class="quiet">
        {{ name }} · four A6 cards on a sheet of A4. The code on a card opens the Bench for that booth.
      </p>
      <p v-if="students.length === 0 && !problem" class="quiet">Nobody is in this section yet.</p>
      <ul v-else>
        <li>
          <label class="all"
            ><input type="checkbox" :checked="chosen.length === students.length && students.length > 0" @change="all" />
            Everyone in {{ sections.current?.name }}</label
          >
        </li>
        <li v-for="student in students" :key="student.id">
          <label
            ><input type="checkbox" :checked="chosen.includes(student.id)" @change="toggle(student.id)" />{{ ' ' }}
            <span class="num">{{ student.booth ?? '–' }}</span> {{ student.name
            }}<small v-if="student.hand === 'left'" class="quiet">left</small></label
          >
        </li>
      </ul>
      <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Leave it</v-btn>
        <v-btn variant="outlined" :disabled="cards.length === 0" @click="print">Print</v-btn>
        <v-btn color="primary" :disabled="cards.length === 0" :loading="busy" @click="pdf">{{
          cards.length > 0 ? `PDF, ${cards.length} ${cards.length === 1 ? 'card' : 'cards'}` : 'PDF'
        }}</v-btn>
      </div>
    </section>
  </v-dialog>
  <Teleport to="body"
    ><div class="sheets" aria-hidden="true">
      <CardPaper v-for="card in cards" :key="card.id" :booth="card" :rules="rules" /></div
  ></Teleport>
</template>

<style scoped>
.ask {
  padding: 22px;
  display: grid;
  gap: 10px;
  max-height: 88dvh;
  grid-template-rows: auto auto minmax(0, 1fr) auto auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
ul {
  overflow-y: auto;
  border: 1px solid var(--line);
  border-radius: 10px;
  columns: 2;
  column-gap: 0;
  padding: 4px 0;
}
li {
  break-inside: avoid;
}
label {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  padding: 0 12px;
  cursor: pointer;
}
input {
  width: 20px;
  height: 20px;
  accent-color: rgb(var(--v-theme-primary));
}
.all {
  font-weight: 650;
}
.num {
  min-width: 1.4em;
  text-align: right;
  color: var(--quiet);
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
@media (max-width: 600px) {
  ul {
    columns: 1;
  }
}
</style>

<style>
.sheets {
  display: none;
}
@media print {
  body:has(> .sheets:not(:empty)) > :not(.sheets) {
    display: none !important;
  }
  html.v-overlay-scroll-blocked {
    position: static !important;
    overflow: visible !important;
  }
  .sheets:not(:empty) {
    display: grid;
    grid-template-columns: 105mm 105mm;
    width: 210mm;
  }
  .sheets > :nth-child(4n) {
    break-after: page;
  }
  @page {
    margin: 0;
  }
}
</style>
