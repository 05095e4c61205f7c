<script setup lang="ts">
import type { LengthUnit } from '~~/core/units'
import type { BenchDialog } from '~/composables/benchActs'
import { useBench } from '~/stores/bench'

/** What a coupon comes to: verdict, the next run, causes, marks. */
defineProps<{ unit: LengthUnit }>()
defineEmits<{ ask: [dialog: BenchDialog] }>()
const bench = useBench()
</script>

<template>
  <VerdictPanel v-if="bench.grade" :grade="bench.grade" :unit="unit" @codes="$emit('ask', 'codes')" />
  <NextRun />
  <ToldBefore v-if="bench.coupon!.toldBefore" :told="bench.coupon!.toldBefore" @done="bench.sayDone" />
  <CausePanel
    v-if="bench.reading"
    :key="`causes ${bench.open!.id}`"
    :reading="bench.reading"
    :document="bench.coupon!"
    @told="$emit('ask', 'told')"
  />
  <MarkList :document="bench.coupon!" :unit="unit" />
  <CouponRemarks :key="bench.open!.id" />
  <CouponHistory
    v-if="bench.isRegrade"
    :key="`history ${bench.open!.id}`"
    :coupon-id="bench.open!.id"
    @take-up="bench.takeUpVersion"
  />
</template>
