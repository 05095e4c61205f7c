<script setup lang="ts">
import { useFieldErrors } from '~/composables/fieldErrors'
import { whereTo } from '~/composables/whereTo'
import { useSession } from '~/stores/session'

/** The school wants one-time codes of its staff: they are set up before anything else. */
const session = useSession()
const route = useRoute()
const { attempt } = useFieldErrors()
useHead({ title: 'One-time codes · Fusilis' })

const setUp = useTemplateRef<{ turnOn: () => Promise<boolean> }>('setUp')
const recovery = ref<readonly string[]>([])
async function save() {
  if (recovery.value.length === 0) return void (await setUp.value?.turnOn())
  await session.askAgain()
  await navigateTo(whereTo(route.query))
}
async function leave() {
  await attempt(() => session.signOut())
  await navigateTo('/sign-in')
}
</script>

<template>
  <GateForm heading="Set up one-time codes" @submit="save">
    <p v-if="recovery.length === 0">{{ session.me?.name }}, this school asks its staff for a code from a phone.</p>
    <SetUpCodes ref="setUp" v-model:recovery="recovery" />
    <v-btn type="submit" color="primary" block>{{ recovery.length > 0 ? 'I have kept them' : 'Turn on' }}</v-btn>
    <v-btn v-if="recovery.length === 0" variant="text" block @click="leave">Sign out</v-btn>
  </GateForm>
</template>
