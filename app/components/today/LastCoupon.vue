<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { describeRod } from '~~/core/coupon'
import { diagnose } from '~~/core/diagnosis'
import type { HouseRules } from '~~/core/house'
import type { SavedCoupon } from '~~/contract/coupon'
import type { StudentToday } from '~~/contract/studentToday'

/** The coupon that was read last: as it was drawn, what became of it, and the one thing to change. */
const props = defineProps<{
  newest: NonNullable<StudentToday['newest']>
  /** Null while its student has not seen what was said of it: it can be read blind first. */
  coupon: SavedCoupon | null
  rules: HouseRules
  busy: boolean
}>()
defineEmits<{ show: [] }>()
/** In the words in which it was told; where a coupon kept none, what its marks say. */
const told = computed(() => {
  const read = props.coupon?.document
  return read ? (read.nextRun ?? read.advised ?? diagnose(read, props.rules).nextRun) : ''
})
</script>

<template>
  <section class="panel last" aria-label="Last coupon">
    <header>
      <h2>Last coupon</h2>
      <span class="quiet">{{ spokenDay(newest.classDay) }}</span>
    </header>
    <template v-if="coupon && newest.verdict">
      <div class="drawn">
        <CouponThumb :document="coupon.document" :label="`Coupon of ${newest.classDay}: ${newest.verdict}`" />
      </div>
      <p class="what">
        <VerdictSign :verdict="newest.verdict" :size="22" /><b>{{ newest.verdict }}</b>
        <span class="quiet"
          >{{ coupon.document.ticket.rung }}, {{ describeRod(coupon.document.ticket) }},
          {{ coupon.document.ticket.currentA }} A</span
        >
      </p>
      <p v-if="told" class="told">{{ told }}</p>
    </template>
    <template v-else>
      <p>It has been read. Read it yourself first, if it still lies there: then see how far the two of you agree.</p>
      <div class="acts">
        <v-btn variant="outlined" size="large" to="/kiosk">Read it myself</v-btn>
        <v-btn variant="text" size="large" :loading="busy" @click="$emit('show')">Show what was said</v-btn>
      </div>
    </template>
  </section>
</template>

<style scoped>
.last {
  display: grid;
  gap: 12px;
  align-content: start;
  padding: 16px 18px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
.drawn {
  height: min(300px, 40dvh);
}
.what {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
.what b::first-letter {
  text-transform: uppercase;
}
.told {
  background: var(--say);
  color: #fff;
  border-radius: 12px;
  padding: 14px 16px;
  font-size: 1.2rem;
  font-weight: 650;
  line-height: 1.35;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
