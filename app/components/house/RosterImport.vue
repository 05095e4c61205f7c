<script setup lang="ts">
import type { Section } from '~~/contract/people'
import { today } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { usePeople } from '~/stores/people'
import { decodeText, parseRoster, type RosterPreview } from './rosterFile'

/** A roster from a CSV file: shown first, with what is wrong line by line; everybody goes in or nobody. */
const props = defineProps<{ section: Section }>()
const emit = defineEmits<{ done: [count: number]; close: [] }>()
const people = usePeople()
const { message, busy, attempt } = useFieldErrors()
const preview = ref<RosterPreview | null>(null)
const wrong = computed(() => preview.value?.lines.filter(line => line.errors.length > 0) ?? [])
const MOST_BYTES = 1_000_000

async function take(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  preview.value =
    file.size > MOST_BYTES
      ? { lines: [], problem: 'This file is over 1 MB; a roster is smaller.' }
      : parseRoster(decodeText(await file.arrayBuffer()), today())
}

async function importAll() {
  const students = preview.value!.lines.map(line => line.student)
  if (
    await attempt(async () => {
      await people.importRoster({ sectionId: props.section.id, students })
    })
  )
    emit('done', students.length)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="720" aria-label="Import a roster" @update:model-value="$emit('close')">
    <div class="panel import">
      <h2>Roster for {{ section.name }}</h2>
      <label class="file"
        >CSV file with a column “name”; “hand”, “start”, “booth” if you like<input
          type="file"
          accept=".csv,.txt,text/csv"
          @change="take"
      /></label>
      <p v-if="preview?.problem" role="alert" class="alert">{{ preview.problem }}</p>
      <p v-if="wrong.length > 0" role="alert" class="alert">
        {{ wrong.length }} of {{ preview!.lines.length }} lines need mending in the file; nobody is imported until then.
      </p>
      <div v-if="preview && preview.lines.length > 0" class="lines">
        <table>
          <thead>
            <tr>
              <th>Line</th>
              <th>Name</th>
              <th>Hand</th>
              <th>Start</th>
              <th>Booth</th>
              <th />
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in preview.lines" :key="line.line" :class="{ bad: line.errors.length > 0 }">
              <td class="num">{{ line.line }}</td>
              <td>{{ line.student.name }}</td>
              <td>{{ line.student.hand }}</td>
              <td>{{ line.student.startDate }}</td>
              <td>{{ line.student.booth ?? '' }}</td>
              <td class="alert">{{ line.errors.join('; ') }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="message" role="alert" class="alert">{{ message }}</p>
      <div class="acts">
        <v-btn variant="text" @click="$emit('close')">Leave it</v-btn>
        <v-btn
          color="primary"
          :disabled="!preview || preview.lines.length === 0 || wrong.length > 0"
          :loading="busy"
          @click="importAll"
          >Import {{ preview?.lines.length ?? '' }} students</v-btn
        >
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.import {
  padding: 22px;
  display: grid;
  gap: 12px;
  max-height: 88dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
.file {
  display: grid;
  gap: 8px;
}
.file input {
  min-height: 44px;
}
.lines {
  max-height: 40dvh;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 8px;
}
th,
td {
  text-align: left;
  padding: 6px 10px;
  font-size: 0.92rem;
}
.bad td {
  background: rgba(var(--v-theme-error), 0.08);
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
