<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { lotName } from '~~/core/rodRoom'
import { useFieldErrors } from '~/composables/fieldErrors'
import { decodeText } from '~/composables/listFile'
import { LOT_COLUMNS } from '~/papers/lotColumns'
import { useRods } from '~/stores/rods'
import { readLots, type LotLine } from './lotsFile'

/**
 * Lots from a list, as our own goes out or as a spreadsheet has it: shown line by line; all come in, or none. A lot
 * that is kept already is counted by it.
 */
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const { message, busy, attempt } = useFieldErrors()
const problem = ref('')
/** Each with the ids that it comes in by, so that a second try is the same lots. */
const lines = shallowRef<readonly (LotLine & { id: string; lineId: string })[]>([])
const wrong = computed(() => lines.value.filter(line => line.errors.length > 0).length)
const MOST_BYTES = 300_000
const COLUMNS = Object.values(LOT_COLUMNS)
  .map(([ours]) => ours)
  .join(', ')

/** Of a lot that is kept it is said what its count changes. */
function rodsSaid({ keptAs, rods: count }: Pick<LotLine, 'keptAs' | 'rods'>): string {
  if (keptAs === null) return `new, ${count} rods there`
  const off = count - (rods.room.stock[keptAs] ?? 0)
  return off === 0
    ? `kept, ${count} rods there as the book says`
    : `counted ${count}, ${Math.abs(off)} ${off < 0 ? 'fewer' : 'more'} than the book says`
}

async function take(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const found = file.size <= MOST_BYTES ? readLots(decodeText(await file.arrayBuffer()), rods.room) : null
  problem.value = found ? '' : 'No lots are found in it: its first line names the columns, one of them “rod”.'
  lines.value = (found ?? []).map(line => ({ ...line, id: line.keptAs ?? uuid(), lineId: uuid() }))
}
async function bringIn() {
  const lots = lines.value.map(({ id, lineId, lot, rods: count, keptAs }) => {
    return { id, lineId, lot, rods: count, counted: keptAs !== null }
  })
  if (await attempt(() => rods.importLots({ lots }))) emit('done')
}
</script>

<template>
  <FormDialog
    heading="Lots from a list"
    :save="`Take in ${lines.length || ''} ${lines.length === 1 ? 'lot' : 'lots'}`"
    :message="message"
    :busy="busy"
    :width="620"
    @submit="lines.length > 0 && wrong === 0 ? bringIn() : undefined"
    @close="$emit('close')"
  >
    <p v-if="lines.length === 0" class="quiet">
      Its first line names the columns, as our own list has them: {{ COLUMNS }}. A spreadsheet’s own names do as well. A
      lot that is kept already is counted by it: rod, size, maker’s lot and rods there are enough.
    </p>
    <label class="file">A CSV file<input type="file" accept=".csv,.txt,text/csv" @change="take" /></label>
    <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
    <p v-if="wrong > 0" role="alert" class="alert">
      {{ wrong }} of {{ lines.length }} lines need mending in the list; none is taken in until then.
    </p>
    <ul>
      <li v-for="line in lines" :key="line.id">
        <template v-if="line.errors.length === 0"
          ><b>{{ lotName(line.lot) }}</b> <span class="quiet num">{{ rodsSaid(line) }}</span></template
        >
        <template v-else
          ><b>{{ line.lot.classification }} {{ line.lot.makersLot }}</b>
          <span class="alert">{{ line.errors.join('. ') }}</span></template
        >
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
}
.alert {
  color: var(--poor);
  font-weight: 550;
}
</style>
