<script setup lang="ts">
import type { CouponDocument } from '~~/core/coupon'
import { pieceOf } from '~~/core/trade'
import type { LengthUnit } from '~~/core/units'

/** Over the drawing: how many beads, the stopwatch, and which way the arc travels. */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit }>()
const ARROWS = { 'left to right': '→', 'right to left': '←', 'up': '↑', 'down': '↓' } as const
const travel = computed(() => `travel ${props.document.ticket.travel} ${ARROWS[props.document.ticket.travel]}`)
const counted = computed(() => {
  const { passes, beads, piece } = props.document
  if (passes) return `${passes.length} ${passes.length === 1 ? 'pass' : 'passes'}`
  return `${beads.length} ${pieceOf(piece.kind).inRows ? 'runs' : 'beads'}`
})
const clock = useTemplateRef<{ press: () => void }>('clock')
defineExpose({ time: () => clock.value?.press() })
</script>

<template>
  <div class="caption">
    <span>{{ counted }}, {{ travel }}</span
    ><slot /><BeadClock ref="clock" :unit="unit" />
  </div>
</template>

<style scoped>
.caption {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 0 16px;
  padding: 4px 12px 0 20px;
  color: var(--quiet);
  font-size: 0.92rem;
}
</style>
