<script setup lang="ts">
/** The parts of a room, one tap apart. */
defineProps<{ tabs: readonly { readonly to: string; readonly name: string }[]; label: string }>()
</script>

<template>
  <nav class="tabs no-print" :aria-label="label">
    <NuxtLink
      v-for="tab in tabs"
      :key="tab.to"
      :to="tab.to"
      :class="{ here: $route.path === tab.to }"
      :aria-current="$route.path === tab.to ? 'page' : undefined"
      >{{ tab.name }}</NuxtLink
    >
  </nav>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 14px;
  border-radius: 10px;
  color: inherit;
  text-decoration: none;
  font-weight: 550;
}
a:hover {
  background: rgb(var(--v-theme-surface));
}
.here {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.here:hover {
  background: rgb(var(--v-theme-on-surface));
}
</style>
