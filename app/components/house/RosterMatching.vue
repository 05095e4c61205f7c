<script setup lang="ts">
import { ROSTER_FIELDS, type RosterField, type RosterMatch } from './rosterFile'

/** Which column of a list holds what: guessed by its name, and chosen otherwise where the guess is wrong. */
const props = defineProps<{ columns: readonly string[]; match: RosterMatch }>()
const emit = defineEmits<{ match: [match: RosterMatch] }>()
const LEFT_OUT = 'left out'
const choices = [...ROSTER_FIELDS, LEFT_OUT]

/** A field stands in one column: chosen for another, it leaves the one before. */
function choose(column: number, chosen: string) {
  const field = chosen === LEFT_OUT ? null : (chosen as RosterField)
  emit(
    'match',
    props.match.map((one, n) => (n === column ? field : one === field ? null : one)),
  )
}
</script>

<template>
  <div class="columns" role="group" aria-label="What each column holds">
    <v-select
      v-for="(column, n) in columns"
      :key="n"
      :label="`“${column}” is`"
      :items="choices"
      :model-value="match[n] ?? LEFT_OUT"
      hide-details
      @update:model-value="choose(n, $event)"
    />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px;
}
</style>
