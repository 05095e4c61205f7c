<script setup lang="ts">
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { arcRun } from '~~/core/setup'
import { formatHeat, formatLength, formatSpeed, formatTime, inches } from '~~/core/units'
import { choice, length, numeric } from '~~/core/working'
import { useArcClock } from '~/composables/arcClock'
import { PAD_INPUTS, padCard } from '~/composables/padCard'
import { useSheetForm } from '~/composables/sheetForm'
import { useHouseRules } from '~/stores/houseRules'

interface Run {
  readonly id: number
  readonly of: string
  readonly seconds: number
  readonly lengthMm: number
  readonly currentA: number
  readonly volts: number
  readonly targetMmPerMin: number
}

const houseRules = useHouseRules()
const unit = computed(() => houseRules.unit)
const INPUTS = [
  ...PAD_INPUTS,
  choice('timed', 'What is timed', ['a bead', 'a whole rod']),
  length('long', 'Bead laid', 5, 2000, inches(6)),
  numeric('amperes', 'current', 'Current', 10, 500, 125),
  numeric('volts', 'volts', 'Arc volts', 10, 50, 23),
]
const form = useSheetForm(
  () => INPUTS,
  () => unit.value,
)
const clock = useArcClock()
const runs = useLocalStorage<Run[]>('fusilis.clock', [])
const typed = ref('')
const problem = ref('')

const card = computed(() => padCard(form.values.value, houseRules.current.rules))
function keep(seconds: number) {
  if (!(seconds >= 0.5 && seconds <= 3600)) {
    problem.value = 'Arc time: from 0.5 s to 1 h'
    return
  }
  problem.value = ''
  const { long, current, volts, rod, size, timed } = form.values.value
  runs.value = [
    {
      id: Date.now(),
      of: `${timed === 'a bead' ? 'bead' : 'rod'}, ${rod} · ${size}`,
      seconds,
      lengthMm: Number(long),
      currentA: Number(current),
      volts: Number(volts),
      targetMmPerMin: card.value.travelMmPerMin,
    },
    ...runs.value,
  ].slice(0, 50)
}
function press() {
  if (!clock.burning.value) return clock.strike()
  keep(clock.breakArc()!)
}
function type() {
  const seconds = Number(typed.value.trim().replace(/s$/, ''))
  if (typed.value.trim() === '' || Number.isNaN(seconds))
    problem.value = 'Arc time is a number of seconds, like 36 or 36.5'
  else keep(seconds)
  if (problem.value === '') typed.value = ''
}
useEventListener(document, 'keydown', event => {
  const target = event.target as HTMLElement
  if (
    event.key !== ' ' ||
    event.repeat ||
    target.closest('input, textarea, button, [role="combobox"], [role="listbox"], .v-overlay')
  )
    return
  event.preventDefault()
  press()
})
const rows = computed(() => runs.value.map(run => ({ ...run, ...arcRun(run) })))
</script>

<template>
  <SideAndMain label="What is timed">
    <template #ask>
      <CaseForm :fields="INPUTS" :values="form.values.value" :unit="unit" @set="form.set" @problem="form.setProblem" />
      <p class="quiet">
        The card’s speed: <b class="num">{{ formatSpeed(card.travelMmPerMin, unit) }}</b>; a whole rod
        {{ formatTime(card.rodSeconds) }}.
      </p>
    </template>
    <div class="clock">
      <button
        type="button"
        class="strike"
        :class="{ burning: clock.burning.value }"
        :disabled="!form.valid.value"
        @click="press"
      >
        <span class="num">{{ clock.burning.value ? `${clock.seconds.value.toFixed(1)} s` : 'Strike' }}</span>
        <small>{{ clock.burning.value ? 'break the arc' : 'starts the clock' }} <kbd>Space</kbd></small>
      </button>
      <form class="typed" novalidate @submit.prevent="type">
        <v-text-field
          v-model="typed"
          label="Or type the arc time"
          suffix="s"
          inputmode="decimal"
          hide-details="auto"
          :error-messages="problem"
        />
        <v-btn type="submit" variant="outlined" height="48">Keep</v-btn>
      </form>
      <div class="panel list">
        <p v-if="rows.length === 0" class="quiet none">
          Nothing is timed yet. Strike as the arc lights, break as it goes out.
        </p>
        <table v-else>
          <thead>
            <tr>
              <th>Timed</th>
              <th>Arc</th>
              <th>Laid</th>
              <th>Travel</th>
              <th>Heat</th>
              <th>Beside the card</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.id" class="num">
              <td>{{ row.of }}</td>
              <td>{{ formatTime(row.seconds) }}</td>
              <td>{{ formatLength(row.lengthMm, unit) }}</td>
              <td>
                <b>{{ formatSpeed(row.travelMmPerMin, unit) }}</b>
              </td>
              <td>{{ formatHeat(row.kjPerMm, unit) }}</td>
              <td><TravelGauge :of-target="row.ofTarget" /></td>
            </tr>
          </tbody>
        </table>
        <v-btn v-if="rows.length > 0" variant="text" @click="runs = []">Clear the list</v-btn>
      </div>
    </div>
  </SideAndMain>
</template>

<style scoped>
.clock {
  display: grid;
  gap: 14px;
}
.strike {
  display: grid;
  gap: 4px;
  justify-items: center;
  padding: 30px;
  border-radius: 14px;
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}
.strike span {
  font-size: 3rem;
  font-weight: 750;
  letter-spacing: -0.02em;
  line-height: 1;
}
.strike:disabled {
  opacity: 0.5;
}
.burning {
  background: var(--say);
  color: #fff;
}
.typed {
  display: grid;
  grid-template-columns: minmax(0, 260px) auto;
  gap: 10px;
  align-items: start;
  justify-content: start;
}
.list {
  padding: 6px 14px;
  overflow-x: auto;
}
.none {
  padding: 22px 4px;
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
</style>
