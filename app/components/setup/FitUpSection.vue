<script setup lang="ts">
import { gapNow } from './fitUpFields'
import type { FitUp } from '~~/core/setup'
import { formatLength, type LengthUnit } from '~~/core/units'

/** The joint in section as it was gauged, at its left and its right end, to scale. */
const props = defineProps<{ fitUp: FitUp; thicknessMm: number; unit: LengthUnit }>()

const REACH_MM = 22
const ends = computed(() =>
  (['left', 'right'] as const).map(end => {
    const gapMm = end === 'left' ? gapNow(props.fitUp).leftMm : gapNow(props.fitUp).rightMm
    const wall = (side: -1 | 1, bevel: number, liftMm: number) => {
      const land = Math.min(props.fitUp.landMm ?? props.thicknessMm, props.thicknessMm)
      const out = (props.thicknessMm - land) * Math.tan((bevel * Math.PI) / 180)
      const half = gapMm / 2
      const [top, bottom] = [-liftMm, props.thicknessMm - liftMm]
      return `M${side * half} ${bottom} V${bottom - land} L${side * (half + out)} ${top} H${side * REACH_MM} V${bottom} Z`
    }
    const { bevelDegrees, misalignmentMm } = props.fitUp
    return {
      end,
      gapMm,
      left: wall(-1, bevelDegrees?.left ?? 0, 0),
      right: wall(1, bevelDegrees?.right ?? 0, misalignmentMm),
    }
  }),
)
const box = computed(
  () =>
    `${-REACH_MM} ${-props.fitUp.misalignmentMm - 1} ${2 * REACH_MM} ${props.thicknessMm + props.fitUp.misalignmentMm + 2}`,
)
</script>

<template>
  <div class="ends">
    <figure v-for="one in ends" :key="one.end">
      <svg
        :viewBox="box"
        role="img"
        :aria-label="`Section at the ${one.end} end: root opening ${formatLength(one.gapMm, unit)}`"
      >
        <path :d="one.left" />
        <path :d="one.right" />
      </svg>
      <figcaption class="num">{{ one.end }} end, {{ formatLength(one.gapMm, unit) }} open</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.ends {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}
svg {
  display: block;
  width: 100%;
  max-height: 130px;
}
path {
  fill: #b3bcc1;
  stroke: #545e63;
  stroke-width: 0.3;
}
figcaption {
  text-align: center;
  font-size: 0.9rem;
  color: var(--quiet);
  padding-top: 4px;
}
</style>
