<script setup lang="ts">
import { MOST_COLUMNS, roomOfBooths } from '~~/core/floor'
import { useSaving } from '~/composables/saving'
import { useShop } from '~/stores/shop'

/** The booths by their number: rows as they stand, to be moved one by one later. */
const props = defineProps<{ likely: number }>()
const shop = useShop()
const { busy, refused, attempt } = useSaving()
const MOST_BOOTHS = 60
const booths = ref(String(props.likely))
const inARow = ref('4')

const whole = (typed: string, most: number) => /^\d+$/.test(typed) && Number(typed) >= 1 && Number(typed) <= most
function layOut() {
  const wrong = !whole(booths.value, MOST_BOOTHS)
    ? `Booths: a whole number from 1 to ${MOST_BOOTHS}`
    : !whole(inARow.value, MOST_COLUMNS)
      ? `In a row: a whole number from 1 to ${MOST_COLUMNS}`
      : ''
  const numbers = Array.from({ length: Number(booths.value) }, (_, n) => n + 1)
  return attempt(wrong, () =>
    shop.save(shop.shop.version, { rooms: [roomOfBooths(numbers, 'Shop', Number(inARow.value))] }),
  )
}
</script>

<template>
  <p v-if="shop.shop.plan" class="quiet">
    Oven, grinders, door and the rest are put in under <NuxtLink to="/house/shop">House, Shop</NuxtLink>.
  </p>
  <form v-else class="fields" novalidate @submit.prevent="layOut">
    <v-text-field v-model="booths" label="How many booths" inputmode="numeric" hide-details />
    <v-text-field v-model="inARow" label="How many in a row" inputmode="numeric" hide-details />
    <v-btn type="submit" color="primary" :loading="busy">Lay them out</v-btn>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 170px 170px auto;
  gap: 10px;
  align-items: center;
}
.alert {
  grid-column: 1 / -1;
  color: var(--poor);
  font-weight: 550;
}
@media (max-width: 700px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
