<script setup lang="ts">
import { clauseIn } from '~~/core/qualification'
import { daysUntil } from '~~/core/welderTest'
import { longDay } from '~~/core/calendar'
import type { Lapse } from '~/papers/lapsesIcs'

/** How qualifications stand, by student, process and book: last used, last day, and how long that is. */
const props = defineProps<{ rows: readonly Lapse[]; today: string; canNote: boolean; named: boolean }>()
defineEmits<{ use: [row: Lapse] }>()
const SOON = 60
const rowsShown = computed(() =>
  props.rows.map(row => {
    const days = daysUntil(props.today, row.lastDay)
    return {
      row,
      act: row.book.continuity.confirmed ? 'Confirm' : 'Used',
      soon: row.lapsedOn === null && days <= SOON,
      says: row.lapsedOn ? `lapsed ${longDay(row.lapsedOn)}` : days === 0 ? 'today is the last day' : `${days} days`,
    }
  }),
)
</script>

<template>
  <table class="cards">
    <thead>
      <tr>
        <th v-if="named" scope="col">Student</th>
        <th scope="col">Process, by</th>
        <th scope="col">Tested</th>
        <th scope="col">Last used</th>
        <th scope="col">Stands to</th>
        <th scope="col"><span class="sr-only">How long</span></th>
        <th v-if="canNote"><span class="sr-only">Act</span></th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="one in rowsShown"
        :key="`${one.row.studentId} ${one.row.book.id} ${one.row.process}`"
        :class="{ soon: one.soon, lapsed: one.row.lapsedOn }"
      >
        <th v-if="named" scope="row">
          <NuxtLink :to="`/record/${one.row.studentId}/tests`">{{ one.row.student }}</NuxtLink>
        </th>
        <td data-name="Process, by">
          {{ one.row.process }}, {{ one.row.book.name
          }}<small>{{ clauseIn(one.row.book, one.row.book.continuity) }}</small>
        </td>
        <td class="num" data-name="Tested">
          {{ longDay(one.row.testedOn) }}<small v-if="one.row.againBy">again by {{ longDay(one.row.againBy) }}</small>
        </td>
        <td class="num" data-name="Last used">{{ longDay(one.row.lastUsed) }}</td>
        <td class="num" data-name="Stands to">{{ longDay(one.row.lastDay) }}</td>
        <td class="num says">{{ one.says }}</td>
        <td v-if="canNote" class="acts">
          <v-btn
            variant="outlined"
            :aria-label="`${one.act}: ${one.row.student}, ${one.row.process}`"
            @click="$emit('use', one.row)"
            >{{ one.act }}</v-btn
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
th,
td {
  text-align: left;
  padding: 6px 12px 6px 0;
  font-weight: 400;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
thead th {
  border-top: 0;
  color: var(--quiet);
  font-size: 0.88rem;
  font-weight: 600;
}
tbody th {
  font-weight: 600;
}
tbody th a {
  color: inherit;
}
small {
  display: block;
  color: var(--quiet);
  font-size: 0.84rem;
}
.says {
  font-weight: 650;
  white-space: nowrap;
}
.soon .says {
  color: var(--temper-bronze);
}
.v-theme--booth .soon .says {
  color: #e9b873;
}
.lapsed .says {
  color: var(--poor);
}
</style>
