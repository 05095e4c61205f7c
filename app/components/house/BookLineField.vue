<script setup lang="ts">
import {
  ALL_WELDED,
  SPECIMEN_KINDS,
  type BookLine,
  type BookValue,
  type Clause,
  type SpecimenKind,
  type Welded,
} from '~~/core/qualification'
import { inches, MM_PER_INCH } from '~~/core/units'
import { length } from '~~/core/working'

/**
 * One line of a school's code book: its value as the code prints it, the clause, and whether it was held against
 * the school's own copy.
 */
const props = defineProps<{ line: BookLine; metricOnly: boolean }>()
const emit = defineEmits<{ value: [value: BookValue]; clause: [clause: Clause]; problem: [message: string] }>()
const INCH = length('in', 'Inch', 0, inches(200), 0)
const MM = length('mm', 'Metric', 0, 5000, 0)
const kinds = ref(props.line.value.is === 'specimens' ? props.line.value.kinds.join(', ') : '')

function number(text: string) {
  const value = Number(text)
  emit('problem', text.trim() !== '' && value > 0 ? '' : `${props.line.name}: a number over 0`)
  if (value > 0) emit('value', { is: 'number', value })
}
function specimens(text: string) {
  kinds.value = text
  const named = text
    .split(',')
    .map(part => part.trim())
    .filter(Boolean)
  const unknown = named.find(kind => !SPECIMEN_KINDS.includes(kind as SpecimenKind))
  emit(
    'problem',
    named.length === 0 || unknown !== undefined ? `${props.line.name}: from ${SPECIMEN_KINDS.join(', ')}` : '',
  )
  if (named.length > 0 && unknown === undefined) emit('value', { is: 'specimens', kinds: named as SpecimenKind[] })
}
const letters = (chosen: readonly Welded[]) =>
  emit('value', { is: 'positions', letters: ALL_WELDED.filter(letter => chosen.includes(letter)) })
const source = (part: Partial<Clause>) => emit('clause', { ...props.line.source, ...part })
</script>

<template>
  <div class="line" role="group" :aria-label="line.name">
    <span class="name">{{ line.name }}</span>
    <div v-if="line.value.is === 'size'" class="value pair">
      <SheetField
        v-if="!metricOnly"
        :input="INCH"
        unit="in"
        :model-value="inches(line.value.in)"
        @update:model-value="
          emit('value', { is: 'size', in: Number($event) / MM_PER_INCH, mm: (line.value as { mm: number }).mm })
        "
        @problem="emit('problem', $event)"
      />
      <SheetField
        :input="MM"
        unit="mm"
        :model-value="line.value.mm"
        @update:model-value="
          emit('value', {
            is: 'size',
            in: metricOnly ? Number($event) / MM_PER_INCH : (line.value as { in: number }).in,
            mm: Number($event),
          })
        "
        @problem="emit('problem', $event)"
      />
    </div>
    <v-text-field
      v-else-if="line.value.is === 'number'"
      class="value"
      label="Number"
      inputmode="decimal"
      hide-details
      :model-value="line.value.value"
      @update:model-value="number(String($event))"
    />
    <v-btn-toggle
      v-else-if="line.value.is === 'positions'"
      class="value"
      multiple
      divided
      variant="outlined"
      :model-value="[...line.value.letters]"
      @update:model-value="letters($event)"
      ><v-btn v-for="letter in ALL_WELDED" :key="letter" :value="letter" size="small">{{ letter }}</v-btn></v-btn-toggle
    >
    <v-text-field
      v-else-if="line.value.is === 'specimens'"
      class="value"
      label="Specimens, in order"
      hide-details
      :model-value="kinds"
      @update:model-value="specimens($event)"
    />
    <v-textarea
      v-else
      class="value"
      label="Words"
      rows="1"
      auto-grow
      hide-details
      maxlength="400"
      :model-value="line.value.words"
      @update:model-value="emit('value', { is: 'words', words: $event })"
    />
    <v-text-field
      label="Clause"
      hide-details
      maxlength="160"
      :model-value="line.source.clause"
      @update:model-value="source({ clause: $event })"
    />
    <v-checkbox
      label="checked"
      hide-details
      density="compact"
      :model-value="line.source.remembered === 'checked'"
      @update:model-value="source({ remembered: $event ? 'checked' : 'check before it decides' })"
    />
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1.6fr) minmax(0, 1.3fr) 112px;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.name::first-letter {
  text-transform: uppercase;
}
.pair {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 8px;
}
.v-btn-toggle {
  height: 44px;
}
.v-btn--active {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
