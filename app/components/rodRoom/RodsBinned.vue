<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { lotName, type RodLot } from '~~/core/rodRoom'
import { useSaving } from '~/composables/saving'
import { useRods } from '~/stores/rods'

/** Rods go to the bin: a whole handful, or some of a lot, and why. */
const props = defineProps<{ lot: RodLot; handfulId: string | null }>()
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const { busy, refused, attempt } = useSaving()
const REASONS = ['past their hours', 'wet', 'flaking or damaged', 'not known what they are']
const count = ref('')
const why = ref(props.handfulId ? REASONS[0]! : '')
const line = uuid()

async function save() {
  const wrong = !props.handfulId && !/^[1-9]\d{0,3}$/.test(count.value) ? 'How many: a whole number, 1 or more' : ''
  const said = {
    lotId: props.lot.id,
    kind: 'binned',
    handfulId: props.handfulId,
    count: Number(count.value),
    why: why.value,
  } as const
  if (await attempt(wrong || (why.value.trim() ? '' : 'Say why'), () => rods.write(line, said))) emit('done')
}
</script>

<template>
  <FormDialog
    :heading="`Bin ${lotName(lot)}`"
    save="Bin them"
    danger
    :message="refused"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <v-text-field v-if="!handfulId" v-model="count" label="How many" inputmode="numeric" hide-details autofocus />
    <v-combobox v-model="why" label="Why" :items="REASONS" hide-details />
  </FormDialog>
</template>
