<script setup lang="ts">
import { studentSchema, type Section, type Student, type StudentFields } from '~~/contract/people'
import { today } from '~/composables/classDay'
import { useFieldErrors } from '~/composables/fieldErrors'
import { usePeople } from '~/stores/people'

/** Adds or changes a student; moving to another section or archiving is a change like any other. */
const props = defineProps<{ student: Student | null, sections: readonly Section[], sectionId: string }>()
const emit = defineEmits<{ done: [], close: [] }>()
const people = usePeople()
const { errors, message, busy, attempt } = useFieldErrors()
const form = reactive({
  name: props.student?.name ?? '', hand: props.student?.hand ?? 'right', sectionId: props.student?.sectionId ?? props.sectionId,
  startDate: props.student?.startDate ?? today(), booth: props.student?.booth?.toString() ?? '', active: props.student?.active ?? true,
})

async function save() {
  const fields: StudentFields = { ...form, booth: form.booth.trim() === '' ? null : Number(form.booth) }
  if (await attempt(() => people.saveStudent(props.student?.id ?? null, fields), { schema: studentSchema, value: fields })) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Student" @update:model-value="$emit('close')">
    <form class="panel form" novalidate @submit.prevent="save">
      <h2>{{ student ? student.name : 'New student' }}</h2>
      <v-text-field v-model="form.name" label="Name" :error-messages="errors.name" autofocus />
      <v-select v-model="form.hand" label="Hand" :items="['right', 'left']" />
      <v-select v-model="form.sectionId" label="Section" :items="sections.map(one => ({ value: one.id, title: one.name }))" :error-messages="errors.sectionId" />
      <v-text-field v-model="form.startDate" type="date" label="Start date" :error-messages="errors.startDate" />
      <v-text-field v-model="form.booth" label="Booth" inputmode="numeric" :error-messages="errors.booth" />
      <v-checkbox v-model="form.active" label="Still here" hint="Archived students keep their record" persistent-hint />
      <p v-if="message" role="alert" class="alert">{{ message }}</p>
      <div class="acts"><v-btn variant="text" @click="$emit('close')">Leave it</v-btn><v-btn type="submit" color="primary" :loading="busy">Save</v-btn></div>
    </form>
  </v-dialog>
</template>

<style scoped>
.form { padding: 22px; display: grid; gap: 6px; max-height: 90dvh; overflow: auto; }
h2 { font-size: 1.2rem; font-weight: 700; margin-bottom: 8px; }
.alert { color: var(--poor); font-weight: 600; }
.acts { display: flex; justify-content: flex-end; gap: 8px; }
</style>
