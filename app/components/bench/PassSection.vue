<script setup lang="ts">
import { sectionShape, stackOf, type CouponDocument } from '~~/core/coupon'
import { useCouponBench } from '~/composables/couponBench'
import { beadMiddle, outlinePath, stackPaths } from '~/drawing/stackPaths'

/**
 * The joint in section as it is planned, the pass at the cursor picked out; a tap on a bead goes to its pass.
 * Nothing where the passes are not as planned.
 */
const props = defineProps<{ document: CouponDocument }>()
const bench = useCouponBench()

/** Marks come and go on the same piece: it is planned anew only when piece or ticket is another. */
const piece = computed(() => props.document.piece)
const ticket = computed(() => props.document.ticket)
const shape = computed(() => sectionShape(piece.value))
const plan = computed(() => stackOf(piece.value, ticket.value, bench.rules))
const side = computed(() => (props.document.passes ?? []).filter(pass => pass.face === (bench.pass?.face ?? 'face')))
const drawn = computed(() => {
  if (!shape.value || !plan.value || plan.value.beads.length !== side.value.length || side.value.length < 2) return null
  const at = side.value.findIndex(pass => pass.id === bench.pass?.id)
  return {
    ...stackPaths(plan.value, shape.value),
    beads: plan.value.beads.map((bead, index) => ({
      passId: side.value[index]!.id,
      d: outlinePath(bead.outline),
      middle: beadMiddle(bead),
      here: index === at,
      ahead: index > at,
      number: props.document.passes!.findIndex(pass => pass.id === side.value[index]!.id) + 1,
    })),
  }
})
</script>

<template>
  <svg
    v-if="drawn"
    :viewBox="`${drawn.box.x} ${drawn.box.y} ${drawn.box.width} ${drawn.box.height}`"
    role="img"
    aria-label="The joint in section, as planned"
  >
    <g :transform="drawn.turn">
      <path v-if="drawn.below" :d="drawn.below" class="plate under" />
      <path :d="drawn.plate" class="plate" />
      <path v-if="drawn.seam" :d="drawn.seam" class="plate" />
      <g
        v-for="bead in drawn.beads"
        :key="bead.passId"
        class="bead"
        :class="{ here: bead.here, ahead: bead.ahead }"
        @click="bench.goToRow(bead.passId)"
      >
        <path :d="bead.d" />
        <text
          :x="bead.middle.x"
          :y="-bead.middle.y"
          :font-size="Math.min(2.2, drawn.box.height / 9)"
          :transform="drawn.turn ? `rotate(45 ${bead.middle.x} ${-bead.middle.y})` : undefined"
        >
          {{ bead.number }}
        </text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  height: 100%;
  max-height: 170px;
  width: 100%;
}
.plate {
  fill: var(--steel-light);
  stroke: var(--steel-dark);
  stroke-width: 0.15;
}
.under {
  fill: var(--steel);
}
.bead {
  cursor: pointer;
}
.bead path {
  fill: #a7b1b6;
  stroke: #2c373d;
  stroke-width: 0.14;
}
.here path {
  fill: #f3c26b;
  stroke-width: 0.3;
}
.ahead path {
  fill-opacity: 0.2;
  stroke-dasharray: 0.5 0.4;
}
text {
  font-weight: 700;
  fill: #14191c;
  text-anchor: middle;
  dominant-baseline: central;
  pointer-events: none;
}
.ahead text {
  fill: rgb(var(--v-theme-on-surface));
  opacity: 0.7;
}
</style>
