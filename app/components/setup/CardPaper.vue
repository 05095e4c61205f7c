<script setup lang="ts">
import { toDataURL } from 'qrcode'
import type { HouseRules } from '~~/core/house'
import type { BoothCard } from '~/papers/boothCards'
import { cardFacts } from '~/papers/cardFacts'

/** One A6 card as it comes out of the printer. */
const props = defineProps<{ booth: BoothCard; rules: HouseRules }>()
const facts = computed(() => cardFacts(props.booth.card, props.rules).slice(1))
const code = ref('')
watch(
  () => props.booth.address,
  async address => {
    code.value = await toDataURL(address, { margin: 0, scale: 4 })
  },
  { immediate: true },
)
</script>

<template>
  <article class="paper">
    <header>
      <div>
        <p class="who">{{ booth.booth === null ? '' : `Booth ${booth.booth} · ` }}{{ booth.student }}</p>
        <h3>{{ booth.rod }}</h3>
        <p>{{ booth.card.title }}</p>
      </div>
      <img v-if="code" :src="code" alt="Opens the Bench for this booth’s next coupon" width="76" height="76" />
    </header>
    <p class="amps">
      <b>{{ booth.card.current.startA }}</b> A {{ booth.card.polarity }}
      <small
        >here {{ booth.card.current.window.lowA }}–{{ booth.card.current.window.highA }} A, published
        {{ booth.card.current.published.lowA }}–{{ booth.card.current.published.highA }} A</small
      >
    </p>
    <RodAnglesView
      :wanted="{
        angles: booth.card.angles,
        joint: booth.wanted.joint,
        position: booth.wanted.position,
        travel: booth.wanted.travel,
        hand: booth.hand,
      }"
    />
    <dl>
      <div v-for="fact in facts" :key="fact.name">
        <dt>{{ fact.name }}</dt>
        <dd>{{ fact.value }}</dd>
      </div>
    </dl>
    <p v-for="line in booth.card.watch.slice(0, 2)" :key="line" class="line">{{ line }}</p>
    <p v-for="caution in [...booth.card.cautions].reverse().slice(0, 2)" :key="caution.text" class="line care">
      {{ caution.text }}
    </p>
  </article>
</template>

<style scoped>
.paper {
  width: 105mm;
  height: 148mm;
  padding: 6mm;
  overflow: hidden;
  background: #fff;
  color: #14191c;
  border: 1px dashed #9aa5ab;
  font-size: 9.2pt;
  line-height: 1.2;
  display: flex;
  flex-direction: column;
  gap: 1.4mm;
  --quiet: #4c585f;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 4mm;
}
.who,
small,
dt {
  color: #4c585f;
}
h3 {
  font-size: 17pt;
  font-weight: 700;
  line-height: 1.1;
}
.amps {
  font-size: 12pt;
  font-weight: 600;
}
.amps b {
  font-size: 28pt;
  line-height: 1;
}
small {
  font-size: 7.5pt;
  font-weight: 400;
}
dl div {
  display: grid;
  grid-template-columns: 22mm 1fr;
}
dd {
  font-weight: 600;
}
.line::before {
  content: '– ';
}
.care {
  font-weight: 600;
}
:deep(svg) {
  max-height: 30mm;
}
</style>
