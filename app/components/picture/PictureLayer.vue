<script setup lang="ts">
import type { DrawnLanes } from '~/drawing/drawnLanes'
import type { Placement } from '~/drawing/placement'
import { usePictures } from '~/stores/pictures'

/** The coupon's picture over its drawing and under its marks, to one scale. */
defineProps<{ drawn: DrawnLanes; placement: Placement; side: 'face' | 'root' }>()
const pictures = usePictures()
</script>

<template>
  <g v-if="pictures.shown && pictures.shown.side === side && !drawn.inRows" :transform="placement.transform">
    <image
      :href="pictures.shown.url"
      :x="pictures.shown.fromMm"
      y="0"
      :width="pictures.shown.toMm - pictures.shown.fromMm"
      :height="pictures.shown.widthMm"
      :opacity="pictures.opacity"
      preserveAspectRatio="none"
      class="picture"
    />
  </g>
</template>

<style scoped>
.picture {
  pointer-events: none;
}
</style>
