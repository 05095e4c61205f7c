<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { DEMONSTRATION_MINUTES, demonstrationOf, sayWrongMost } from '~~/core/floor'
import { demonstrationSchema, type SectionDay } from '~~/contract/day'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useDay } from '~/stores/day'
import { useSections } from '~/stores/sections'

/** What was shown that day, and what this section should see next, from what it gets wrong most. */
const props = defineProps<{ day: SectionDay }>()
const days = useDay()
const sections = useSections()
const { errors, message, busy, attempt } = useFieldErrors()
const form = ref<{ id: string; topic: string; minutes: string } | null>(null)
const proposed = computed(() => (props.day.wrongMost ? demonstrationOf(props.day.wrongMost.element) : ''))
const open = (topic = '') => (form.value = { id: uuid(), topic, minutes: String(DEMONSTRATION_MINUTES) })

async function save() {
  const { id, topic, minutes } = form.value!
  const what = { topic, minutes: Number(minutes) }
  const value = { ...what, sectionId: sections.current!.id, classDay: props.day.classDay, students: 0 }
  if (await attempt(() => days.show(id, what), { schema: demonstrationSchema, value })) form.value = null
}
const takeBack = (id: string) => attempt(() => days.takeBack(id))
</script>

<template>
  <section class="panel shown" aria-label="Demonstrations">
    <header>
      <h2>Demonstrations</h2>
      <v-btn class="no-print" variant="text" @click="open()">Add one</v-btn>
    </header>
    <div v-if="day.wrongMost" class="most">
      <p>
        <b>{{ sayWrongMost(day.wrongMost) }}.</b>
      </p>
      <p>{{ proposed }}</p>
      <v-btn class="no-print" variant="outlined" @click="open(proposed)">This was shown</v-btn>
    </div>
    <p v-else class="quiet">Nothing was read that day that a demonstration would put right.</p>
    <p v-if="message && !form" role="alert" class="alert">{{ message }}</p>
    <ul>
      <li v-for="one in day.demonstrations" :key="one.id">
        <span
          >{{ one.topic }}
          <small class="quiet">{{ one.minutes }} min, to {{ one.students }}, by {{ one.by }}</small></span
        >
        <v-btn
          class="no-print"
          variant="text"
          :disabled="busy"
          :aria-label="`Take back: ${one.topic}`"
          @click="takeBack(one.id)"
          >Take back</v-btn
        >
      </li>
    </ul>
    <FormDialog
      v-if="form"
      heading="What was shown"
      :message="message"
      :busy="busy"
      @submit="save"
      @close="form = null"
    >
      <v-textarea
        v-model="form.topic"
        label="What was shown"
        rows="2"
        auto-grow
        autofocus
        maxlength="200"
        :error-messages="errors.topic"
      />
      <v-text-field v-model="form.minutes" label="Minutes" inputmode="numeric" :error-messages="errors.minutes" />
      <p class="quiet">It is kept with how many are here.</p>
    </FormDialog>
  </section>
</template>

<style scoped>
.shown {
  padding: 14px 16px;
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
.most {
  display: grid;
  justify-items: start;
  gap: 8px;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  border-top: 1px solid var(--line);
  margin-top: 8px;
  padding-top: 4px;
}
small {
  display: block;
}
.alert {
  color: var(--poor);
}
</style>
