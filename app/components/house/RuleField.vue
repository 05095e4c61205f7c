<script setup lang="ts">
import { ruleAt, type Between, type HouseRules, type Quantity, type RuleLine } from '~~/core/house'
import type { NumberKind, SheetInput } from '~~/core/working'

/** One line of the house rules, to read or to change. Shares are shown in per cent. */
const props = defineProps<{ line: RuleLine; rules: HouseRules; locked: boolean }>()
const emit = defineEmits<{ write: [value: unknown]; problem: [path: string, message: string] }>()

const value = computed(() => ruleAt(props.rules, props.line.path))
const scale = computed(() => (props.line.kind !== 'choice' && props.line.quantity === 'share' ? 100 : 1))
const kindOf = (quantity: Quantity): NumberKind => (quantity === 'share' ? 'percent' : quantity)
function input(name: string): SheetInput {
  if (props.line.kind === 'choice') throw new TypeError('A choice has no number')
  const { lowest, highest, quantity, path } = props.line
  return {
    id: path,
    name,
    kind: 'number',
    quantity: kindOf(quantity),
    lowest: lowest * scale.value,
    highest: highest * scale.value,
    start: lowest,
  }
}
const low = computed(() => (value.value as Between).low * scale.value)
const high = computed(() => (value.value as Between).high * scale.value)
const kept = (typed: number | string) => Number((Number(typed) / scale.value).toFixed(9))
const order = computed(() =>
  props.line.kind === 'between' && low.value > high.value ? 'The low end is over the high one' : '',
)
watch(order, message => emit('problem', `${props.line.path} order`, message))
</script>

<template>
  <fieldset :disabled="locked">
    <template v-if="line.kind === 'between'">
      <SheetField
        :input="input('from')"
        :model-value="low"
        :unit="rules.unit"
        @update:model-value="emit('write', { low: kept($event), high: (value as Between).high })"
        @problem="emit('problem', `${line.path}.low`, $event)"
      />
      <SheetField
        :input="input('to')"
        :model-value="high"
        :unit="rules.unit"
        @update:model-value="emit('write', { low: (value as Between).low, high: kept($event) })"
        @problem="emit('problem', `${line.path}.high`, $event)"
      />
      <p v-if="order" role="alert">{{ order }}</p>
    </template>
    <SheetField
      v-else-if="line.kind === 'number'"
      :input="input(line.name)"
      :model-value="(value as number) * scale"
      :unit="rules.unit"
      @update:model-value="emit('write', kept($event))"
      @problem="emit('problem', line.path, $event)"
    />
    <div v-else class="choices" role="radiogroup" :aria-label="line.name">
      <label v-for="choice in line.choices" :key="choice.id" :class="{ on: choice.id === value }"
        ><input type="radio" :name="line.path" :checked="choice.id === value" @change="emit('write', choice.id)" />
        {{ choice.says }}</label
      >
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 8px;
  min-width: 0;
}
fieldset[disabled] {
  pointer-events: none;
  opacity: 0.75;
}

.choices {
  display: grid;
  gap: 2px;
}
label {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  padding: 6px 12px;
  border-radius: 10px;
  border: 1px solid transparent;
  cursor: pointer;
  line-height: 1.25;
}
label.on {
  border-color: currentColor;
  font-weight: 600;
}
label input {
  width: 18px;
  height: 18px;
  flex: none;
  accent-color: rgb(var(--v-theme-primary));
}
p {
  grid-column: 1 / -1;
  color: var(--poor);
  font-weight: 600;
  font-size: 0.9rem;
}
</style>
