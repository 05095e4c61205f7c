<script setup lang="ts">
/** The two parts of the House. */
const TABS = [{ to: '/house', name: 'People' }, { to: '/house/rules', name: 'Rules' }]
</script>

<template>
  <RoomTabs :tabs="TABS" label="House" />
</template>
