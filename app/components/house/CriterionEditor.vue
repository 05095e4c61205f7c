<script setup lang="ts">
import { OBSERVED, observedOf, sayLimitRule, type Criterion, type Limit } from '~~/core/criteria'
import { inches, MM_PER_INCH } from '~~/core/units'
import { length } from '~~/core/working'

/**
 * One line of a school's own set: what is observed, what is allowed in each unit as the code book prints it, and
 * the clause.
 */
const props = defineProps<{ criterion: Criterion }>()
const emit = defineEmits<{ change: [criterion: Criterion]; remove: []; problem: [message: string] }>()

const KINDS: readonly { value: Limit['is']; title: string }[] = [
  { value: 'none', title: 'none' },
  { value: 'at most', title: 'at most' },
  { value: 'at most a share', title: 'a share' },
]
const kinds = computed(() =>
  KINDS.some(kind => kind.value === props.criterion.limit.is)
    ? KINDS
    : [...KINDS, { value: props.criterion.limit.is, title: sayLimitRule(props.criterion.limit) }],
)
const FRESH: Readonly<Partial<Record<Limit['is'], Limit>>> = {
  'none': { is: 'none' },
  'at most': { is: 'at most', in: 1 / 32, mm: 1 },
  'at most a share': { is: 'at most a share', of: 'thickness', share: 0.1, plusMm: 0, mostMm: null },
}
const INCH = length('in', 'Inch', 0, inches(24), 0)
const MM = length('mm', 'Metric', 0, 600, 0)
const counted = computed(() => observedOf(props.criterion.observed).counted)
const change = (part: Partial<Criterion>) => emit('change', { ...props.criterion, ...part })
const limit = (next: Limit | undefined) => {
  if (next) change({ limit: next })
}
function observe(observed: Criterion['observed']) {
  change({ observed, id: observed })
}
</script>

<template>
  <div class="line">
    <v-autocomplete
      label="Line"
      :model-value="criterion.observed"
      :items="OBSERVED.map(row => ({ value: row.id, title: row.name }))"
      hide-details
      @update:model-value="$event && observe($event)"
    />
    <v-select
      label="Allowed"
      :model-value="criterion.limit.is"
      :items="kinds"
      hide-details
      @update:model-value="limit(FRESH[$event as Limit['is']])"
    />
    <template v-if="criterion.limit.is === 'at most'">
      <v-text-field
        v-if="counted === 'count'"
        label="Count"
        inputmode="numeric"
        hide-details
        :model-value="criterion.limit.mm"
        @update:model-value="limit({ is: 'at most', in: Number($event) / MM_PER_INCH, mm: Number($event) })"
      />
      <template v-else>
        <SheetField
          :input="INCH"
          unit="in"
          :model-value="inches(criterion.limit.in)"
          @update:model-value="limit({ ...criterion.limit, in: Number($event) / MM_PER_INCH })"
          @problem="$emit('problem', $event)"
        />
        <SheetField
          :input="MM"
          unit="mm"
          :model-value="criterion.limit.mm"
          @update:model-value="limit({ ...criterion.limit, mm: Number($event) })"
          @problem="$emit('problem', $event)"
        />
      </template>
    </template>
    <p v-else class="quiet said">{{ criterion.limit.is === 'none' ? '' : sayLimitRule(criterion.limit) }}</p>
    <v-text-field
      label="Clause"
      :model-value="criterion.clause"
      maxlength="120"
      hide-details
      @update:model-value="change({ clause: $event })"
    />
    <v-btn variant="text" :aria-label="`Take ${observedOf(criterion.observed).name} off`" @click="$emit('remove')"
      >take off</v-btn
    >
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 2fr 1.25fr minmax(0, 0.85fr) minmax(0, 0.85fr) 1.7fr auto;
  gap: 8px;
  align-items: start;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.said {
  grid-column: span 2;
  align-self: center;
  font-size: 0.9rem;
}
@media (max-width: 900px) {
  .line {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
