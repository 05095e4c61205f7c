<script setup lang="ts">
import { useFieldErrors } from '~/composables/fieldErrors'
import { decodeText } from '~/composables/listFile'
import { BOOK_COLUMNS, KIND_NAMES } from '~/papers/bookColumns'
import { usePeople } from '~/stores/people'
import { useRods } from '~/stores/rods'
import { readBook, type BookLine } from './bookFile'

/** What happened to rods, from a list: shown line by line; all of it comes in, each as of when it happened, or none. */
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const people = usePeople()
const { message, errors, busy, attempt } = useFieldErrors()
const problem = ref('')
const lines = shallowRef<readonly BookLine[]>([])
const wrong = computed(() => lines.value.filter(line => line.errors.length > 0).length)
const MOST_BYTES = 300_000
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

async function take(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const students = [...people.students, ...Object.entries(rods.room.names).map(([id, name]) => ({ id, name }))]
  const known = { lots: rods.room.lots, students, now: new Date() }
  const found = file.size <= MOST_BYTES ? readBook(decodeText(await file.arrayBuffer()), known) : null
  problem.value = found ? '' : 'No book is found in it: its first line names the columns, one of them “what”.'
  lines.value = found ?? []
}
async function bringIn() {
  if (await attempt(() => rods.importBook({ lines: lines.value.map(one => one.line) }))) emit('done')
}
</script>

<template>
  <FormDialog
    heading="Use from a list"
    :save="`Take in ${lines.length || ''} ${lines.length === 1 ? 'line' : 'lines'}`"
    :message="message"
    :busy="busy"
    :width="620"
    @submit="lines.length > 0 && wrong === 0 ? bringIn() : undefined"
    @close="$emit('close')"
  >
    <p v-if="lines.length === 0" class="quiet">
      Its first line names the columns, as our own book has them: {{ COLUMNS }}. What: {{ KINDS }}. Its lots are taken
      in first; what comes back belongs to what that student drew of the lot last. The same list again changes nothing,
      and what was counted since stays as it was counted.
    </p>
    <label class="file">A CSV file<input type="file" accept=".csv,.txt,text/csv" @change="take" /></label>
    <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
    <p v-if="wrong > 0" role="alert" class="alert">
      {{ wrong }} of {{ lines.length }} lines need mending in the list; none is taken in until then.
    </p>
    <ul>
      <li v-for="(one, n) in lines" :key="one.line.id">
        <span class="num">{{ one.says }}</span>
        <span v-if="one.errors.length > 0" class="alert">{{ one.errors.join('. ') }}</span>
        <span v-else-if="refusedAt(n)" role="alert" class="alert">{{ refusedAt(n) }}</span>
      </li>
    </ul>
  </FormDialog>
</template>

<style scoped>
.file {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
ul {
  max-height: 46dvh;
  overflow: auto;
}
li {
  padding: 8px 0;
  border-top: 1px solid var(--line);
  display: grid;
}
.alert {
  color: var(--poor);
  font-weight: 550;
}
</style>
