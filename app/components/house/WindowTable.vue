<script setup lang="ts">
import type { HouseRules, WindowOverride } from '~~/core/house'
import { currentWindow, publishedWindow } from '~~/core/setup'
import { ELECTRODES, PAD_POSITIONS, positionOf, rodSizeOf, rodSizesFor, usualSize } from '~~/core/trade'

/** The school's own current windows; the published one always stands beside. */
const props = defineProps<{ rules: HouseRules; locked: boolean }>()
const emit = defineEmits<{ write: [windows: readonly WindowOverride[]] }>()

const form = reactive({
  classification: 'E7018',
  make: '',
  diameterMm: usualSize(props.rules.unit).diameterMm,
  position: '3G' as WindowOverride['position'],
  low: '',
  high: '',
})
const error = ref('')
const beside = computed(() => {
  const { lowA, highA } = publishedWindow(form.classification, form.diameterMm)
  const now = currentWindow(form, props.rules)
  return `published ${lowA}–${highA} A; now ${now.lowA}–${now.highA} A by ${now.source.name}`
})
const published = (row: WindowOverride) => publishedWindow(row.classification, row.diameterMm)
const same = (a: WindowOverride, b: Omit<WindowOverride, 'lowA' | 'highA'>) =>
  a.classification === b.classification &&
  a.make?.toLowerCase() === b.make?.toLowerCase() &&
  a.position === b.position &&
  Math.abs(a.diameterMm - b.diameterMm) < 0.01

function add() {
  const [lowA, highA] = [Number(form.low), Number(form.high)]
  const whole = form.low.trim() !== '' && form.high.trim() !== '' && Number.isInteger(lowA) && Number.isInteger(highA)
  if (!whole || lowA < 10 || highA > 500 || lowA >= highA) {
    error.value = 'Two whole numbers of amperes from 10 to 500, the lower first'
    return
  }
  error.value = ''
  const { classification, diameterMm, position } = form
  const make = form.make.trim().slice(0, 40)
  const row = { classification, ...(make && { make }), diameterMm, position, lowA, highA }
  emit('write', [...props.rules.windows.filter(one => !same(one, row)), row])
  form.low = ''
  form.high = ''
}
const nameOf = ({ classification, make, diameterMm, position }: WindowOverride) =>
  [classification, ...(make ? [make] : []), rodSizeOf(diameterMm).name, 'in', position].join(' ')
const drop = (row: WindowOverride) =>
  emit(
    'write',
    props.rules.windows.filter(one => !same(one, row)),
  )
</script>

<template>
  <div class="windows">
    <p v-if="rules.windows.length === 0" class="quiet">
      None: coupons are held to practice where schools run otherwise, else to the published window.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th>Rod</th>
          <th>Position</th>
          <th>This house</th>
          <th>Published</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rules.windows" :key="nameOf(row)" class="num">
          <td>
            {{ row.classification }} · {{ rodSizeOf(row.diameterMm).name
            }}<template v-if="row.make">, {{ row.make }}</template>
          </td>
          <td>{{ row.position }} {{ positionOf(row.position).name }}</td>
          <td>
            <b>{{ row.lowA }}–{{ row.highA }} A</b>
          </td>
          <td>{{ published(row).lowA }}–{{ published(row).highA }} A</td>
          <td class="end">
            <v-btn
              v-if="!locked"
              variant="text"
              :aria-label="`Take out the window of ${nameOf(row)}`"
              @click="drop(row)"
              >Out</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="!locked" novalidate @submit.prevent="add">
      <v-select
        v-model="form.classification"
        label="Rod"
        :items="ELECTRODES.map(row => row.classification)"
        hide-details
      />
      <v-select
        v-model="form.diameterMm"
        label="Size"
        :items="
          rodSizesFor(rules.unit, form.classification).map(size => ({ value: size.diameterMm, title: size.label }))
        "
        hide-details
      />
      <v-text-field v-model="form.make" label="Make, or any" maxlength="40" hide-details />
      <v-select
        v-model="form.position"
        label="Position"
        :items="PAD_POSITIONS.map(row => ({ value: row.id, title: `${row.id} ${row.name}` }))"
        hide-details
      />
      <v-text-field v-model="form.low" label="from" suffix="A" inputmode="numeric" hide-details />
      <v-text-field v-model="form.high" label="to" suffix="A" inputmode="numeric" hide-details />
      <v-btn type="submit" variant="outlined" height="48">Add</v-btn>
      <p v-if="error" role="alert" class="alert">{{ error }}</p>
      <p v-else class="quiet num">{{ beside }}</p>
    </form>
  </div>
</template>

<style scoped>
.windows {
  display: grid;
  gap: 12px;
}
form {
  display: grid;
  grid-template-columns: 1.2fr 1fr 1.2fr 1.4fr 0.8fr 0.8fr auto;
  gap: 8px;
}
form p {
  grid-column: 1 / -1;
  font-size: 0.9rem;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
th {
  text-align: left;
  color: var(--quiet);
  font-weight: 550;
  font-size: 0.9rem;
}
th,
td {
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--line);
}
.end {
  text-align: right;
}
@media (max-width: 900px) {
  form {
    grid-template-columns: 1fr 1fr 1fr;
  }
}
</style>
