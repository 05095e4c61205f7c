<script setup lang="ts">
import { checkFitUp } from '~~/core/setup'
import { round, inches, type LengthUnit } from '~~/core/units'
import { choice, length, numeric, type SheetInput } from '~~/core/working'
import { useSheetForm } from '~/composables/sheetForm'
import { messageOf } from '~/stores/request'

/** A groove as it is put together: the gap gauged at both ends, before and after each tack, and what is off. */
const props = defineProps<{ wantedGapMm: number, unit: LengthUnit }>()
const emit = defineEmits<{ gap: [mm: number] }>()

const STAGES = ['before the tacks', 'after tack 1', 'after tack 2', 'welded'] as const
const gap = (id: string, name: string) => length(id, name, 0, 12, inches(1 / 8))
const INPUTS: readonly SheetInput[] = [
  choice('gauged', 'Gauged', STAGES), gap('bareLeft', 'Left, bare'), gap('bareRight', 'Right, bare'), gap('oneRight', 'Right, tack 1'), gap('twoLeft', 'Left, tacked'), gap('twoRight', 'Right, tacked'),
  length('offLine', 'Out of line', 0, 12, 0), numeric('degrees', 'preset', 'Pre-set', 0, 20, 3), numeric('degrees', 'after', 'Drawn in still', -20, 20, 0),
]
const form = useSheetForm(() => INPUTS, () => props.unit)
const of = (id: string) => Number(form.values.value[id])
const stage = computed(() => STAGES.indexOf(form.values.value.gauged as typeof STAGES[number]))
/** Which stage a field belongs to. */
const FROM: Readonly<Record<string, number>> = { oneRight: 1, twoLeft: 2, twoRight: 2, after: 3 }
const fields = computed(() => INPUTS.filter(input => (FROM[input.id] ?? 0) <= stage.value))

const outcome = computed(() => {
  try {
    return { check: checkFitUp({
      wantedGapMm: props.wantedGapMm, bare: { leftMm: of('bareLeft'), rightMm: of('bareRight') },
      afterFirstTack: stage.value >= 1 ? { leftMm: of('bareLeft'), rightMm: of('oneRight') } : null,
      afterSecondTack: stage.value >= 2 ? { leftMm: of('twoLeft'), rightMm: of('twoRight') } : null,
      misalignmentMm: of('offLine'), presetDegrees: of('preset'), leftDegrees: stage.value >= 3 ? of('after') : null,
    }, props.unit) }
  } catch (error) {
    return { problem: messageOf(error) }
  }
})
const gauged = computed(() => (stage.value >= 2 ? (of('twoLeft') + of('twoRight')) / 2 : (of('bareLeft') + of('bareRight')) / 2))
</script>

<template>
  <section class="panel fit" aria-label="Fit-up">
    <h2>Fit-up</h2>
    <CaseForm :fields="fields" :values="form.values.value" :unit="unit" @set="form.set" @problem="form.setProblem" />
    <p v-if="outcome.problem" role="alert" class="off">{{ outcome.problem }}</p>
    <template v-else-if="outcome.check">
      <ul v-if="outcome.check.findings.length > 0" role="status"><li v-for="finding in outcome.check.findings" :key="finding.text"><b>{{ finding.text }}.</b> {{ finding.then }}.</li></ul>
      <p v-else class="quiet" role="status">Nothing off: gauge again after each tack.</p>
      <p v-if="outcome.check.nextPresetDegrees !== null"><b>Pre-set the next one {{ round(outcome.check.nextPresetDegrees, 1) }}°.</b></p>
    </template>
    <div><v-btn variant="outlined" @click="emit('gap', gauged)">Plan with the gap as gauged</v-btn></div>
  </section>
</template>

<style scoped>
.fit { padding: 18px 20px; display: grid; gap: 14px; }
h2 { font-size: 1.1rem; font-weight: 700; }
li { padding: 3px 0; }
li b { color: rgb(var(--v-theme-warning)); }
.off { color: var(--poor); font-weight: 600; }
</style>
