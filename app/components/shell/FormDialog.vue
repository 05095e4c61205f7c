<script setup lang="ts">
/** A form over the page: its heading, its fields, what went wrong, and the two ways out. */
withDefaults(
  defineProps<{
    heading: string
    save?: string
    leave?: string
    message?: string
    busy?: boolean
    width?: number
    danger?: boolean
  }>(),
  {
    save: 'Save',
    leave: 'Leave it',
    message: '',
    width: 480,
  },
)
defineEmits<{ submit: []; close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" :max-width="width" :aria-label="heading" @update:model-value="$emit('close')">
    <form class="panel form" novalidate @submit.prevent="$emit('submit')">
      <h2>{{ heading }}</h2>
      <slot />
      <p v-if="message" role="alert" class="alert">{{ message }}</p>
      <div class="acts">
        <v-btn variant="text" @click="$emit('close')">{{ leave }}</v-btn>
        <v-btn type="submit" :color="danger ? 'error' : 'primary'" :loading="busy">{{ save }}</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.form {
  padding: 22px;
  display: grid;
  gap: 8px;
  max-height: 90dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
  margin-bottom: 6px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
  margin-top: 4px;
}
</style>
