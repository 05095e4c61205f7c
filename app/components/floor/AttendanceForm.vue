<script setup lang="ts">
import { attendanceSchema, MOST_WHY, type DayStudent } from '~~/contract/day'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useDay } from '~/stores/day'

/** Corrects a student's day: when a student came and left, or was not there, and why. */
const props = defineProps<{ student: DayStudent; classDay: string }>()
const emit = defineEmits<{ close: [] }>()
const days = useDay()
const { errors, message, busy, attempt } = useFieldErrors()

const { came, left, state } = props.student.attendance
const form = ref({
  came: props.student.note?.came ?? (state === 'here' ? (came ?? '') : ''),
  left: left ?? '',
  absent: state === 'absent',
  why: props.student.note?.why ?? '',
})

async function save() {
  const { absent, why } = form.value
  const said = {
    came: absent ? null : form.value.came || null,
    left: absent ? null : form.value.left || null,
    absent,
    why,
  }
  const value = { ...said, studentId: props.student.id, classDay: props.classDay }
  if (await attempt(() => days.note(props.student, said), { schema: attendanceSchema, value })) emit('close')
}
</script>

<template>
  <FormDialog :heading="student.name" :message="message" :busy="busy" @submit="save" @close="$emit('close')">
    <v-checkbox v-model="form.absent" label="Absent" hide-details="auto" :error-messages="errors.absent" />
    <div v-if="!form.absent" class="times">
      <v-text-field v-model="form.came" type="time" label="Came" :error-messages="errors.came" />
      <v-text-field v-model="form.left" type="time" label="Left" :error-messages="errors.left" />
    </div>
    <v-text-field
      v-model="form.why"
      :label="form.absent ? 'Why' : 'Why, where it needs one'"
      :maxlength="MOST_WHY"
      :error-messages="errors.why"
    />
    <p class="quiet">
      {{ student.note ? `Noted by ${student.note.by}. ` : '' }}What was noted before is kept, with who and when.
    </p>
  </FormDialog>
</template>

<style scoped>
.times {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>
