<script setup lang="ts">
/** What a page shows while it waits, when it failed, and when there is nothing yet. */
defineProps<{ problem?: string; loading?: boolean; empty?: string }>()
defineEmits<{ again: [] }>()
</script>

<template>
  <div v-if="problem || loading || empty" class="state panel">
    <template v-if="problem"
      ><p role="alert">{{ problem }}</p>
      <v-btn color="primary" @click="$emit('again')">Try again</v-btn></template
    >
    <v-progress-circular v-else-if="loading" indeterminate aria-label="Loading" />
    <template v-else
      ><p>{{ empty }}</p>
      <slot
    /></template>
  </div>
</template>

<style scoped>
.state {
  display: grid;
  justify-items: center;
  gap: 14px;
  padding: 48px 20px;
  text-align: center;
}
</style>
