<script setup lang="ts">
import { EMPTY_ROW, type TypedRow } from '~/composables/cutSheet'

/** Rows of a cutting sheet: a name, a length, how many; there is always an empty one to go on in. */
const rows = defineModel<readonly TypedRow[]>({ required: true })
defineProps<{ what: string; many: string }>()

const shown = computed(() => {
  const last = rows.value.at(-1)
  return last && last.name === '' && last.length === '' && last.count === '' ? rows.value : [...rows.value, EMPTY_ROW]
})
const change = (index: number, part: Partial<TypedRow>) => {
  rows.value = shown.value.map((row, n) => (n === index ? { ...row, ...part } : row))
}
const takeOut = (index: number) => {
  rows.value = shown.value.filter((_, n) => n !== index)
}
</script>

<template>
  <div class="rows" role="group" :aria-label="what">
    <div v-for="(row, n) in shown" :key="n" class="row">
      <v-text-field
        :model-value="row.name"
        :label="what"
        maxlength="40"
        hide-details
        @update:model-value="change(n, { name: $event })"
      />
      <v-text-field
        :model-value="row.length"
        label="Length"
        hide-details
        @update:model-value="change(n, { length: $event })"
      />
      <v-text-field
        :model-value="row.count"
        :label="many"
        inputmode="numeric"
        hide-details
        @update:model-value="change(n, { count: $event })"
      />
      <v-btn v-if="n < shown.length - 1" variant="text" :aria-label="`Take out ${row.name || what}`" @click="takeOut(n)"
        >Out</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 8px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 112px 96px 60px;
  gap: 8px;
  align-items: center;
}
</style>
