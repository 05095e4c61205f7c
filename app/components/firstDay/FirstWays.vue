<script setup lang="ts">
import { followSchool, SCHOOLS_OF_PRACTICE } from '~~/core/house'
import type { LengthUnit } from '~~/core/units'
import { useSaving } from '~/composables/saving'
import { useHouseRules } from '~/stores/houseRules'

/** Which school of practice the house follows, and in which units it measures: one new version of the rules. */
const houseRules = useHouseRules()
const { busy, refused, attempt } = useSaving()
const chosen = ref(SCHOOLS_OF_PRACTICE[0]!.id)
const unit = ref<LengthUnit>(houseRules.current.rules.unit)
const UNITS = [
  { value: 'in', title: 'Inches' },
  { value: 'mm', title: 'Millimetres' },
]

function follow() {
  const school = SCHOOLS_OF_PRACTICE.find(one => one.id === chosen.value)!
  const { rules, version } = houseRules.current
  return attempt('', () =>
    houseRules.save(followSchool({ ...rules, unit: unit.value }, school), `the house follows: ${school.name}`, version),
  )
}
</script>

<template>
  <v-radio-group v-model="unit" inline label="Measured in" hide-details>
    <v-radio v-for="one in UNITS" :key="one.value" :value="one.value" :label="one.title" />
  </v-radio-group>
  <fieldset class="schools">
    <legend class="sr-only">School of practice</legend>
    <label v-for="school in SCHOOLS_OF_PRACTICE" :key="school.id" :class="{ chosen: school.id === chosen }">
      <input v-model="chosen" type="radio" name="school" :value="school.id" />
      <span>
        <b>{{ school.name }}</b>
        <small>{{ school.says }}</small>
      </span>
    </label>
  </fieldset>
  <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
  <v-btn color="primary" :loading="busy" @click="follow">Teach this way</v-btn>
</template>

<style scoped>
.schools {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px;
  border: 0;
}
label {
  display: flex;
  gap: 12px;
  padding: 14px;
  border: 1px solid var(--line);
  border-radius: 10px;
  cursor: pointer;
}
label.chosen {
  border-color: rgb(var(--v-theme-primary));
  box-shadow: inset 0 0 0 1px rgb(var(--v-theme-primary));
}
label input {
  flex: none;
  width: 20px;
  height: 20px;
  margin-top: 2px;
  accent-color: rgb(var(--v-theme-primary));
}
label span {
  display: grid;
  align-content: start;
  gap: 4px;
}
small {
  font-size: 0.92rem;
  color: var(--quiet);
}
.alert {
  color: var(--poor);
  font-weight: 550;
}
@media (max-width: 800px) {
  .schools {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
