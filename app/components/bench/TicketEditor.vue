<script setup lang="ts">
import type { CouponDocument, Ticket } from '~~/core/coupon'
import { currentWindow, plateRungs, rungSettings, startCurrent } from '~~/core/setup'
import { ELECTRODES, electrodeOf, PLATE_PIECES, platePieceOf, POSITIONS, positionOf, ROD_SIZES } from '~~/core/trade'
import { inches, type LengthUnit } from '~~/core/units'
import { length, numeric, type SheetInput } from '~~/core/working'
import { useBench } from '~/stores/bench'
import { messageOf } from '~/stores/request'

/** Changes the ticket, the plate and the number of beads; the coupon is laid out again around what was marked. The card fills what follows. */
const props = defineProps<{ document: CouponDocument, unit: LengthUnit }>()
const emit = defineEmits<{ change: [change: { ticket: Ticket, piece: CouponDocument['piece'], beadCount: number }], close: [] }>()
const bench = useBench()

const { ticket, piece, beads } = props.document
const form = reactive({
  ...ticket, booth: ticket.booth === null ? '' : String(ticket.booth), hoursOut: ticket.hoursOut === undefined ? '' : String(ticket.hoursOut), beads: String(beads.length),
  kind: piece.kind, lengthMm: piece.lengthMm, widthMm: piece.widthMm, thicknessMm: piece.thicknessMm, everyMm: piece.everyMm ?? platePieceOf(piece.kind).everyMm,
})
const errors = ref<Record<string, string>>({})
const electrode = computed(() => electrodeOf(form.classification))
const window = computed(() => currentWindow(form.classification, form.diameterMm, form.position, bench.rules))
const rungs = computed(() => plateRungs(bench.rules))
const CURRENT = numeric('amperes', 'currentA', 'Current', 10, 500, ticket.currentA)
const PLATE: readonly SheetInput[] = [length('lengthMm', 'Plate length', inches(1), 1000, piece.lengthMm), length('widthMm', 'Plate width', inches(1), 1000, piece.widthMm), length('thicknessMm', 'Thickness', 1, 100, piece.thicknessMm)]
const every = computed(() => {
  const name = platePieceOf(form.kind).every
  return name ? length('everyMm', name, inches(1 / 4), 300, form.everyMm) : null
})
watch(() => form.kind, (kind) => { form.everyMm = platePieceOf(kind).everyMm })
const plateMm = (id: string) => form[id as 'lengthMm' | 'widthMm' | 'thicknessMm']

/** A rung brings its position, its way of travel and the card's current; the rod stays the one the student runs. */
function chooseRung(name: unknown) {
  form.rung = String(name ?? '')
  const rung = rungs.value.find(one => one.name === form.rung)
  if (!rung) return
  form.kind = rung.piece
  Object.assign(form, rungSettings(rung, form.hand, form.thicknessMm, bench.rules, { classification: form.classification, diameterMm: form.diameterMm }))
}
/** Another rod or position wants another current: the card's. */
watch(() => [form.classification, form.diameterMm, form.position] as const, ([classification, diameterMm, position]) => {
  const ways = positionOf(position).travel
  if (!ways.includes(form.travel)) form.travel = ways[0]!
  if (!electrode.value.currents.includes(form.polarity)) form.polarity = electrode.value.currents[0]!
  form.currentA = startCurrent({ classification, diameterMm, position, travel: form.travel, joint: 'pad', pass: 'bead', thicknessMm: form.thicknessMm }, bench.rules).startA
})

