<script setup lang="ts">
/** The head of every page of the House: its parts, and what this one does. */
</script>

<template>
  <header class="page-head">
    <h1>House</h1>
    <HouseTabs />
    <slot />
  </header>
</template>
