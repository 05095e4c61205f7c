<script setup lang="ts">
import { wallAfter } from '~~/core/calendar'
import { readingsInStep, type PlanTerms } from '~~/core/dayPlan'
import { PIECES, type PieceKind } from '~~/core/trade'

/** What is said of a day before it is planned: readings, demonstrations, pieces that lie there, who shares. */
const props = defineProps<{
  terms: PlanTerms
  from: string
  minutes: number
  students: readonly { readonly id: string; readonly name: string }[]
  /** What was welded on the class day before, by kind. */
  welded: Partial<Readonly<Record<PieceKind, number>>>
}>()
const emit = defineEmits<{ change: [part: Partial<PlanTerms>] }>()

const STEPS = [5, 10, 15, 20, 30].map(value => ({ value, title: `${value} min` }))
const whole = (typed: unknown, low: number, high: number, usual: number) => {
  const value = Math.round(Number(typed))
  return Number.isFinite(value) && value >= low && value <= high ? value : usual
}

const times = computed(() =>
  Array.from({ length: Math.floor(props.minutes / props.terms.stepMinutes) }, (_, n) => {
    const minute = n * props.terms.stepMinutes
    return { value: minute, title: wallAfter(props.from, minute) }
  }),
)
const show = reactive({ topic: '', from: 0, minutes: '15' })
function addShown() {
  if (show.topic.trim() === '') return
  const shown = { topic: show.topic.trim(), from: show.from, minutes: whole(show.minutes, 1, 240, 15) }
  emit('change', { shown: [...props.terms.shown, shown].sort((a, b) => a.from - b.from) })
  show.topic = ''
}
const withoutShown = (n: number) => emit('change', { shown: props.terms.shown.filter((_, m) => m !== n) })

/** A pad gets another layer, a joint is cut off and bevelled again: nothing new is cut for it. */
const again = computed(() => {
  const before = PIECES.filter(({ kind }) => props.welded[kind]).map(
    ({ kind, name }) => `${props.welded[kind]} × ${name}`,
  )
  const how = 'A pad for another layer, a joint cut off and bevelled again: nothing new is cut for it.'
  return before.length === 0 ? how : `${how} Last class welded ${before.join(', ')}.`
})

const pair = ref<string[]>([])
const nameOf = (id: string) => props.students.find(one => one.id === id)?.name ?? '–'
function addPair() {
  const [one, other] = pair.value
  if (one && other) emit('change', { pairs: [...props.terms.pairs, [one, other]] })
  pair.value = []
}
const withoutPair = (n: number) => emit('change', { pairs: props.terms.pairs.filter((_, m) => m !== n) })
</script>

<template>
  <section class="terms" aria-label="What is planned by">
    <div class="part">
      <h3>Time</h3>
      <div class="fields">
        <v-select
          :model-value="terms.stepMinutes"
          :items="STEPS"
          label="In steps of"
          hide-details
          @update:model-value="emit('change', { stepMinutes: $event })"
        />
        <v-text-field
          :model-value="terms.readMinutes"
          label="A reading takes, min"
          type="number"
          min="1"
          max="30"
          hide-details
          @update:model-value="emit('change', { readMinutes: whole($event, 1, 30, terms.readMinutes) })"
        />
      </div>
      <p class="quiet">{{ readingsInStep(terms) }} coupons are read in a step at most.</p>
    </div>
    <div class="part">
      <h3>Shown to all</h3>
      <ul>
        <li v-for="(shown, n) in terms.shown" :key="n">
          <span>{{ wallAfter(from, shown.from) }} · {{ shown.topic }}, {{ shown.minutes }} min</span>
          <v-btn variant="text" :aria-label="`Take out: ${shown.topic}`" @click="withoutShown(n)">Take out</v-btn>
        </li>
      </ul>
      <form class="fields" @submit.prevent="addShown">
        <v-text-field v-model="show.topic" label="Demonstration" maxlength="80" hide-details class="wide" />
        <v-select v-model="show.from" :items="times" label="At" hide-details />
        <v-text-field v-model="show.minutes" label="Takes, min" type="number" min="1" max="240" hide-details />
        <v-btn variant="outlined" type="submit">Add</v-btn>
      </form>
    </div>
    <PlanPieces
      heading="Pieces that lie there"
      none="Nobody counted: there are enough of each."
      take-out="Not counted"
      add="Count"
      :pieces="terms.pieces"
      @change="emit('change', { pieces: $event })"
    />
    <PlanPieces
      heading="To be taken again"
      :none="again"
      take-out="Not again"
      add="Again"
      :pieces="terms.again ?? {}"
      @change="emit('change', { again: $event })"
    />
    <div class="part">
      <h3>Two on one piece</h3>
      <ul>
        <li v-for="(two, n) in terms.pairs" :key="two.join(' ')">
          <span>{{ two.map(nameOf).join(' and ') }}</span>
          <v-btn variant="text" :aria-label="`Not together: ${two.map(nameOf).join(' and ')}`" @click="withoutPair(n)"
            >Not together</v-btn
          >
        </li>
      </ul>
      <form class="fields" @submit.prevent="addPair">
        <v-select
          v-model="pair"
          :items="students.map(one => ({ value: one.id, title: one.name }))"
          label="Two students"
          multiple
          hide-details
          class="wide"
        />
        <v-btn variant="outlined" type="submit" :disabled="pair.length !== 2">Together</v-btn>
      </form>
    </div>
  </section>
</template>

<style scoped>
.terms {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 14px 24px;
}
.terms :deep(.part) {
  display: grid;
  gap: 8px;
  align-content: start;
}
.terms :deep(h3) {
  font-weight: 650;
}
.terms :deep(.fields) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.terms :deep(.fields > .v-input) {
  flex: 1 1 110px;
}
.terms :deep(.fields > .wide) {
  flex-basis: 100%;
}
.terms :deep(li) {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
</style>
