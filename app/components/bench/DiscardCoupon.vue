<script setup lang="ts">
/** Throws away a coupon that was marked and not saved; what was saved before stays. */
defineEmits<{ discard: [], close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" max-width="420" aria-label="Throw away" @update:model-value="$emit('close')">
    <div class="panel ask">
      <h2>Throw away what was marked?</h2>
      <p class="quiet">It is not saved. A version saved before stays as it is.</p>
      <div class="acts"><v-btn variant="text" autofocus @click="$emit('close')">Keep it</v-btn><v-btn color="error" @click="$emit('discard')">Throw it away</v-btn></div>
    </div>
  </v-dialog>
</template>

<style scoped>
.ask { padding: 22px; display: grid; gap: 10px; }
h2 { font-size: 1.2rem; font-weight: 700; }
.acts { display: flex; justify-content: flex-end; gap: 8px; }
</style>
