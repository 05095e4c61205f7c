<script setup lang="ts">
import { useSaving } from '~/composables/saving'
import { useOneTimeCodes } from '~/stores/oneTimeCodes'
import { useSession } from '~/stores/session'

/** Whether the school's staff sign in with one-time codes. */
const session = useSession()
const codes = useOneTimeCodes()
const { busy, refused, attempt } = useSaving()
const choose = (wanted: boolean | null) => attempt('', () => codes.wantOfStaff(wanted === true))
</script>

<template>
  <HouseSetting name="Signing in">
    <v-checkbox
      label="Leads and instructors sign in with a one-time code"
      :model-value="session.me?.staffCodes"
      :disabled="busy"
      :error-messages="refused"
      hide-details="auto"
      @update:model-value="choose"
    />
    <template #means>
      Whoever has none yet sets them up at the next click. A lost phone: take them off at the account.
    </template>
  </HouseSetting>
</template>
