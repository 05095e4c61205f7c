<script setup lang="ts">
import type { HandedIn } from '~~/contract/blindReadings'
import type { Blind } from '~/composables/blindBench'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { useBlindReadings } from '~/stores/blindReadings'

/** A coupon that another instructor has read, read again blind. */
const route = useRoute()
const houseRules = useHouseRules()
const readings = useBlindReadings()
useHead({ title: 'Second reading · Fusilis' })

const blind = shallowRef<Blind | null>(null)
const done = ref<HandedIn | null>(null)
const { loading, problem, load } = useLoader(async () => {
  const couponId = String(route.query.coupon ?? '')
  if (couponId === '') throw new Error('Which coupon? Choose one under Readers: it is opened from there')
  await houseRules.load()
  const coupon = await readings.blind(couponId)
  const reader = { id: coupon.studentId, name: 'Second reading' }
  blind.value = { couponId, reader, stage: 'after chipping', coupon }
})
onMounted(load)
const leave = () => navigateTo('/house/readers')
</script>

<template>
  <div v-if="problem || loading || done" class="page">
    <header class="page-head">
      <h1>Second reading</h1>
      <v-btn class="push" variant="outlined" to="/house/readers">Readers</v-btn>
    </header>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <section v-else-if="done?.reference" class="panel block" aria-label="Laid over">
      <LaidOver :reference="done.reference" :reading="done.reading.document" reader="you" :unit="houseRules.unit" />
    </section>
  </div>
  <BlindReading v-else-if="blind" :blind="blind" @done="done = $event" @leave="leave" />
</template>

<style scoped>
.block {
  padding: 18px;
}
</style>
