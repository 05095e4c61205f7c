<script setup lang="ts">
import { IDLE_MINUTES } from '~~/contract/signIns'
import { useSaving } from '~/composables/saving'
import { useSession } from '~/stores/session'

/** After how long a screen that is not touched is signed out. */
const session = useSession()
const { busy, refused, attempt } = useSaving()
const say = (minutes: number) => (minutes < 120 ? `${minutes} minutes` : `${minutes / 60} hours`)
const NEVER = 0
const choices = [
  { title: 'Never', value: NEVER },
  ...IDLE_MINUTES.map(minutes => ({ title: `After ${say(minutes)}`, value: minutes })),
]
const choose = (minutes: number) => attempt('', () => session.signOutIdle(minutes === NEVER ? null : minutes))
</script>

<template>
  <HouseSetting name="Screens left alone">
    <v-select
      label="Signed out where nobody touches them"
      :items="choices"
      :model-value="session.me?.idleMinutes ?? NEVER"
      :disabled="busy"
      :error-messages="refused"
      hide-details="auto"
      @update:model-value="choose"
    />
    <template #means>
      A coupon that was begun waits in its browser. A tablet that was handed over, or hangs on the wall, stays.
    </template>
  </HouseSetting>
</template>
