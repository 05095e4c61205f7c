<script setup lang="ts">
/** What is asked on one side, what it comes to on the other; one under the other where there is no room. */
defineProps<{ label: string; sticky?: boolean }>()
</script>

<template>
  <div class="room">
    <section class="panel ask no-print" :class="{ sticky }" :aria-label="label"><slot name="ask" /></section>
    <section class="main"><slot /></section>
  </div>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
.ask {
  padding: 16px;
  display: grid;
  gap: 14px;
}
.sticky {
  position: sticky;
  top: 16px;
}
.main {
  display: grid;
  gap: 14px;
  min-width: 0;
}
@media (max-width: 1000px) {
  .room {
    grid-template-columns: minmax(0, 1fr);
  }
  .sticky {
    position: static;
  }
}
</style>
