<script setup lang="ts">
import { useSession } from '~/stores/session'

/** The way out for a person who will not do now what the door asks for. */
const session = useSession()
async function leave() {
  await session.signOut().catch(() => {})
  await navigateTo('/sign-in')
}
</script>

<template>
  <v-btn variant="text" block @click="leave">Sign out</v-btn>
</template>
