<script setup lang="ts">
import { beyondTable } from '~~/core/deposit'
import type { HouseRules } from '~~/core/house'
import type { SetUpCase, SettingsCard } from '~~/core/setup'
import { cardFacts } from '~/papers/cardFacts'

/** The settings card on the screen: the current first and largest, then how to hold the rod. */
const props = defineProps<{
  card: SettingsCard
  wanted: SetUpCase
  hand: 'right' | 'left'
  name: string
  rules: HouseRules
}>()
const facts = computed(() => cardFacts(props.card, props.rules))
const sources = computed(() => [
  ...new Map(
    [
      props.card.current.window.source,
      props.card.current.published.source,
      props.card.volts.source,
      props.card.rate.source,
    ].map(source => [`${source.name}${source.clause}`, source]),
  ).values(),
])
</script>

<template>
  <article class="panel card" aria-label="Settings card">
    <header>
      <div>
        <h2>{{ name }}</h2>
        <p class="quiet">{{ card.title }}</p>
      </div>
      <p class="amps num">
        <b>{{ card.current.startA }}</b> A <span>{{ card.polarity }}</span>
      </p>
    </header>
    <ul v-if="card.remarks.length > 0" class="remarks" role="status">
      <li v-for="remark in card.remarks" :key="remark.text">{{ remark.text }}</li>
    </ul>
    <WindowBar :current="card.current" />
    <div class="two">
      <RodAnglesView
        :wanted="{ angles: card.angles, joint: wanted.joint, position: wanted.position, travel: wanted.travel, hand }"
      />
      <dl>
        <div v-for="fact in facts" :key="fact.name">
          <dt>{{ fact.name }}</dt>
          <dd class="num">{{ fact.value }}</dd>
        </div>
        <div>
          <dt>Polarity</dt>
          <dd>{{ card.polarityWhy }}</dd>
        </div>
      </dl>
    </div>
    <p v-if="beyondTable(card.rate)" class="quiet" role="status">
      {{ beyondTable(card.rate) }}: hold travel and rod time more loosely.
    </p>
    <div class="two words">
      <section>
        <h3>Watch</h3>
        <ul>
          <li v-for="line in card.watch" :key="line">{{ line }}</li>
        </ul>
      </section>
      <section>
        <h3>Take care</h3>
        <ul>
          <li v-for="caution in card.cautions" :key="caution.text">{{ caution.text }}</li>
        </ul>
      </section>
    </div>
    <details>
      <summary>How it is done in this house</summary>
      <ul>
        <li v-for="line in card.ways" :key="line">{{ line }}</li>
      </ul>
    </details>
    <details>
      <summary>Where {{ card.current.startA }} A comes from</summary>
      <ul>
        <li v-for="line in card.current.working" :key="line">{{ line }}</li>
        <li v-for="source in sources" :key="`${source.name}${source.clause}`" class="quiet">
          {{ source.name }}{{ source.clause ? `, ${source.clause}` : ''
          }}<template v-if="source.certainty !== source.name"> ({{ source.certainty }})</template>
        </li>
      </ul>
    </details>
  </article>
</template>

<style scoped>
.card {
  padding: 20px 22px;
  display: grid;
  gap: 14px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 16px;
}
h2 {
  font-size: 1.5rem;
  font-weight: 700;
  letter-spacing: -0.015em;
  line-height: 1.15;
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
.remarks li {
  color: var(--poor);
  font-weight: 600;
}
.remarks li::before {
  content: '▲ ';
  font-size: 0.75em;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 14px 26px;
  align-items: center;
}
.words {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  align-items: start;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}
dl {
  display: grid;
}
dl div {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr);
  gap: 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
dl div:last-child {
  border-bottom: 0;
}
dt {
  color: var(--quiet);
}
dd {
  font-weight: 600;
}
h3 {
  font-size: 0.95rem;
  font-weight: 650;
  margin-bottom: 4px;
}
.words li,
details li {
  padding: 2px 0 2px 14px;
  position: relative;
}
.words li::before,
details li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.72em;
  width: 6px;
  height: 2px;
  background: currentColor;
  opacity: 0.6;
}
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  font-weight: 600;
}
summary::before {
  content: '▸';
  margin-right: 8px;
}
details[open] summary::before {
  content: '▾';
}
@media (max-width: 760px) {
  .two,
  .words {
    grid-template-columns: minmax(0, 1fr);
  }
  .card {
    padding: 16px;
  }
  .amps b {
    font-size: 2.4rem;
  }
}
</style>
