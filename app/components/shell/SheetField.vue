<script setup lang="ts">
import { parseInput, unitOf, writeInput, type SheetInput } from '~~/core/working'
import type { LengthUnit } from '~~/core/units'
import { toNextField, useCaliperKeys } from '~/composables/caliperKeys'
import { messageOf } from '~/stores/request'

/**
 * A field that takes what a welder types: 3/32, .094, 2.4 mm, 125 A. It says how it read it, and what would be
 * right when it cannot.
 * While what is typed is wrong, the value stays as it was and `problem` says why.
 */
const props = defineProps<{ input: SheetInput; modelValue: number | string; unit: LengthUnit; autofocus?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [value: number | string]; 'problem': [message: string] }>()

const shown = () => writeInput(props.input, props.modelValue, props.unit)
const text = ref(shown())
const said = ref('')
const problem = ref('')
let mine: number | string = props.modelValue

function type(value: string) {
  text.value = value
  try {
    const read = parseInput(props.input, value, props.unit)
    said.value = read.said
    problem.value = ''
    mine = read.value
    emit('update:modelValue', read.value)
  } catch (error) {
    said.value = ''
    problem.value = messageOf(error)
  }
  emit('problem', problem.value)
}
watch(
  () => [props.modelValue, props.unit] as const,
  ([value, unit], [, before]) => {
    if (value === mine && unit === before) return
    mine = value
    text.value = shown()
    said.value = ''
    problem.value = ''
    emit('problem', '')
  },
)
/** A caliper that types says its unit by its decimals; the key that ends its reading goes on to the next field. */
const caliper = useCaliperKeys()
function press(event: KeyboardEvent) {
  const mm = props.input.kind === 'number' && props.input.quantity === 'length' ? caliper.ended(event) : null
  if (mm === null) return
  event.preventDefault()
  type(`${Math.round(1000 * mm) / 1000} mm`)
  const from = event.target as HTMLElement
  void nextTick(() => toNextField(from))
}
/** Takes the focus as it is drawn: Vuetify's own `autofocus` takes it later, from under the fingers. */
const field = useTemplateRef<{ focus: () => void }>('field')
onMounted(() => {
  if (props.autofocus) void nextTick(() => field.value?.focus())
})
onBeforeUnmount(() => emit('problem', ''))
</script>

<template>
  <v-select
    v-if="input.kind === 'choice'"
    :label="input.name"
    :items="[...input.choices]"
    :model-value="String(modelValue)"
    hide-details="auto"
    @update:model-value="type(String($event))"
  />
  <v-text-field
    v-else
    ref="field"
    :label="input.name"
    :suffix="unitOf(input.quantity, unit)"
    :model-value="text"
    :error-messages="problem"
    :hint="said"
    persistent-hint
    hide-details="auto"
    inputmode="text"
    autocomplete="off"
    @keydown="press"
    @update:model-value="type(String($event ?? ''))"
  />
</template>
