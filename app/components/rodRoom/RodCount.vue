<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { lotName, type RodLot } from '~~/core/rodRoom'
import { useSaving } from '~/composables/saving'
import { useRods } from '~/stores/rods'

/** More of a lot comes in, or what lies there is counted: a count keeps why it differs from the book. */
const props = defineProps<{ lot: RodLot; kind: 'received' | 'counted' }>()
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const { busy, refused, attempt } = useSaving()
const there = computed(() => rods.room.stock[props.lot.id] ?? 0)
const count = ref(props.kind === 'received' ? String(props.lot.rodsInBox) : '')
const why = ref('')
const line = uuid()

async function save() {
  const wrong = !/^\d{1,4}$/.test(count.value)
    ? 'How many: a whole number'
    : props.kind === 'counted' && why.value.trim() === ''
      ? 'Say why it differs: it is kept with the count'
      : ''
  const said = { lotId: props.lot.id, kind: props.kind, count: Number(count.value), why: why.value } as const
  if (await attempt(wrong, () => rods.write(line, said))) emit('done')
}
</script>

<template>
  <FormDialog :heading="lotName(lot)" :message="refused" :busy="busy" @submit="save" @close="$emit('close')">
    <p class="quiet num">The book says {{ there }}.</p>
    <v-text-field
      v-model="count"
      :label="kind === 'received' ? 'Rods that came' : 'Rods that lie there'"
      inputmode="numeric"
      hide-details
      autofocus
    />
    <v-text-field v-if="kind === 'counted'" v-model="why" label="Why it differs" maxlength="200" hide-details />
  </FormDialog>
</template>
