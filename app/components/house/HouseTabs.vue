<script setup lang="ts">
import { useSession } from '~/stores/session'

/** The parts of the House; who did what is a lead's to read. */
const session = useSession()
const TABS = [
  { to: '/house', name: 'People' },
  { to: '/house/shop', name: 'Shop' },
  { to: '/house/calendar', name: 'Calendar' },
  { to: '/house/rules', name: 'Rules' },
  { to: '/house/ladder', name: 'Ladder' },
  { to: '/house/causes', name: 'Causes' },
  { to: '/house/criteria', name: 'Criteria' },
  { to: '/house/codes', name: 'Codes' },
  { to: '/house/readers', name: 'Readers' },
  { to: '/house/marks', name: 'Marks' },
]
const tabs = computed(() => (session.isLead ? [...TABS, { to: '/house/trail', name: 'Trail' }] : TABS))
</script>

<template>
  <RoomTabs :tabs="tabs" label="House" />
</template>
