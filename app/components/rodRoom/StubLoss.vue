<script setup lang="ts">
import { mondayOf, spokenDay } from '~~/core/calendar'
import type { RodsUsed } from '~~/contract/rodRoom'
import { stubLoss, stubLossBy, type RodMovement, type StubLoss } from '~~/core/rodRoom'
import { formatMoney } from '~~/core/units'
import { dayOf } from '~/composables/shopClock'
import { useHouseRules } from '~/stores/houseRules'
import { useRods } from '~/stores/rods'

/** What went into the bin as stubs: of all, by section and week, and of those who leave the most. */
const props = defineProps<{ used: RodsUsed }>()
const rods = useRods()
const houseRules = useHouseRules()
const SHOWN = 5

const by = (groupOf: (line: RodMovement) => string | null) => stubLossBy(props.used.movements, rods.room.lots, groupOf)
/** Of a section that is not one's own no student is named. */
const told = (of: Readonly<Record<string, string>>) =>
  by(({ studentId }) => (studentId ? (of[studentId] ?? null) : null))

const loss = computed(() => stubLoss(props.used.movements, rods.room.lots))
const tables = computed(() => [
  {
    by: 'By student',
    rows: told(props.used.names)
      .sort((a, b) => b.loss.share - a.loss.share)
      .slice(0, SHOWN),
  },
  { by: 'By section', rows: told(props.used.sections) },
  {
    by: 'By week, from',
    rows: by(({ at }) => mondayOf(dayOf(at)))
      .slice(-SHOWN)
      .reverse()
      .map(({ group, loss: own }) => ({ group: spokenDay(group), loss: own })),
  },
])
const money = ({ cents }: StubLoss) => (cents === null ? null : formatMoney(cents, houseRules.current.rules.currency))
const percent = (share: number) => `${Math.round(100 * share)} %`
</script>

<template>
  <div class="loss">
    <p v-if="!loss" class="quiet">Said once stubs are counted as rods come back.</p>
    <template v-else>
      <p class="num">
        {{ percent(loss.share) }} of {{ loss.rods }} rods went as stubs<template v-if="money(loss)"
          >, worth {{ money(loss) }} of what the boxes cost</template
        >; {{ loss.kept }} are long enough for a stub day.
      </p>
      <table v-for="{ by: title, rows } in tables" :key="title" class="num">
        <thead>
          <tr>
            <th scope="col">{{ title }}</th>
            <th scope="col">as stubs</th>
            <th scope="col">of rods</th>
            <th scope="col">worth</th>
            <th scope="col">to burn</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ group, loss: own } in rows" :key="group">
            <th scope="row">{{ group }}</th>
            <td>{{ percent(own.share) }}</td>
            <td>{{ own.rods }}</td>
            <td>{{ money(own) ?? '–' }}</td>
            <td>{{ own.kept }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.loss {
  display: grid;
  gap: 8px;
}
</style>
