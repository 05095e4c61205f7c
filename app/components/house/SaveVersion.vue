<script setup lang="ts">
/** The foot of a sheet that is edited: why, what is wrong, and whether it is saved, left or retired. */
defineProps<{
  /** What the button says: `Save the book`. */
  save: string
  busy: boolean
  /** What stands in the way, all of it. */
  wrong: readonly string[]
  disabled?: boolean
  hint?: string
  /** Whether it is retired already; left out where it cannot be. */
  retired?: boolean | null
}>()
defineEmits<{ save: []; leave: []; retire: [] }>()
const why = defineModel<string>('why', { required: true })
</script>

<template>
  <div class="save-version">
    <v-text-field v-model="why" label="Why" maxlength="400" :hint="hint ?? 'Kept with the version'" persistent-hint />
    <ul v-if="wrong.length > 0" role="alert">
      <li v-for="one in wrong" :key="one">{{ one }}</li>
    </ul>
    <div class="acts">
      <v-btn v-if="typeof retired === 'boolean'" variant="text" @click="$emit('retire')">{{
        retired ? 'Offer it again' : 'Retire it'
      }}</v-btn>
      <v-btn variant="text" @click="$emit('leave')">Leave it</v-btn>
      <v-btn color="primary" :loading="busy" :disabled="disabled" @click="$emit('save')">{{ save }}</v-btn>
    </div>
  </div>
</template>

<style scoped>
.save-version {
  display: grid;
  gap: 12px;
}
ul {
  color: var(--poor);
  font-weight: 600;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 10px;
}
</style>
