<script setup lang="ts">
import type { DrawnLanes } from '~/drawing/drawnLanes'
import type { Placement } from '~/drawing/placement'
import { usePictures, type ShownPicture } from '~/stores/pictures'

/** A coupon's picture over its drawing and under its marks, to one scale. */
const props = defineProps<{
  picture: ShownPicture | null
  drawn: DrawnLanes
  placement: Placement
  side: 'face' | 'root'
  /** Laid over the drawing whole, as on paper; else as the reader has set it. */
  whole?: boolean
}>()
const pictures = usePictures()
/** A picture is laid out from the far edge of the strip; a drawing that stands begins at the near one. */
const acrossAsDrawn = computed(() =>
  props.placement.across(0) === 0 ? `translate(0 ${props.drawn.widthMm}) scale(1 -1)` : '',
)
/** The toes as they were found on the picture. */
const toes = computed(() => {
  const found = (props.picture === pictures.shown && pictures.seen?.bead?.toes) || []
  const line = (of: 'upperMm' | 'lowerMm') =>
    `M${found.map(toe => `${toe.atMm.toFixed(1)} ${toe[of].toFixed(2)}`).join(' L')}`
  return found.length > 0 ? [line('upperMm'), line('lowerMm')] : []
})
</script>

<template>
  <g v-if="picture && picture.side === side && !drawn.inRows" :transform="`${placement.transform} ${acrossAsDrawn}`">
    <image
      :href="picture.url"
      :x="picture.fromMm"
      y="0"
      :width="picture.toMm - picture.fromMm"
      :height="picture.widthMm"
      :opacity="whole ? 1 : pictures.opacity"
      preserveAspectRatio="none"
      class="picture"
    />
    <path v-for="(line, index) in toes" :key="index" :d="line" class="toe" />
  </g>
</template>

<style scoped>
.picture,
.toe {
  pointer-events: none;
}
.toe {
  fill: none;
  stroke: #ffb648;
  stroke-width: 0.4;
  stroke-dasharray: 1.6 0.8;
}
</style>
