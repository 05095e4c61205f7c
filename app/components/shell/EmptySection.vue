<script setup lang="ts">
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

/** What a room shows while there is no section, or no student in it; and where to begin. */
const sections = useSections()
const session = useSession()
const empty = computed(() => (sections.current ? `Nobody is in ${sections.current.name} yet.` : sections.none))
</script>

<template>
  <PageState :empty="empty">
    <v-btn v-if="session.isLead" color="primary" to="/first-day">Set the school up</v-btn>
    <v-btn v-else-if="sections.current" color="primary" to="/house">Fill the roster</v-btn>
  </PageState>
</template>
