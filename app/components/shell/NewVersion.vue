<script setup lang="ts">
import { useBench } from '~/stores/bench'

/** A newer version of the application lies ready: it never takes over in the middle of a coupon. */
const { $pwa } = useNuxtApp()
const bench = useBench()

/** The page is loaded anew once the new one has taken over; one that is held up by this very page takes over then. */
const HELD_UP_MS = 3_000
async function take() {
  await $pwa?.updateServiceWorker(true)
  window.setTimeout(() => window.location.reload(), HELD_UP_MS)
}
</script>

<template>
  <p role="status" class="new">
    <template v-if="bench.touched">A new version waits until this coupon is saved or parked.</template>
    <button v-else type="button" @click="take">New version: take it</button>
  </p>
</template>

<style scoped>
.new button {
  min-height: 44px;
  text-align: left;
  color: #fff;
  font-weight: 600;
  text-decoration: underline;
}
</style>
