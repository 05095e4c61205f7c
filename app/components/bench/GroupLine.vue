<script setup lang="ts">
import { useBench } from '~/stores/bench'
import { useGroupReading } from '~/stores/groupReading'

/** Which coupon of a group this is; the ticket goes on to the next. */
const bench = useBench()
const group = useGroupReading()
const isOfIt = computed(() => bench.open !== null && group.has(bench.open.student.id))
</script>

<template>
  <p v-if="isOfIt" class="group">
    <b class="num">{{ group.place }} of {{ group.size }}</b> at this table; the ticket goes on to the next.
    <button type="button" @click="group.end">End the group</button>
  </p>
</template>

<style scoped>
.group button {
  min-height: 44px;
  padding: 0 6px;
  text-decoration: underline;
}
</style>
