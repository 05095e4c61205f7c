<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { lotName } from '~~/core/rodRoom'
import { useFieldErrors } from '~/composables/fieldErrors'
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
/** Each with the ids that it comes in by, so that a second try is the same lots. */
const lines = shallowRef<readonly (LotLine & { id: string; lineId: string })[]>([])
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

function read(text: string): boolean {
  const found = readLots(text, rods.room)
  lines.value = (found ?? []).map(line => ({ ...line, id: line.keptAs ?? uuid(), lineId: uuid() }))
  return found !== null
}
async function bringIn() {
  const lots = lines.value.map(({ id, lineId, lot, rods: count, keptAs }) => {
    return { id, lineId, lot, rods: count, counted: keptAs !== null }
  })
  if (await attempt(() => rods.importLots({ lots }))) emit('done')
}
</script>

<template>
  <ListImport
    heading="Lots from a list"
    :save="`Take in ${lines.length || ''} ${lines.length === 1 ? 'lot' : 'lots'}`"
    :lines="lines"
    :read="read"
    nothing="No lots are found in it: its first line names the columns, one of them “rod”."
    :message="message"
    :busy="busy"
    @bring="bringIn"
    @close="$emit('close')"
  >
    <template #columns>
      Its first line names the columns, as our own list has them: {{ COLUMNS }}. A spreadsheet’s own names do as well. A
      lot that is kept already is counted by it: rod, size, maker’s lot and rods there are enough.
    </template>
    <li v-for="line in lines" :key="line.id">
      <template v-if="line.errors.length === 0"
        ><b>{{ lotName(line.lot) }}</b> <span class="quiet num">{{ rodsSaid(line) }}</span></template
      >
      <template v-else
        ><b>{{ line.lot.classification }} {{ line.lot.makersLot }}</b>
        <p class="wrong">{{ line.errors.join('. ') }}</p></template
      >
    </li>
  </ListImport>
</template>
