<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import {
  beyondTable,
  depositionRate,
  planStack,
  stackTotals,
  type JointShape,
  type StackPlan,
  type StackPlanner,
} from '~~/core/deposit'
import { arcVolts, housePlanner, startCurrent, type Joint } from '~~/core/setup'
import { ROD_SIZES, type PadPosition } from '~~/core/trade'
import { bothUnits, formatHeat, formatLength, formatTime, formatWeight, inches } from '~~/core/units'
import { choice, length, numeric, type SheetInput } from '~~/core/working'
import { PAD_INPUTS } from '~/composables/padCard'
import { useSheetForm } from '~/composables/sheetForm'
import { useHouseRules } from '~/stores/houseRules'
import { messageOf } from '~/stores/request'

const houseRules = useHouseRules()
const rules = computed(() => houseRules.current.rules)
const unit = computed(() => houseRules.unit)
const { copy, copied } = useClipboard({ legacy: true })

const KINDS = ['V, backing', 'V, open root', 'double V', 'U', 'T fillet'] as const
const INPUTS: readonly SheetInput[] = [
  choice('joint', 'Joint', KINDS),
  length('plate', 'Plate', 3, 60, inches(3 / 8)),
  length('gap', 'Root opening', 0, 12, inches(1 / 4)),
  length('land', 'Root face', 0, 8, 0),
  numeric('degrees', 'angle', 'Included angle', 20, 110, 45),
  length('radius', 'Root radius', 2, 15, inches(1 / 4)),
  numeric('degrees', 'bevel', 'Bevel', 3, 45, 15),
  length('leg', 'Leg', inches(1 / 8), inches(1.5), inches(1 / 2)),
  length('long', 'Joint length', 25, 6000, inches(8)),
  ...PAD_INPUTS,
  choice(
    'rootSize',
    'Root rod, in or mm',
    ROD_SIZES.map(row => row.name),
    '1/8',
  ),
]
/** The usual fit-up of each joint, taken up when the joint is chosen. Common practice. */
const FIT_UP: Readonly<Partial<Record<string, Readonly<Record<string, number>>>>> = {
  'V, backing': { gap: inches(1 / 4), land: 0, angle: 45 },
  'V, open root': { gap: inches(1 / 8), land: inches(3 / 32), angle: 60 },
  'double V': { gap: inches(1 / 8), land: inches(1 / 16), angle: 60, plate: inches(1) },
  'U': { gap: inches(1 / 8), land: inches(1 / 8), plate: inches(1) },
}
const form = useSheetForm(
  () => INPUTS,
  () => unit.value,
)
const of = (id: string) => Number(form.values.value[id])
const kind = computed(() => String(form.values.value.joint))
const aims = ref<Record<number, number>>({})

const SHOWN: Readonly<Record<string, readonly string[]>> = { 'U': ['radius', 'bevel'], 'T fillet': ['leg'] }
const fields = computed(() =>
  INPUTS.filter(({ id }) => {
    if (['radius', 'bevel', 'leg'].includes(id)) return SHOWN[kind.value]?.includes(id) ?? false
    if (id === 'angle') return kind.value !== 'U' && kind.value !== 'T fillet'
    if (id === 'gap' || id === 'land' || id === 'rootSize') return kind.value !== 'T fillet'
    return true
  }),
)
function set(id: string, value: number | string) {
  form.set(id, value)
  aims.value = {}
  if (id === 'joint') for (const [name, mm] of Object.entries(FIT_UP[String(value)] ?? {})) form.set(name, mm)
}

