<script setup lang="ts">
import { differenceInMinutes } from 'date-fns'
import { OVEN_LEAST_C, sayLeft } from '~~/core/rodRoom'
import type { OvenReading } from '~~/contract/rodRoom'
import { useSaving } from '~/composables/saving'
import { useHouseRules } from '~/stores/houseRules'
import { useRods } from '~/stores/rods'

/** The holding ovens as they were last read, and a new reading. */
const props = defineProps<{ now: Date }>()
const rods = useRods()
const houseRules = useHouseRules()
const { busy, refused, attempt } = useSaving()
const oven = ref('')
const degrees = ref('')
const open = ref(false)

const inF = computed(() => houseRules.unit === 'in')
const unit = computed(() => (inF.value ? '°F' : '°C'))
const toC = (typed: number) => (inF.value ? ((typed - 32) * 5) / 9 : typed)
const shown = (celsius: number) => `${Math.round(inF.value ? (celsius * 9) / 5 + 32 : celsius)} ${unit.value}`
const cold = ({ celsius }: OvenReading) => celsius < OVEN_LEAST_C - 0.05
const ago = ({ at }: OvenReading) => `${sayLeft(Math.max(0, differenceInMinutes(props.now, at)) / 60)} ago`

async function note() {
  const typed = Number(degrees.value.replace(',', '.'))
  const wrong =
    oven.value.trim() === ''
      ? 'Which oven?'
      : degrees.value.trim() === '' || Number.isNaN(typed)
        ? `How warm: a number of ${unit.value}`
        : ''
  const reading = { oven: oven.value.trim(), celsius: Math.round(toC(typed) * 10) / 10, doorOpen: open.value }
  if (await attempt(wrong, () => rods.noteOven(reading))) degrees.value = ''
}
</script>

<template>
  <section class="panel ovens" aria-label="Ovens">
    <h2>Ovens</h2>
    <ul v-if="rods.room.ovens.length > 0">
      <li v-for="one in rods.room.ovens" :key="one.oven" :class="{ cold: cold(one) }">
        <b>{{ one.oven }}</b>
        <span class="num">{{ shown(one.celsius) }}{{ one.doorOpen ? ', door open' : '' }}</span>
        <span class="quiet num">{{ ago(one) }}, {{ one.by }}</span>
        <span v-if="cold(one)" class="says">▲ under {{ shown(OVEN_LEAST_C) }}: rods in it do not rest</span>
      </li>
    </ul>
    <form class="new" novalidate @submit.prevent="note">
      <v-combobox v-model="oven" label="Oven" :items="rods.room.ovens.map(one => one.oven)" hide-details />
      <v-text-field v-model="degrees" label="Reads" :suffix="unit" inputmode="decimal" hide-details />
      <v-checkbox v-model="open" label="Door open" hide-details />
      <v-btn type="submit" variant="outlined" :loading="busy">Note it</v-btn>
    </form>
    <p v-if="refused" role="alert" class="says">{{ refused }}</p>
  </section>
</template>

<style scoped>
.ovens {
  padding: 16px 18px;
  display: grid;
  gap: 10px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
ul {
  padding: 0;
}
li {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 4px 0;
}
.says {
  flex-basis: 100%;
  color: var(--poor);
  font-weight: 600;
}
.new {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px auto auto;
  gap: 8px;
  align-items: center;
}
@media (max-width: 600px) {
  .new {
    grid-template-columns: minmax(0, 1fr) 110px;
  }
}
</style>
