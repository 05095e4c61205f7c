<script setup lang="ts">
import { ordinal } from '~~/core/floor'
import type { QueuePlace } from '~~/contract/floor'
import { useFloor } from '~/stores/floor'
import { useOutbox } from '~/stores/outbox'
import { messageOf } from '~/stores/request'
import type { Intent } from '~/sync/intents'
import { RequestFailure } from '~/sync/requestFailure'

/** A student says that the coupon is ready, sees the own place, and takes it back as easily; without a server too. */
const props = defineProps<{ studentId: string; name: string }>()

const floor = useFloor()
const outbox = useOutbox()
const place = ref<QueuePlace['waiting']>(null)
const known = ref(false)
const busy = ref(false)
const problem = ref('')

/** What was said here and not sent yet, one way or the other. */
const left = (kind: 'ready' | 'not ready', of: (intent: Intent) => boolean) =>
  outbox.left.find(one => one.kind === kind && of(one))
const kept = computed(() => left('ready', one => (one.body as { studentId: string }).studentId === props.studentId))
const stands = computed(() => (left('not ready', one => one.id === place.value?.id) ? null : place.value))

async function ask(work: () => Promise<unknown>) {
  if (busy.value) return
  busy.value = true
  problem.value = ''
  try {
    await work()
    place.value = (await floor.placeOf(props.studentId)).waiting
  } catch (error) {
    // Where one stands is said when the server answers; that one is ready can be said now.
    if (!(error instanceof RequestFailure) || !error.outOfReach) problem.value = messageOf(error)
  } finally {
    known.value = true
    busy.value = false
  }
}
const look = () => ask(async () => {})
onMounted(look)
outbox.onSaved(({ kind }) => {
  if (kind === 'ready' || kind === 'not ready') void look()
})
const ready = () => ask(() => floor.sayReady(props.studentId, props.name))
const takeBack = () => ask(() => floor.takeReadyBack(kept.value?.id ?? place.value!.id, props.studentId))

const said = computed(() => {
  if (kept.value) return 'Noted here. It is sent, with the time you said it, when the server answers.'
  if (!stands.value) return ''
  return stands.value.place === 1
    ? 'You are next.'
    : `You are ${ordinal(stands.value.place)} in the queue: about ${Math.round(stands.value.minutes)} min.`
})
</script>

<template>
  <div class="ready">
    <p role="status" class="said">{{ said }}</p>
    <v-btn v-if="kept || stands" variant="outlined" block height="64" :loading="busy" @click="takeBack"
      >Take it back</v-btn
    >
    <v-btn v-else variant="tonal" color="primary" block height="72" class="big" :disabled="!known" @click="ready"
      >My coupon is ready</v-btn
    >
    <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.ready {
  display: grid;
  gap: 10px;
  margin-bottom: 10px;
}
.said {
  font-size: 1.25rem;
  font-weight: 700;
}
.said:empty {
  display: none;
}
.big {
  font-size: 1.2rem;
  font-weight: 700;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
</style>
