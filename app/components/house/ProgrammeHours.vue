<script setup lang="ts">
import type { HoursWanted } from '~~/core/floor'
import { HOURS_OF, MOST_HOURS, programmeSchema } from '~~/contract/hours'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useHours } from '~/stores/hours'

/** Hours that the school's programme asks for: of a position, or of all work. */
const store = useHours()
const { errors, message, busy, attempt } = useFieldErrors()
const wanted = ref<HoursWanted[]>([])
const saved = ref('')
onMounted(async () => {
  wanted.value = [...(await store.programme().catch(() => []))]
  saved.value = JSON.stringify(wanted.value)
})

const free = computed(() => HOURS_OF.filter(of => !wanted.value.some(one => one.of === of)))
const changed = computed(() => JSON.stringify(wanted.value) !== saved.value)
const change = (n: number, part: Partial<HoursWanted>) => {
  wanted.value = wanted.value.map((one, at) => (at === n ? { ...one, ...part } : one))
}
async function keep() {
  const value = { wanted: wanted.value }
  const done = await attempt(() => store.ask(wanted.value), { schema: programmeSchema, value })
  if (done) saved.value = JSON.stringify(wanted.value)
}
</script>

<template>
  <HouseSetting name="Hours">
    <div class="rows">
      <div v-for="(row, n) in wanted" :key="row.of" class="row">
        <v-select
          label="Of"
          density="compact"
          hide-details
          :items="[row.of, ...free]"
          :model-value="row.of"
          @update:model-value="change(n, { of: $event })"
        />
        <v-text-field
          label="Hours"
          type="number"
          density="compact"
          hide-details="auto"
          :error-messages="errors[`wanted[${n}].hours`]"
          min="1"
          :max="MOST_HOURS"
          :model-value="row.hours"
          @update:model-value="change(n, { hours: Number($event) })"
        />
        <v-btn variant="text" :aria-label="`Take ${row.of} away`" @click="wanted = wanted.filter((_, at) => at !== n)"
          >Take away</v-btn
        >
      </div>
      <p v-if="message || errors.wanted" role="alert" class="alert">{{ message || errors.wanted }}</p>
      <div class="acts">
        <v-btn v-if="free.length > 0" variant="outlined" @click="wanted = [...wanted, { of: free[0]!, hours: 40 }]"
          >Ask for hours</v-btn
        >
        <v-btn v-if="changed" color="primary" :loading="busy" @click="keep">Save the hours</v-btn>
      </div>
    </div>
    <template #means>
      {{
        wanted.length === 0 ? 'The programme asks for none.' : 'What is done and what is left stands on each Record.'
      }}
    </template>
  </HouseSetting>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 10px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px auto;
  align-items: center;
  gap: 8px;
}
.acts {
  display: flex;
  gap: 8px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
</style>
