<script setup lang="ts">
import { timeZones } from '~~/core/calendar'
import { useSaving } from '~/composables/saving'
import { useSession } from '~/stores/session'

/** Chooses where the school stands; this device's own zone is one press away. */
const emit = defineEmits<{ moved: [] }>()
const session = useSession()
const { busy, refused, attempt } = useSaving()
const zones = timeZones()
const own = Intl.DateTimeFormat().resolvedOptions().timeZone
const chosen = computed(() => session.me?.timeZone || null)

async function choose(zone: string | null) {
  if (!zone || zone === chosen.value) return
  if (await attempt('', () => session.setClock({ timeZone: zone, dayTurnsAt: session.me?.dayTurnsAt ?? 0 })))
    emit('moved')
}
</script>

<template>
  <div class="zone">
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
    <v-btn v-if="!chosen" color="primary" variant="outlined" @click="choose(own)">Here: {{ own }}</v-btn>
  </div>
</template>

<style scoped>
.zone {
  display: grid;
  gap: 10px;
  width: min(400px, 100%);
}
</style>
