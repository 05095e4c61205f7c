<script setup lang="ts">
/** The bench with nothing on it: one act, the next coupon. */
defineProps<{ nextName: string | null; problem: string; loading: boolean }>()
defineEmits<{ next: []; choose: [] }>()
</script>

<template>
  <div class="empty">
    <slot />
    <h1>The bench is clear</h1>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <v-progress-circular v-else-if="loading" indeterminate aria-label="Loading the section" />
    <template v-else-if="nextName">
      <p>{{ nextName }} is next.</p>
      <v-btn color="primary" size="large" @click="$emit('next')">Next coupon <kbd class="key">N</kbd></v-btn>
      <v-btn variant="text" @click="$emit('choose')">Someone else <kbd class="key">/</kbd></v-btn>
    </template>
    <EmptySection v-else />
  </div>
</template>

<style scoped>
.empty {
  height: 100%;
  min-height: 60dvh;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 12px;
  text-align: center;
  padding: 24px;
}
h1 {
  font-size: 1.6rem;
  font-weight: 700;
  letter-spacing: -0.01em;
}
.key {
  margin-left: 10px;
}
</style>
