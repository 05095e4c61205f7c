<script setup lang="ts">
import type { Bead } from '~~/core/coupon'

/** A bead drawn as a bead: round-ended, shaded across, rippled along, with a crater where the arc stopped. */
const props = defineProps<{
  bead: Bead
  y: number
  forward: boolean
  craters: readonly number[]
  fill: string
  ripples: string
}>()

const top = computed(() => props.y - props.bead.widthMm / 2)
const length = computed(() => props.bead.toMm - props.bead.fromMm)
const round = computed(() => props.bead.widthMm * 0.42)
</script>

<template>
  <g>
    <rect
      :x="bead.fromMm"
      :y="top"
      :width="length"
      :height="bead.widthMm"
      :rx="round"
      :fill="fill"
      stroke="#545e63"
      stroke-width="0.3"
    />
    <g :transform="`translate(0 ${top})`"
      ><rect :x="bead.fromMm" y="0" :width="length" :height="bead.widthMm" :rx="round" :fill="ripples"
    /></g>
    <g v-for="at in craters" :key="at" :transform="`translate(${at} ${y}) scale(${forward ? 1 : -1} 1)`">
      <ellipse :rx="bead.widthMm * 0.36" :ry="bead.widthMm * 0.42" fill="#59636a" fill-opacity="0.34" />
      <path
        :d="`M0 ${-bead.widthMm * 0.46} Q ${bead.widthMm * 0.42} 0 0 ${bead.widthMm * 0.46}`"
        fill="none"
        stroke="#39434a"
        stroke-opacity="0.75"
        stroke-width="0.35"
      />
    </g>
  </g>
</template>
