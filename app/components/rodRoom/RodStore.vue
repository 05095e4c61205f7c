<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { lotName, storedHow, type RodLot } from '~~/core/rodRoom'
import { useRods } from '~/stores/rods'

/** What lies in the store, by lot. Under nought the book and the shelf disagree, and it is counted. */
const rods = useRods()
type Form = { is: 'change' | 'bin' | 'received' | 'counted'; lot: RodLot } | null
const form = shallowRef<Form>(null)
const there = (lot: RodLot) => rods.room.stock[lot.id] ?? 0
const boxes = (lot: RodLot) => Math.round((10 * there(lot)) / lot.rodsInBox) / 10
const openedSaid = ({ openedOn }: RodLot) => (openedOn ? ` · opened ${spokenDay(openedOn)}` : '')
const done = () => {
  form.value = null
}
</script>

<template>
  <section class="panel kept" aria-label="In the store">
    <h2>In the store</h2>
    <ul>
      <li v-for="lot in rods.room.lots" :key="lot.id">
        <div class="what">
          <b>{{ lotName(lot) }}</b>
          <small class="quiet">{{ lot.place }}{{ openedSaid(lot) }} · {{ storedHow(lot) }}</small>
        </div>
        <p class="num" :class="{ under: there(lot) < 0 }">
          <b>{{ there(lot) }}</b> rods
          <small>{{ there(lot) < 0 ? 'count them' : boxes(lot) === 1 ? '1 box' : `${boxes(lot)} boxes` }}</small>
        </p>
        <v-menu>
          <template #activator="{ props: opens }">
            <v-btn v-bind="opens" variant="text" :aria-label="`${lotName(lot)}: received, counted, more`">…</v-btn>
          </template>
          <v-list density="comfortable">
            <v-list-item title="More came" @click="form = { is: 'received', lot }" />
            <v-list-item title="Counted" @click="form = { is: 'counted', lot }" />
            <v-list-item title="Bin some" @click="form = { is: 'bin', lot }" />
            <v-list-item title="Change the lot" @click="form = { is: 'change', lot }" />
          </v-list>
        </v-menu>
      </li>
    </ul>
    <RodCount
      v-if="form?.is === 'received' || form?.is === 'counted'"
      :lot="form.lot"
      :kind="form.is"
      @done="done"
      @close="done"
    />
    <RodsBinned v-if="form?.is === 'bin'" :lot="form.lot" :handful-id="null" @done="done" @close="done" />
    <RodLotForm v-if="form?.is === 'change'" :lot="form.lot" @done="done" @close="done" />
  </section>
</template>

<style scoped>
.kept {
  padding: 16px 18px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
  margin-bottom: 4px;
}
ul {
  padding: 0;
}
li {
  list-style: none;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 4px 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
li:last-child {
  border-bottom: 0;
}
.what {
  display: grid;
  min-width: 0;
}
small {
  font-size: 0.85rem;
}
li > p {
  text-align: right;
}
li > p small {
  display: block;
  color: var(--quiet);
}
.under,
.under small {
  color: var(--poor);
  font-weight: 650;
}
</style>
