<script setup lang="ts">
import { turnOffCodesSchema, type OwnCodes } from '~~/contract/oneTimeCodes'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useOneTimeCodes } from '~/stores/oneTimeCodes'

/** One-time codes of one's own sign-in: turned on with a phone, turned off with the password. */
const emit = defineEmits<{ close: [] }>()
const codes = useOneTimeCodes()
const { errors, message, busy, attempt } = useFieldErrors()
const own = shallowRef<OwnCodes | null>(null)
onMounted(() =>
  attempt(async () => {
    own.value = await codes.own()
  }),
)

const setUp = useTemplateRef<{ turnOn: () => Promise<void>; busy: boolean }>('setUp')
const recovery = ref<readonly string[]>([])
const password = ref('')

async function save() {
  if (recovery.value.length > 0) return emit('close')
  if (!own.value?.on) return setUp.value?.turnOn()
  const value = { password: password.value }
  if (await attempt(() => codes.turnOff(value.password), { schema: turnOffCodesSchema, value })) emit('close')
}
const act = computed(() => (recovery.value.length > 0 ? 'Close' : own.value?.on ? 'Turn off' : 'Turn on'))
</script>

<template>
  <FormDialog
    heading="One-time codes"
    :save="act"
    leave="Leave it"
    :message="message"
    :busy="busy || setUp?.busy"
    :danger="own?.on && recovery.length === 0"
    @submit="save"
    @close="$emit('close')"
  >
    <template v-if="own?.on">
      <p>
        They are on: signing in asks for a code from your phone.
        {{ own.recoveryLeft === 1 ? 'One recovery code is' : `${own.recoveryLeft} recovery codes are` }} left.
      </p>
      <v-text-field
        v-model="password"
        type="password"
        label="Password you have"
        autocomplete="current-password"
        :error-messages="errors.password"
      />
    </template>
    <SetUpCodes v-else-if="own" ref="setUp" v-model:recovery="recovery" />
  </FormDialog>
</template>
