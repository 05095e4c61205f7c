<script setup lang="ts">
import { mdiBackspaceOutline } from '@mdi/js'

/** Digits for gloved hands. */
const code = defineModel<string>({ required: true })
defineProps<{ busy: boolean }>()
const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'] as const
const MOST = 4
const press = (digit: string) => (code.value = (code.value + digit).slice(0, MOST))
</script>

<template>
  <div class="pad" role="group" aria-label="Digits">
    <button v-for="digit in DIGITS" :key="digit" type="button" :disabled="busy" @click="press(digit)">
      {{ digit }}
    </button>
    <button
      type="button"
      class="back"
      aria-label="Take the last digit off"
      :disabled="busy"
      @click="code = code.slice(0, -1)"
    >
      <v-icon :icon="mdiBackspaceOutline" />
    </button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
button {
  min-height: 64px;
  font-size: 1.5rem;
  font-weight: 650;
  border: 1px solid var(--line);
  border-radius: 12px;
}
button:active {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
button:disabled {
  opacity: 0.5;
}
/* The nought stands under the eight, as on any pad. */
button:nth-child(10) {
  grid-column: 2;
}
</style>
