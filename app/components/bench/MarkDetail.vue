<script setup lang="ts">
import { describeMark, FAULTS, isFlaw, isTry, type Mark } from '~~/core/coupon'
import { discontinuityOf } from '~~/core/trade'
import type { LengthUnit } from '~~/core/units'
import { LARGE_STEP, SMALL_STEP, useBenchActs } from '~/composables/benchActs'
import { useBench } from '~/stores/bench'

/** The selected mark, and everything that can be done to it by touch. */
const props = defineProps<{ mark: Mark, unit: LengthUnit }>()
const bench = useBench()
const hand = useBenchActs()

const degrees = computed(() => (isTry(props.mark) ? ['sound', 'workable', 'poor'] : ['light', 'plain', 'bad']))
const degree = computed(() => (isTry(props.mark) ? ['sound', 'workable', 'poor'].indexOf(props.mark.degree) : isFlaw(props.mark) ? props.mark.severity - 1 : -1))
const isSpan = computed(() => isFlaw(props.mark) && discontinuityOf(props.mark.flaw).givenAs === 'span')
const hasSide = computed(() => isFlaw(props.mark) && discontinuityOf(props.mark.flaw).sided)
</script>

<template>
  <section class="detail" aria-label="Selected mark">
    <p class="what">{{ describeMark(bench.document!, mark, unit) }}</p>
    <div v-if="degree >= 0" class="row" role="group" aria-label="How bad">
      <button v-for="(name, index) in degrees" :key="name" type="button" :aria-pressed="degree === index" @click="hand.degree((index + 1) as 1 | 2 | 3)">
        <kbd aria-hidden="true">{{ index + 1 }}</kbd> {{ name }}
      </button>
    </div>
    <div v-if="isTry(mark) && mark.degree !== 'sound'" class="row" role="group" aria-label="What is wrong">
      <button v-for="fault in FAULTS[mark.kind]" :key="fault" type="button" :aria-pressed="mark.fault === fault" @click="hand.setFault(mark, mark.fault === fault ? null : fault)">{{ fault }}</button>
    </div>
    <div class="row">
      <template v-if="isSpan">
        <button type="button" aria-label="Shorten the span" @click="hand.stretch(-SMALL_STEP)">[ shorter</button>
        <button type="button" aria-label="Stretch the span" @click="hand.stretch(LARGE_STEP)">longer ]</button>
      </template>
      <button v-if="hasSide" type="button" @click="hand.side">toe</button>
      <button type="button" @click="hand.remove">take off</button>
    </div>
  </section>
</template>

<style scoped>
.detail { padding: 12px; border: 1px solid var(--line); border-left: 4px solid #e2a052; border-radius: 10px; display: grid; gap: 8px; }
.what { font-weight: 600; line-height: 1.3; }
.what::first-letter { text-transform: uppercase; }
.row { display: flex; flex-wrap: wrap; gap: 6px; }
button { min-height: 44px; padding: 0 11px; border: 1px solid var(--line); border-radius: 9px; font-size: 0.9rem; font-weight: 550; }
button[aria-pressed='true'] { background: var(--rail); color: #fff; border-color: var(--rail); }
</style>
