<script setup lang="ts">
import type { CouponDocument, Mark } from '~~/core/coupon'
import { isTry, standsUpright } from '~~/core/coupon'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'

/** A coupon as a small drawing: beads, and only the marks that speak against it. */
const props = defineProps<{ document: CouponDocument; label: string }>()
const drawn = computed(() => drawnLanes(props.document, 'all passes', ''))
const placement = computed(() => placementOf(drawn.value, standsUpright(props.document)))
const against = computed(() =>
  props.document.marks.filter((mark: Mark) => mark.kind === 'flaw' || (isTry(mark) && mark.degree !== 'sound')),
)
</script>

<template>
  <svg :viewBox="`-2 -2 ${placement.width + 4} ${placement.height + 4}`" role="img" :aria-label="label">
    <WeldedStrip :document="document" :drawn="drawn" :placement="placement" />
    <MarkSigns :marks="against" :drawn="drawn" :placement="placement" :radius="3.2" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
