<script setup lang="ts">
import type { PersonExport } from '~~/contract/personData'
import { saveFile } from '~/composables/saveFile'
import { personPdf } from '~/papers/personPdf'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { messageOf, request } from '~/stores/request'

/** All that is kept about a student: to be read, and as a file for programs. */
const props = defineProps<{ studentId: string; name: string }>()
const houseRules = useHouseRules()
const progress = useProgress()
const busy = ref(false)
const problem = ref('')

async function read() {
  busy.value = true
  problem.value = ''
  try {
    const [person, { ladder }] = await Promise.all([
      request<PersonExport>('GET', `/api/students/${props.studentId}/export`),
      progress.ladder(),
      houseRules.load(),
    ])
    const rungs = new Map(ladder.rungs.map(rung => [rung.id, rung.name]))
    const pdf = await personPdf(person, {
      unit: houseRules.unit,
      rungName: id => rungs.get(id) ?? id,
    })
    saveFile(pdf, `${props.name}, all that is kept.pdf`)
  } catch (error) {
    problem.value = messageOf(error)
  }
  busy.value = false
}
</script>

<template>
  <p class="no-print own">
    <v-btn variant="text" :loading="busy" @click="read">All that is kept, to read (PDF)</v-btn>
    <a :href="`/api/students/${studentId}/export`" download="person.json">the same for programs (JSON)</a>
    <span v-if="problem" role="alert" class="alert">{{ problem }}</span>
  </p>
</template>

<style scoped>
.own {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  margin: 8px 0 0 -16px;
}
.own a {
  color: inherit;
  display: inline-block;
  padding: 12px 0;
}
</style>
