<script setup lang="ts">
import type { CouponDocument } from '~~/core/coupon'
import type { CouponRevision } from '~~/contract/coupon'
import { useCoupons } from '~/stores/coupons'
import { messageOf } from '~/stores/request'

/**
 * Earlier versions of a saved coupon: who saved each, when, and why the next one took its place. One is taken up again
 * as an edit, and stands once it is saved.
 */
const props = defineProps<{ couponId: string }>()
const emit = defineEmits<{ takeUp: [document: CouponDocument] }>()
const coupons = useCoupons()
const revisions = ref<readonly CouponRevision[] | null>(null)
const problem = ref('')

async function load(event: Event) {
  if (!(event.target as HTMLDetailsElement).open || revisions.value) return
  problem.value = ''
  try {
    revisions.value = await coupons.revisions(props.couponId)
  } catch (error) {
    problem.value = messageOf(error)
  }
}
const when = (moment: string) =>
  new Date(moment).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <details class="history" @toggle="load">
    <summary>Earlier versions</summary>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="!revisions" class="quiet">Loading</p>
    <p v-else-if="revisions.length === 0" class="quiet">There is none: it was saved once.</p>
    <ol v-else>
      <li v-for="revision in revisions" :key="revision.version">
        <div class="thumb"><CouponThumb :document="revision.document" :label="`Version ${revision.version}`" /></div>
        <p>
          <b>{{ revision.savedBy }}</b>, {{ when(revision.savedAt) }}<br /><span class="quiet"
            >graded again: {{ revision.why }}</span
          >
          <v-btn
            variant="text"
            class="take"
            :aria-label="`Take version ${revision.version} up again`"
            @click="emit('takeUp', revision.document)"
            >Take it up again</v-btn
          >
        </p>
      </li>
    </ol>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  font-weight: 600;
}
li {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
  font-size: 0.9rem;
}
.take {
  margin-left: -16px;
}
.thumb {
  height: 64px;
}
</style>
