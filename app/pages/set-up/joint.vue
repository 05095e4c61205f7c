<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { bothUnits, formatLength, formatTime } from '~~/core/units'
import { useStackCase } from '~/composables/stackCase'
import { useStackFigures } from '~/composables/stackFigures'
import { useHouseRules } from '~/stores/houseRules'

const houseRules = useHouseRules()
const rules = computed(() => houseRules.current.rules)
const unit = computed(() => houseRules.unit)
const { copy, copied } = useClipboard({ legacy: true })

const joint = useStackCase()
const { form, of, kind, aims, fields, set, drawn, rod, plan, problem } = joint
const { current, totals, beyond, figures } = useStackFigures(joint)

/** Beads laid so far; what is ahead is drawn lighter, and what is left to do is counted. */
const laid = ref(0)
watch(
  () => plan.value?.beads.length,
  count => {
    laid.value = count ?? 0
  },
  { immediate: true },
)

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
      <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
      <template v-else-if="plan">
        <StackDrawing
          :plan="plan"
          :shape="drawn"
          :aims="aims"
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
      <p v-else role="status" class="quiet">Planning the beads …</p>
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
