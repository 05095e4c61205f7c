<script setup lang="ts">
import { ordinal } from '~~/core/floor'
import type { QueuePlace } from '~~/contract/floor'
import { useFloor } from '~/stores/floor'
import { messageOf } from '~/stores/request'

/** A student says that the coupon is ready, sees the own place, and takes it back as easily. */
const props = defineProps<{ studentId: string }>()

const floor = useFloor()
const place = ref<QueuePlace['waiting']>(null)
const known = ref(false)
const busy = ref(false)
const problem = ref('')

async function ask(work: () => Promise<QueuePlace>) {
  if (busy.value) return
  busy.value = true
  problem.value = ''
  try {
    place.value = (await work()).waiting
    known.value = true
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
onMounted(() => ask(() => floor.placeOf(props.studentId)))
const ready = () => ask(() => floor.sayReady(props.studentId))
const takeBack = () => ask(() => floor.takeBack(props.studentId, place.value!.id))

const said = computed(() =>
  place.value
    ? place.value.place === 1
      ? 'You are next.'
      : `You are ${ordinal(place.value.place)} in the queue: about ${Math.round(place.value.minutes)} min.`
    : '',
)
</script>

<template>
  <div class="ready">
    <p role="status" class="said">{{ said }}</p>
    <v-btn v-if="place" variant="outlined" block height="64" :loading="busy" @click="takeBack">Take it back</v-btn>
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
