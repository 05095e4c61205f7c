<script setup lang="ts">
import type { CouponDocument, Mark } from '~~/core/coupon'
import { isTry, standsUpright } from '~~/core/coupon'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'

/** A coupon as a small drawing: beads, and only the marks that speak against it. */
const props = defineProps<{ document: CouponDocument; label: string }>()
const drawn = computed(() => drawnLanes(props.document, 'all passes', ''))
const placement = computed(() => placementOf(drawn.value, standsUpright(props.document)))
const lanes = computed(() => new Map(drawn.value.beads.map(bead => [bead.id, bead])))
const against = computed(() =>
  props.document.marks.filter((mark: Mark) => mark.kind === 'flaw' || (isTry(mark) && mark.degree !== 'sound')),
)
</script>

<template>
  <svg :viewBox="`-2 -2 ${placement.width + 4} ${placement.height + 4}`" role="img" :aria-label="label">
    <WeldedStrip :document="document" :drawn="drawn" :placement="placement" />
    <g :transform="placement.transform">
      <MarkSign
        v-for="mark in against"
        :key="mark.id"
        :mark="mark"
        :bead="lanes.get(mark.beadId)!"
        :placement="placement"
        :selected="false"
        :radius="3.2"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
