<script setup lang="ts">
import { toDataURL } from 'qrcode'
import { turnOnCodesSchema, type CodesOffer } from '~~/contract/oneTimeCodes'
import { useFieldErrors } from '~/composables/fieldErrors'
import { saveFile } from '~/composables/saveFile'
import { useOneTimeCodes } from '~/stores/oneTimeCodes'

/** Puts a secret into a phone's authenticator, has it proved by a code, and gives recovery codes once. */
const codes = useOneTimeCodes()
const recovery = defineModel<readonly string[]>('recovery', { default: () => [] })
const { errors, message, busy, attempt } = useFieldErrors()
const offer = shallowRef<CodesOffer | null>(null)
const picture = ref('')
const form = reactive({ password: '', code: '' })

onMounted(() =>
  attempt(async () => {
    offer.value = await codes.offer()
    picture.value = await toDataURL(offer.value.address, { margin: 1, width: 176 })
  }),
)
const spelled = computed(() => offer.value?.secret.match(/.{4}/g)?.join(' ') ?? '')

/** Turns them on, once however often it is asked: the codes that are shown are those that count. */
async function turnOn(): Promise<void> {
  if (!offer.value || busy.value) return
  const value = { ...form, secret: offer.value.secret }
  await attempt(
    async () => {
      recovery.value = await codes.turnOn(value)
    },
    { schema: turnOnCodesSchema, value },
  )
}
const keepAsFile = () =>
  saveFile(new Blob([`${recovery.value.join('\n')}\n`], { type: 'text/plain;charset=utf-8' }), 'recovery-codes.txt')

defineExpose({ turnOn, busy })
</script>

<template>
  <div v-if="recovery.length > 0" class="codes">
    <p role="status">One-time codes are on. Each of these lets you in once, when the phone is not at hand:</p>
    <ul class="recovery num" aria-label="Recovery codes">
      <li v-for="code in recovery" :key="code">{{ code }}</li>
    </ul>
    <p class="quiet">They are shown this once. Keep them where the phone is not.</p>
    <v-btn variant="outlined" @click="keepAsFile">Keep as a file</v-btn>
  </div>
  <div v-else class="codes">
    <p>Scan this with an authenticator on your phone, or type the letters into it. Then type the code that it shows.</p>
    <div class="offer">
      <img v-if="picture" :src="picture" width="176" height="176" alt="The secret as a QR code" />
      <p class="secret num">{{ spelled }}</p>
    </div>
    <v-text-field
      v-model="form.code"
      label="Code on the phone"
      inputmode="numeric"
      autocomplete="one-time-code"
      :error-messages="errors.code"
    />
    <v-text-field
      v-model="form.password"
      type="password"
      label="Password you have"
      autocomplete="current-password"
      :error-messages="errors.password"
    />
    <p v-if="message" role="alert" class="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.codes {
  display: grid;
  gap: 10px;
}
.offer {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
}
.secret {
  font-weight: 600;
  letter-spacing: 0.04em;
  flex: 1 1 140px;
}
.recovery {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 6px 20px;
  font-size: 1.1rem;
  font-weight: 600;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
</style>
