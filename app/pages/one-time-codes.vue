<script setup lang="ts">
import { whereTo } from '~/composables/whereTo'
import { useSession } from '~/stores/session'

/** The school wants one-time codes of its staff: they are set up before anything else. */
const session = useSession()
const route = useRoute()
useHead({ title: 'One-time codes · Fusilis' })

const setUp = useTemplateRef<{ turnOn: () => Promise<void>; busy: boolean }>('setUp')
const recovery = ref<readonly string[]>([])
async function save() {
  if (recovery.value.length === 0) return setUp.value?.turnOn()
  await session.askAgain()
  await navigateTo(whereTo(route.query))
}
</script>

<template>
  <GateForm heading="Set up one-time codes" @submit="save">
    <p v-if="recovery.length === 0">{{ session.me?.name }}, this school asks its staff for a code from a phone.</p>
    <SetUpCodes ref="setUp" v-model:recovery="recovery" />
    <v-btn type="submit" color="primary" block :loading="setUp?.busy">{{
      recovery.length > 0 ? 'I have kept them' : 'Turn on'
    }}</v-btn>
    <GateLeave v-if="recovery.length === 0" />
  </GateForm>
</template>
