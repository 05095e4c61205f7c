<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { hasClock, lotName, STUB_CLASSES, stubsWeighed, type StubClass, type Stubs } from '~~/core/rodRoom'
import { GRAMS_PER_OUNCE } from '~~/core/units'
import { useHouseRules } from '~/stores/houseRules'
import { useSaving } from '~/composables/saving'
import { useRods, type DrawnRods } from '~/stores/rods'

/** Rods come back: how many whole, and what is left of the others. Of what is not counted, no loss is said. */
const props = defineProps<{ drawn: DrawnRods; name: string }>()
const emit = defineEmits<{ done: []; close: [] }>()
const rods = useRods()
const { busy, refused, attempt } = useSaving()
const whole = ref('0')
const stubs = reactive<Record<StubClass, string>>({ 'to 2': '', '2 to 4': '', '4 to 6': '', 'over 6': '' })
const line = uuid()
const clocked = computed(() => hasClock(props.drawn.lot))

/** Stubs of many rods are quicker weighed than counted. */
const houseRules = useHouseRules()
const by = ref<'count' | 'weight'>('count')
const scale = computed(() =>
  houseRules.unit === 'in' ? { unit: 'oz', grams: GRAMS_PER_OUNCE } : { unit: 'g', grams: 1 },
)
const isCount = (typed: string) => /^\d{0,4}$/.test(typed.trim())
const isWeight = (typed: string) => /^\d{0,4}([.,]\d{0,2})?$/.test(typed.trim())
const isTyped = (typed: string) => (by.value === 'count' ? isCount : isWeight)(typed)
function countOf(id: StubClass): number {
  const amount = Number(stubs[id].trim().replace(',', '.'))
  return by.value === 'count' ? amount : stubsWeighed(id, props.drawn.lot.diameterMm, amount * scale.value.grams)
}
const countSaid = (id: StubClass) =>
  by.value === 'weight' && stubs[id].trim() !== '' && isWeight(stubs[id]) ? `about ${countOf(id)} stubs` : ''

async function save() {
  const given = STUB_CLASSES.map(({ id }) => id).filter(id => stubs[id].trim() !== '')
  const what =
    by.value === 'count' ? 'Each is a whole number' : `Rods are whole numbers, weights like 12.5 ${scale.value.unit}`
  const wrong = isCount(whole.value) && Object.values(stubs).every(isTyped) ? '' : what
  const said = {
    lotId: props.drawn.lotId,
    kind: 'returned',
    handfulId: props.drawn.id,
    count: Number(whole.value),
    stubs: given.length > 0 && !wrong ? (Object.fromEntries(given.map(id => [id, countOf(id)])) as Stubs) : null,
  } as const
  if (await attempt(wrong, () => rods.write(line, said))) emit('done')
}
</script>

<template>
  <FormDialog
    :heading="`Back from ${name}`"
    save="They are back"
    :message="refused"
    :busy="busy"
    :width="600"
    @submit="save"
    @close="$emit('close')"
  >
    <p class="quiet">{{ drawn.out }} × {{ lotName(drawn.lot) }} were drawn.</p>
    <v-text-field
      v-model="whole"
      :label="clocked ? 'Whole rods, into the oven' : 'Whole rods'"
      inputmode="numeric"
      autofocus
      :hint="clocked ? 'Kept apart: four hours there make them as fresh' : ''"
      persistent-hint
    />
    <fieldset>
      <legend>
        Stubs, by what is left of them
        <v-btn-toggle v-model="by" mandatory variant="outlined" density="comfortable" aria-label="How stubs are taken">
          <v-btn value="count">counted</v-btn>
          <v-btn value="weight">weighed, {{ scale.unit }}</v-btn>
        </v-btn-toggle>
      </legend>
      <v-text-field
        v-for="one in STUB_CLASSES"
        :key="one.id"
        v-model="stubs[one.id]"
        :label="one.name"
        :inputmode="by === 'count' ? 'numeric' : 'decimal'"
        :suffix="by === 'weight' ? scale.unit : ''"
        :hint="countSaid(one.id)"
        persistent-hint
      />
    </fieldset>
  </FormDialog>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px;
}
legend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  width: 100%;
  margin-bottom: 8px;
}
@media (max-width: 500px) {
  fieldset {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
