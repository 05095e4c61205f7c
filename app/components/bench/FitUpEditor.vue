<script setup lang="ts">
import { fitUpWanted, isPipe, seamLength, thicknessOf, type CouponDocument } from '~~/core/coupon'
import { checkFitUp, type FitUp, type Tack } from '~~/core/setup'
import type { LengthUnit } from '~~/core/units'
import { inches } from '~~/core/units'
import { length } from '~~/core/working'
import { fieldsAt, fitUpInputs, fitUpOf, newTack, stageOf, valuesOf } from '../setup/fitUpFields'

/** Keeps how the joint was put together, and says what is off while it can still be put right. */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit; presetDegrees: number | null }>()
const emit = defineEmits<{ keep: [fitUp: FitUp | null]; close: [] }>()

const wanted = computed(() => fitUpWanted(props.document.piece))
const seamMm = computed(() => seamLength(props.document.piece))
const inputs = fitUpInputs(wanted.value, props.presetDegrees ?? 3)
const begun = Object.fromEntries(inputs.map(input => [input.id, input.start]))
const values = reactive<Record<string, number | string>>({
  ...begun,
  ...(props.document.fitUp ? valuesOf(props.document.fitUp) : {}),
})
const tacks = ref<Tack[]>([...(props.document.fitUp?.tacks ?? [])])
const problems = reactive<Record<string, string>>({})
const unread = computed(() => Object.values(problems).filter(Boolean))

const fields = computed(() => fieldsAt(inputs, stageOf(values)))
const fitUp = computed(() => fitUpOf(values, tacks.value))
const check = computed(() => checkFitUp(fitUp.value, wanted.value, props.unit))
const at = computed(() => length('at', 'Tack at', 0, seamMm.value, 0))
const LONG = length('long', 'Long', 1, 100, inches(1 / 2))
const where = computed(() => (isPipe(props.document.piece) ? 'from 12 o’clock, clockwise' : 'from the left end'))

function change(index: number, part: Partial<Tack>) {
  tacks.value = tacks.value.map((tack, n) => (n === index ? { ...tack, ...part } : tack))
}
function keep() {
  if (unread.value.length === 0) emit('keep', fitUp.value)
}
</script>

<template>
  <FormDialog
    heading="Fit-up"
    save="Keep the fit-up"
    leave="Leave as it was"
    :width="780"
    :message="unread[0] ?? ''"
    @submit="keep"
    @close="$emit('close')"
  >
    <FitUpSection :fit-up="fitUp" :thickness-mm="thicknessOf(document.piece)" :unit="unit" />
    <FitUpFindings :check="check" />
    <CaseForm
      :fields="fields"
      :values="values"
      :unit="unit"
      @set="
        (id, value) => {
          values[id] = value
        }
      "
      @problem="
        (id, message) => {
          problems[id] = message
        }
      "
    />
    <fieldset class="tacks">
      <legend>Tacks, {{ where }}</legend>
      <div v-for="(tack, index) in tacks" :key="index" class="tack">
        <SheetField
          :input="at"
          :model-value="tack.atMm"
          :unit="unit"
          @update:model-value="change(index, { atMm: Number($event) })"
          @problem="problems[`at${index}`] = $event"
        />
        <SheetField
          :input="LONG"
          :model-value="tack.lengthMm"
          :unit="unit"
          @update:model-value="change(index, { lengthMm: Number($event) })"
          @problem="problems[`long${index}`] = $event"
        />
        <v-checkbox
          label="Feathered"
          hide-details
          :model-value="tack.feathered"
          @update:model-value="change(index, { feathered: Boolean($event) })"
        />
        <v-btn
          variant="text"
          :aria-label="`Take tack ${index + 1} off`"
          @click="tacks = tacks.filter((_, n) => n !== index)"
          >take off</v-btn
        >
      </div>
      <v-btn variant="outlined" @click="tacks = [...tacks, newTack(tacks, seamMm)]">Add a tack</v-btn>
      <v-btn v-if="document.fitUp" variant="text" @click="$emit('keep', null)">Take the fit-up off</v-btn>
    </fieldset>
  </FormDialog>
</template>

<style scoped>
.tacks {
  border: 0;
  padding: 0;
  display: grid;
  gap: 8px;
  justify-items: start;
}
legend {
  font-weight: 650;
  padding-bottom: 6px;
}
.tack {
  display: grid;
  grid-template-columns: 1fr 1fr auto auto;
  gap: 10px;
  align-items: start;
  width: 100%;
}
@media (max-width: 600px) {
  .tack {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
