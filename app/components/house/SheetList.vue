<script setup lang="ts">
/** The sheets of one kind that a school has: its own, then the shipped ones. One is shown. */
defineProps<{
  label: string
  sheets: readonly { readonly id: string; readonly name: string; readonly note: string }[]
  /** True while one is edited: it is saved or left first. */
  locked: boolean
}>()
const shownId = defineModel<string>('shownId', { required: true })
</script>

<template>
  <nav class="panel sheets" :aria-label="label">
    <button
      v-for="one in sheets"
      :key="one.id"
      type="button"
      :aria-pressed="one.id === shownId && !locked"
      :disabled="locked"
      @click="shownId = one.id"
    >
      <b>{{ one.name }}</b><small>{{ one.note }}</small>
    </button>
  </nav>
</template>

<style scoped>
.sheets {
  display: grid;
  padding: 8px;
}
button {
  min-height: 52px;
  padding: 6px 12px;
  border-radius: 8px;
  text-align: left;
  line-height: 1.25;
}
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
small {
  display: block;
  font-size: 0.82rem;
  opacity: 0.75;
}
</style>
