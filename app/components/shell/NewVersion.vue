<script setup lang="ts">
import { useBench } from '~/stores/bench'

/** A newer version of the application lies ready: it never takes over in the middle of a coupon. */
const { $pwa } = useNuxtApp()
const bench = useBench()
</script>

<template>
  <p role="status" class="new">
    <template v-if="bench.touched">A new version waits until this coupon is saved or parked.</template>
    <button v-else type="button" @click="$pwa?.updateServiceWorker(true)">New version: take it</button>
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
