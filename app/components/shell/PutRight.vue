<script setup lang="ts">
import { fieldsToPutRight, readField } from '~/sync/putRight'
import type { Intent } from '~/sync/intents'

/** What the server did not take, to be put right field by field and sent again. */
const props = defineProps<{ intent: Intent }>()
const emit = defineEmits<{ send: [body: unknown]; close: [] }>()

const fields = fieldsToPutRight(props.intent)
const typed = ref(Object.fromEntries(fields.map(field => [field.name, field.text])))
const send = () =>
  emit('send', {
    ...(props.intent.body as object),
    ...Object.fromEntries(fields.map(field => [field.name, readField(field, typed.value[field.name] ?? '')])),
  })
</script>

<template>
  <form class="right" @submit.prevent="send">
    <v-text-field
      v-for="field in fields"
      :key="field.name"
      v-model="typed[field.name]"
      :label="field.label"
      :inputmode="field.kind === 'number' ? 'decimal' : 'text'"
      hide-details="auto"
    />
    <div class="acts">
      <v-btn variant="text" @click="emit('close')">Not now</v-btn>
      <v-btn type="submit" color="primary">Send again</v-btn>
    </div>
  </form>
</template>

<style scoped>
.right {
  display: grid;
  gap: 10px;
  flex: 1 1 100%;
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
