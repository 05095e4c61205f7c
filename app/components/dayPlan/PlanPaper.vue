<script setup lang="ts">
/** What of a plan goes out on paper: slips to cut apart, settings cards, the plan as it is drawn. */
defineProps<{ none: boolean }>()
const emit = defineEmits<{ slips: []; cards: []; print: [] }>()
</script>

<template>
  <v-menu>
    <template #activator="{ props: opens }">
      <v-btn variant="text" v-bind="opens">On paper</v-btn>
    </template>
    <v-list>
      <v-list-item title="Slips for the booths" :disabled="none" @click="emit('slips')" />
      <v-list-item title="Settings cards" :disabled="none" @click="emit('cards')" />
      <v-list-item title="The plan" @click="emit('print')" />
    </v-list>
  </v-menu>
</template>
