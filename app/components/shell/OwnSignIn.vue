<script setup lang="ts">
import { ownPasswordSchema, type OwnPassword } from '~~/contract/people'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useSession } from '~/stores/session'

/** One's own sign-in: another password, codes from a phone, where it is open, or out everywhere. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const { errors, message, busy, attempt } = useFieldErrors()
const form = ref<OwnPassword>({ current: '', next: '' })
const changed = ref(false)
const codes = ref(false)

async function save() {
  if (changed.value) return emit('close')
  const value = { ...form.value }
  if (await attempt(() => session.changePassword(value), { schema: ownPasswordSchema, value })) changed.value = true
}

/** A tablet left lying somewhere is signed out from here; a whole new page, as at any signing out. */
const leaveEverywhere = () =>
  attempt(async () => {
    await session.signOutEverywhere()
    window.location.assign('/sign-in')
  })
</script>

<template>
  <OwnCodes v-if="codes" @close="emit('close')" />
  <FormDialog
    v-else
    :heading="session.me?.name ?? 'Your sign-in'"
    :save="changed ? 'Close' : 'Change password'"
    leave="Close"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <p v-if="changed" role="status">Your password is changed. Every other device is signed out.</p>
    <template v-else>
      <OwnPasswordFields v-model="form" :errors="errors" had="Password you have" />
      <OwnPlaces />
      <HandedTablets v-if="session.isStaff" />
    </template>
    <v-btn v-if="session.isStaff" variant="outlined" @click="codes = true">One-time codes</v-btn>
    <v-btn variant="outlined" @click="leaveEverywhere">Sign out everywhere</v-btn>
  </FormDialog>
</template>
