<script setup lang="ts">
import { changeOfCard, nameOfCard, tellsOf, type BeadCardId, type Knew } from '~~/core/readingRoom'
import type { ShownBead } from '~~/core/simulate'
import type { LengthUnit } from '~~/core/units'
import type { Verdict } from '~~/core/coupon'

/** What it was, what told, and what to change. */
const props = defineProps<{
  card: BeadCardId
  bead: ShownBead
  right: { readonly widthMm: number; readonly heightMm: number }
  unit: LengthUnit
  knew: Knew
}>()
const SIGN: Readonly<Record<Knew, Verdict>> = { both: 'move on', cause: 'run it again', neither: 'start over' }
const SAID: Readonly<Record<Knew, string>> = {
  both: 'Read right',
  cause: 'Named, but not what to change',
  neither: 'Not this time: it comes back soon',
}
const told = computed(() => tellsOf(props.card, props.bead, props.right, props.unit))
</script>

<template>
  <section class="told" role="status" aria-label="What it was">
    <header>
      <VerdictSign :verdict="SIGN[knew]" :size="24" /><span>{{ SAID[knew] }}</span>
    </header>
    <h2>{{ nameOfCard(card) }}</h2>
    <p class="change">{{ changeOfCard(card) }}</p>
    <ul v-if="told.length > 0" aria-label="What told">
      <li v-for="line in told.slice(0, 5)" :key="line">{{ line }}</li>
    </ul>
    <p v-else>Width, height, ripples and toes are as wanted, the restart level, the crater full.</p>
  </section>
</template>

<style scoped>
.told {
  display: grid;
  gap: 8px;
  align-content: start;
  padding: 18px;
  border-radius: 12px;
  background: var(--say);
  color: #fff;
}
header {
  display: flex;
  align-items: center;
  gap: 10px;
}
/* On the dark panel the signs are lighter than on the page. */
.told :deep(.over) {
  fill: #ff9c86;
}
.told :deep(.again) {
  stroke: #f3c26b;
}
.told :deep(.on) {
  fill: #8fd6b4;
}
h2 {
  font-size: 1.35rem;
  font-weight: 700;
  letter-spacing: -0.01em;
}
.change {
  font-size: 1.05rem;
}
ul {
  list-style: disc;
  padding-left: 20px;
  display: grid;
  gap: 2px;
}
</style>
