<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { FloorStudent } from '~~/contract/people'
import { MOST_SAID, remarkSchema, type RemarkAbout } from '~~/contract/remarks'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useFloor } from '~/stores/floor'

/** Leaves a remark for next time: of a student, a booth, or everybody. */
const props = defineProps<{ sectionId: string; students: readonly FloorStudent[] }>()
const emit = defineEmits<{ close: [] }>()
const floor = useFloor()
const { errors, message, busy, attempt } = useFieldErrors()
const id = uuid()
const says = ref('')

const booths = [...new Set(props.students.flatMap(student => student.booth ?? []))].sort((a, b) => a - b)
const EVERYBODY: RemarkAbout = { sectionId: props.sectionId, studentId: null, booth: null }
const choices: { title: string; value: RemarkAbout }[] = [
  { title: 'everybody', value: EVERYBODY },
  ...props.students.map(({ id: studentId, name }) => ({ title: name, value: { ...EVERYBODY, studentId } })),
  ...booths.map(booth => ({ title: `booth ${booth}`, value: { ...EVERYBODY, booth } })),
]
const about = ref(EVERYBODY)

async function save() {
  const value = { ...about.value, says: says.value }
  if (await attempt(() => floor.remark(id, value), { schema: remarkSchema, value })) emit('close')
}
</script>

<template>
  <FormDialog heading="For next time" :message="message" :busy="busy" @submit="save" @close="$emit('close')">
    <v-autocomplete v-model="about" label="About" :items="choices" :error-messages="errors.studentId" />
    <v-textarea
      v-model="says"
      label="What to remember"
      rows="2"
      auto-grow
      autofocus
      :maxlength="MOST_SAID"
      :error-messages="errors.says"
      @keydown.enter.exact.prevent="save"
    />
    <p class="quiet">Staff see it on the Floor and on the Bench until somebody ticks it off. Students never do.</p>
  </FormDialog>
</template>
