<script setup lang="ts">
import { checkFitUp, type FitUpWanted } from '~~/core/setup'
import type { LengthUnit } from '~~/core/units'
import { useSheetForm } from '~/composables/sheetForm'
import { messageOf } from '~/stores/request'
import { fieldsAt, fitUpInputs, fitUpOf, gapNow, stageOf } from './fitUpFields'

/** A groove as it is put together: the gap gauged at both ends, before and after each tack, and what is off. */
const props = defineProps<{ wanted: FitUpWanted; unit: LengthUnit }>()
const emit = defineEmits<{ gap: [mm: number] }>()

const inputs = computed(() => fitUpInputs(props.wanted))
const form = useSheetForm(
  () => inputs.value,
  () => props.unit,
)
const fields = computed(() => fieldsAt(inputs.value, stageOf(form.values.value)))
const fitUp = computed(() => fitUpOf(form.values.value))
const outcome = computed(() => {
  try {
    return { check: checkFitUp(fitUp.value, props.wanted, props.unit) }
  } catch (error) {
    return { problem: messageOf(error) }
  }
})
const gauged = computed(() => (gapNow(fitUp.value).leftMm + gapNow(fitUp.value).rightMm) / 2)
</script>

<template>
  <section class="panel fit" aria-label="Fit-up">
    <h2>Fit-up</h2>
    <CaseForm :fields="fields" :values="form.values.value" :unit="unit" @set="form.set" @problem="form.setProblem" />
    <p v-if="outcome.problem" role="alert" class="off">{{ outcome.problem }}</p>
    <FitUpFindings v-else-if="outcome.check" :check="outcome.check" />
    <div><v-btn variant="outlined" @click="emit('gap', gauged)">Plan with the gap as gauged</v-btn></div>
  </section>
</template>

<style scoped>
.fit {
  padding: 18px 20px;
  display: grid;
  gap: 14px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
.off {
  color: var(--poor);
  font-weight: 600;
}
</style>
