<script setup lang="ts">
/** One setting of the school: what it is, where it is set, and what it means. */
defineProps<{ name: string }>()
</script>

<template>
  <section class="panel setting" :aria-label="name">
    <h2>{{ name }}</h2>
    <slot />
    <p class="quiet" role="status"><slot name="means" /></p>
  </section>
</template>

<style scoped>
.setting {
  margin-bottom: 18px;
  padding: 16px 20px;
  display: grid;
  grid-template-columns: 130px minmax(220px, 400px) minmax(0, 1fr);
  gap: 8px 20px;
  align-items: center;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
@media (max-width: 900px) {
  .setting {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
