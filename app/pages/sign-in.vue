<script setup lang="ts">
import type { Welcome } from '~~/contract/record'
import { firstLeadSchema, signInSchema } from '~~/contract/people'
import { useFieldErrors } from '~/composables/fieldErrors'
import { whereTo } from '~/composables/whereTo'
import { useSession } from '~/stores/session'

const session = useSession()
const route = useRoute()
const { errors, message, busy, attempt } = useFieldErrors()
const welcome = ref<Welcome | null>(null)
const school = ref('')
const name = ref('')
const username = ref('')
const password = ref('')
const code = ref('')
/** The account asks for a code: known once a password was right without one. */
const asksCode = ref(false)

const userField = useTemplateRef<{ focus: () => void }>('userField')
const schoolField = useTemplateRef<{ focus: () => void }>('schoolField')
onMounted(() => {
  // At once, not when the field has scrolled into view: focus must not jump away from a password that is being typed.
  userField.value?.focus()
  void attempt(async () => {
    welcome.value = await session.welcome()
    // A school that is set up begins with its name; a field that is being typed in keeps the focus.
    await nextTick()
    if (founding.value && username.value === '') schoolField.value?.focus()
  })
})

/** What went wrong at the school's identity provider, in plain words. */
const AT_PROVIDER: Readonly<Record<string, string>> = {
  away: 'The school’s sign-in does not answer. Try again, or use your user name and password.',
  again: 'That took too long, or was begun elsewhere. Begin once more.',
  unknown: 'You have no account here yet, or it is switched off: ask a lead instructor.',
  refused: 'The school’s sign-in did not let you in.',
}
const fromProvider = computed(() => AT_PROVIDER[String(route.query.provider)] ?? '')
const founding = computed(() => welcome.value?.needsFirstLead === true)

async function submit() {
  const fields = founding.value
    ? { school: school.value, name: name.value, username: username.value, password: password.value }
    : { username: username.value, password: password.value, ...(code.value ? { code: code.value } : {}) }
  const done = await attempt(
    () =>
      founding.value
        ? session.foundSchool(fields as Required<typeof fields> & { school: string; name: string })
        : session.signIn(username.value, password.value, code.value),
    { schema: founding.value ? firstLeadSchema : signInSchema, value: fields },
  )
  if (errors.value.code) asksCode.value = true
  if (!done) return
  await navigateTo(founding.value ? '/first-day' : whereTo(route.query))
}

async function enterAs(account: Welcome['demo'][number]) {
  username.value = account.username
  password.value = account.password
  await submit()
}
</script>

<template>
  <GateForm :heading="founding ? 'Set up this school' : (welcome?.school ?? 'Sign in')" @submit="submit">
    <v-text-field v-if="founding" ref="schoolField" v-model="school" label="School" :error-messages="errors.school" />
    <v-text-field v-if="founding" v-model="name" label="Your name" autocomplete="name" :error-messages="errors.name" />
    <v-text-field
      ref="userField"
      v-model="username"
      label="User name"
      autocomplete="username"
      autocapitalize="none"
      :error-messages="errors.username"
    />
    <v-text-field
      v-model="password"
      type="password"
      label="Password"
      :autocomplete="founding ? 'new-password' : 'current-password'"
      :error-messages="errors.password"
    />
    <v-text-field
      v-if="asksCode"
      v-model="code"
      label="One-time code"
      autocomplete="one-time-code"
      autocapitalize="none"
      autofocus
      :error-messages="errors.code"
    />
    <p v-if="message || fromProvider" role="alert" class="alert">{{ message || fromProvider }}</p>
    <v-btn type="submit" color="primary" block :loading="busy">{{
      founding ? 'Create the first lead instructor' : 'Sign in'
    }}</v-btn>
    <v-btn v-if="welcome?.provider && !founding" href="/api/session/provider" variant="outlined" block>
      Sign in with {{ welcome.provider }}
    </v-btn>
    <section v-if="welcome && welcome.demo.length > 0 && !founding" class="demo">
      <h2>Demo school: come in as</h2>
      <v-btn
        v-for="account in welcome.demo"
        :key="account.username"
        variant="outlined"
        block
        :disabled="busy"
        @click="enterAs(account)"
      >
        {{ account.name }}, {{ account.role }}
      </v-btn>
    </section>
  </GateForm>
</template>

<style scoped>
.alert {
  color: var(--poor);
  font-weight: 600;
}
.demo {
  display: grid;
  gap: 8px;
  margin-top: 14px;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}
.demo h2 {
  font-size: 0.9rem;
  color: var(--quiet);
}
</style>
