<script setup lang="ts">
import type { CouponDocument } from '~~/core/coupon'
import { CAUSES, changeFor, drillFor, signOf, type CauseId, type RankedCause, type Diagnosis } from '~~/core/diagnosis'
import { useBench } from '~/stores/bench'
import { useHouseRules } from '~/stores/houseRules'

/**
 * The likely causes with their odds, what speaks for and against each, the question that tells most, and what the
 * instructor says it was.
 */
const props = defineProps<{ reading: Diagnosis; document: CouponDocument }>()
defineEmits<{ told: [] }>()
const bench = useBench()
const houseRules = useHouseRules()
const rules = computed(() => houseRules.rulesOf(props.document.rulesVersion))

/** Under this it is a guess; and what two of them must come to between them, to be one of two. Common practice. */
const LITTLE = 0.15
const MOST_OF_IT = 0.7

const shown = computed(() => props.reading.causes.slice(0, 3))
const opened = ref<CauseId | null>(null)
const percent = (odds: number) => (odds >= 0.995 ? 'over 99 %' : `${Math.round(odds * 100)} %`)
/** How sure it is, said over the causes. */
const heading = computed(() => {
  const [first, second] = props.reading.causes
  if (props.reading.clear) return 'Most likely'
  if (!first || first.odds < LITTLE) return 'A first guess: little shows'
  return second && first.odds + second.odds > MOST_OF_IT ? 'One of two' : 'Could be any of these'
})
/** What would be said for it, as the house says it. */
const thenOf = ({ cause, speaksFor }: RankedCause) => {
  const markIds = speaksFor.flatMap(sign => sign.markIds)
  const change = changeFor({ cause, document: props.document, markIds, strong: false }, rules.value)
  const drill = drillFor(cause, props.document, rules.value)
  return drill === null ? change : `${change}; ${drill}`
}
const marksOf = (row: RankedCause) => row.speaksFor.flatMap(sign => sign.markIds)
function open(row: RankedCause) {
  opened.value = opened.value === row.cause.id ? null : row.cause.id
  bench.showInTurn(marksOf(row))
}
const answered = computed(() => Object.entries(props.document.answers ?? {}).map(([sign, said]) => ({ sign, said })))
const all = CAUSES.map(({ id, name }) => ({ value: id, title: name }))
</script>

<template>
  <section class="causes">
    <p v-if="reading.unreadable" class="unreadable">{{ reading.unreadable }}.</p>
    <template v-else-if="shown.length > 0">
      <h3>{{ heading }}</h3>
      <ol>
        <li v-for="row in shown" :key="row.cause.id">
          <button type="button" class="cause" :aria-expanded="opened === row.cause.id" @click="open(row)">
            <span>{{ row.cause.name }}</span><span class="num">{{ percent(row.odds) }}</span>
          </button>
          <dl v-if="opened === row.cause.id">
            <template v-if="row.speaksFor.length > 0"
              ><dt>for it</dt>
              <dd>{{ row.speaksFor.map(sign => signOf(sign.id).says).join(', ') }}</dd></template
            >
            <template v-if="row.against.length > 0"
              ><dt>against it</dt>
              <dd>no {{ row.against.map(id => signOf(id).says).join(', no ') }}</dd></template
            >
            <dt>then</dt>
            <dd>{{ thenOf(row) }}</dd>
          </dl>
        </li>
      </ol>
      <p v-if="reading.notLikeliest" class="why">{{ reading.notLikeliest }}.</p>
      <ul v-if="answered.length > 0" class="answered" aria-label="Answered">
        <li v-for="one in answered" :key="one.sign">
          <span>{{ signOf(one.sign).says }}: {{ one.said }}</span
          ><button
            type="button"
            :aria-label="`Take back: ${signOf(one.sign).says}`"
            @click="bench.answer(one.sign, one.said)"
          >
            take back
          </button>
        </li>
      </ul>
      <div v-if="bench.question" class="ask" role="group" aria-label="Ask the student">
        <p>Ask: {{ bench.question.ask }}</p>
        <button type="button" @click="bench.answer(bench.question.sign, 'yes')">yes <kbd>8</kbd></button>
        <button type="button" @click="bench.answer(bench.question.sign, 'no')">no <kbd>9</kbd></button>
      </div>
    </template>
    <button type="button" class="told" @click="$emit('told')">What the student says <kbd>6</kbd></button>
    <v-select
      v-if="reading.unreadable || shown.length > 0"
      label="It was"
      density="compact"
      hide-details
      clearable
      placeholder="not said"
      persistent-placeholder
      :items="all"
      :model-value="document.trueCause ?? null"
      @update:model-value="bench.sayCause(($event ?? null) as CauseId | null)"
    />
  </section>
</template>

<style scoped>
.told {
  min-height: 44px;
  text-align: left;
  font-weight: 600;
}
.causes {
  display: grid;
  gap: 8px;
}
h3 {
  font-size: 0.85rem;
  font-weight: 650;
  color: var(--quiet);
}
.cause {
  width: 100%;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  min-height: 34px;
  text-align: left;
  border-radius: 6px;
}
.num {
  white-space: nowrap;
}
.cause:hover span:first-child {
  text-decoration: underline;
}
li:first-child .cause {
  font-weight: 650;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 10px;
  font-size: 0.88rem;
  padding: 2px 0 6px;
}
dt {
  color: var(--quiet);
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: 10px;
}
.ask p {
  flex: 1 1 100%;
  font-weight: 600;
  line-height: 1.25;
}
.ask button {
  min-height: 44px;
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 9px;
  font-weight: 600;
}
.answered li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  font-size: 0.9rem;
}
.answered button {
  min-height: 40px;
  color: var(--quiet);
}
.why {
  font-size: 0.9rem;
  color: var(--quiet);
}
.unreadable {
  font-weight: 600;
}
</style>
