<script setup lang="ts">
import type { LengthUnit } from '~~/core/units'
import { length } from '~~/core/working'

/** Types a gauge reading of the bead at the cursor. */
const props = defineProps<{ of: 'width' | 'height', unit: LengthUnit }>()
const emit = defineEmits<{ read: [valueMm: number], close: [] }>()
const input = computed(() => length(props.of, `Bead ${props.of} here`, 0.2, 60, 6))
const valueMm = ref<number | ''>('')
const problem = ref('')

function enter() {
  if (problem.value === '' && valueMm.value !== '') emit('read', valueMm.value)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="340" :aria-label="`Bead ${of}`" @update:model-value="$emit('close')">
    <form class="panel entry" novalidate @submit.prevent="enter">
      <SheetField :input="input" :model-value="valueMm" :unit="unit" autofocus @update:model-value="valueMm = Number($event)" @problem="problem = $event" />
      <v-btn type="submit" color="primary" block :disabled="valueMm === '' || problem !== ''">Keep the reading</v-btn>
    </form>
  </v-dialog>
</template>

<style scoped>
.entry { padding: 20px; display: grid; gap: 16px; }
</style>
