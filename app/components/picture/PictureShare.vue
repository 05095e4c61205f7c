<script setup lang="ts">
import { usePictures } from '~/stores/pictures'

/** How much of the picture shows over the drawing. */
const pictures = usePictures()
</script>

<template>
  <label
    >Drawing<input
      v-model.number="pictures.opacity"
      type="range"
      min="0"
      max="1"
      step="0.05"
      aria-label="How much of the picture shows"
    />picture</label
  >
</template>

<style scoped>
label {
  display: flex;
  align-items: center;
  gap: 8px;
}
input {
  width: 100px;
  height: 44px;
  accent-color: rgb(var(--v-theme-primary));
}
</style>
