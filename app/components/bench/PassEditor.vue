<script setup lang="ts">
import {
  cardCurrent,
  CLEANED,
  FELT,
  PASS_ROLES,
  passName,
  passRemarks,
  type CouponDocument,
  type Pass,
  type PassLog,
} from '~~/core/coupon'
import {
  ELECTRODES,
  electrodeOf,
  FILLER_RODS,
  FILLER_SIZES,
  GTAW_ROOT,
  positionOf,
  rodSizesFor,
  type Process,
} from '~~/core/trade'
import { comesAfter } from '~~/core/floor'
import { formatFraction, type LengthUnit } from '~~/core/units'
import { numeric } from '~~/core/working'
import type { FloorStudent } from '~~/contract/people'
import { clockNow, shopClock } from '~/composables/shopClock'
import { useCouponBench } from '~/composables/couponBench'

/**
 * One pass as it was run: it begins as its card says, so that only what was otherwise is typed. The log is optional
 * on practice.
 */
const props = defineProps<{
  document: CouponDocument
  pass: Pass
  unit: LengthUnit
  students: readonly FloorStudent[]
}>()
const emit = defineEmits<{ change: [pass: Pass]; close: [] }>()
const bench = useCouponBench()

const { log = {}, ...set } = props.pass
const form = reactive({
  ...set,
  by: log.by ?? null,
  cleaned: log.cleaned ?? null,
  felt: log.felt ?? null,
  started: log.started ?? '',
  ended: log.ended ?? '',
  interpassC: log.interpassC === undefined ? '' : String(log.interpassC),
})
const errors = ref<Record<string, string>>({})
const unread = ref('')

const isTig = computed(() => form.process === 'GTAW')
const rods = computed(() => (isTig.value ? FILLER_RODS : ELECTRODES).map(row => row.classification))
const sizes = computed(() =>
  isTig.value
    ? FILLER_SIZES.map(mm => ({ value: mm, title: `${formatFraction(mm, 32)} in` }))
    : rodSizesFor(props.unit, form.classification).map(size => ({ value: size.diameterMm, title: size.label })),
)
const shared = computed(() =>
  props.students
    .filter(student => student.id !== props.document.studentId)
    .map(student => ({ value: student.id, title: student.name })),
)
const settings = computed<Pass>(() => ({
  id: form.id,
  face: form.face,
  layer: form.layer,
  role: form.role,
  process: form.process,
  classification: form.classification,
  diameterMm: form.diameterMm,
  currentA: Math.round(form.currentA),
  polarity: form.polarity,
  travel: form.travel,
}))
const card = computed(() => cardCurrent(props.document, settings.value, bench.rules))
const remarks = computed(() => passRemarks(props.document, settings.value, bench.rules).map(remark => remark.text))
const CURRENT = numeric('amperes', 'currentA', 'Current', 10, 500, props.pass.currentA)

function chooseProcess(process: Process) {
  const { classification, diameterMm, polarity } = process === 'GTAW' ? GTAW_ROOT : props.document.ticket
  Object.assign(form, { process, classification, diameterMm, polarity })
  form.currentA = card.value.startA
}
/** Another rod wants another current: the card's. */
watch(
  () => [form.classification, form.diameterMm, form.role] as const,
  () => {
    if (!isTig.value && !electrodeOf(form.classification).currents.includes(form.polarity))
      form.polarity = electrodeOf(form.classification).currents[0]!
    form.currentA = card.value.startA
  },
)

function time(name: 'started' | 'ended'): string | undefined {
  const text = form[name].trim()
  if (text === '') return undefined
  if (!/^([01]?\d|2[0-3]):[0-5]\d$/.test(text)) errors.value[name] = 'A time like 18:05'
  return text.padStart(5, '0')
}
function degrees(): number | undefined {
  const text = form.interpassC.trim()
  if (text === '') return undefined
  const fahrenheit = /f$/i.test(text)
  const value = Number(text.replace(/°? ?[cf]$/i, ''))
  const celsius = fahrenheit ? (value - 32) / 1.8 : value
  if (!(celsius >= -30 && celsius <= 600)) errors.value.interpassC = 'Degrees, like 120 or 250 F'
  return Math.round(celsius)
}
const kept = <T,>(name: keyof PassLog, value: T | null | undefined) =>
  value === null || value === undefined ? {} : { [name]: value }
function apply() {
  errors.value = {}
  const logged: PassLog = {
    ...kept('by', form.by),
    ...kept('cleaned', form.cleaned),
    ...kept('felt', form.felt),
    ...kept('interpassC', degrees()),
    ...kept('started', time('started')),
    ...kept('ended', time('ended')),
  }
  if (logged.started && logged.ended && comesAfter(logged.ended, logged.started, shopClock.value.turnsAt))
    errors.value.ended = `It began at ${logged.started}: a later time`
  if (Object.keys(errors.value).length > 0 || unread.value) return
  emit('change', Object.keys(logged).length > 0 ? { ...settings.value, log: logged } : settings.value)
}
</script>

<template>
  <FormDialog
    :heading="`Log: ${passName(document, pass.id)}`"
    leave="Leave as it was"
    save="Keep the pass"
    :width="720"
    :message="remarks.join('. ')"
    @submit="apply"
    @close="$emit('close')"
  >
    <div class="grid">
      <v-select v-model="form.role" label="Pass" :items="[...PASS_ROLES]" />
      <v-select
        label="Process"
        :items="['SMAW', 'GTAW']"
        :model-value="form.process"
        @update:model-value="chooseProcess"
      />
      <v-select v-model="form.travel" label="Travel" :items="[...positionOf(document.ticket.position).travel]" />
      <v-select v-model="form.classification" label="Rod" :items="rods" />
      <v-select v-model="form.diameterMm" label="Size" :items="sizes" />
      <v-select v-model="form.polarity" label="Polarity" :items="['DCEP', 'DCEN', 'AC']" />
      <div>
        <SheetField
          :input="CURRENT"
          :model-value="form.currentA"
          :unit="unit"
          autofocus
          @update:model-value="form.currentA = Number($event)"
          @problem="unread = $event"
        />
        <p class="quiet card num">card: {{ card.startA }} A, {{ card.lowA }}–{{ card.highA }} A</p>
      </div>
      <v-select v-model="form.cleaned" label="Cleaned after" :items="[...CLEANED]" clearable />
      <v-autocomplete
        v-model="form.by"
        label="Welded by"
        :items="shared"
        clearable
        placeholder="the student"
        persistent-placeholder
      />
      <v-select v-model="form.felt" label="Piece felt" :items="[...FELT]" clearable />
      <v-text-field
        v-model="form.interpassC"
        label="Interpass"
        suffix="°C"
        inputmode="text"
        :error-messages="errors.interpassC"
      />
      <span />
      <v-text-field v-model="form.started" label="Began" placeholder="18:05" :error-messages="errors.started"
        ><template #append-inner
          ><v-btn variant="text" size="small" @click="form.started = clockNow()">now</v-btn></template
        ></v-text-field
      >
      <v-text-field v-model="form.ended" label="Ended" placeholder="18:12" :error-messages="errors.ended"
        ><template #append-inner
          ><v-btn variant="text" size="small" @click="form.ended = clockNow()">now</v-btn></template
        ></v-text-field
      >
    </div>
  </FormDialog>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 12px;
  align-items: start;
}
.card {
  font-size: 0.8rem;
  padding: 2px 12px 8px;
}
@media (max-width: 600px) {
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
