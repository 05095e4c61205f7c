<script setup lang="ts">
import type { Student } from '~~/contract/people'
import { erasureSchema } from '~~/contract/personData'
import { useFieldErrors } from '~/composables/fieldErrors'
import { usePeople } from '~/stores/people'

/** Erases a person for good. The name is typed once more, so that the wrong row is not erased by a slip. */
const props = defineProps<{ student: Student }>()
const emit = defineEmits<{ done: []; close: [] }>()
const people = usePeople()
const { errors, message, busy, attempt } = useFieldErrors()
const form = reactive({ name: '', why: '' })
async function erase() {
  const value = { ...form }
  if (await attempt(() => people.erase(props.student.id, value), { schema: erasureSchema, value })) emit('done')
}
</script>

<template>
  <FormDialog
    :heading="`Erase ${student.name}?`"
    save="Erase for good"
    danger
    :message="message"
    :busy="busy"
    @submit="erase"
    @close="$emit('close')"
  >
    <p>
      Name, notes, earlier versions, remarks and sign-in go. What was counted stays without a name, as the school’s odds
      rest on it. It cannot be taken back; backups made before hold it for as long as they are kept.
    </p>
    <p>Archiving instead keeps the record. Give the person the file of their data first, if they want it.</p>
    <v-text-field v-model="form.name" label="Name, typed again" autocomplete="off" :error-messages="errors.name" />
    <v-text-field v-model="form.why" label="Why" maxlength="400" :error-messages="errors.why" />
  </FormDialog>
</template>
