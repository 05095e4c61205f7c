<script setup lang="ts">
/** Until when a student is under age, and the word of a guardian; nothing more is asked of a student who is of age. */
defineProps<{ errors: Readonly<Record<string, string>> }>()
const consent = defineModel<{ ofAgeOn: string; givenOn: string; givenBy: string }>({ required: true })
</script>

<template>
  <v-text-field
    v-model="consent.ofAgeOn"
    type="date"
    label="Under age until"
    hint="Empty for a student who is of age"
    persistent-hint
    :error-messages="errors['consent.ofAgeOn']"
  />
  <template v-if="consent.ofAgeOn">
    <v-text-field
      v-model="consent.givenOn"
      type="date"
      label="A guardian agreed to the record on"
      :error-messages="errors['consent.givenOn']"
    />
    <v-text-field
      v-model="consent.givenBy"
      label="Who agreed"
      maxlength="80"
      :error-messages="errors['consent.givenBy']"
    />
  </template>
</template>
