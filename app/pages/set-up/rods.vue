<script setup lang="ts">
import { useRouteQuery } from '~/composables/routeQuery'
import { polarityCheck } from '~~/core/setup'
import { cautionsFor, ELECTRODES, parseClassification, type Polarity } from '~~/core/trade'

const printed = useRouteQuery('printed', 'E7018-1 H4R')
const rod = useRouteQuery('rod', 'E7018')
const polarity = useRouteQuery('polarity', 'DCEN')

const read = computed(() => parseClassification(printed.value))
const known = computed(() => ELECTRODES.find(row => row.classification === rod.value) ?? ELECTRODES[0]!)
const check = computed(() =>
  polarityCheck(
    known.value.classification,
    (['DCEP', 'DCEN', 'AC'].includes(polarity.value) ? polarity.value : 'DCEN') as Polarity,
  ),
)
</script>

<template>
  <div class="room">
    <section class="panel block" aria-label="Rod">
      <h2>What is printed on the rod</h2>
      <v-text-field
        v-model="printed"
        label="Classification"
        autocomplete="off"
        spellcheck="false"
        hide-details="auto"
        class="entry"
      />
      <p class="spelt num" aria-hidden="true">
        <span v-for="(part, index) in read.parts" :key="index" :class="{ wrong: part.wrong }">{{
          part.text || '?'
        }}</span>
      </p>
      <dl>
        <div v-for="(part, index) in read.parts" :key="index">
          <dt class="num">{{ part.text || '–' }}</dt>
          <dd v-if="part.wrong" class="wrong" role="alert">{{ part.wrong }}</dd>
          <dd v-else>{{ part.means }}</dd>
        </div>
      </dl>
      <p v-if="read.iso2560B" class="quiet">
        ISO 2560-B: {{ read.iso2560B }}.<template v-if="read.electrode">
          F-number {{ read.electrode.fNumber }}.</template
        >
        AWS A5.1/A5.1M:2012, from memory, check your copy.
      </p>
    </section>
    <section class="panel block" aria-label="Polarity">
      <h2>Polarity</h2>
      <div class="pair">
        <v-select v-model="rod" label="Rod" :items="ELECTRODES.map(row => row.classification)" hide-details />
        <v-select v-model="polarity" label="Machine is on" :items="['DCEP', 'DCEN', 'AC']" hide-details />
      </div>
      <p class="verdict" :class="{ wrong: !check.fits }" role="status">
        {{
          check.fits
            ? `${known.classification} runs on ${polarity}`
            : `${known.classification} does not run on ${polarity}: it runs on ${check.runsOn.join(' or ')}`
        }}
      </p>
      <h3>What the first bead says</h3>
      <ul>
        <li v-for="line in check.looks" :key="line">{{ line }}</li>
      </ul>
      <p class="quiet">
        The fault to rule out first when a first bead will not dig in.
        {{ cautionsFor(['polarity change']).at(-1)!.text }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
.block {
  padding: 20px 22px;
  display: grid;
  gap: 14px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
h3 {
  font-size: 0.95rem;
  font-weight: 650;
}
.entry {
  max-width: 320px;
}
.spelt {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  font-size: 1.9rem;
  font-weight: 750;
}
.spelt span {
  border-bottom: 4px solid var(--steel);
  padding: 0 6px;
}
.spelt .wrong {
  border-bottom-color: var(--poor);
}
dl div {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  gap: 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
dt {
  font-weight: 700;
}
.wrong {
  color: var(--poor);
  font-weight: 600;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.verdict {
  font-size: 1.15rem;
  font-weight: 650;
}
.verdict.wrong::before {
  content: '▲ ';
  font-size: 0.75em;
}
li {
  padding: 3px 0 3px 14px;
  position: relative;
}
li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.8em;
  width: 6px;
  height: 2px;
  background: currentColor;
  opacity: 0.6;
}
@media (max-width: 900px) {
  .room {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
