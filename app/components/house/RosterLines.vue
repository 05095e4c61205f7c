<script setup lang="ts">
import type { RosterLine, RosterStudent } from './rosterFile'

/** The students of a list before they go in: each can be put right where it stands, or left out. */
defineProps<{ lines: readonly RosterLine[] }>()
const emit = defineEmits<{ change: [index: number, student: RosterStudent]; leaveOut: [index: number] }>()
const text = (event: Event) => (event.target as HTMLInputElement).value
const change = (index: number, student: RosterStudent, part: Partial<RosterStudent>) =>
  emit('change', index, { ...student, ...part })
/** A booth as typed; what is no number is said beside the line. */
const booth = (typed: string) => (typed.trim() === '' ? null : Number(typed))
</script>

<template>
  <div class="lines">
    <table class="cards">
      <thead>
        <tr>
          <th>Name</th>
          <th>Hand</th>
          <th>Start</th>
          <th>Booth</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <template v-for="({ student, errors }, n) in lines" :key="n">
          <tr :class="{ bad: errors.length > 0 }">
            <td class="whole">
              <input
                :value="student.name"
                :aria-label="`Name, line ${n + 1}`"
                maxlength="80"
                @change="change(n, student, { name: text($event).trim() })"
              />
            </td>
            <td data-name="Hand">
              <select
                :value="student.hand"
                :aria-label="`Hand of ${student.name}`"
                @change="change(n, student, { hand: text($event) as RosterStudent['hand'] })"
              >
                <option v-if="student.hand !== 'right' && student.hand !== 'left'" :value="student.hand">
                  {{ student.hand }}
                </option>
                <option value="right">right</option>
                <option value="left">left</option>
              </select>
            </td>
            <td data-name="Start">
              <input
                :value="student.startDate"
                type="date"
                :aria-label="`Start of ${student.name}`"
                @change="change(n, student, { startDate: text($event) })"
              />
            </td>
            <td data-name="Booth">
              <input
                class="booth"
                :value="Number.isNaN(student.booth) ? '' : (student.booth ?? '')"
                inputmode="numeric"
                :aria-label="`Booth of ${student.name}`"
                @change="change(n, student, { booth: booth(text($event)) })"
              />
            </td>
            <td class="end acts">
              <v-btn variant="text" :aria-label="`Leave out ${student.name}`" @click="$emit('leaveOut', n)">Out</v-btn>
            </td>
          </tr>
          <tr v-if="errors.length > 0" class="bad">
            <td colspan="5" class="alert whole">{{ errors.join('; ') }}</td>
          </tr>
        </template>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.lines {
  max-height: 44dvh;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 8px;
}
table {
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 2px 10px;
  font-size: 0.92rem;
}
th {
  padding-top: 8px;
}
input,
select {
  min-height: 44px;
  width: 100%;
  padding: 0 8px;
  border: 1px solid transparent;
  border-radius: 6px;
  color: inherit;
  background: transparent;
}
select option {
  color: #16222a;
}
tr:hover input,
tr:hover select,
input:focus,
select:focus {
  border-color: var(--line);
}
.booth {
  width: 72px;
}
.end {
  text-align: right;
}
.bad td {
  background: rgba(var(--v-theme-error), 0.08);
}
.alert {
  color: var(--poor);
  font-weight: 550;
  padding-bottom: 8px;
}
@media screen and (max-width: 600px) {
  .cards tr {
    padding: 10px;
  }
  .cards td.alert {
    padding-bottom: 8px;
  }
}
</style>
