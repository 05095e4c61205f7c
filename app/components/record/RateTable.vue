<script setup lang="ts">
import type { EvidenceSum } from '~~/contract/record'
import { elementOf, type ElementId } from '~~/core/grading'
import { rateOf, type Rate } from '~~/core/progress'
import { positionOf, type PositionId } from '~~/core/trade'
import { formatLength, type LengthUnit } from '~~/core/units'

/** Position by rod: starts, restarts, tie-ins, ends and sound run; each a rate with its count and interval. */
const props = defineProps<{ evidence: readonly EvidenceSum[]; unit: LengthUnit }>()
const WORKS = { plate: 'pad', joint: 'joint', fillet: 'fillet', groove: 'groove', pipe: 'pipe' } as const
/** Rows go as a student does: pads first, pipe last. */
const ORDER = Object.values(WORKS) as string[]
const COLUMNS: readonly ElementId[] = ['start', 'restart', 'tie-in', 'ends', 'run', 'root']

const rows = computed(() => {
  const cells = new Map<
    string,
    { work: string; position: PositionId; rodFamily: string; rates: Map<ElementId, Rate | null> }
  >()
  for (const sum of props.evidence) {
    const key = `${sum.position} ${sum.work} ${sum.rodFamily}`
    const row = cells.get(key) ?? {
      work: WORKS[sum.work],
      position: sum.position,
      rodFamily: sum.rodFamily,
      rates: new Map(),
    }
    row.rates.set(sum.element, rateOf(sum.element, sum.tried, sum.sound))
    cells.set(key, row)
  }
  return [...cells.values()].sort((a, b) => ORDER.indexOf(a.work) - ORDER.indexOf(b.work))
})
const shown = computed(() => COLUMNS.filter(id => rows.value.some(row => row.rates.get(id))))

/** How far along, on the scale that heat draws on steel; a share to say how much of the bar is filled goes with it. */
const temper = (share: number) =>
  share >= 0.95 ? 'blue' : share >= 0.85 ? 'purple' : share >= 0.7 ? 'bronze' : 'straw'
const percent = (share: number) => `${Math.round(share * 100)} %`
function counted(element: ElementId, rate: Rate): string {
  if (elementOf(element).counted === 'mm')
    return props.unit === 'in' ? `of ${Math.round(rate.tried / 304.8)} ft` : `of ${formatLength(rate.tried, 'mm')}`
  return `${rate.sound} of ${rate.tried}`
}
const range = (rate: Rate) =>
  rate.interval ? `${Math.round(rate.interval.low * 100)}–${Math.round(rate.interval.high * 100)} %` : ''
</script>

<template>
  <div class="panel wrap">
    <table>
      <caption class="sr-only">
        Sound work by position and rod
      </caption>
      <thead>
        <tr>
          <th scope="col">Position, rod</th>
          <th v-for="id in shown" :key="id" scope="col">{{ elementOf(id).name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="`${row.position} ${row.work} ${row.rodFamily}`">
          <th scope="row">
            <b>{{ row.position }} {{ positionOf(row.position).name }}</b
            ><small>{{ row.work }}, {{ row.rodFamily }}</small>
          </th>
          <td v-for="id in shown" :key="id" class="num">
            <template v-if="row.rates.get(id)">
              <span class="bar"
                ><i :class="temper(row.rates.get(id)!.share)" :style="{ width: `${row.rates.get(id)!.share * 100}%` }"
              /></span>
              <b v-if="!row.rates.get(id)!.few">{{ percent(row.rates.get(id)!.share) }}</b>
              <small
                >{{ counted(id, row.rates.get(id)!)
                }}<template v-if="row.rates.get(id)!.interval"> · {{ range(row.rates.get(id)!) }}</template></small
              >
            </template>
            <span v-else class="quiet">none</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wrap {
  overflow-x: auto;
}
th,
td {
  text-align: left;
  padding: 10px 14px;
  vertical-align: top;
  font-weight: 400;
}
thead th {
  font-size: 0.88rem;
  color: var(--quiet);
  font-weight: 600;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
tbody tr + tr > * {
  border-top: 1px solid var(--line);
}
small {
  display: block;
  color: var(--quiet);
  font-size: 0.84rem;
  white-space: nowrap;
}
b {
  font-weight: 650;
}
.bar {
  display: block;
  width: 100%;
  min-width: 90px;
  height: 8px;
  border-radius: 4px;
  background: rgb(var(--v-theme-surface-variant));
  margin: 3px 0 4px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  border-radius: 4px;
}
.straw {
  background: var(--temper-straw);
}
.bronze {
  background: var(--temper-bronze);
}
.purple {
  background: var(--temper-purple);
}
.blue {
  background: var(--temper-blue);
}
</style>
