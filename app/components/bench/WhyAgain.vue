<script setup lang="ts">
/** A coupon that was saved before is graded again: why? The earlier version is kept. */
const emit = defineEmits<{ why: [text: string]; close: [] }>()
const text = ref('')
const error = ref('')
function go() {
  if (text.value.trim()) emit('why', text.value.trim())
  else error.value = 'Say why in a few words'
}
</script>

<template>
  <FormDialog heading="Graded again: why?" leave="Not yet" :width="440" @submit="go" @close="$emit('close')">
    <p class="quiet">The earlier version is kept.</p>
    <v-text-field v-model="text" label="Why" maxlength="400" :error-messages="error" autofocus />
  </FormDialog>
</template>
