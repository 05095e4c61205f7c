<script setup lang="ts">
import { differenceInCalendarDays } from 'date-fns'
import type { SchoolState } from '~~/contract/people'
import { spokenDay } from '~~/core/calendar'
import { dayOf, today } from '~/composables/shopClock'
import { useSession } from '~/stores/session'

/** When the school's records were last copied: a lead sees it before it is needed. */
const LONG_AGO_DAYS = 2
const session = useSession()
const state = shallowRef<SchoolState | null>(null)
onMounted(async () => {
  state.value = await session.schoolState().catch(() => null)
})
const day = computed(() => (state.value?.lastBackup ? dayOf(state.value.lastBackup) : null))
const ago = computed(() => (day.value ? differenceInCalendarDays(today(), day.value) : Infinity))
</script>

<template>
  <HouseSetting v-if="state" name="Backups">
    <p>
      {{ day ? `The last was made ${ago === 0 ? 'today' : spokenDay(day)}.` : 'None has been made yet.' }}
      <b v-if="ago > LONG_AGO_DAYS" class="late">Make one now.</b>
    </p>
    <template #means
      >“npm run backup” on the server, by a timer once a day, to a place that is not this machine.</template
    >
  </HouseSetting>
</template>

<style scoped>
.late {
  color: var(--poor);
}
</style>
