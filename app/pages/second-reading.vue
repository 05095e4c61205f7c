<script setup lang="ts">
import type { HandedIn } from '~~/contract/blindReadings'
import { useLoader } from '~/composables/loader'
import { useBench } from '~/stores/bench'
import { useHouseRules } from '~/stores/houseRules'
import { useBlindReadings } from '~/stores/blindReadings'

/** A coupon that another instructor has read, read again blind. */
const route = useRoute()
const bench = useBench()
const houseRules = useHouseRules()
const readings = useBlindReadings()
useHead({ title: 'Second reading · Fusilis' })

const done = ref<HandedIn | null>(null)
const { loading, problem, load } = useLoader(async () => {
  await houseRules.load()
  const couponId = String(route.query.coupon ?? '')
  const document = await readings.blind(couponId)
  bench.openBlind(
    { id: couponId, student: { id: document.studentId, name: 'Second reading' }, stage: 'after chipping' },
    document,
  )
})
onMounted(load)
onBeforeUnmount(() => bench.putAway())
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
  <BlindReading v-else stage="after chipping" heading="Second reading" @done="done = $event" @leave="leave" />
</template>

<style scoped>
.block {
  padding: 18px;
}
</style>
