<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { nextDrillStep, type DrillBead } from '~~/core/setup'
import { formatLength, formatRange, inches } from '~~/core/units'
import { choice, length, numeric } from '~~/core/working'
import { PAD_INPUTS, padCard } from '~/composables/padCard'
import { useSheetForm } from '~/composables/sheetForm'
import { useHouseRules } from '~/stores/houseRules'

const houseRules = useHouseRules()
const unit = computed(() => houseRules.unit)
const rules = computed(() => houseRules.current.rules)
const form = useSheetForm(
  () => PAD_INPUTS,
  () => unit.value,
)

const card = computed(() => padCard(form.values.value, rules.value))
const target = computed(() => ({
  widthMm: { low: card.value.bead.lowMm, high: card.value.bead.highMm },
  heightMm: rules.value.heightMm,
  window: card.value.current.window,
}))

/** One list a rod and position: the drill is taken up again where it was left. */
const kept = useLocalStorage<Record<string, DrillBead[]>>('fusilis.drill', {})
const key = computed(() => PAD_INPUTS.map(input => form.values.value[input.id]).join(' '))
const beads = computed(() => kept.value[key.value] ?? [])
const step = computed(() => nextDrillStep(beads.value, target.value))

const current = numeric('amperes', 'current', 'Current', 10, 500, 125)
const wide = length('width', 'Width', 1, 30, inches(1 / 4))
const high = length('height', 'Height', 0.2, 12, inches(3 / 32))
const toes = choice('toes', 'Toes', ['wetted in', 'rolled over', 'undercut'])
/** Width and height are read off the bead: they begin empty. */
const fresh = () => ({
  currentA: step.value.nextA,
  widthMm: '' as number | '',
  heightMm: '' as number | '',
  toes: 'wetted in' as DrillBead['toes'],
})
const bead = ref(fresh())
const problems = ref<Record<string, string>>({})
watch(key, () => {
  bead.value = fresh()
})

const complete = computed(
  () => bead.value.widthMm !== '' && bead.value.heightMm !== '' && !Object.values(problems.value).some(Boolean),
)
function readBead() {
  const { widthMm, heightMm, ...rest } = bead.value
  if (complete.value && widthMm !== '' && heightMm !== '') put([...beads.value, { ...rest, widthMm, heightMm }])
}
function put(list: DrillBead[]) {
  kept.value = { ...kept.value, [key.value]: list }
  bead.value = fresh()
}
const reads = (heat: number) => (Math.abs(heat) <= 0.25 ? 'right' : heat > 0 ? 'hot' : 'cold')
</script>

<template>
  <SideAndMain label="The drill">
    <template #ask>
      <CaseForm
        :fields="PAD_INPUTS"
        :values="form.values.value"
        :unit="unit"
        @set="form.set"
        @problem="form.setProblem"
      />
      <p class="quiet">
        Looked for: {{ formatRange(target.widthMm.low, target.widthMm.high, unit) }} wide,
        {{ formatRange(target.heightMm.low, target.heightMm.high, unit) }} high, toes wetted in.
      </p>
      <p class="quiet">Window {{ target.window.lowA }}–{{ target.window.highA }} A, {{ target.window.source.name }}.</p>
    </template>
    <div class="run">
      <div class="next" role="status" :class="{ done: step.done }">
        <p>{{ step.say }}</p>
        <b class="num">{{ step.nextA }} A</b>
      </div>
      <form v-if="!step.done" class="panel entry" novalidate @submit.prevent="readBead">
        <SheetField
          :input="current"
          :model-value="bead.currentA"
          :unit="unit"
          @update:model-value="bead.currentA = Number($event)"
          @problem="problems.current = $event"
        />
        <SheetField
          :input="wide"
          :model-value="bead.widthMm"
          :unit="unit"
          @update:model-value="bead.widthMm = Number($event)"
          @problem="problems.width = $event"
        />
        <SheetField
          :input="high"
          :model-value="bead.heightMm"
          :unit="unit"
          @update:model-value="bead.heightMm = Number($event)"
          @problem="problems.height = $event"
        />
        <SheetField
          :input="toes"
          :model-value="bead.toes"
          :unit="unit"
          @update:model-value="bead.toes = $event as DrillBead['toes']"
        />
        <v-btn type="submit" color="primary" height="48" :disabled="!complete">Bead {{ beads.length + 1 }} read</v-btn>
      </form>
      <div v-if="beads.length > 0" class="panel list">
        <table>
          <thead>
            <tr>
              <th>Bead</th>
              <th>Current</th>
              <th>Width</th>
              <th>Height</th>
              <th>Toes</th>
              <th>Reads</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(one, index) in beads" :key="index" class="num">
              <td>{{ index + 1 }}</td>
              <td>
                <b>{{ one.currentA }} A</b>
              </td>
              <td>{{ formatLength(one.widthMm, unit) }}</td>
              <td>{{ formatLength(one.heightMm, unit) }}</td>
              <td>{{ one.toes }}</td>
              <td :class="reads(step.heats[index]!)">{{ reads(step.heats[index]!) }}</td>
            </tr>
          </tbody>
        </table>
        <div class="acts">
          <v-btn variant="text" @click="put(beads.slice(0, -1))">Take the last one back</v-btn
          ><v-btn variant="text" @click="put([])">Begin again</v-btn>
        </div>
      </div>
    </div>
  </SideAndMain>
</template>

<style scoped>
.run {
  display: grid;
  gap: 14px;
}
.next {
  padding: 20px 24px;
  border-radius: 14px;
  background: var(--say);
  color: #fff;
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 20px;
  flex-wrap: wrap;
}
.next p {
  font-size: 1.15rem;
}
.next b {
  font-size: 2.6rem;
  font-weight: 750;
  letter-spacing: -0.02em;
  line-height: 1;
}
.done b {
  color: #f3c26b;
}
.entry {
  padding: 16px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 12px;
  align-items: start;
}
.list {
  padding: 8px 16px;
  overflow-x: auto;
}
th {
  text-align: left;
  font-weight: 550;
  color: var(--quiet);
  font-size: 0.9rem;
}
th,
td {
  padding: 9px 12px 9px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
.right {
  font-weight: 700;
}
.hot::before {
  content: '▲ ';
}
.cold::before {
  content: '▼ ';
}
.right::before {
  content: '● ';
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
