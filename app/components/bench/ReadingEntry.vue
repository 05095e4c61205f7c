<script setup lang="ts">
import type { ReadingKind } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import { length } from '~~/core/working'

/** Types what the gauge reads at the cursor: one figure, or the two of a fillet. What is left empty is not kept. */
const props = defineProps<{ kinds: readonly ReadingKind[], unit: LengthUnit }>()
const emit = defineEmits<{ read: [readings: readonly { of: ReadingKind, valueMm: number }[]], close: [] }>()
const NAMES: Readonly<Partial<Record<ReadingKind, string>>> = { width: 'Bead width here', height: 'Bead height here', penetration: 'Stands through by' }
const fields = computed(() => props.kinds.map(of => ({ of, input: length(of, NAMES[of] ?? `${of[0]!.toUpperCase()}${of.slice(1)} here`, 0, 60, 6) })))
const values = reactive<Record<string, number | ''>>({})
const problems = reactive<Record<string, string>>({})
const read = computed(() => props.kinds.flatMap(of => (typeof values[of] === 'number' ? [{ of, valueMm: values[of] }] : [])))
const wrong = computed(() => Object.values(problems).some(Boolean))

function enter() {
  if (!wrong.value && read.value.length > 0) emit('read', read.value)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="340" :aria-label="kinds.length > 1 ? 'Gauge readings' : `Bead ${kinds[0]}`" @update:model-value="$emit('close')">
    <form class="panel entry" novalidate @submit.prevent="enter">
      <SheetField
        v-for="(field, index) in fields" :key="field.of" :input="field.input" :model-value="values[field.of] ?? ''" :unit="unit" :autofocus="index === 0"
        @update:model-value="values[field.of] = Number($event)" @problem="problems[field.of] = $event"
      />
      <v-btn type="submit" color="primary" block :disabled="read.length === 0 || wrong">Keep the reading</v-btn>
    </form>
  </v-dialog>
</template>

<style scoped>
.entry { padding: 20px; display: grid; gap: 16px; }
</style>
