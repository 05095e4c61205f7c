<script setup lang="ts">
import { isTry, standsUpright, type CouponDocument } from '~~/core/coupon'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'
import type { ShownPicture } from '~/stores/pictures'

/** A coupon that is only looked at: its drawing, a picture over it, and the marks that speak against it. */
const props = defineProps<{ document: CouponDocument; picture: ShownPicture | null; label: string; whole?: boolean }>()

const side = computed(() => props.picture?.side ?? 'face')
const seenFrom = computed(() =>
  side.value === 'root' ? (props.document.beads.find(bead => bead.face === 'root')?.id ?? '') : '',
)
const drawn = computed(() => {
  const face = props.document.beads.filter(bead => bead.face !== 'root').at(-1)
  return drawnLanes(props.document, 'one pass', seenFrom.value || (face?.id ?? ''))
})
const placement = computed(() => placementOf(drawn.value, standsUpright(props.document)))
const against = computed(() =>
  props.document.marks.filter(
    mark => drawn.value.open.has(mark.beadId) && (!isTry(mark) || mark.degree !== 'sound') && mark.kind !== 'reading',
  ),
)
/** Room round the coupon for marks at its edges, mm. */
const ROUND = 5
/** A pipe is seen a quarter at a time. */
const box = computed(() => {
  const { fromMm, toMm } = props.picture ?? { fromMm: 0, toMm: drawn.value.lengthMm }
  const { width, height, upright } = placement.value
  return upright
    ? `${-ROUND} ${height - toMm - ROUND} ${width + 2 * ROUND} ${toMm - fromMm + 2 * ROUND}`
    : `${fromMm - ROUND} ${-ROUND} ${toMm - fromMm + 2 * ROUND} ${height + 2 * ROUND}`
})
</script>

<template>
  <svg
    :viewBox="box"
    role="img"
    :aria-label="`${label}, ${against.length} ${against.length === 1 ? 'mark' : 'marks'} on it`"
  >
    <WeldedStrip :document="document" :drawn="drawn" :placement="placement" />
    <PictureLayer :picture="picture" :drawn="drawn" :placement="placement" :side="side" :whole="whole" />
    <MarkSigns :marks="against" :drawn="drawn" :placement="placement" :radius="2.6" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 100%;
}
</style>
