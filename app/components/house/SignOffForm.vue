<script setup lang="ts">
import { ELEMENTS, type ElementId } from '~~/core/grading'
import { knownElement, signOffChance, USUALLY_ALIKE, type SignOffRule } from '~~/core/ladder'

/** A rule of sign-off, with what it lets through. */
const props = defineProps<{ rule: SignOffRule; coupons: number; inARow: number }>()
const emit = defineEmits<{ change: [rule: SignOffRule] }>()

const FRESH: Readonly<Record<SignOffRule['by'], SignOffRule>> = {
  'in a row': { by: 'in a row', good: null },
  'of the last': { by: 'of the last', good: 4, last: 5 },
  'enough evidence': { by: 'enough evidence', element: 'restart', rate: 0.7, sure: 0.9 },
  'LC-CUSUM': { by: 'LC-CUSUM', element: 'restart', acceptable: 0.1, unacceptable: 0.3, limit: 2.25 },
}
const NAMES: readonly { value: SignOffRule['by']; title: string }[] = [
  { value: 'in a row', title: 'good coupons in a row' },
  { value: 'of the last', title: 'good ones of the last few' },
  { value: 'enough evidence', title: 'enough evidence of a rate' },
  { value: 'LC-CUSUM', title: 'learning curve watched (LC-CUSUM)' },
]
const TRIED = ELEMENTS.filter(element => knownElement(element.id)).map(element => ({
  value: element.id,
  title: element.name,
}))
const TRIES_A_COUPON = 6
const byTries = computed(() => 'element' in props.rule)
const within = computed(() => (byTries.value ? TRIES_A_COUPON : 1) * props.coupons)
const lets = computed(() => {
  try {
    return [0.5, 0.7, 0.9].map(rate => ({
      rate,
      chance: signOffChance(props.rule, rate, within.value, props.inARow, {
        coupons: props.coupons,
        alike: USUALLY_ALIKE,
      }),
    }))
  } catch {
    return []
  }
})
const percent = (share: number) => String(Math.round(share * 1000) / 10)
const edit = (part: Record<string, unknown>) => emit('change', { ...props.rule, ...part } as SignOffRule)
const count = (field: string, text: string) => edit({ [field]: Math.round(Number(text)) || 1 })
const share = (field: string, text: string) => edit({ [field]: (Number(text) || 0) / 100 })
</script>

<template>
  <fieldset>
    <legend>Signed off by</legend>
    <v-select
      label="Rule"
      :model-value="rule.by"
      :items="NAMES"
      hide-details
      @update:model-value="$emit('change', FRESH[$event as SignOffRule['by']])"
    />
    <div class="row">
      <v-text-field
        v-if="rule.by === 'in a row'"
        label="Good ones"
        inputmode="numeric"
        :placeholder="`${inARow} by the house rules`"
        persistent-placeholder
        :model-value="rule.good ?? ''"
        hide-details
        @update:model-value="edit({ good: $event === '' ? null : Math.round(Number($event)) || 1 })"
      />
      <template v-else-if="rule.by === 'of the last'">
        <v-text-field
          label="Good ones"
          inputmode="numeric"
          :model-value="rule.good"
          hide-details
          @update:model-value="count('good', $event)"
        />
        <v-text-field
          label="of the last"
          inputmode="numeric"
          :model-value="rule.last"
          hide-details
          @update:model-value="count('last', $event)"
        />
      </template>
      <template v-else>
        <v-select
          label="Tries of"
          :model-value="rule.element"
          :items="TRIED"
          hide-details
          @update:model-value="edit({ element: $event as ElementId })"
        />
        <template v-if="rule.by === 'enough evidence'">
          <v-text-field
            label="Sound at least, %"
            inputmode="decimal"
            :model-value="percent(rule.rate)"
            hide-details
            @update:model-value="share('rate', $event)"
          />
          <v-text-field
            label="Sure by, %"
            inputmode="decimal"
            :model-value="percent(rule.sure)"
            hide-details
            @update:model-value="share('sure', $event)"
          />
        </template>
        <template v-else>
          <v-text-field
            label="Acceptable, %"
            inputmode="decimal"
            :model-value="percent(rule.acceptable)"
            hide-details
            @update:model-value="share('acceptable', $event)"
          />
          <v-text-field
            label="Too many, %"
            inputmode="decimal"
            :model-value="percent(rule.unacceptable)"
            hide-details
            @update:model-value="share('unacceptable', $event)"
          />
          <v-text-field
            label="Limit"
            inputmode="decimal"
            :model-value="rule.limit"
            hide-details
            @update:model-value="edit({ limit: Number($event) || 1 })"
          />
        </template>
      </template>
    </div>
    <p v-if="rule.by === 'LC-CUSUM'" class="quiet">Shares of tries that fail.</p>
    <p v-if="lets.length > 0" class="quiet">
      Lets through, within {{ within }} {{ byTries ? 'tries' : 'coupons' }}:
      {{
        lets
          .map(row => `${Math.round(row.chance * 100)} of 100 at a steady ${Math.round(row.rate * 100)} %`)
          .join(', ')
      }}. Exact.
    </p>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 8px 14px 14px;
  display: grid;
  gap: 10px;
}
legend {
  font-size: 0.9rem;
  color: var(--quiet);
  padding: 0 4px;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 10px;
}
</style>