const shape = computed<JointShape>(() => {
  const groove = { thicknessMm: of('plate'), gapMm: of('gap'), landMm: of('land'), includedDegrees: of('angle') }
  if (kind.value === 'double V') return { kind: 'double V', groove }
  if (kind.value === 'U')
    return {
      kind: 'U',
      thicknessMm: of('plate'),
      gapMm: of('gap'),
      landMm: of('land'),
      radiusMm: of('radius'),
      bevelDegrees: of('bevel'),
    }
  if (kind.value === 'T fillet') return { kind: 'fillet', legMm: of('leg'), thicknessMm: of('plate') }
  return { kind: 'V', groove, backing: kind.value === 'V, backing' }
})
const rod = computed(() => ROD_SIZES.find(row => row.name === form.values.value.size)!)
const position = computed(() => String(form.values.value.position).slice(0, 2) as PadPosition)
const planner = computed<StackPlanner>(() => ({
  ...housePlanner(
    {
      shape: shape.value,
      position: position.value,
      coreMm: rod.value.diameterMm,
      rootCoreMm: ROD_SIZES.find(row => row.name === form.values.value.rootSize)!.diameterMm,
    },
    rules.value,
  ),
  aims: aims.value,
}))
const outcome = computed<{ plan: StackPlan } | { problem: string }>(() => {
  try {
    return { plan: planStack(planner.value) }
  } catch (error) {
    return { problem: messageOf(error) }
  }
})
const plan = computed(() => ('plan' in outcome.value ? outcome.value.plan : null))

/** Beads laid so far; what is ahead is drawn lighter, and what is left to do is counted. */
const laid = ref(0)
watch(
  () => plan.value?.beads.length,
  count => {
    laid.value = count ?? 0
  },
  { immediate: true },
)

const current = computed(
  () =>
    startCurrent(
      {
        classification: String(form.values.value.rod),
        diameterMm: rod.value.diameterMm,
        position: position.value,
        travel: position.value === '3G' ? 'up' : 'left to right',
        joint: kind.value === 'T fillet' ? 'T' : ('V, backing' satisfies Joint),
        pass: kind.value === 'T fillet' ? 'first' : 'fill',
        thicknessMm: of('plate'),
      },
      rules.value,
    ).startA,
)
const classification = computed(() => String(form.values.value.rod))
const totals = (from: number) =>
  stackTotals(plan.value!.beads.slice(from), {
    lengthMm: of('long'),
    classification: classification.value,
    rod: rod.value,
    currentA: current.value,
    volts: arcVolts(classification.value, current.value).middle,
    stubMm: rules.value.stubMm,
  })
const beyond = computed(() => beyondTable(depositionRate(classification.value, rod.value.diameterMm, current.value)))
const heatWords = ([least, most]: readonly [number, number]) => {
  const [from, to] = [formatHeat(least, unit.value), formatHeat(most, unit.value)]
  return from === to ? to : `${from.replace(/ .*/, '')} to ${to}`
}
const figures = computed(() => {
  const made = plan.value
  if (!made) return []
  const all = totals(0)
  const capped = made.legsMm
    ? [
        {
          name: 'Legs',
          value: `${formatLength(made.legsMm[0], unit.value)}, ${formatLength(made.legsMm[1], unit.value)}`,
        },
        { name: 'Convexity', value: formatLength(made.reinforcementMm, unit.value) },
      ]
    : [
        { name: 'Cap stands', value: formatLength(made.reinforcementMm, unit.value) },
        {
          name: 'Beyond the edges',
          value: `${formatLength(made.beyondLeftMm, unit.value)}, ${formatLength(made.beyondRightMm, unit.value)}`,
        },
        { name: 'Under flush, uncapped', value: formatLength(made.underFlushMm, unit.value) },
      ]
  return [
    { name: 'Beads', value: `${made.beads.length}: ${made.layers.map(layer => layer.beads).join(' + ')}` },
    { name: 'Rods', value: String(all.rods) },
    { name: 'Restarts', value: String(all.restarts) },
    { name: 'Arc time', value: formatTime(all.arcSeconds) },
    { name: 'Weld metal', value: formatWeight(all.weightKg, unit.value) },
    { name: 'Heat, bead by bead', value: heatWords(all.heatKjPerMm) },
    ...capped,
  ]
})
const tight = computed(() => plan.value?.beads.find(bead => bead.tight) ?? null)
const over = computed(
  () =>
    plan.value !== null &&
    plan.value.legsMm === null &&
    Math.max(plan.value.beyondLeftMm, plan.value.beyondRightMm) > rules.value.capBeyondMm + 0.15,
)
const tall = computed(
  () =>
    plan.value !== null &&
    plan.value.legsMm === null &&
    plan.value.reinforcementMm > rules.value.reinforcementMm.high + 0.1,
)
const left = computed(() => (plan.value && laid.value < plan.value.beads.length ? totals(laid.value) : null))
function aimWords(mm: number): string {
  if (Math.abs(mm) < 0.2) return kind.value === 'T fillet' ? 'into the corner' : 'on the middle'
  const where =
    kind.value === 'T fillet'
      ? `from the corner toward the ${mm < 0 ? 'lower plate' : 'upright'}`
      : `${mm < 0 ? 'left' : 'right'} of the middle`
  return `${bothUnits(Math.abs(mm))} ${where}`
}
const next = computed(() => plan.value?.beads[laid.value] ?? null)
</script>

