<script setup lang="ts">
import type { RodsAhead } from '~~/contract/rodRoom'
import { buyList, kindOf } from '~~/core/rodRoom'
import { formatMoney } from '~~/core/units'
import { lotsCsv } from '~/papers/rodBook'
import { useLookedAt } from '~/composables/loader'
import { saveFile } from '~/composables/saveFile'
import { today } from '~/composables/shopClock'
import { useHouseRules } from '~/stores/houseRules'
import { useRods } from '~/stores/rods'

/** What the coming weeks will use, and what to buy. */
const rods = useRods()
const houseRules = useHouseRules()
/** How long the house wants its rods to last. */
const ahead = computed(() => {
  const { rodsLastDays: days } = houseRules.current.rules
  return days % 7 === 0 ? `${days / 7} ${days === 7 ? 'week' : 'weeks'}` : `${days} days`
})

const stock = computed(() => new Map(Object.entries(rods.room.stock)))
/** Weeks of coupons of the whole school are gone through for it. */
const { found: coming, loading, problem, load } = useLookedAt<RodsAhead>([], rods.ahead)
const toBuy = computed(() =>
  buyList(stock.value, rods.room.lots, new Map(coming.value.map(({ kind, ...use }) => [kind, use]))),
)
const buyOf = (kind: string) => toBuy.value.find(one => one.kind === kind)
/** Of what the store has never had nothing can be bought by its box. */
const hasLot = (kind: string) => rods.room.lots.some(lot => kindOf(lot) === kind)
const money = (cents: number) => formatMoney(cents, houseRules.current.rules.currency)
const saveLots = () => saveFile(new Blob([lotsCsv(rods.room)], { type: 'text/csv' }), `lots ${today()}.csv`)
</script>

<template>
  <section class="panel use" aria-label="Use">
    <h2>The next {{ ahead }}</h2>
    <ReckonedState v-if="problem || loading" :problem="problem" @again="load" />
    <p v-else-if="coming.length === 0" class="quiet">
      Said once coupons are read of students whose rods are written down, or three weeks of rods are in the book.
    </p>
    <ul v-else>
      <li v-for="use in coming" :key="use.kind" class="num">
        <b>{{ use.kind }}</b> about {{ use.likely }} rods, most likely {{ use.low }} to {{ use.high }}
        <b v-if="buyOf(use.kind)" class="buy"
          >buy {{ buyOf(use.kind)!.boxes }} {{ buyOf(use.kind)!.boxes === 1 ? 'box' : 'boxes'
          }}{{ buyOf(use.kind)!.cents === null ? '' : `, ${money(buyOf(use.kind)!.cents!)}` }}</b
        >
        <span v-else-if="hasLot(use.kind)" class="quiet">enough there; buy under {{ use.high }}</span>
        <span v-else class="quiet">no lot of it is kept</span>
      </li>
    </ul>
    <p v-if="coming.length > 0" class="quiet">By where each student is on the ladder, and what their coupons took.</p>
    <div class="acts">
      <v-btn variant="text" @click="saveLots">Lots, CSV</v-btn>
    </div>
  </section>
</template>

<style scoped>
.use {
  padding: 16px 18px;
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
ul {
  padding: 0;
}
li {
  list-style: none;
  padding: 3px 0;
}
.buy {
  margin-left: 8px;
  color: rgb(var(--v-theme-primary));
}
.acts {
  display: flex;
  gap: 4px;
}
</style>
