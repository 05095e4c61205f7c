<script setup lang="ts">
/** A coupon that was saved before is graded again: why? The earlier version is kept. */
const emit = defineEmits<{ why: [text: string], close: [] }>()
const text = ref('')
const error = ref('')
function go() {
  if (text.value.trim()) emit('why', text.value.trim())
  else error.value = 'Say why in a few words'
}
</script>

<template>
  <v-dialog :model-value="true" max-width="440" aria-label="Why it is graded again" @update:model-value="$emit('close')">
    <form class="panel why" novalidate @submit.prevent="go">
      <h2>Graded again: why?</h2>
      <p class="quiet">The earlier version is kept.</p>
      <v-text-field v-model="text" label="Why" maxlength="400" :error-messages="error" autofocus />
      <div class="acts"><v-btn variant="text" @click="$emit('close')">Not yet</v-btn><v-btn type="submit" color="primary">Save</v-btn></div>
    </form>
  </v-dialog>
</template>

<style scoped>
.why { padding: 22px; display: grid; gap: 8px; }
h2 { font-size: 1.2rem; font-weight: 700; }
.acts { display: flex; justify-content: flex-end; gap: 8px; }
</style>
