<script setup lang="ts">
import { TURNS } from '~~/core/calendar'
import { clockNow } from '~/composables/shopClock'
import { useSaving } from '~/composables/saving'
import { useSession } from '~/stores/session'

/** Where the school stands, and when its class days begin: an evening class belongs to the evening it began on. */
const session = useSession()
const { busy, refused, attempt } = useSaving()
const notice = ref('')
const moved = () => {
  notice.value = `Kept: it is ${clockNow()} in the shop`
}
const sayHour = (hour: number) => (hour === 0 ? 'at midnight' : `at ${hour} in the morning`)
const hours = TURNS.map(value => ({ title: sayHour(value), value }))
const turns = computed(() => session.me?.dayTurnsAt ?? 0)
async function turnAt(dayTurnsAt: number) {
  if (await attempt('', () => session.setClock({ timeZone: session.me!.timeZone, dayTurnsAt })))
    notice.value = `Kept: class days begin ${sayHour(dayTurnsAt)}`
}
</script>

<template>
  <HouseSetting name="The shop’s clock">
    <div class="clock">
      <ZoneChooser @moved="moved" />
      <v-select
        v-if="session.me?.timeZone"
        label="A class day begins"
        :items="hours"
        :model-value="turns"
        :disabled="busy"
        :error-messages="refused"
        hide-details="auto"
        @update:model-value="turnAt"
      />
    </div>
    <template #means>
      {{ notice || `A class day begins ${sayHour(turns)} here, whatever zone a tablet or the server thinks it is in` }}.
      It begins later where classes go on past midnight: each is one day.
    </template>
  </HouseSetting>
</template>

<style scoped>
.clock {
  display: grid;
  gap: 14px;
}
</style>
