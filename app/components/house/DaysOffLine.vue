<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { longDay } from '~~/core/calendar'
import { classesBetween } from '~~/core/floor'
import type { Section } from '~~/contract/people'
import { daysOffFault, type SchoolDaysOff } from '~~/contract/schoolCalendar'

/** Days without class in one line: from, to, what for, and for whom; the classes that fall out. */
const props = defineProps<{
  daysOff: SchoolDaysOff
  sections: readonly Section[]
  /** A lead may change it; others read. */
  editable: boolean
}>()
const emit = defineEmits<{ change: [daysOff: SchoolDaysOff]; remove: [] }>()

const put = (part: Partial<SchoolDaysOff>) => emit('change', { ...props.daysOff, ...part })
const forWhom = computed(() => [
  { title: 'Whole school', value: null },
  ...props.sections.map(({ id, name }) => ({ title: name, value: id })),
])
const fault = computed(() => daysOffFault(props.daysOff)?.message ?? '')
/** What falls out, by section. */
const out = computed(() => {
  const { from, to, sectionId } = props.daysOff
  const counts = props.sections
    .filter(section => sectionId === null || section.id === sectionId)
    .map(section => ({ name: section.name, classes: classesBetween(section, from, to) }))
    .filter(one => one.classes > 0)
  if (counts.length === 0) return 'No class falls on it'
  return `Classes that fall out: ${counts.map(({ name, classes }) => `${name} ${classes}`).join(', ')}`
})
/** A first day after the last one takes the last with it. */
const from = (day: string) => put({ from: day, to: props.daysOff.to < day ? day : props.daysOff.to })
const spoken = computed(() =>
  props.daysOff.from === props.daysOff.to
    ? longDay(props.daysOff.from)
    : `${longDay(props.daysOff.from)} to ${longDay(props.daysOff.to)}`,
)
</script>

<template>
  <li class="line">
    <div v-if="editable" class="fields" role="group" :aria-label="daysOff.name || 'Days without class'">
      <v-text-field
        :model-value="daysOff.name"
        class="name"
        label="What for"
        maxlength="80"
        hide-details
        @update:model-value="put({ name: $event })"
      />
      <v-text-field
        :model-value="daysOff.from"
        class="day"
        type="date"
        label="First day"
        hide-details
        @update:model-value="from"
      />
      <v-text-field
        :model-value="daysOff.to"
        class="day"
        type="date"
        label="Last day"
        :error-messages="fault"
        hide-details="auto"
        @update:model-value="put({ to: $event })"
      />
      <v-select
        :model-value="daysOff.sectionId"
        class="whom"
        label="For"
        :items="forWhom"
        hide-details
        @update:model-value="put({ sectionId: $event })"
      />
      <v-btn variant="text" :icon="mdiClose" :aria-label="`Take ${daysOff.name || 'it'} out`" @click="emit('remove')" />
    </div>
    <p v-else>
      <b>{{ daysOff.name }}</b> <span class="num">{{ spoken }}</span>
    </p>
    <p class="quiet num">{{ out }}</p>
  </li>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: 8px;
}
.name {
  flex: 2 1 200px;
}
.day {
  flex: 1 1 150px;
}
.whom {
  flex: 1 1 160px;
}
.quiet {
  font-size: 0.85rem;
}
</style>
