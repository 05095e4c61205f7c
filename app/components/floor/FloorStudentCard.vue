<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { describeRod } from '~~/core/coupon'
import type { FloorStudent } from '~~/contract/people'
import { today } from '~/composables/shopClock'

/** A student on the floor: booth, what was said last time, and that the coupon is ready. */
defineProps<{
  student: FloorStudent
  /** Another instructor who reads it now. */
  readBy: string | null
}>()
defineEmits<{ ready: [] }>()
</script>

<template>
  <div class="card">
    <div class="top">
      <span class="booth num" :aria-label="student.booth ? `booth ${student.booth}` : 'no booth'">{{
        student.booth ?? '–'
      }}</span>
      <NuxtLink class="name" :to="`/record/${student.id}`">{{ student.name }}</NuxtLink>
      <span v-if="student.hand === 'left'" class="hand">left hand</span>
      <span v-if="readBy" class="hand">with {{ readBy }}</span>
      <span v-else-if="student.selfRead" class="hand">has read it</span>
      <div class="acts">
        <v-btn variant="text" :aria-label="`${student.name}: coupon is ready`" @click="$emit('ready')">Ready</v-btn>
        <v-btn
          variant="outlined"
          :to="{ path: '/bench', query: { student: student.id } }"
          :aria-label="`Read a coupon of ${student.name}`"
          >Read</v-btn
        >
      </div>
    </div>
    <div v-if="student.last" class="last">
      <VerdictSign :verdict="student.last.verdict" :size="24" />
      <div>
        <p class="run">{{ student.last.nextRun }}</p>
        <p class="quiet">
          {{ student.last.verdict }} · {{ student.last.ticket.rung }} · {{ describeRod(student.last.ticket) }} ·
          {{ student.last.ticket.currentA }} A ·
          {{ student.last.classDay === today() ? 'today' : spokenDay(student.last.classDay) }}
        </p>
      </div>
    </div>
    <p v-else class="quiet">No coupon read yet.</p>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: 8px;
}
.top {
  display: flex;
  align-items: center;
  gap: 10px;
}
.booth {
  width: 36px;
  height: 36px;
  display: grid;
  place-items: center;
  border-radius: 8px;
  background: rgb(var(--v-theme-surface-variant));
  font-weight: 700;
  flex: none;
}
.name {
  font-size: 1.1rem;
  font-weight: 650;
  color: inherit;
  text-decoration: none;
  min-height: 44px;
  display: flex;
  align-items: center;
}
.name:hover {
  text-decoration: underline;
}
.hand {
  font-size: 0.8rem;
  color: var(--quiet);
}
.acts {
  margin-left: auto;
  display: flex;
  gap: 4px;
}
.last {
  display: flex;
  gap: 12px;
  align-items: flex-start;
}
.run {
  font-weight: 550;
  line-height: 1.35;
}
.quiet {
  font-size: 0.9rem;
}
</style>
