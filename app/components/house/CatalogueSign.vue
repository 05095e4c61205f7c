<script setup lang="ts">
import type { Bead, FlawMark } from '~~/core/coupon'
import { discontinuityOf, type CatalogueRow } from '~~/core/trade'
import { placementOf } from '~/drawing/placement'

/** A mark as it is drawn on a coupon, on a short piece of bead. */
const props = defineProps<{ mark: NonNullable<CatalogueRow['mark']> }>()

const bead: Bead = { id: 'shown', offsetMm: 8, widthMm: 8, fromMm: 2, toMm: 46 }
const placement = placementOf({ lengthMm: 48, widthMm: 16 }, false)
const drawn = computed((): FlawMark => {
  const { givenAs, sided, degreeSizesMm } = discontinuityOf(props.mark.flaw)
  const [atMm, toMm] = givenAs === 'bead' ? [bead.fromMm, bead.toMm] : givenAs === 'span' ? [14, 34] : [24, 24]
  return {
    id: 'shown',
    kind: 'flaw',
    beadId: bead.id,
    ...props.mark,
    atMm,
    toMm,
    side: sided ? 'both' : null,
    severity: 2,
    sizeMm: degreeSizesMm?.[1] ?? null,
  }
})
</script>

<template>
  <svg viewBox="0 0 48 16" width="132" height="44" aria-hidden="true">
    <rect width="48" height="16" rx="1" fill="#c3cbcf" />
    <rect
      :x="bead.fromMm"
      y="4"
      :width="bead.toMm - bead.fromMm"
      :height="bead.widthMm"
      rx="3.4"
      fill="#98a3a9"
      stroke="#545e63"
      stroke-width="0.3"
    />
    <MarkSign :mark="drawn" :bead="bead" :placement="placement" :selected="false" :radius="2" />
  </svg>
</template>
