<script setup lang="ts">
import { ownPasswordSchema, type OwnPassword } from '~~/contract/people'
import { useFieldErrors } from '~/composables/fieldErrors'
import { whereTo } from '~/composables/whereTo'
import { useSession } from '~/stores/session'

/** A password that a lead gave is changed before anything else. */
const session = useSession()
const route = useRoute()
const { errors, message, busy, attempt } = useFieldErrors()
useHead({ title: 'Your own password · Fusilis' })

const form = ref<OwnPassword>({ current: '', next: '' })
async function save() {
  const value = { ...form.value }
  if (!(await attempt(() => session.changePassword(value), { schema: ownPasswordSchema, value }))) return
  await navigateTo(whereTo(route.query))
}
</script>

<template>
  <GateForm heading="Choose your own password" @submit="save">
    <p>{{ session.me?.name }}, somebody gave you the password you came in with. Only you should know the next one.</p>
    <OwnPasswordFields v-model="form" :errors="errors" had="Password you were given" />
    <p v-if="message" role="alert" class="alert">{{ message }}</p>
    <v-btn type="submit" color="primary" block :loading="busy">Keep it</v-btn>
    <GateLeave />
  </GateForm>
</template>

<style scoped>
.alert {
  color: var(--poor);
  font-weight: 600;
}
</style>
