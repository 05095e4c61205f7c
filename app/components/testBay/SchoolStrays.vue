<script setup lang="ts">
import type { ShiftGroup, Stray } from '~~/core/readiness'
import { useCodeBooks } from '~/stores/codeBooks'

/** Which tests here go otherwise than the coupons say: each odds that is said is moved by this figure. */
const props = defineProps<{ strays: readonly Stray[] }>()
const books = useCodeBooks()
const STAGES = { face: 'on the face', root: 'at the root', bends: 'in the bends' } as const

function nameOf({ of, id = '' }: ShiftGroup): string {
  if (of === 'school') return 'All tests'
  return of === 'book' ? (books.offered.find(kept => kept.book.id === id)?.book.name ?? id) : id
}
const said = ({ group, stage, points }: Stray) =>
  `${nameOf(group)}, ${STAGES[stage]}: of 100 that could go either way, ${Math.abs(points)} ${points > 0 ? 'more' : 'fewer'} pass`
const rows = computed(() => props.strays.filter(one => one.points !== 0))
</script>

<template>
  <div>
    <h3>Beside what coupons say</h3>
    <p v-if="rows.length === 0" class="quiet">
      Tests here go as the coupons say, as far as their results can tell. Nothing is added to the odds.
    </p>
    <ul v-else>
      <li v-for="row in rows" :key="said(row)">{{ said(row) }}</li>
    </ul>
  </div>
</template>

<style scoped>
h3 {
  font-size: 1rem;
  font-weight: 650;
  padding-bottom: 4px;
}
ul {
  display: grid;
  gap: 4px;
}
</style>
