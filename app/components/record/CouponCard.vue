<script setup lang="ts">
import { describeRod } from '~~/core/coupon'
import type { CouponSummary } from '~~/contract/record'
import { spokenDay } from '~~/core/calendar'

/** One coupon of a record: its drawing, its verdict, what it was run with. */
defineProps<{ coupon: CouponSummary }>()
</script>

<template>
  <div class="card">
    <div class="thumb">
      <CouponThumb :document="coupon.document" :label="`Coupon of ${coupon.classDay}: ${coupon.verdict}`" />
    </div>
    <div class="line">
      <VerdictSign :verdict="coupon.verdict" :size="20" /><b>{{ coupon.document.ticket.rung }}</b>
    </div>
    <p class="quiet">
      {{ spokenDay(coupon.classDay) }} · {{ describeRod(coupon.document.ticket) }} ·
      {{ coupon.document.ticket.currentA }} A{{ coupon.document.mock ? ' · mock test' : '' }}
    </p>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: 6px;
  padding: 10px;
}
.thumb {
  height: 128px;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
p {
  font-size: 0.85rem;
}
</style>
