<script setup lang="ts">
import type { RodsUsed } from '~~/contract/rodRoom'
import { bookCsv } from '~/papers/rodBook'
import { useLookedAt } from '~/composables/loader'
import { saveFile } from '~/composables/saveFile'
import { today } from '~/composables/shopClock'
import { useRods } from '~/stores/rods'

/** What was used in the last weeks: what a coupon costs, what went as stubs, and the book itself. */
const rods = useRods()
const { found: used, problem, load } = useLookedAt<RodsUsed | null>(null, rods.used)
/** What was drawn or came back meanwhile, here or at another screen, counts. */
watch(() => rods.room.movements.map(line => line.id).join(), load)

const taking = ref(false)
function done() {
  taking.value = false
  return load()
}

function saveBook({ movements, names }: RodsUsed) {
  const text = bookCsv({ ...rods.room, movements, names })
  saveFile(new Blob([text], { type: 'text/csv' }), `rod book ${today()}.csv`)
}
</script>

<template>
  <div class="weeks">
    <section class="panel used" aria-label="What a coupon costs">
      <h2>What a coupon costs</h2>
      <RodCost v-if="used" :used="used" />
      <ReckonedState v-else :problem="problem" @again="load" />
    </section>
    <section v-if="used" class="panel used" aria-label="Stubs">
      <h2>Stubs</h2>
      <StubLoss :used="used" />
      <div>
        <v-btn variant="text" @click="saveBook(used)">Book, CSV</v-btn>
        <v-btn variant="text" @click="taking = true">Use from a list</v-btn>
      </div>
      <BookImport v-if="taking" @done="done" @close="taking = false" />
    </section>
  </div>
</template>

<style scoped>
.weeks {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: subgrid;
  gap: 18px;
  align-items: start;
}
.used {
  padding: 16px 18px;
  display: grid;
  gap: 8px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
.used :deep(table) {
  font-size: 0.95rem;
  width: 100%;
  table-layout: fixed;
}
.used :deep(th),
.used :deep(td) {
  padding: 3px 0 3px 12px;
  text-align: right;
  font-weight: 400;
}
.used :deep(th:first-child) {
  width: 34%;
  padding-left: 0;
  text-align: left;
}
.used :deep(thead th) {
  color: var(--quiet);
  font-size: 0.85rem;
}
.used :deep(tbody th) {
  font-weight: 600;
}
</style>
