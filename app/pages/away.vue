<script setup lang="ts">
import { useSession } from '~/stores/session'
import { messageOf } from '~/stores/request'

const session = useSession()
const route = useRoute()
const message = ref('')
const busy = ref(false)

async function again() {
  busy.value = true
  try {
    await session.ask()
    await navigateTo(
      typeof route.query.to === 'string' && route.query.to.startsWith('/') && !route.query.to.startsWith('//')
        ? route.query.to
        : '/',
    )
  } catch (error) {
    message.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="away">
    <h1>The server does not answer</h1>
    <p>What was marked on the bench is kept in this browser.</p>
    <p v-if="message" role="alert" class="quiet">{{ message }}</p>
    <v-btn color="primary" :loading="busy" @click="again">Try again</v-btn>
  </div>
</template>

<style scoped>
.away {
  min-height: 100dvh;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 12px;
  padding: 24px;
  text-align: center;
}
h1 {
  font-size: 1.5rem;
  font-weight: 700;
}
</style>
