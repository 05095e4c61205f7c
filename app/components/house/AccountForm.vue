<script setup lang="ts">
import {
  accountSchema,
  newAccountSchema,
  type Account,
  type AccountFields,
  type Section,
  type Student,
} from '~~/contract/people'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useOneTimeCodes } from '~/stores/oneTimeCodes'
import { usePeople } from '~/stores/people'

/** Adds or changes an account. The password stays as it is unless a new one is typed. */
const props = defineProps<{
  account: Account | null
  students: readonly Student[]
  sections: readonly Section[]
}>()
const emit = defineEmits<{ done: []; close: [] }>()
const people = usePeople()
const codes = useOneTimeCodes()
const { errors, message, busy, attempt } = useFieldErrors()
const form = reactive({
  name: props.account?.name ?? '',
  username: props.account?.username ?? '',
  role: props.account?.role ?? 'instructor',
  studentId: props.account?.studentId ?? null,
  tied: props.account?.sectionIds != null,
  sectionIds: [...(props.account?.sectionIds ?? [])],
  active: props.account?.active ?? true,
  password: '',
})
const students = computed(() => props.students.map(student => ({ value: student.id, title: student.name })))

async function takeCodesOff() {
  if (await attempt(() => codes.takeOff(props.account!.id))) emit('done')
}

async function save() {
  const { password, tied, ...rest } = form
  const fields: AccountFields & { password?: string } = {
    ...rest,
    studentId: form.role === 'student' ? form.studentId : null,
    sectionIds: form.role === 'instructor' && tied ? form.sectionIds : null,
    ...(password ? { password } : {}),
  }
  if (
    await attempt(() => people.saveAccount(props.account?.id ?? null, fields), {
      schema: props.account ? accountSchema : newAccountSchema,
      value: fields,
    })
  )
    emit('done')
}
</script>

<template>
  <FormDialog
    :heading="account ? account.name : 'New account'"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <v-select v-model="form.role" label="Role" :items="['lead', 'instructor', 'student']" />
    <v-autocomplete
      v-if="form.role === 'student'"
      v-model="form.studentId"
      label="Student, of the section shown"
      :items="students"
      :error-messages="errors.studentId"
    />
    <v-select
      v-if="form.role === 'instructor'"
      v-model="form.tied"
      label="Sees"
      :items="[
        { value: false, title: 'all sections' },
        { value: true, title: 'only these sections' },
      ]"
    />
    <v-select
      v-if="form.role === 'instructor' && form.tied"
      v-model="form.sectionIds"
      label="Sections"
      multiple
      chips
      :items="sections.map(section => ({ value: section.id, title: section.name }))"
      :error-messages="errors.sectionIds"
    />
    <v-text-field v-model="form.name" label="Name" :error-messages="errors.name" />
    <v-text-field
      v-model="form.username"
      label="User name"
      autocapitalize="none"
      autocomplete="off"
      :error-messages="errors.username"
    />
    <v-text-field
      v-model="form.password"
      type="password"
      :label="account ? 'New password, if it changes' : 'Password'"
      autocomplete="new-password"
      :error-messages="errors.password"
    />
    <v-checkbox v-model="form.active" label="May sign in" />
    <v-btn v-if="account?.codes" variant="outlined" @click="takeCodesOff">Phone lost: take one-time codes off</v-btn>
  </FormDialog>
</template>
