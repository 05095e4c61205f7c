<script setup lang="ts">
import { rungsInUse, type Ladder, type RungState } from '~~/core/ladder'
import type { BoardRow } from '~~/contract/progress'
import { reasonOf, type BoardOrder } from './boardOrder'

/** Students against rungs, all on one screen. */
const props = defineProps<{ rows: readonly BoardRow[]; ladder: Ladder; order: BoardOrder; today: string }>()
defineEmits<{ open: [row: BoardRow, state: RungState] }>()
const rungs = computed(() => rungsInUse(props.ladder))
</script>

<template>
  <div class="scroll panel">
    <table>
      <thead>
        <tr>
          <th scope="col" class="who"><span class="sr-only">Student</span></th>
          <th v-for="rung in rungs" :key="rung.id" scope="col" class="rung">
            <span>{{ rung.name }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.student.id">
          <th scope="row" class="who">
            <NuxtLink :to="`/record/${row.student.id}`">{{ row.student.name }}</NuxtLink><small
              v-if="reasonOf(row, order, today)"
              >{{ reasonOf(row, order, today) }}</small
            >
          </th>
          <td v-for="(state, index) in row.climb" :key="state.rungId">
            <RungCell
              :state="state"
              :who="row.student.name"
              :rung="rungs[index]?.name ?? ''"
              :today="today"
              @open="$emit('open', row, state)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  padding: 6px 10px 10px;
}
table {
  table-layout: fixed;
  min-width: 640px;
  border-collapse: separate;
  border-spacing: 2px 1px;
}
.who {
  width: 196px;
  text-align: left;
  font-weight: 550;
  position: sticky;
  left: 0;
  background: rgb(var(--v-theme-surface));
  z-index: 1;
}
.who a {
  display: inline-flex;
  align-items: center;
  min-height: 30px;
  color: inherit;
  text-decoration: none;
}
.who a:hover {
  text-decoration: underline;
}
.who small {
  float: right;
  padding: 6px 8px 0 0;
  color: var(--quiet);
  font-weight: 500;
  white-space: nowrap;
}
.rung {
  height: 140px;
  vertical-align: bottom;
  font-weight: 500;
  font-size: 0.82rem;
  padding-bottom: 4px;
}
.rung span {
  display: block;
  writing-mode: vertical-rl;
  transform: rotate(180deg);
  max-height: 136px;
  margin: 0 auto;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
td {
  padding: 0;
}
tbody tr:hover .who {
  background: rgb(var(--v-theme-surface-variant));
}
</style>
