<script setup lang="ts">
import type { ToldBefore } from '~~/core/coupon'

/** What was told after the coupon before, and whether the student did it: one key turns yes, no, not asked. */
defineProps<{ told: ToldBefore }>()
const emit = defineEmits<{ done: [done: 'yes' | 'no'] }>()
const ANSWERS = ['yes', 'no'] as const
</script>

<template>
  <section class="told" aria-label="Told last time">
    <div class="done" role="group" aria-label="Was it done?">
      <span>Done last time? <kbd class="key">4</kbd></span>
      <button
        v-for="one in ANSWERS"
        :key="one"
        type="button"
        :aria-pressed="told.done === one"
        @click="emit('done', one)"
      >
        {{ one }}
      </button>
    </div>
    <p :title="told.says">{{ told.says }}</p>
  </section>
</template>

<style scoped>
.told {
  display: grid;
  gap: 4px;
}
p {
  color: var(--quiet);
  font-size: 0.92rem;
  line-height: 1.35;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.done {
  display: flex;
  align-items: center;
  gap: 6px;
}
.done span {
  margin-right: auto;
  font-weight: 600;
  white-space: nowrap;
}
button {
  min-width: 48px;
  min-height: 44px;
  border: 1px solid var(--line);
  border-radius: 10px;
  font-weight: 600;
}
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
</style>
