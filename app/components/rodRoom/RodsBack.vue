<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { hasClock, lotName, STUB_CLASSES, type StubClass, type Stubs } from '~~/core/rodRoom'
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

const isCount = (typed: string) => /^\d{0,4}$/.test(typed.trim())
async function save() {
  const counted = Object.entries(stubs).filter(([, typed]) => typed.trim() !== '')
  const wrong = [whole.value, ...Object.values(stubs)].every(isCount) ? '' : 'Each is a whole number'
  const said = {
    lotId: props.drawn.lotId,
    kind: 'returned',
    handfulId: props.drawn.id,
    count: Number(whole.value),
    stubs: counted.length > 0 ? (Object.fromEntries(counted.map(([id, typed]) => [id, Number(typed)])) as Stubs) : null,
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
      <legend>Stubs, by what is left of them</legend>
      <v-text-field
        v-for="one in STUB_CLASSES"
        :key="one.id"
        v-model="stubs[one.id]"
        :label="one.name"
        inputmode="numeric"
        hide-details
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
  margin-bottom: 8px;
}
@media (max-width: 500px) {
  fieldset {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
