<script setup lang="ts">
import { standsUpright, type CouponDocument } from '~~/core/coupon'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'

/** Which corner of the steel has which letter, on the coupon as it is drawn. */
const props = defineProps<{ document: CouponDocument }>()
const drawn = computed(() => drawnLanes(props.document, 'one pass', ''))
const placement = computed(() => placementOf(drawn.value, standsUpright(props.document)))
const letters = computed(() => {
  const { lengthMm, widthMm } = drawn.value
  const at = (along: number, offset: number) => placement.value.point(along, offset)
  return [at(0, widthMm), at(lengthMm, widthMm), at(lengthMm, 0), at(0, 0)]
})
const GAP = 9
const out = (value: number, most: number) => (value < most / 2 ? -GAP * 0.8 : most + GAP * 0.8)
</script>

<template>
  <svg
    :viewBox="`${-GAP * 1.6} ${-GAP * 1.6} ${placement.width + GAP * 3.2} ${placement.height + GAP * 3.2}`"
    role="img"
    aria-label="A: start, upper. B: end, upper. C: end, lower. D: start, lower."
  >
    <WeldedStrip :document="document" :drawn="drawn" :placement="placement" />
    <text
      v-for="(letter, index) in ['A', 'B', 'C', 'D']"
      :key="letter"
      :x="out(letters[index]!.x, placement.width)"
      :y="out(letters[index]!.y, placement.height) + 4"
      font-size="12"
      text-anchor="middle"
    >
      {{ letter }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 130px;
}
text {
  fill: var(--ink);
  font-weight: 800;
}
</style>
