<script setup lang="ts">
import type { OwnPassword } from '~~/contract/people'

/** The password that one has, and the one that takes its place. */
defineProps<{ errors: Readonly<Record<string, string>>; had: string }>()
const form = defineModel<OwnPassword>({ required: true })
</script>

<template>
  <v-text-field
    type="password"
    :label="had"
    autocomplete="current-password"
    :model-value="form.current"
    :error-messages="errors.current"
    @update:model-value="form = { ...form, current: $event }"
  />
  <v-text-field
    type="password"
    label="New password, ten characters or more"
    autocomplete="new-password"
    :model-value="form.next"
    :error-messages="errors.next"
    @update:model-value="form = { ...form, next: $event }"
  />
</template>
