<script setup lang="ts">
import { studentSchema, type Section, type Student, type StudentFields } from '~~/contract/people'
import { studentCodeSchema } from '~~/contract/blindReadings'
import { today } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { usePeople } from '~/stores/people'
import { useSession } from '~/stores/session'

/** Adds or changes a student; moving to another section or archiving is a change like any other. */
const props = defineProps<{ student: Student | null; sections: readonly Section[]; sectionId: string }>()
const emit = defineEmits<{ done: []; close: []; erase: [student: Student] }>()
const people = usePeople()
const session = useSession()
const { errors, message, busy, attempt } = useFieldErrors()
const code = ref('')
const form = reactive({
  name: props.student?.name ?? '',
  hand: props.student?.hand ?? 'right',
  sectionId: props.student?.sectionId ?? props.sectionId,
  startDate: props.student?.startDate ?? today(),
  booth: props.student?.booth?.toString() ?? '',
  active: props.student?.active ?? true,
})

async function save() {
  const fields: StudentFields = { ...form, booth: form.booth.trim() === '' ? null : Number(form.booth) }
  if (
    props.student &&
    code.value !== '' &&
    !(await attempt(() => people.setCode(props.student!.id, code.value), {
      schema: studentCodeSchema,
      value: { code: code.value },
    }))
  )
    return
  if (
    await attempt(() => people.saveStudent(props.student?.id ?? null, fields), { schema: studentSchema, value: fields })
  )
    emit('done')
}
</script>

<template>
  <FormDialog
    :heading="student ? student.name : 'New student'"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <v-text-field v-model="form.name" label="Name" :error-messages="errors.name" autofocus />
    <v-select v-model="form.hand" label="Hand" :items="['right', 'left']" />
    <v-select
      v-model="form.sectionId"
      label="Section"
      :items="sections.map(one => ({ value: one.id, title: one.name }))"
      :error-messages="errors.sectionId"
    />
    <v-text-field v-model="form.startDate" type="date" label="Start date" :error-messages="errors.startDate" />
    <v-text-field v-model="form.booth" label="Booth" inputmode="numeric" :error-messages="errors.booth" />
    <v-text-field
      v-if="student"
      v-model="code"
      label="New code for the tablet, four digits"
      inputmode="numeric"
      maxlength="4"
      autocomplete="off"
      hint="Left empty, the code stays"
      persistent-hint
      :error-messages="errors.code"
    />
    <v-checkbox v-model="form.active" label="Still here" hint="Archived students keep their record" persistent-hint />
    <v-btn v-if="student && session.isLead" variant="text" color="error" @click="emit('erase', student)"
      >Erase this person</v-btn
    >
  </FormDialog>
</template>
