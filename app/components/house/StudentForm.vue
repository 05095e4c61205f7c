<script setup lang="ts">
import { studentSchema, type Section, type Student, type StudentFields } from '~~/contract/people'
import { studentCodeSchema } from '~~/contract/blindReadings'
import { consentSchema, type GuardianConsent } from '~~/contract/guardianConsent'
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
const noted = props.student ? people.consents.get(props.student.id) : undefined
const consent = reactive({
  ofAgeOn: noted?.ofAgeOn ?? '',
  givenOn: noted?.givenOn ?? '',
  givenBy: noted?.givenBy ?? '',
})
const form = reactive({
  name: props.student?.name ?? '',
  hand: props.student?.hand ?? 'right',
  sectionId: props.student?.sectionId ?? props.sectionId,
  startDate: props.student?.startDate ?? today(),
  booth: props.student?.booth?.toString() ?? '',
  active: props.student?.active ?? true,
})

/** What is noted of a guardian, as it is typed; null for a student who is of age. */
const typedConsent = (): GuardianConsent | null =>
  consent.ofAgeOn === ''
    ? null
    : { ofAgeOn: consent.ofAgeOn, givenOn: consent.givenOn || null, givenBy: consent.givenBy }
const consentChanged = () =>
  consent.ofAgeOn !== (noted?.ofAgeOn ?? '') ||
  (consent.ofAgeOn !== '' && (consent.givenOn !== (noted?.givenOn ?? '') || consent.givenBy !== (noted?.givenBy ?? '')))

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
    props.student &&
    consentChanged() &&
    !(await attempt(() => people.noteConsent(props.student!.id, typedConsent()), {
      schema: consentSchema,
      value: { consent: typedConsent() },
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
    <ConsentFields v-if="student" v-model="consent" :errors="errors" />
    <v-checkbox v-model="form.active" label="Still here" hint="Archived students keep their record" persistent-hint />
    <v-btn v-if="student && session.isLead" variant="text" color="error" @click="emit('erase', student)"
      >Erase this person</v-btn
    >
  </FormDialog>
</template>
