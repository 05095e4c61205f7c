<script setup lang="ts">
import type { Section } from '~~/contract/people'
import type { SchoolDaysOff } from '~~/contract/schoolCalendar'
import { useSession } from '~/stores/session'

/** Days without class, line by line; a lead may change them. */
defineProps<{
  label: string
  /** Each with its place in the calendar. */
  rows: readonly { readonly daysOff: SchoolDaysOff; readonly n: number }[]
  sections: readonly Section[]
}>()
defineEmits<{ change: [at: number, daysOff: SchoolDaysOff]; remove: [at: number] }>()
const session = useSession()
</script>

<template>
  <ul :aria-label="label">
    <DaysOffLine
      v-for="{ daysOff, n } in rows"
      :key="n"
      :days-off="daysOff"
      :sections="sections"
      :editable="session.isLead"
      @change="$emit('change', n, $event)"
      @remove="$emit('remove', n)"
    />
  </ul>
</template>
