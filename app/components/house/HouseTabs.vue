<script setup lang="ts">
/** The parts of the House. */
const TABS = [
  { to: '/house', name: 'People' },
  { to: '/house/rules', name: 'Rules' },
  { to: '/house/ladder', name: 'Ladder' },
  { to: '/house/causes', name: 'Causes' },
  { to: '/house/criteria', name: 'Criteria' },
  { to: '/house/codes', name: 'Codes' },
  { to: '/house/readers', name: 'Readers' },
  { to: '/house/marks', name: 'Marks' },
]
</script>

<template>
  <RoomTabs :tabs="TABS" label="House" />
</template>
