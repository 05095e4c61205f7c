<script setup lang="ts">
import { describeMark, isTry, type CouponDocument } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import { useCouponBench } from '~/composables/couponBench'

/** The same marks as the drawing, as a list: what stands against the coupon first, the sound tries under it. */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit }>()
const bench = useCouponBench()
const isAgainst = (mark: CouponDocument['marks'][number]) => !isTry(mark) || mark.degree !== 'sound'
const sorted = computed(() => {
  const order = new Map(props.document.beads.map((bead, index) => [bead.id, index]))
  return [...props.document.marks].sort(
    (a, b) =>
      Number(isAgainst(b)) - Number(isAgainst(a)) || order.get(a.beadId)! - order.get(b.beadId)! || a.atMm - b.atMm,
  )
})
const against = computed(() => props.document.marks.filter(isAgainst).length)
</script>

<template>
  <details class="marks">
    <summary>{{ against }} marked, {{ document.marks.length - against }} sound</summary>
    <ul>
      <li v-for="mark in sorted" :key="mark.id">
        <button type="button" :aria-pressed="mark.id === bench.selectedId" @click="bench.select(mark)">
          {{ describeMark(document, mark, unit) }}
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  font-weight: 600;
}
button {
  min-height: 40px;
  width: 100%;
  text-align: left;
  border-radius: 6px;
  padding: 2px 8px;
  line-height: 1.25;
}
button:hover,
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-surface-variant));
}
</style>
