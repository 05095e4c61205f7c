<script setup lang="ts">
import type { CouponDocument } from '~~/core/coupon'
import { beadEnd, isTry, travelsForward } from '~~/core/coupon'
import type { Placement } from './placement'

/** The plate with its beads, laid one over the last. Used large on the bench and small in a list. */
const props = defineProps<{ document: CouponDocument, placement: Placement }>()

const id = useId()
const forward = computed(() => travelsForward(props.document.ticket))
const beadMm = computed(() => props.document.beads[0]?.widthMm ?? 6)

/** One ripple: the freezing line of the puddle, bowed back from the direction of travel. */
const ripple = computed(() => {
  const w = beadMm.value
  const bow = (forward.value ? 1 : -1) * w * 0.34
  return (x: number) => `M${x} 0 Q ${x + bow} ${w / 2} ${x} ${w}`
})
const step = computed(() => Math.max(1.1, beadMm.value * 0.14))

const craters = computed(() => {
  const found = new Map<string, number[]>()
  for (const bead of props.document.beads) found.set(bead.id, [beadEnd(bead, props.document.ticket) + (forward.value ? -1 : 1) * bead.widthMm * 0.45])
  for (const mark of props.document.marks)
    if (isTry(mark) && (mark.kind === 'restart' || mark.kind === 'tie-in')) found.get(mark.beadId)?.push(mark.atMm)
  return found
})
</script>

<template>
  <g>
    <defs>
      <linearGradient :id="`${id}-plate`" x1="0" y1="0" x2="1" y2="1">
        <stop offset="0" stop-color="#cfd5d8" /><stop offset="1" stop-color="#b3bcc1" />
      </linearGradient>
      <linearGradient :id="`${id}-bead`" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="#6f7a80" /><stop offset="0.3" stop-color="#b9c2c6" /><stop offset="0.55" stop-color="#a4aeb3" /><stop offset="1" stop-color="#69747a" />
      </linearGradient>
      <pattern :id="`${id}-ripples`" patternUnits="userSpaceOnUse" :width="step * 4" :height="beadMm">
        <path v-for="n in 9" :key="n" :d="ripple((n - 3) * step)" fill="none" stroke="#4d585e" stroke-opacity="0.42" stroke-width="0.28" />
      </pattern>
    </defs>
    <g :transform="placement.transform">
      <rect :width="document.piece.lengthMm" :height="document.piece.widthMm" :fill="`url(#${id}-plate)`" stroke="#7c878d" stroke-width="0.4" />
      <BeadShape
        v-for="bead in document.beads" :key="bead.id" :bead="bead" :y="placement.across(bead.offsetMm)" :forward="forward"
        :craters="craters.get(bead.id) ?? []" :fill="`url(#${id}-bead)`" :ripples="`url(#${id}-ripples)`"
      />
    </g>
  </g>
</template>
