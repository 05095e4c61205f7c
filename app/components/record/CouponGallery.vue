<script setup lang="ts">
import { mdiCameraOutline } from '@mdi/js'
import { POSITIONS } from '~~/core/trade'
import type { CouponSummary } from '~~/contract/record'
import type { CouponFilters } from '~/stores/record'

/** Coupons as small drawings, newest first. */
defineProps<{ coupons: readonly CouponSummary[]; more: boolean; busy: boolean; canOpen: boolean; name: string }>()
const filters = defineModel<CouponFilters>('filters', { required: true })
defineEmits<{ more: [] }>()
const pictured = shallowRef<CouponSummary | null>(null)
const all = { value: null, title: 'all' }
const set = (change: Partial<CouponFilters>) => {
  filters.value = { ...filters.value, ...change }
}
</script>

<template>
  <section>
    <div class="bar no-print">
      <h2 class="section-title">Coupons</h2>
      <v-select
        label="Position"
        hide-details
        density="compact"
        :model-value="filters.position"
        :items="[all, ...POSITIONS.map(row => ({ value: row.id, title: `${row.id} ${row.name}` }))]"
        @update:model-value="set({ position: $event })"
      />
      <v-select
        label="Rod"
        hide-details
        density="compact"
        :model-value="filters.rodFamily"
        :items="[
          all,
          ...['low hydrogen', 'cellulosic', 'rutile', 'high deposition'].map(value => ({ value, title: value })),
        ]"
        @update:model-value="set({ rodFamily: $event })"
      />
      <v-select
        label="Verdict"
        hide-details
        density="compact"
        :model-value="filters.verdict"
        :items="[all, ...['move on', 'run it again', 'start over'].map(value => ({ value, title: value }))]"
        @update:model-value="set({ verdict: $event })"
      />
    </div>
    <p v-if="coupons.length === 0 && !busy" class="quiet none">No coupon like that yet.</p>
    <ul>
      <li v-for="coupon in coupons" :key="coupon.id" class="panel">
        <NuxtLink v-if="canOpen" :to="{ path: '/bench', query: { coupon: coupon.id, name } }"
          ><CouponCard :coupon="coupon"
        /></NuxtLink>
        <CouponCard v-else :coupon="coupon" />
        <v-btn
          v-if="coupon.pictures > 0"
          variant="text"
          :icon="mdiCameraOutline"
          :aria-label="coupon.pictures === 1 ? 'Picture' : `${coupon.pictures} pictures`"
          class="seen no-print"
          @click="pictured = coupon"
        />
      </li>
    </ul>
    <v-btn v-if="more" class="no-print again" variant="outlined" :loading="busy" @click="$emit('more')"
      >Earlier coupons</v-btn
    >
    <LazyCouponPictures v-if="pictured" :coupon="pictured" @close="pictured = null" />
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-bottom: 12px;
}
.bar h2 {
  margin-right: auto;
}
.bar .v-select {
  flex: 0 1 180px;
  min-width: 130px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 12px;
}
li a {
  display: block;
  color: inherit;
  text-decoration: none;
  border-radius: 12px;
}
li a:hover {
  box-shadow: 0 0 0 2px var(--line);
}
li {
  position: relative;
}
.seen {
  position: absolute;
  right: 4px;
  top: 4px;
}
.none {
  padding: 20px 0;
}
.again {
  margin-top: 14px;
}
</style>
