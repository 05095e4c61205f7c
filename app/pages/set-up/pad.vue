<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { beyondTable, planPad, type PadPlan } from '~~/core/deposit'
import { wantedWidth } from '~~/core/house'
import { arcVolts } from '~~/core/setup'
import { ELECTRODES, USUAL_SIZES } from '~~/core/trade'
import { formatHeat, formatLength, formatSpeed, formatTime, formatWeight, inches } from '~~/core/units'
import { choice, length, numeric, type SheetInput } from '~~/core/working'
import { padCard } from '~/composables/padCard'
import { useSheetForm } from '~/composables/sheetForm'
import { useHouseRules } from '~/stores/houseRules'
import { messageOf } from '~/stores/request'

const houseRules = useHouseRules()
const rules = houseRules.current.rules
const unit = computed(() => houseRules.unit)
const { copy, copied } = useClipboard({ legacy: true })
const width = wantedWidth(rules, inches(1 / 8))
const card = padCard({ rod: 'E7018', size: '1/8', position: '1G flat' }, rules)

const PLATE: readonly SheetInput[] = [
  length('long', 'Plate length', 25, 1000, inches(6)),
  length('wide', 'Plate width', 20, 600, inches(4)),
  length('thick', 'Thickness', 1, 100, inches(3 / 8)),
  choice(
    'rod',
    'Rod',
    ELECTRODES.map(row => row.classification),
    'E7018',
  ),
  choice(
    'size',
    'Size, in or mm',
    USUAL_SIZES.map(row => row.name),
    '1/8',
  ),
  length('rodLength', 'Rod length', 200, 500, inches(14)),
  length('stub', 'Stub', inches(1 / 2), inches(8), rules.stubMm),
]
/** What is tried with a slider: it answers at once. */
const WHAT_IF = [
  { input: length('bead', 'Bead width', 3, 25, width.highMm), step: inches(1 / 32) },
  { input: numeric('percent', 'overlap', 'Overlap', 0, 80, (rules.overlap.low + rules.overlap.high) * 50), step: 1 },
  { input: numeric('amperes', 'current', 'Current', 40, 300, card.current.startA), step: 5 },
  { input: numeric('speed', 'travel', 'Travel', inches(2), inches(20), card.travelMmPerMin), step: inches(0.1) },
] as const
const inputs = [...PLATE, ...WHAT_IF.map(row => row.input)]
const form = useSheetForm(
  () => inputs,
  () => unit.value,
)

const of = (id: string) => Number(form.values.value[id])
const outcome = computed<{ plan: PadPlan } | { problem: string }>(() => {
  const rod = USUAL_SIZES.find(row => row.name === form.values.value.size)!
  const classification = String(form.values.value.rod)
  try {
    return {
      plan: planPad({
        lengthMm: of('long'),
        widthMm: of('wide'),
        beadMm: of('bead'),
        overlap: of('overlap') / 100,
        classification,
        rod: { ...rod, lengthMm: of('rodLength') },
        currentA: of('current'),
        volts: arcVolts(classification, of('current')).middle,
        travelMmPerMin: of('travel'),
        stubMm: of('stub'),
      }),
    }
  } catch (error) {
    return { problem: messageOf(error) }
  }
})
const plan = computed(() => ('plan' in outcome.value ? outcome.value.plan : null))
const heightOff = computed(
  () =>
    plan.value !== null &&
    (plan.value.beadHeightMm > rules.heightMm.high * 1.25 || plan.value.beadHeightMm < rules.heightMm.low * 0.75),
)

const figures = computed(() => {
  const made = plan.value
  if (!made) return []
  const each = made.restartCount / made.beads
  return [
    { name: 'Beads', value: String(made.beads) },
    { name: 'Rods', value: String(made.rods) },
    { name: 'Restarts', value: `${made.restartCount}, ${each.toFixed(1)} a bead` },
    { name: 'Arc time', value: formatTime(made.arcSeconds) },
    { name: 'One rod', value: `${formatLength(made.runOutMm, unit.value)}, ${formatTime(made.rodSeconds)}` },
    { name: 'Heat', value: formatHeat(made.heat.kjPerMm, unit.value) },
    { name: 'Weld metal', value: formatWeight(made.weightKg, unit.value) },
    {
      name: 'Stubs',
      value: `${made.rods - 1} of ${formatLength(of('stub'), unit.value)}, ${formatWeight(made.stubsKg, unit.value)}`,
    },
    { name: 'Last rod left', value: formatLength(made.lastRodMm, unit.value) },
    { name: 'One bead alone', value: `${formatLength(made.beadHeightMm, unit.value)} high` },
  ]
})
</script>

<template>
  <SideAndMain label="The pad">
    <template #ask>
      <CaseForm :fields="PLATE" :values="form.values.value" :unit="unit" @set="form.set" @problem="form.setProblem" />
      <div v-for="row in WHAT_IF" :key="row.input.id" class="slide">
        <SheetField
          :input="row.input"
          :model-value="form.values.value[row.input.id]!"
          :unit="unit"
          @update:model-value="form.set(row.input.id, $event)"
          @problem="form.setProblem(row.input.id, $event)"
        />
        <input
          type="range"
          :aria-label="row.input.name"
          :min="row.input.kind === 'number' ? row.input.lowest : 0"
          :max="row.input.kind === 'number' ? row.input.highest : 0"
          :step="row.step"
          :value="form.values.value[row.input.id]"
          @input="form.set(row.input.id, Number(($event.target as HTMLInputElement).value))"
        />
      </div>
      <v-btn variant="text" block @click="copy(form.link())">{{
        copied ? 'Link copied' : 'Copy a link to this pad'
      }}</v-btn>
    </template>
    <section class="panel plan" aria-label="The plan">
      <p v-if="'problem' in outcome" role="alert" class="alert">{{ outcome.problem }}</p>
      <template v-else-if="plan">
        <PadDrawing
          :plan="plan"
          :bead-mm="of('bead')"
          :length-mm="of('long')"
          :width-mm="of('wide')"
          :thickness-mm="of('thick')"
        />
        <p class="quiet small">
          To scale, from above with each restart, and cut across. Lapped beads stand higher than one alone.
        </p>
        <FigureList :figures="figures" />
        <p v-if="heightOff" class="note" role="status">
          One bead alone would be {{ formatLength(plan.beadHeightMm, unit) }} high; the house wants
          {{ formatLength(rules.heightMm.low, unit) }} to {{ formatLength(rules.heightMm.high, unit) }}.
          {{
            plan.beadHeightMm > rules.heightMm.high
              ? 'Travel faster, or let it be wider.'
              : 'Travel slower, or keep it narrower.'
          }}
        </p>
        <p v-if="beyondTable(plan.rate)" class="note" role="status">{{ beyondTable(plan.rate) }}.</p>
        <p class="quiet small">
          {{ plan.rate.source.name }} ({{ plan.rate.source.certainty }}) at {{ formatSpeed(of('travel'), unit) }}.
        </p>
      </template>
    </section>
  </SideAndMain>
</template>

<style scoped>
.slide {
  display: grid;
  gap: 2px;
}
input[type='range'] {
  width: 100%;
  height: 32px;
  accent-color: rgb(var(--v-theme-primary));
}
.plan {
  padding: 18px 20px;
  display: grid;
  gap: 12px;
}
.note {
  color: rgb(var(--v-theme-warning));
  font-weight: 600;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.small {
  font-size: 0.88rem;
}
</style>
