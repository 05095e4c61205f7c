<script setup lang="ts">
import type { FloorStudent } from '~~/contract/people'

/** Chooses whose coupons lie on one table; who waits stands first, and is chosen. */
const props = defineProps<{ students: readonly FloorStudent[]; waiting: readonly string[] }>()
const emit = defineEmits<{ close: []; begin: [ids: string[]] }>()
const chosen = ref<string[]>([...props.waiting])
const byBooth = computed(() => [...props.students].sort((a, b) => (a.booth ?? Infinity) - (b.booth ?? Infinity)))
const ordered = computed(() => [
  ...byBooth.value.filter(one => props.waiting.includes(one.id)),
  ...byBooth.value.filter(one => !props.waiting.includes(one.id)),
])
const act = computed(() =>
  chosen.value.length < 2 ? 'Choose two or more' : `Read ${chosen.value.length} one after the other`,
)
function begin() {
  if (chosen.value.length < 2) return
  emit(
    'begin',
    ordered.value.map(one => one.id).filter(id => chosen.value.includes(id)),
  )
}
</script>

<template>
  <FormDialog heading="Read a table" :save="act" @submit="begin" @close="$emit('close')">
    <p class="quiet">One exercise, run by all of them: the ticket of the first goes on to the next.</p>
    <ul>
      <li v-for="student in ordered" :key="student.id">
        <v-checkbox
          v-model="chosen"
          :value="student.id"
          :label="student.booth ? `${student.booth} ${student.name}` : student.name"
          hide-details
        />
      </li>
    </ul>
  </FormDialog>
</template>

<style scoped>
ul {
  max-height: 50dvh;
  overflow: auto;
}
li {
  min-height: 56px;
  border-top: 1px solid var(--line);
}
</style>
