<script setup lang="ts">
import { sectionSchema, WEEKDAYS, type Meeting, type Section, type SectionFields } from '~~/contract/people'
import { today } from '~/composables/shopClock'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useSections } from '~/stores/sections'

/** Adds or changes a section: its name, when it meets, and its term. */
const props = defineProps<{ section: Section | null }>()
const emit = defineEmits<{ done: []; close: [] }>()
const sections = useSections()
const { errors, message, busy, attempt } = useFieldErrors()
const form = reactive({
  name: props.section?.name ?? '',
  termFrom: props.section?.termFrom ?? today(),
  termTo: props.section?.termTo ?? '',
  meetings: (props.section?.meetings ?? []).map(meeting => ({ ...meeting })) as {
    -readonly [key in keyof Meeting]: Meeting[key]
  }[],
})
const meet = () => form.meetings.push({ weekday: 'Mon', from: '18:00', to: '21:00' })

async function save() {
  const fields: SectionFields = { ...form, meetings: form.meetings.map(meeting => ({ ...meeting })) }
  if (await attempt(() => sections.save(props.section?.id ?? null, fields), { schema: sectionSchema, value: fields }))
    emit('done')
}
</script>

<template>
  <FormDialog
    :heading="section ? section.name : 'New section'"
    :width="560"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <v-text-field v-model="form.name" label="Name" :error-messages="errors.name" autofocus />
    <div class="pair">
      <v-text-field v-model="form.termFrom" type="date" label="Term from" :error-messages="errors.termFrom" />
      <v-text-field v-model="form.termTo" type="date" label="to" :error-messages="errors.termTo" />
    </div>
    <div v-for="(meeting, index) in form.meetings" :key="index" class="meeting">
      <v-select v-model="meeting.weekday" label="Day" :items="[...WEEKDAYS]" />
      <v-text-field
        v-model="meeting.from"
        type="time"
        label="From"
        :error-messages="errors[`meetings[${index}].from`]"
      />
      <v-text-field v-model="meeting.to" type="time" label="To" :error-messages="errors[`meetings[${index}].to`]" />
      <v-btn
        variant="text"
        :aria-label="`Take out the meeting on ${meeting.weekday}`"
        @click="form.meetings.splice(index, 1)"
        >Out</v-btn
      >
    </div>
    <v-btn variant="outlined" @click="meet">Add a meeting</v-btn>
  </FormDialog>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.meeting {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr auto;
  gap: 8px;
}
@media (max-width: 500px) {
  .meeting {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
