<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { processUseSchema, type ProcessUseSave } from '~~/contract/welderTests'
import { today } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useSession } from '~/stores/session'
import { useWelderTests } from '~/stores/welderTests'
import type { Lapse } from '~/papers/lapsesIcs'

/** Notes that a process was used under a witness, or confirms its use, on a day. */
const props = defineProps<{ row: Lapse }>()
const emit = defineEmits<{ done: []; close: [] }>()
const tests = useWelderTests()
const session = useSession()
const { errors, message, busy, attempt } = useFieldErrors()
const id = uuid()
const form = reactive<ProcessUseSave>({
  studentId: props.row.studentId,
  process: props.row.process,
  kind: props.row.book.continuity.confirmed ? 'confirmed' : 'used',
  usedOn: today(),
  witness: session.me?.name ?? '',
})
const late = computed(() => form.usedOn > props.row.lastDay)
async function save() {
  if (await attempt(() => tests.noteUse(id, { ...form }), { schema: processUseSchema, value: { ...form } }))
    emit('done')
}
</script>

<template>
  <FormDialog
    :heading="`${row.student}, ${row.process}`"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="emit('close')"
  >
    <v-text-field
      v-model="form.usedOn"
      type="date"
      :label="form.kind === 'used' ? 'Used on' : 'Confirmed on'"
      :max="today()"
      :error-messages="errors.usedOn"
      autofocus
    />
    <v-select
      v-model="form.kind"
      label="Kind"
      :items="[
        { value: 'used', title: 'used under a witness' },
        { value: 'confirmed', title: 'confirmed by employer or coordinator' },
      ]"
    />
    <v-text-field v-model="form.witness" label="Witness" maxlength="80" :error-messages="errors.witness" />
    <p v-if="late" class="quiet">
      By {{ row.book.name }} it stood to {{ row.lastDay }}: a use after that does not bring it back, a test does.
    </p>
    <p v-if="row.book.continuity.confirmed && form.kind === 'used'" class="quiet">
      {{ row.book.name }} wants a confirmation; a use alone keeps nothing alive there.
    </p>
  </FormDialog>
</template>
