<script setup lang="ts">
import type { Bead, Mark } from '~~/core/coupon'
import { isFlaw, isGauge, isTry } from '~~/core/coupon'
import { flawShape } from '~/drawing/flawPath'
import type { Placement } from '~/drawing/placement'

/**
 * One mark at its place. A try is round while sound, half filled when workable, a diamond when poor; a flaw is
 * drawn as what it is.
 */
const props = defineProps<{ mark: Mark; bead: Bead; placement: Placement; selected: boolean; radius: number }>()

const center = computed(() => ({ x: props.mark.atMm, y: props.placement.across(props.bead.offsetMm) }))
const shape = computed(() => (isFlaw(props.mark) ? flawShape(props.mark, props.bead, props.placement) : null))
</script>

<template>
  <g :class="{ selected }" :data-mark="mark.id">
    <g v-if="isTry(mark)" :transform="`translate(${center.x} ${center.y})`">
      <circle v-if="selected" :r="radius * 1.9" class="halo" />
      <circle v-if="mark.degree === 'sound'" :r="radius * 0.78" class="sound" />
      <template v-else-if="mark.degree === 'workable'">
        <circle :r="radius" class="sound" /><path
          :d="`M0 ${-radius} A ${radius} ${radius} 0 0 0 0 ${radius} Z`"
          class="half"
        />
      </template>
      <path
        v-else
        :d="`M0 ${-radius * 1.45} L${radius * 1.45} 0 L0 ${radius * 1.45} L${-radius * 1.45} 0 Z`"
        class="poor"
      />
    </g>
    <template v-else-if="shape">
      <path v-if="selected" :d="shape.d" class="halo-line" :stroke-width="shape.strokeMm + 2.6" />
      <path
        :d="shape.d"
        class="edge"
        :stroke-width="shape.strokeMm + 0.7"
        :fill="shape.filled ? 'currentColor' : 'none'"
      />
      <path :d="shape.d" class="flaw" :stroke-width="shape.strokeMm" :class="{ filled: shape.filled }" />
    </template>
    <g v-else-if="isGauge(mark)" :transform="`translate(${center.x} ${center.y})`">
      <circle v-if="selected" :r="radius * 1.9" class="halo" />
      <path
        :d="`M0 ${-bead.widthMm * 0.5} V ${bead.widthMm * 0.5} M${-radius * 0.7} ${-bead.widthMm * 0.5} h${radius * 1.4} M${-radius * 0.7} ${bead.widthMm * 0.5} h${radius * 1.4}`"
        class="gauge"
      />
    </g>
  </g>
</template>

<style scoped>
.sound {
  fill: #fff;
  stroke: #14191c;
  stroke-width: 0.45;
}
.half {
  fill: #14191c;
}
.poor {
  fill: #b3331b;
  stroke: #fff;
  stroke-width: 0.45;
}
.flaw {
  stroke: #8f1f0c;
  fill: none;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.flaw.filled {
  fill: #8f1f0c;
}
.edge {
  stroke: #fff;
  stroke-opacity: 0.75;
  color: #8f1f0c;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.gauge {
  stroke: #123a66;
  stroke-width: 0.6;
  fill: none;
}
.halo {
  fill: #f3c26b;
  fill-opacity: 0.85;
  stroke: #14191c;
  stroke-width: 0.3;
}
.halo-line {
  stroke: #f3c26b;
  fill: none;
  stroke-linecap: round;
}
</style>
