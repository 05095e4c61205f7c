<script setup lang="ts">
import { timeZones } from '~~/core/calendar'
import { clockNow } from '~/composables/shopClock'
import { useSaving } from '~/composables/saving'
import { useSession } from '~/stores/session'

/** Where the school stands: an evening class belongs to the day on its own wall. */
const session = useSession()
const { busy, refused, attempt } = useSaving()
const notice = ref('')
const zones = timeZones()
const own = Intl.DateTimeFormat().resolvedOptions().timeZone
const chosen = computed(() => session.me?.timeZone || null)

async function choose(zone: string | null) {
  notice.value = ''
  if (!zone || zone === chosen.value) return
  if (await attempt('', () => session.moveSchool(zone))) notice.value = `Kept: it is ${clockNow()} in the shop`
}
</script>

<template>
  <HouseSetting name="The shop’s clock">
    <v-autocomplete
      label="Time zone of the school"
      :items="zones"
      :model-value="chosen"
      :placeholder="`each device’s own, here ${own}`"
      persistent-placeholder
      :loading="busy"
      :error-messages="refused"
      hide-details="auto"
      @update:model-value="choose"
    />
    <template #means>
      {{ notice || 'A class day begins at midnight here, whatever zone a tablet or the server thinks it is in.' }}
    </template>
  </HouseSetting>
</template>
