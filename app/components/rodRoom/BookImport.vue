<script setup lang="ts">
import { useFieldErrors } from '~/composables/fieldErrors'
import { BOOK_COLUMNS, KIND_NAMES } from '~/papers/bookColumns'
import { usePeople } from '~/stores/people'
import { useRods } from '~/stores/rods'
import { readBook, type BookLine } from './bookFile'

/** What happened to rods, from a list: shown line by line; all of it comes in, each as of when it happened, or none. */
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const people = usePeople()
const { message, errors, busy, attempt } = useFieldErrors()
const lines = shallowRef<readonly BookLine[]>([])
const COLUMNS = Object.values(BOOK_COLUMNS)
  .map(([ours]) => ours)
  .slice(0, -2)
  .join(', ')
const KINDS = Object.values(KIND_NAMES)
  .map(([ours]) => ours)
  .join(', ')

/** What the server says of a line stands behind it. */
const refusedAt = (n: number) =>
  Object.entries(errors.value).find(([path]) => path.startsWith(`lines[${n}]`))?.[1] ?? null

function read(text: string): boolean {
  const students = [...people.students, ...Object.entries(rods.room.names).map(([id, name]) => ({ id, name }))]
  const found = readBook(text, { lots: rods.room.lots, students, now: new Date() })
  lines.value = found ?? []
  return found !== null
}
async function bringIn() {
  if (await attempt(() => rods.importBook({ lines: lines.value.map(one => one.line) }))) emit('done')
}
</script>

<template>
  <ListImport
    heading="Use from a list"
    :save="`Take in ${lines.length || ''} ${lines.length === 1 ? 'line' : 'lines'}`"
    :lines="lines"
    :read="read"
    nothing="No book is found in it: its first line names the columns, one of them “what”."
    :message="message"
    :busy="busy"
    @bring="bringIn"
    @close="$emit('close')"
  >
    <template #columns>
      Its first line names the columns, as our own book has them: {{ COLUMNS }}. What: {{ KINDS }}. Its lots are taken
      in first; what comes back belongs to what that student drew of the lot last. The same list again changes nothing,
      and what was counted since stays as it was counted.
    </template>
    <li v-for="(one, n) in lines" :key="one.line.id">
      <span class="num">{{ one.says }}</span>
      <p v-if="one.errors.length > 0" class="wrong">{{ one.errors.join('. ') }}</p>
      <p v-else-if="refusedAt(n)" role="alert" class="wrong">{{ refusedAt(n) }}</p>
    </li>
  </ListImport>
</template>
