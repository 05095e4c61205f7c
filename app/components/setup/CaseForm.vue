<script setup lang="ts">
import type { SheetInput } from '~~/core/working'
import type { LengthUnit } from '~~/core/units'

/** The fields of a case or a sheet, one under the other or side by side. */
defineProps<{ fields: readonly SheetInput[]; values: Readonly<Record<string, number | string>>; unit: LengthUnit }>()
/** A choice of long words takes the whole line. */
const wide = (input: SheetInput) => input.kind === 'choice' && input.choices.some(choice => choice.length > 11)
defineEmits<{ set: [id: string, value: number | string]; problem: [id: string, message: string] }>()
</script>

<template>
  <div class="fields">
    <SheetField
      v-for="input in fields"
      :key="input.id"
      :class="{ wide: wide(input) }"
      :input="input"
      :model-value="values[input.id]!"
      :unit="unit"
      @update:model-value="$emit('set', input.id, $event)"
      @problem="$emit('problem', input.id, $event)"
    />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 12px;
  align-items: start;
}
.wide {
  grid-column: span 2;
}
</style>
