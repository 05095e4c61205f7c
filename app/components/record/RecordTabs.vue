<script setup lang="ts">
defineProps<{ studentId: string }>()
</script>

<template>
  <RoomTabs
    label="Parts of the record"
    :tabs="[
      { to: `/record/${studentId}`, name: 'Coupons' },
      { to: `/record/${studentId}/progress`, name: 'Progress' },
      { to: `/record/${studentId}/tests`, name: 'Tests' },
    ]"
  />
</template>
