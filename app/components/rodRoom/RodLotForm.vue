<script setup lang="ts">
import { rodLotSchema, type RodLotSave } from '~~/contract/rodRoom'
import { hasClock, storedHow, type RodLot } from '~~/core/rodRoom'
import { ELECTRODES, rodSizesFor, usualSize } from '~~/core/trade'
import { today } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useHouseRules } from '~/stores/houseRules'
import { useRods } from '~/stores/rods'

/** A lot of rods as it stands on the box. */
const props = defineProps<{ lot: RodLot | null }>()
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const houseRules = useHouseRules()
const { errors, message, busy, attempt } = useFieldErrors()
const RODS = ELECTRODES.filter(row => row.family !== 'GTAW wire').map(row => row.classification)
const USUAL_BOX = 150
const form = reactive({
  classification: props.lot?.classification ?? 'E7018',
  diameterMm: props.lot?.diameterMm ?? usualSize(houseRules.unit).diameterMm,
  makersLot: props.lot?.makersLot ?? '',
  resistant: props.lot?.resistant ?? false,
  receivedOn: props.lot?.receivedOn ?? today(),
  openedOn: props.lot?.openedOn ?? '',
  rodsInBox: String(props.lot?.rodsInBox ?? USUAL_BOX),
  price: props.lot?.boxPriceCents == null ? '' : (props.lot.boxPriceCents / 100).toFixed(2),
  place: props.lot?.place ?? '',
})
async function save() {
  const { price, ...rest } = form
  const lot: RodLotSave = {
    ...rest,
    openedOn: rest.openedOn || null,
    resistant: rest.resistant && hasClock(form),
    rodsInBox: Number(form.rodsInBox),
    boxPriceCents: price.trim() === '' ? null : Math.round(Number(price.replace(',', '.')) * 100),
  }
  if (await attempt(() => rods.keepLot(props.lot?.id ?? null, lot), { schema: rodLotSchema, value: lot })) emit('done')
}
</script>

<template>
  <FormDialog
    :heading="lot ? 'Change this lot' : 'A lot of rods'"
    :message="message"
    :busy="busy"
    :width="560"
    @submit="save"
    @close="$emit('close')"
  >
    <div class="pair">
      <v-select v-model="form.classification" label="Rod" :items="RODS" :error-messages="errors.classification" />
      <v-select
        v-model="form.diameterMm"
        label="Size"
        :items="
          rodSizesFor(houseRules.unit, form.classification).map(size => ({ value: size.diameterMm, title: size.label }))
        "
        :error-messages="errors.diameterMm"
      />
      <v-text-field
        v-model="form.makersLot"
        label="Maker’s lot"
        maxlength="40"
        autofocus
        :error-messages="errors.makersLot"
      />
      <v-text-field v-model="form.receivedOn" type="date" label="Received" :error-messages="errors.receivedOn" />
      <v-text-field
        v-model="form.openedOn"
        type="date"
        label="First box opened"
        clearable
        :error-messages="errors.openedOn"
      />
      <v-text-field
        v-model="form.rodsInBox"
        label="Rods in a box"
        inputmode="numeric"
        :error-messages="errors.rodsInBox"
      />
      <v-text-field
        v-model="form.price"
        label="Price of a box"
        :suffix="houseRules.current.rules.currency"
        inputmode="decimal"
        hint="Empty: no cost is said"
        :error-messages="errors.boxPriceCents"
      />
    </div>
    <v-text-field
      v-model="form.place"
      label="Where they lie"
      maxlength="60"
      :hint="storedHow({ ...form, openedOn: form.openedOn || null })"
      persistent-hint
      :error-messages="errors.place"
    />
    <v-checkbox
      v-if="hasClock(form)"
      v-model="form.resistant"
      label="An R is printed on it, like E7018-1 H4R"
      hint="The covering takes up damp slowly: nine hours out of the oven"
      persistent-hint
    />
  </FormDialog>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 12px;
}
</style>
