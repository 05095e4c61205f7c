<script setup lang="ts">
import { railOf } from '~/rooms/rooms'
import { useSession } from '~/stores/session'

/** An address that leads to no page: mistyped, or of something that is gone. */
const session = useSession()
const home = computed(() => {
  const who = session.me?.role === 'student' ? 'student' : 'staff'
  return railOf(who, session.me?.studentId ?? null)[0]!
})
useHead({ title: 'No page · Fusilis' })
</script>

<template>
  <div class="page nothing">
    <h1>There is no page here</h1>
    <p class="quiet">
      The address <b>{{ $route.path }}</b> is mistyped, or what it led to is gone.
    </p>
    <v-btn color="primary" size="large" :to="home.to">{{ home.name }}</v-btn>
  </div>
</template>

<style scoped>
.nothing {
  min-height: 60dvh;
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 14px;
  text-align: center;
}
h1 {
  font-size: 1.6rem;
  font-weight: 700;
}
p {
  overflow-wrap: anywhere;
}
</style>