<template>
  <SideAndMain label="The joint">
    <template #ask>
      <CaseForm :fields="fields" :values="form.values.value" :unit="unit" @set="set" @problem="form.setProblem" />
      <v-btn variant="text" block @click="copy(form.link())">{{
        copied ? 'Link copied' : 'Copy a link to this joint'
      }}</v-btn>
    </template>
    <section class="panel plan" aria-label="The bead stack">
      <p v-if="'problem' in outcome" role="alert" class="alert">{{ outcome.problem }}</p>
      <template v-else-if="plan">
        <StackDrawing
          :plan="plan"
          :shape="shape"
          :laid="laid"
          :unit="unit"
          @aim="
            (bead, mm) => {
              aims = { ...aims, [bead]: mm }
            }
          "
        />
        <div class="steps">
          <label for="laid"
            >Laid: <b class="num">{{ laid }} of {{ plan.beads.length }}</b></label
          >
          <input id="laid" v-model.number="laid" type="range" min="0" :max="plan.beads.length" step="1" />
          <v-btn v-if="Object.keys(aims).length > 0" variant="text" @click="aims = {}">Back to the plan</v-btn>
        </div>
        <p role="status" class="next">
          <template v-if="next"
            >Next, bead {{ next.number }} ({{ next.role }}): aim {{ aimWords(next.aimMm) }}.</template
          >
          <template v-if="left">
            Left to do: {{ plan.beads.length - laid }} {{ plan.beads.length - laid === 1 ? 'bead' : 'beads' }},
            {{ left.rods }} {{ left.rods === 1 ? 'rod' : 'rods' }}, {{ formatTime(left.arcSeconds) }} of arc.</template
          >
          <template v-else>Drag a bead’s dot to aim it elsewhere; the rest is planned around it.</template>
        </p>
        <p v-if="tight" class="note" role="alert">
          Bead {{ tight.number }} leaves a slot too narrow for the rod.<template v-if="tight.betterAimMm !== null">
            Aim it {{ aimWords(tight.betterAimMm) }}.
            <v-btn variant="text" @click="aims = { ...aims, [tight.number]: tight.betterAimMm }"
              >Do that</v-btn
            ></template
          >
        </p>
        <p v-if="over" class="note" role="alert">
          The cap runs further beyond an edge than the house’s {{ formatLength(rules.capBeyondMm, unit) }}.
        </p>
        <p v-if="tall" class="note" role="status">
          The cap stands over the house’s {{ formatLength(rules.reinforcementMm.high, unit) }}: leave less on its last
          bead.
        </p>
        <FigureList :figures="figures" />
        <p v-if="beyond" class="note" role="status">{{ beyond }}.</p>
        <p class="quiet small">
          {{ form.values.value.rod }} · {{ rod.name }} at {{ current }} A, by its card; the root is counted with it.
          <template v-if="kind === 'double V'">One side of two.</template> Bead sizes are common practice, deposition
          typical makers’ data from memory: weigh your own.
        </p>
      </template>
    </section>
    <FitUpCheck
      v-if="kind !== 'T fillet'"
      :wanted="{ gapMm: of('gap'), landMm: of('land'), includedDegrees: kind === 'U' ? null : of('angle') }"
      :unit="unit"
      @gap="set('gap', $event)"
    />
  </SideAndMain>
</template>

<style scoped>
.plan {
  padding: 18px 20px;
  display: grid;
  gap: 12px;
}
.steps {
  display: flex;
  align-items: center;
  gap: 14px;
  flex-wrap: wrap;
}
.steps input {
  flex: 1;
  min-width: 160px;
  height: 32px;
  accent-color: rgb(var(--v-theme-primary));
}
.next {
  font-weight: 600;
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
