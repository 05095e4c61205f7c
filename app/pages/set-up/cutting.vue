<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { cutFaults, type BestCut, type CutOrder } from '~~/core/cutting'
import { formatLength } from '~~/core/units'
import { askCutting } from '~/composables/cuttingWorker'
import { orderOf, usualCut, type TypedCut } from '~/composables/cutSheet'
import { useHouseRules } from '~/stores/houseRules'
import { messageOf } from '~/stores/request'

/** What is cut from which bar: fewest bars, drawn to one scale, printed. */
const houseRules = useHouseRules()
const unit = computed(() => houseRules.unit)
const typed = useLocalStorage<TypedCut>('fusilis.cutting', usualCut(houseRules.unit))
const change = (part: Partial<TypedCut>) => {
  typed.value = { ...typed.value, ...part }
}

const problem = ref('')
const busy = ref(false)
const shown = shallowRef<{ order: CutOrder; found: BestCut } | null>(null)
let stop = () => {}
onBeforeUnmount(() => stop())

async function workOut() {
  problem.value = ''
  try {
    const order = orderOf(typed.value, unit.value)
    const [fault] = cutFaults(order)
    if (fault) throw new RangeError(fault)
    busy.value = true
    const asked = askCutting(order)
    stop = asked.stop
    const found = await asked.found
    shown.value = found && { order, found }
    if (!found) problem.value = 'There is not enough to cut from'
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
function leave() {
  stop()
  busy.value = false
}

const say = (mm: number) => formatLength(mm, unit.value)
const bars = (count: number) => (count === 1 ? 'one bar' : `${count} bars`)
/** How good the plan is, in words. */
const proof = computed(() => {
  if (!shown.value) return ''
  const { plan, fewest, byHand } = shown.value.found
  const least =
    fewest === null ? '' : plan.begun === fewest ? 'no plan begins fewer' : `no plan begins fewer than ${fewest}`
  const hand = byHand !== null && byHand > plan.begun ? `the longest first by hand begins ${byHand}` : ''
  return [least, hand].filter(Boolean).join('; ')
})
const print = () => window.print()
</script>

<template>
  <div class="cutting">
    <form class="panel sheet no-print" aria-label="What is cut" novalidate @submit.prevent="workOut">
      <h2>Wanted</h2>
      <CutRows :model-value="typed.pieces" what="Piece" many="Count" @update:model-value="change({ pieces: $event })" />
      <h2>To cut from</h2>
      <CutRows
        :model-value="typed.stock"
        what="Bar or offcut"
        many="Count"
        @update:model-value="change({ stock: $event })"
      />
      <p class="quiet">No count: as many as are bought. One sheet for each section of bar.</p>
      <div class="pair">
        <v-text-field
          :model-value="typed.kerf"
          label="The saw takes"
          hide-details
          @update:model-value="change({ kerf: $event })"
        />
        <v-text-field
          :model-value="typed.leastOffcut"
          label="Offcuts kept from"
          hide-details
          @update:model-value="change({ leastOffcut: $event })"
        />
      </div>
      <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
      <div class="acts">
        <v-btn v-if="busy" variant="text" @click="leave">Stop</v-btn>
        <v-btn type="submit" color="primary" :loading="busy">Work it out</v-btn>
      </div>
    </form>
    <section class="panel plan" aria-label="How it is cut">
      <template v-if="shown">
        <header>
          <h2>
            {{ bars(shown.found.plan.begun) }}<small v-if="proof" class="quiet">{{ proof }}</small>
          </h2>
          <v-btn class="no-print" variant="outlined" @click="print">Print</v-btn>
        </header>
        <p class="quiet num">
          {{ say(shown.found.plan.keptMm) }} kept as offcuts, {{ say(shown.found.plan.wasteMm) }} lost to the saw and
          short ends.
        </p>
        <CutBars :bars="shown.found.plan.bars" :order="shown.order" :unit="unit" />
      </template>
      <p v-else class="quiet">The plan is drawn here: the fewest bars, each to one scale.</p>
    </section>
  </div>
</template>

<style scoped>
.cutting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 18px;
  align-items: start;
}
.sheet,
.plan {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
.plan header {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}
.plan h2 {
  font-size: 1.4rem;
}
.plan h2::first-letter {
  text-transform: uppercase;
}
small {
  display: block;
  font-size: 0.92rem;
  font-weight: 450;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
.alert {
  color: var(--poor);
  font-weight: 550;
}
@media (max-width: 1000px) {
  .cutting {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
