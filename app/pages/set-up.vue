<script setup lang="ts">
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

const houseRules = useHouseRules()
const sections = useSections()
const session = useSession()
useHead({ title: 'Set-up · Fusilis' })

const TABS = [
  { to: '/set-up', name: 'Card' },
  { to: '/set-up/pad', name: 'Pad' },
  { to: '/set-up/joint', name: 'Joint' },
  { to: '/set-up/clock', name: 'Stopwatch' },
  { to: '/set-up/drill', name: 'Three beads' },
  { to: '/set-up/rods', name: 'Rod and polarity' },
  { to: '/set-up/cutting', name: 'Cutting' },
  { to: '/set-up/arithmetic', name: 'Arithmetic' },
]
const { loading, problem, load } = useLoader(async () => {
  await houseRules.load()
  // A student has no sections to choose from, and prints no cards.
  if (session.isStaff && !sections.loaded) await sections.load()
})
onMounted(load)
</script>

<template>
  <div class="page">
    <header class="page-head no-print">
      <h1>Set-up</h1>
      <RoomTabs :tabs="TABS" label="Set-up" />
    </header>
    <PageState v-if="loading || problem" :loading="loading" :problem="problem" @again="load" />
    <NuxtPage v-else />
  </div>
</template>
