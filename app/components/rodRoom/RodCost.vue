<script setup lang="ts">
import type { RodsUsed } from '~~/contract/rodRoom'
import { couponCosts, type RodsTaken } from '~~/core/rodRoom'
import { dayOf } from '~/composables/shopClock'
import { formatMoney } from '~~/core/units'
import { useHouseRules } from '~/stores/houseRules'
import { useRods } from '~/stores/rods'

/** What coupons cost in rods, as drawn and read: all together, by rung, for mock tests, by student. */
const props = defineProps<{ used: RodsUsed }>()
const rods = useRods()
const houseRules = useHouseRules()
const SHOWN = 5

const costs = computed(() => couponCosts(props.used.movements, rods.room.lots, props.used.runs, dayOf))
/** Those of one's own sections: of others no name is told. */
const named = computed(() =>
  costs.value.byStudent.flatMap(row => {
    const name = props.used.names[row.studentId]
    return name ? [{ name, row }] : []
  }),
)
const tables = computed(() => [
  { by: 'By rung', rows: costs.value.byRung.slice(0, SHOWN).map(row => ({ name: row.rung, row })) },
  { by: 'By student', rows: named.value.slice(0, SHOWN) },
])
const perCoupon = ({ rods: burnt, coupons }: RodsTaken) => (burnt / coupons).toFixed(1)
const money = ({ cents, priced }: RodsTaken) =>
  priced === 0 ? null : formatMoney(cents / priced, houseRules.current.rules.currency)
const each = (row: RodsTaken) => [`${perCoupon(row)} rods`, money(row)].filter(part => part !== null).join(', ')
const unpriced = computed(() => costs.value.all.coupons - costs.value.all.priced)
const of = ({ coupons }: Pick<RodsTaken, 'coupons'>) => `${coupons} ${coupons === 1 ? 'coupon' : 'coupons'}`
</script>

<template>
  <div class="cost">
    <p v-if="costs.all.coupons === 0" class="quiet">
      Said once coupons are read of students whose rods are written down as they draw them.
    </p>
    <template v-else>
      <p class="num">
        <b>{{ each(costs.all) }}</b> a coupon, over {{ of(costs.all) }} whose rods are in the book<template
          v-if="costs.mocks.coupons > 0"
          >; {{ each(costs.mocks) }} a mock test</template
        >. Rods alone, in what the boxes cost<template v-if="unpriced > 0"
          >; {{ of({ coupons: unpriced }) }} of boxes without a price left out of the money</template
        >.
      </p>
      <table v-for="{ by, rows } in tables" :key="by" class="num">
        <thead>
          <tr>
            <th scope="col">{{ by }}</th>
            <th scope="col">rods a coupon</th>
            <th scope="col">cost</th>
            <th scope="col">coupons</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ name, row } in rows" :key="name">
            <th scope="row">{{ name }}</th>
            <td>{{ perCoupon(row) }}</td>
            <td>{{ money(row) ?? '–' }}</td>
            <td>{{ row.coupons }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>

<style scoped>
.cost {
  display: grid;
  gap: 8px;
}
</style>
