<script setup lang="ts">
import type { DayStudent } from '~~/contract/day'

/** Who is there: one tap says that a student came, or left; the rest is corrected in a form. */
const props = defineProps<{
  students: readonly DayStudent[]
  /** The day is today's: students may come or go now. */
  live: boolean
  busy: boolean
}>()
defineEmits<{
  came: [student: DayStudent]
  left: [student: DayStudent]
  correct: [student: DayStudent]
  cautions: [student: DayStudent]
}>()

/** State by shape first. */
const SHAPES = { 'here': '●', 'absent': '✕', 'not seen': '○' } as const
function says({ attendance: { state, came, late, left, leftEarly }, note }: DayStudent): string {
  if (state === 'absent') return note?.why ? `absent: ${note.why}` : 'absent'
  if (state === 'not seen') return 'not seen'
  const words = [
    late ? `late, ${came}` : 'here',
    ...(left ? [`left ${leftEarly ? 'early, ' : ''}${left}`] : []),
    ...(note?.why ? [note.why] : []),
  ]
  return words.join('; ')
}
/** What was planned; the booth where it is another than the student's own. */
const plannedSaid = ({ planned, booth: own }: DayStudent) =>
  planned.map(({ at, rung, booth }) => `${at} ${rung}${booth === own ? '' : `, booth ${booth}`}`).join(' · ')
const hours = (minutes: number) =>
  minutes === 0 ? '–' : `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`
const there = computed(() => props.students.filter(student => student.attendance.state === 'here').length)
const heading = computed(() => (props.live ? 'Who is here' : 'Who was here'))
const count = computed(() => `${there.value} of ${props.students.length} here`)
</script>

<template>
  <section class="panel roll" :aria-label="heading">
    <header>
      <h2>{{ heading }}</h2>
      <p class="quiet num">{{ count }}</p>
    </header>
    <table class="cards">
      <thead>
        <tr>
          <th scope="col">Booth</th>
          <th scope="col">Student</th>
          <th scope="col">Here</th>
          <th scope="col" class="num wide">In the booth, h</th>
          <th scope="col" class="num wide">Arc, min</th>
          <th scope="col" class="num">Coupons</th>
          <th class="no-print"><span class="sr-only">Note</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="student in students" :key="student.id" :class="{ off: student.attendance.state !== 'here' }">
          <td class="num" data-name="Booth">{{ student.booth ?? '–' }}</td>
          <th scope="row">
            <NuxtLink :to="`/record/${student.id}`">{{ student.name }}</NuxtLink>
            <small v-if="student.planned.length > 0" class="quiet">{{ plannedSaid(student) }}</small>
            <button
              v-if="student.cautionsLeft > 0"
              type="button"
              class="to-read no-print"
              @click="$emit('cautions', student)"
            >
              ▲ {{ student.cautionsLeft }} {{ student.cautionsLeft === 1 ? 'caution' : 'cautions' }} to read
            </button>
          </th>
          <td data-name="Here" :title="student.note ? `noted by ${student.note.by}` : undefined">
            <span class="shape" aria-hidden="true">{{ SHAPES[student.attendance.state] }}</span> {{ says(student) }}
          </td>
          <td class="num wide" data-name="In the booth, h">{{ hours(student.attendance.minutes) }}</td>
          <td class="num wide" data-name="Arc, min">
            {{ student.coupons === 0 ? '–' : Math.round(student.arcMinutes) }}
          </td>
          <td class="num" data-name="Coupons">{{ student.coupons }}</td>
          <td class="acts no-print">
            <v-btn
              v-if="live && student.attendance.state !== 'here'"
              variant="outlined"
              :disabled="busy"
              :aria-label="`${student.name} came now`"
              @click="$emit('came', student)"
              >Came</v-btn
            >
            <v-btn
              v-else-if="live && student.attendance.left === null"
              variant="text"
              :disabled="busy"
              :aria-label="`${student.name} left now`"
              @click="$emit('left', student)"
              >Left</v-btn
            >
            <v-btn variant="text" :aria-label="`Note for ${student.name}`" @click="$emit('correct', student)"
              >Note</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.roll {
  padding: 14px 16px 8px;
  overflow-x: auto;
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 16px;
  margin-bottom: 6px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
table {
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 2px 12px 2px 0;
  height: 48px;
  border-top: 1px solid var(--line);
}
thead th {
  color: var(--quiet);
  font-size: 0.88rem;
  font-weight: 600;
  border-top: 0;
  height: 32px;
}
tbody th {
  font-weight: 650;
}
th small {
  display: block;
  font-weight: 400;
  font-size: 0.86rem;
  padding-bottom: 4px;
}
th a {
  color: inherit;
  text-decoration: none;
}
th.num,
td.num {
  text-align: right;
}
th:first-child,
td:first-child {
  text-align: left;
}
.to-read {
  min-height: 44px;
  font-size: 0.86rem;
  font-weight: 600;
  color: rgb(var(--v-theme-warning));
}
.off th,
.off td {
  color: var(--quiet);
}
.shape {
  display: inline-block;
  width: 1.1em;
}
@media screen and (max-width: 600px) {
  td.num {
    text-align: left;
  }
  td.wide {
    display: none;
  }
}
.acts {
  text-align: right;
  white-space: nowrap;
  padding-right: 0;
}
</style>
