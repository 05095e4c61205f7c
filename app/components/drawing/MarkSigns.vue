<script setup lang="ts">
import type { Mark } from '~~/core/coupon'
import type { DrawnLanes } from '~/drawing/drawnLanes'
import type { Placement } from '~/drawing/placement'

/** Marks on a strip that is only looked at, each on its lane. */
const props = defineProps<{ marks: readonly Mark[]; drawn: DrawnLanes; placement: Placement; radius: number }>()
const lanes = computed(() => new Map(props.drawn.beads.map(bead => [bead.id, bead])))
</script>

<template>
  <g :transform="placement.transform">
    <MarkSign
      v-for="mark in marks"
      :key="mark.id"
      :mark="mark"
      :bead="lanes.get(mark.beadId)!"
      :placement="placement"
      :selected="false"
      :radius="radius"
    />
  </g>
</template>
