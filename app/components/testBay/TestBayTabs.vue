<script setup lang="ts">
/** The parts of the Test bay. */
const TABS = [
  { to: '/test-bay', name: 'Tests' },
  { to: '/test-bay/continuity', name: 'Continuity' },
  { to: '/test-bay/cohort', name: 'Figures' },
]
</script>

<template>
  <RoomTabs :tabs="TABS" label="Test bay" />
</template>
