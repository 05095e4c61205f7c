<script setup lang="ts">
import { ALL_MEANS, nameOfLie, PLATE_LIES, type BoothMeans } from '~~/core/floor'
import type { PadPosition } from '~~/core/trade'

/** What a booth is good for: the day is planned by it. */
const means = defineModel<BoothMeans | undefined>({ required: true })
const props = defineProps<{ booth: number }>()

const now = computed(() => means.value ?? ALL_MEANS)
const change = (part: Partial<BoothMeans>) => {
  means.value = { ...now.value, ...part }
}
function toggle(lie: PadPosition) {
  const { lies } = now.value
  change({ lies: PLATE_LIES.filter(one => (one === lie ? !lies.includes(lie) : lies.includes(one))) })
}
function most(typed: string) {
  const amperes = Math.round(Number(typed))
  change({ mostA: typed.trim() === '' || !(amperes >= 1 && amperes <= 1000) ? null : amperes })
}
</script>

<template>
  <fieldset class="means">
    <legend>Booth {{ props.booth }} is good for</legend>
    <v-checkbox
      v-for="lie in PLATE_LIES"
      :key="lie"
      :model-value="now.lies.includes(lie)"
      :label="`plates ${nameOfLie(lie)}`"
      hide-details
      @update:model-value="toggle(lie)"
    />
    <v-checkbox
      :model-value="now.pipeStand"
      label="pipe, on a stand"
      hide-details
      @update:model-value="change({ pipeStand: Boolean($event) })"
    />
    <v-checkbox :model-value="now.ac" label="AC" hide-details @update:model-value="change({ ac: Boolean($event) })" />
    <v-text-field
      :model-value="now.mostA ?? ''"
      label="Its machine gives at most, A"
      type="number"
      min="1"
      max="1000"
      placeholder="enough"
      hide-details
      @update:model-value="most(String($event ?? ''))"
    />
  </fieldset>
</template>

<style scoped>
.means {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 6px 14px 12px;
}
legend {
  padding: 0 6px;
  font-weight: 650;
}
.means .v-checkbox {
  flex: 0 0 auto;
}
.means .v-text-field {
  flex: 1 1 230px;
}
</style>
