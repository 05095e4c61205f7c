<script setup lang="ts">
/** What became of the coupon that lay here last. */
defineProps<{ says: string }>()
</script>

<template>
  <p class="notice" role="status">{{ says }}</p>
</template>

<style scoped>
.notice {
  position: absolute;
  left: 18px;
  bottom: 92px;
  padding: 6px 12px;
  border-radius: 8px;
  background: var(--rail);
  color: #fff;
  font-size: 0.9rem;
  pointer-events: none;
}
.notice:empty {
  display: none;
}
@media (max-width: 1000px) {
  .notice {
    position: fixed;
    bottom: auto;
    top: 8px;
    z-index: 4;
  }
}
</style>
