<script setup lang="ts">
import { accountSchema, newAccountSchema, type Account, type AccountFields, type Student } from '~~/contract/people'
import { useFieldErrors } from '~/composables/fieldErrors'
import { usePeople } from '~/stores/people'

/** Adds or changes an account. The password stays as it is unless a new one is typed. */
const props = defineProps<{ account: Account | null, students: readonly Student[] }>()
const emit = defineEmits<{ done: [], close: [] }>()
const people = usePeople()
const { errors, message, busy, attempt } = useFieldErrors()
const form = reactive({
  name: props.account?.name ?? '', username: props.account?.username ?? '', role: props.account?.role ?? 'instructor',
  studentId: props.account?.studentId ?? null, active: props.account?.active ?? true, password: '',
})
const students = computed(() => props.students.map(student => ({ value: student.id, title: student.name })))

async function save() {
  const { password, ...rest } = form
  const fields: AccountFields & { password?: string } = { ...rest, studentId: form.role === 'student' ? form.studentId : null, ...(password ? { password } : {}) }
  if (await attempt(() => people.saveAccount(props.account?.id ?? null, fields), { schema: props.account ? accountSchema : newAccountSchema, value: fields })) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Account" @update:model-value="$emit('close')">
    <form class="panel form" novalidate @submit.prevent="save">
      <h2>{{ account ? account.name : 'New account' }}</h2>
      <v-select v-model="form.role" label="Role" :items="['lead', 'instructor', 'student']" />
      <v-autocomplete v-if="form.role === 'student'" v-model="form.studentId" label="Student, of the section shown" :items="students" :error-messages="errors.studentId" />
      <v-text-field v-model="form.name" label="Name" :error-messages="errors.name" />
      <v-text-field v-model="form.username" label="User name" autocapitalize="none" autocomplete="off" :error-messages="errors.username" />
      <v-text-field v-model="form.password" type="password" :label="account ? 'New password, if it changes' : 'Password'" autocomplete="new-password" :error-messages="errors.password" />
      <v-checkbox v-model="form.active" label="May sign in" />
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
