<script setup lang="ts">
import type { Section } from '~~/contract/people'
import { today } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { decodeText } from '~/composables/listFile'
import { usePeople } from '~/stores/people'
import {
  checkedLines,
  matchColumns,
  readTable,
  rosterLines,
  type RosterLine,
  type RosterMatch,
  type RosterStudent,
  type RosterTable,
} from './rosterFile'

/** A roster, pasted or from a file: matched, shown, put right in place; all go in or none. */
const props = defineProps<{ section: Section }>()
const emit = defineEmits<{ done: [count: number]; close: [] }>()
const people = usePeople()
const { message, busy, attempt } = useFieldErrors()
const pasted = ref('')
const problem = ref('')
const table = shallowRef<RosterTable | null>(null)
const match = shallowRef<RosterMatch>([])
const lines = shallowRef<readonly RosterLine[]>([])
const wrong = computed(() => lines.value.filter(line => line.errors.length > 0).length)
const MOST_BYTES = 1_000_000

function take(text: string) {
  const found = text.trim() === '' ? null : readTable(text)
  problem.value = text.trim() === '' || found ? '' : 'There is nobody on this list.'
  table.value = found
  if (found) rematch(matchColumns(found))
  else lines.value = []
}
/** What was put right by hand is read anew: another column is another list. */
function rematch(next: RosterMatch) {
  match.value = next
  lines.value = rosterLines(table.value!, next, today())
}
async function takeFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  pasted.value = ''
  if (file.size <= MOST_BYTES) return take(decodeText(await file.arrayBuffer()))
  take('')
  problem.value = 'This file is over 1 MB; a roster is smaller.'
}
const change = (index: number, student: RosterStudent) => {
  lines.value = checkedLines(lines.value.map((line, n) => (n === index ? student : line.student)))
}
const leaveOut = (index: number) => {
  lines.value = checkedLines(lines.value.flatMap((line, n) => (n === index ? [] : [line.student])))
}

async function importAll() {
  const students = lines.value.map(line => line.student)
  if (
    await attempt(async () => {
      await people.importRoster({ sectionId: props.section.id, students })
    })
  )
    emit('done', students.length)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="860" aria-label="Import a roster" @update:model-value="$emit('close')">
    <div class="panel import">
      <h2>Roster for {{ section.name }}</h2>
      <v-textarea
        v-model="pasted"
        label="Paste the list here: from a spreadsheet, a mail, or names line by line"
        rows="3"
        hide-details
        autofocus
        @update:model-value="take"
      />
      <label class="file">or a CSV file<input type="file" accept=".csv,.txt,text/csv" @change="takeFile" /></label>
      <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
      <p v-if="wrong > 0" role="alert" class="alert">
        {{ wrong }} of {{ lines.length }} lines need mending, here or in the list; nobody is imported until then.
      </p>
      <template v-if="table && lines.length > 0">
        <RosterMatching v-if="table.columns.length > 1" :columns="table.columns" :match="match" @match="rematch" />
        <RosterLines :lines="lines" @change="change" @leave-out="leaveOut" />
      </template>
      <p v-if="message" role="alert" class="alert">{{ message }}</p>
      <div class="acts">
        <v-btn variant="text" @click="$emit('close')">Leave it</v-btn>
        <v-btn color="primary" :disabled="lines.length === 0 || wrong > 0" :loading="busy" @click="importAll"
          >Import {{ lines.length || '' }} {{ lines.length === 1 ? 'student' : 'students' }}</v-btn
        >
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.import {
  padding: 22px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-height: 92dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
.file {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
.alert {
  color: var(--poor);
  font-weight: 550;
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
