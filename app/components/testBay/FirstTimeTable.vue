<script setup lang="ts">
import type { FirstTime } from '~~/core/welderTest'

/** Tests passed the first time, each rate with its exact interval. */
defineProps<{ rows: readonly FirstTime[]; heading: string }>()
const percent = (share: number) => Math.round(share * 100)
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">{{ heading }}</th>
        <th scope="col">Taken</th>
        <th scope="col">First tries</th>
        <th scope="col" class="wide">Passed the first time, in 100</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.name">
        <th scope="row">{{ row.name }}</th>
        <td class="num">{{ row.taken }}</td>
        <td class="num">{{ row.passed }} of {{ row.first }}</td>
        <td>
          <template v-if="row.interval">
            <span class="line" aria-hidden="true"
              ><i
                :style="{
                  left: `${row.interval.low * 100}%`,
                  width: `${(row.interval.high - row.interval.low) * 100}%`,
                }" /><b :style="{ left: `${(100 * row.passed) / row.first}%` }"
            /></span>
            <span class="num"
              >{{ percent(row.passed / row.first) }}
              <small>{{ percent(row.interval.low) }} to {{ percent(row.interval.high) }}</small></span
            >
          </template>
          <span v-else class="quiet">retests only</span>
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
.wide {
  min-width: 170px;
}
small {
  color: var(--quiet);
}
.line {
  position: relative;
  display: block;
  height: 8px;
  border-radius: 4px;
  background: rgb(var(--v-theme-surface-variant));
  margin-bottom: 2px;
}
.line i {
  position: absolute;
  top: 0;
  bottom: 0;
  border-radius: 4px;
  background: rgb(var(--v-theme-secondary));
  opacity: 0.5;
}
.line b {
  position: absolute;
  width: 4px;
  top: -3px;
  bottom: -3px;
  margin-left: -2px;
  border-radius: 2px;
  background: currentColor;
}
</style>
