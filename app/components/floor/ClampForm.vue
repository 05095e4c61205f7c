<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { clampDueOn, offsetOf, sayOffset } from '~~/core/setup'
import { longDay } from '~~/core/calendar'
import { clampReadingSchema, type MachineCheck } from '~~/contract/shop'
import { dayOf } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useHouseRules } from '~/stores/houseRules'
import { useShop } from '~/stores/shop'

/** What a clamp meter reads beside the panel of a booth's machine: what currents are held against from then on. */
const props = defineProps<{
  /** Null where it is still to be said. */
  booth: number | null
  machines: readonly MachineCheck[]
}>()
const emit = defineEmits<{ close: []; saved: [] }>()
const shop = useShop()
const { clampDays } = useHouseRules().current.rules
const { errors, message, busy, attempt } = useFieldErrors()
const id = uuid()
const booth = ref(props.booth === null ? '' : String(props.booth))
const last = computed(() => props.machines.find(one => String(one.booth) === booth.value.trim()) ?? null)
const panelA = ref('')
const clampA = ref('')

const numberOf = (typed: string) => (typed.trim() === '' ? Number.NaN : Number(typed))
async function save() {
  const value = { booth: numberOf(booth.value), panelA: numberOf(panelA.value), clampA: numberOf(clampA.value) }
  if (await attempt(() => shop.noteClamp(id, value), { schema: clampReadingSchema, value })) emit('saved')
}
</script>

<template>
  <FormDialog
    :heading="props.booth === null ? 'Clamp meter' : `Clamp meter at booth ${props.booth}`"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <v-text-field
      v-if="props.booth === null"
      v-model="booth"
      label="Booth"
      inputmode="numeric"
      autofocus
      :error-messages="errors.booth"
    />
    <p v-if="last">
      {{ longDay(dayOf(last.at)) }}, {{ last.by }}: {{ last.clampA }} A while the panel said {{ last.panelA }}, so
      {{ sayOffset(offsetOf(last)) }}. Due again {{ longDay(clampDueOn(dayOf(last.at), clampDays)) }}.
    </p>
    <p v-else-if="booth.trim() !== ''" class="quiet">Nobody has held one to this machine yet.</p>
    <div class="both">
      <v-text-field
        v-model="panelA"
        label="Panel says"
        suffix="A"
        inputmode="numeric"
        :autofocus="props.booth !== null"
        :error-messages="errors.panelA"
      />
      <v-text-field
        v-model="clampA"
        label="Clamp meter reads"
        suffix="A"
        inputmode="numeric"
        :error-messages="errors.clampA"
      />
    </div>
    <p class="quiet">
      Around one lead, with the arc burning steadily at the current that is run most. Windows and advice for this booth
      are then in amperes of its panel.
    </p>
  </FormDialog>
</template>

<style scoped>
.both {
  margin-top: 6px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px;
}
</style>
