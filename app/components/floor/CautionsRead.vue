<script setup lang="ts">
import type { StudentCautions } from '~~/contract/cautions'
import { useCautions } from '~/stores/cautions'
import { messageOf } from '~/stores/request'

/** Cautions that a student has not said were read, each in full; one press says that all of them were. */
const props = defineProps<{
  studentId: string
  /** The student's name, where an instructor reads them with the student. */
  readWith?: string
}>()
const emit = defineEmits<{ read: [] }>()
const store = useCautions()
const cautions = shallowRef<StudentCautions | null>(null)
const problem = ref('')
const busy = ref(false)

async function tryTo(act: () => Promise<StudentCautions>) {
  busy.value = true
  problem.value = ''
  try {
    cautions.value = await act()
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}
onMounted(() => tryTo(() => store.of(props.studentId)))
async function say() {
  const texts = cautions.value!.left.map(caution => caution.text)
  await tryTo(() => store.sayRead(props.studentId, texts))
  if (problem.value === '') emit('read')
}
const left = computed(() => cautions.value?.left ?? [])
</script>

<template>
  <section v-if="left.length > 0 || problem" class="panel cautions" aria-label="Cautions to read">
    <h2>Before you strike an arc</h2>
    <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
    <ul>
      <li v-for="caution in left" :key="caution.text">{{ caution.text }}</li>
    </ul>
    <v-btn v-if="left.length > 0" color="primary" height="56" block :loading="busy" @click="say">{{
      readWith ? `Read with ${readWith}` : 'I have read these'
    }}</v-btn>
    <p class="quiet">The maker’s instructions, the data sheet, local rules and the school’s own officer come first.</p>
  </section>
</template>

<style scoped>
.cautions {
  padding: 18px;
  display: grid;
  gap: 12px;
  margin-bottom: 14px;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
ul {
  list-style: disc;
  padding-left: 20px;
  display: grid;
  gap: 8px;
  line-height: 1.4;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
</style>
