<script setup lang="ts">
import type { CouponDocument, Ticket } from '~~/core/coupon'
import { currentWindow } from '~~/core/setup'
import { ELECTRODES, POSITIONS, positionOf, ROD_SIZES } from '~~/core/trade'
import { formatFraction, parseLength, type LengthUnit } from '~~/core/units'
import { messageOf } from '~/stores/request'

/** Changes the ticket, the plate and the number of beads; the coupon is laid out again around what was marked. */
const props = defineProps<{ document: CouponDocument, unit: LengthUnit }>()
const emit = defineEmits<{ change: [change: { ticket: Ticket, piece: CouponDocument['piece'], beadCount: number }], close: [] }>()

const shown = (mm: number) => (props.unit === 'in' ? formatFraction(mm, 16) : String(Math.round(mm * 10) / 10))
const { ticket, piece, beads } = props.document
const form = reactive({
  ...ticket, booth: ticket.booth === null ? '' : String(ticket.booth), currentA: String(ticket.currentA),
  length: shown(piece.lengthMm), width: shown(piece.widthMm), thickness: shown(piece.thicknessMm), beads: String(beads.length),
})
const errors = ref<Record<string, string>>({})

const electrode = computed(() => ELECTRODES.find(row => row.classification === form.classification)!)
const window = computed(() => currentWindow(form.classification, form.diameterMm, form.position))
watch(() => form.position, (position) => {
  const ways = positionOf(position).travel
  if (!ways.includes(form.travel)) form.travel = ways[0]!
})

function whole(name: 'currentA' | 'beads' | 'booth', low: number, high: number, what: string): number {
  const value = Number(form[name])
  if (form[name].trim() === '' || !Number.isInteger(value) || value < low || value > high) errors.value[name] = `A whole number of ${what}, ${low} to ${high}`
  return value
}
function length(name: 'length' | 'width' | 'thickness', low: number, high: number): number {
  try {
    const mm = parseLength(form[name], props.unit)
    if (mm < low || mm > high) errors.value[name] = props.unit === 'in' ? `From ${formatFraction(low)} to ${formatFraction(high)} in` : `From ${low} to ${high} mm`
    return mm
  } catch (error) {
    errors.value[name] = messageOf(error)
    return 0
  }
}

function apply() {
  errors.value = {}
  const rung = form.rung.trim()
  if (!rung) errors.value.rung = 'Name the rung, like “horizontal pad”'
  const next: Ticket = {
    rung: rung.slice(0, 80), position: form.position, classification: form.classification, diameterMm: form.diameterMm, rods: form.rods,
    currentA: whole('currentA', 10, 500, 'amperes'), polarity: form.polarity, hand: form.hand, travel: form.travel,
    booth: form.booth.trim() === '' ? null : whole('booth', 1, 999, 'a booth'),
  }
  const plate = { kind: 'pad', lengthMm: length('length', 25.4, 1000), widthMm: length('width', 25.4, 1000), thicknessMm: length('thickness', 1, 100) } as const
  const beadCount = whole('beads', 1, 60, 'beads')
  if (Object.keys(errors.value).length > 0) return
  try {
    emit('change', { ticket: next, piece: plate, beadCount })
  } catch (error) {
    errors.value.beads = messageOf(error)
  }
}
defineExpose({ refuse: (message: string) => { errors.value.beads = message } })
</script>

<template>
  <FormDialog heading="Ticket" leave="Leave as it was" save="Set the ticket" :width="720" @submit="apply" @close="$emit('close')">
    <div class="grid">
      <v-text-field v-model="form.rung" label="Rung" class="wide" :error-messages="errors.rung" autofocus />
      <v-select v-model="form.position" label="Position" :items="POSITIONS.map(row => ({ value: row.id, title: `${row.id} ${row.name}` }))" />
      <v-select v-model="form.travel" label="Travel" :items="[...positionOf(form.position).travel]" />
      <v-select v-model="form.hand" label="Hand" :items="['right', 'left']" />
      <v-select v-model="form.classification" label="Rod" :items="ELECTRODES.map(row => row.classification)" :hint="electrode.covering" persistent-hint />
      <v-select v-model="form.diameterMm" label="Size" :items="ROD_SIZES.map(size => ({ value: size.diameterMm, title: `${size.name} in` }))" />
      <v-select v-model="form.rods" label="New rods or stubs" :items="['new', 'stubs']" />
      <v-text-field v-model="form.currentA" label="Current" suffix="A" inputmode="numeric" :hint="`${window.lowA}–${window.highA} A, ${window.source.name}`" persistent-hint :error-messages="errors.currentA" />
      <v-select v-model="form.polarity" label="Polarity" :items="['DCEP', 'DCEN', 'AC']" />
      <v-text-field v-model="form.booth" label="Booth" inputmode="numeric" :error-messages="errors.booth" />
      <v-text-field v-model="form.length" label="Plate length" :suffix="unit" :error-messages="errors.length" />
      <v-text-field v-model="form.width" label="Plate width" :suffix="unit" :error-messages="errors.width" />
      <v-text-field v-model="form.thickness" label="Thickness" :suffix="unit" :error-messages="errors.thickness" />
      <v-text-field v-model="form.beads" label="Beads" inputmode="numeric" :error-messages="errors.beads" />
    </div>
  </FormDialog>
</template>

<style scoped>
.grid { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 4px 12px; }
.wide { grid-column: span 2; }
@media (max-width: 600px) { .grid { grid-template-columns: repeat(2, minmax(0, 1fr)); } }
</style>