function whole(name: 'beads' | 'booth', low: number, high: number, what: string): number {
  const value = Number(form[name])
  if (form[name].trim() === '' || !Number.isInteger(value) || value < low || value > high) errors.value[name] = `A whole number of ${what}, ${low} to ${high}`
  return value
}
function hours(): { hoursOut?: number } {
  if (form.hoursOut.trim() === '' || electrode.value.family !== 'low hydrogen') return {}
  const hoursOut = Number(form.hoursOut)
  if (!(hoursOut >= 0 && hoursOut <= 1000)) errors.value.hoursOut = 'Hours, 0 to 1000'
  return { hoursOut }
}
const unread = ref<Record<string, string>>({})
function apply() {
  errors.value = Object.fromEntries(Object.entries(unread.value).filter(([, message]) => message))
  const rung = form.rung.trim()
  if (!rung) errors.value.rung = 'Name the rung, like “horizontal pad”'
  const next: Ticket = {
    rung: rung.slice(0, 80), position: form.position, classification: form.classification, diameterMm: form.diameterMm, rods: form.rods,
    currentA: Math.round(form.currentA), polarity: form.polarity, hand: form.hand, travel: form.travel,
    booth: form.booth.trim() === '' ? null : whole('booth', 1, 999, 'a booth'), ...hours(),
  }
  const plate = { kind: form.kind, ...(every.value ? { everyMm: form.everyMm } : {}), lengthMm: form.lengthMm, widthMm: form.widthMm, thicknessMm: form.thicknessMm }
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
      <v-combobox :model-value="form.rung" label="Rung" class="wide" :items="rungs.map(rung => rung.name)" :error-messages="errors.rung" autofocus @update:model-value="chooseRung" />
      <v-select v-model="form.position" label="Position" :items="POSITIONS.map(row => ({ value: row.id, title: `${row.id} ${row.name}` }))" />
      <v-select v-model="form.travel" label="Travel" :items="[...positionOf(form.position).travel]" />
      <v-select v-model="form.hand" label="Hand" :items="['right', 'left']" />
      <v-select v-model="form.classification" label="Rod" :items="ELECTRODES.map(row => row.classification)" :hint="electrode.covering" persistent-hint />
      <v-select v-model="form.diameterMm" label="Size" :items="ROD_SIZES.map(size => ({ value: size.diameterMm, title: `${size.name} in` }))" />
      <v-select v-model="form.rods" label="New rods or stubs" :items="['new', 'stubs']" />
      <v-text-field v-model="form.hoursOut" label="Out of the oven" suffix="h" inputmode="decimal" :disabled="electrode.family !== 'low hydrogen'" :error-messages="errors.hoursOut" />
      <div>
        <SheetField :input="CURRENT" :model-value="form.currentA" :unit="unit" @update:model-value="form.currentA = Number($event)" @problem="unread.currentA = $event" />
        <p class="quiet window num">{{ window.lowA }}–{{ window.highA }} A, {{ window.source.name }}</p>
      </div>
      <v-select v-model="form.polarity" label="Polarity" :items="['DCEP', 'DCEN', 'AC']" />
      <v-select v-model="form.kind" label="Piece" :items="PLATE_PIECES.map(row => ({ value: row.kind, title: row.name }))" />
      <SheetField v-if="every" class="plate" :input="every" :model-value="form.everyMm" :unit="unit" @update:model-value="form.everyMm = Number($event)" @problem="unread.everyMm = $event" />
      <v-text-field v-model="form.booth" label="Booth" inputmode="numeric" :error-messages="errors.booth" />
      <SheetField v-for="input in PLATE" :key="input.id" class="plate" :input="input" :model-value="plateMm(input.id)" :unit="unit" @update:model-value="form[input.id as 'lengthMm'] = Number($event)" @problem="unread[input.id] = $event" />
      <v-text-field v-model="form.beads" label="Beads or runs" inputmode="numeric" :error-messages="errors.beads" />
    </div>
  </FormDialog>
</template>

<style scoped>
.grid { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 4px 12px; align-items: start; }
.wide { grid-column: span 2; }
.plate { margin-bottom: 12px; }
.window { font-size: 0.8rem; padding: 2px 12px 8px; }
@media (max-width: 600px) { .grid { grid-template-columns: repeat(2, minmax(0, 1fr)); } }
</style>
