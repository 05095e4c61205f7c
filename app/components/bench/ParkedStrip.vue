<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { pieceOf } from '~~/core/trade'
import { useBench } from '~/stores/bench'
import { useParkedCoupons } from '~/stores/parkedCoupons'

/** Coupons that were begun and wait: whose, what piece, how long. One key takes the oldest up again. */
const bench = useBench()
const parked = useParkedCoupons()

const now = ref(Date.now())
useIntervalFn(() => {
  now.value = Date.now()
}, 15_000)
function waited(parkedAt: string): string {
  const minutes = Math.floor((now.value - Date.parse(parkedAt)) / 60_000)
  if (minutes < 1) return 'just now'
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
const rows = computed(() =>
  parked.all.map(one => ({
    id: one.id,
    name: one.student.name,
    piece: `${one.document.ticket.position} ${pieceOf(one.document.piece.kind).name.toLowerCase()}`,
    waited: waited(one.parkedAt),
  })),
)
</script>

<template>
  <nav v-if="rows.length > 0" class="parked" aria-label="Parked coupons">
    <span class="label">Parked <kbd class="key">&#96;</kbd></span>
    <ul>
      <li v-for="row in rows" :key="row.id">
        <button type="button" @click="bench.takeUpParked(row.id)">
          <b>{{ row.name }}</b>
          <span class="quiet">{{ row.piece }} · {{ row.waited }}</span>
        </button>
      </li>
    </ul>
    <p v-if="parked.keptAt === 'nowhere'" role="alert">This browser cannot keep them. Save soon.</p>
  </nav>
</template>

<style scoped>
.parked {
  display: flex;
  align-items: center;
  gap: 12px;
  min-width: 0;
  padding: 6px 18px;
  background: rgb(var(--v-theme-surface-variant));
  border-bottom: 1px solid var(--line);
}
.label {
  font-weight: 650;
  white-space: nowrap;
}
ul {
  display: flex;
  gap: 8px;
  min-width: 0;
  overflow-x: auto;
}
button {
  min-height: 44px;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0 14px;
  white-space: nowrap;
  border-radius: 8px;
  border: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
}
p {
  color: var(--poor);
  font-weight: 600;
}
</style>
