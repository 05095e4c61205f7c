<script setup lang="ts">
import { cardCases } from '~~/core/coupon'
import { firstOfRung } from '~~/core/dayPlan'
import type { HouseRules } from '~~/core/house'
import type { LadderRung } from '~~/core/ladder'
import { sayOffset, settingsCard, type SetUpCase } from '~~/core/setup'
import { rodSizeOf } from '~~/core/trade'
import { cardFacts } from '~/papers/cardFacts'

/** What to run next, and how to set up for it: the current of that booth's panel, angles, arc. */
const props = defineProps<{
  rung: LadderRung
  /** Why it is this one, in the student's words. */
  why: string
  hand: 'right' | 'left'
  booth: number | null
  panelOffsetA: number | null
  rules: HouseRules
}>()

/** One card for each pass that is set otherwise; a plate has one. */
const cases = computed(() => cardCases(firstOfRung(props.rung, props.hand, props.rules)))
const at = ref(0)
watch(
  () => props.rung.id,
  () => (at.value = 0),
)
const wanted = computed<SetUpCase>(() => cases.value[Math.min(at.value, cases.value.length - 1)]!)
const card = computed(() => settingsCard(wanted.value, props.rules))
const facts = computed(() => cardFacts(card.value, props.rules).slice(0, SHOWN_FACTS))
/** Travel angle, arc, arc force and the bead's width: the rest stands on the whole card. */
const SHOWN_FACTS = 4
/** What this coupon calls for stands open; what is said at every arc is a tap away. */
const care = computed(() => ({
  here: card.value.cautions.filter(caution => caution.topic !== 'always'),
  always: card.value.cautions.filter(caution => caution.topic === 'always'),
}))
const panelA = computed(() => card.value.current.startA - (props.panelOffsetA ?? 0))
const rod = computed(() => `${wanted.value.classification} · ${rodSizeOf(wanted.value.diameterMm).name}`)
const angles = computed(() => ({
  angles: card.value.angles,
  joint: wanted.value.joint,
  position: wanted.value.position,
  travel: wanted.value.travel,
  hand: props.hand,
}))
</script>

<template>
  <section class="panel next" aria-label="Next coupon">
    <div>
      <h2>Next: {{ rung.name }}</h2>
      <p v-if="why" class="quiet why">{{ why }}.</p>
    </div>
    <div v-if="cases.length > 1" class="passes" role="group" aria-label="Passes">
      <button v-for="(one, n) in cases" :key="n" type="button" :aria-pressed="n === at" @click="at = n">
        {{ one.pass }}
      </button>
    </div>
    <div class="set">
      <p class="amps num">
        <b>{{ panelA }}</b> A <span>{{ card.polarity }}</span>
      </p>
      <p>
        <b>{{ rod }}</b>
        <small v-if="panelOffsetA" class="quiet num">
          on the panel of booth {{ booth }}: {{ sayOffset(panelOffsetA) }}
        </small>
        <small v-else-if="booth !== null" class="quiet">booth {{ booth }}</small>
      </p>
    </div>
    <RodAnglesView :wanted="angles" />
    <dl>
      <div v-for="fact in facts" :key="fact.name">
        <dt>{{ fact.name }}</dt>
        <dd class="num">{{ fact.value }}</dd>
      </div>
    </dl>
    <section class="care" aria-label="Take care">
      <h3>Take care</h3>
      <ul>
        <li v-for="caution in care.here" :key="caution.text">{{ caution.text }}</li>
      </ul>
      <details>
        <summary>And at every arc</summary>
        <ul>
          <li v-for="caution in care.always" :key="caution.text">{{ caution.text }}</li>
        </ul>
      </details>
    </section>
  </section>
</template>

<style scoped>
.next {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 18px;
}
h2 {
  font-size: 1.25rem;
  font-weight: 700;
  line-height: 1.2;
}
.why::first-letter {
  text-transform: uppercase;
}
.passes {
  display: flex;
  gap: 6px;
}
.passes button {
  min-height: 44px;
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: 10px;
}
.passes button[aria-pressed='true'] {
  font-weight: 650;
  border-color: currentColor;
}
.set {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 20px;
}
.set small {
  display: block;
}
.amps {
  font-size: 1.2rem;
  font-weight: 600;
  white-space: nowrap;
  line-height: 1;
}
.amps b {
  font-size: 3rem;
  font-weight: 750;
  letter-spacing: -0.03em;
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 4px 16px;
}
dt {
  font-size: 0.82rem;
  color: var(--quiet);
}
.care {
  border-top: 1px solid var(--line);
  padding-top: 10px;
  font-size: 0.92rem;
}
h3 {
  font-weight: 700;
}
summary {
  min-height: 44px;
  align-content: center;
  cursor: pointer;
}
</style>
