<script setup lang="ts">
import { decodeText } from '~/composables/listFile'

/** Something that comes in from a list: its lines are shown as they are read, and come in once none is wrong. */
const props = defineProps<{
  heading: string
  save: string
  lines: readonly { readonly errors: readonly string[] }[]
  /** Reads a list; false where there is nothing of the kind in it. */
  read: (text: string) => boolean
  /** What is said of a list in which there is nothing of the kind. */
  nothing: string
  message: string
  busy: boolean
}>()
const emit = defineEmits<{ bring: []; close: [] }>()
const MOST_BYTES = 300_000
const problem = ref('')
const wrong = computed(() => props.lines.filter(line => line.errors.length > 0).length)

async function take(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  const found = props.read(file.size <= MOST_BYTES ? decodeText(await file.arrayBuffer()) : '')
  problem.value = found ? '' : props.nothing
}
</script>

<template>
  <FormDialog
    :heading="heading"
    :save="save"
    :message="message"
    :busy="busy"
    :width="620"
    @submit="lines.length > 0 && wrong === 0 ? emit('bring') : undefined"
    @close="emit('close')"
  >
    <p v-if="lines.length === 0" class="quiet"><slot name="columns" /></p>
    <label class="file">A CSV file<input type="file" accept=".csv,.txt,text/csv" @change="take" /></label>
    <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
    <p v-if="wrong > 0" role="alert" class="alert">
      {{ wrong }} of {{ lines.length }} lines need mending in the list; none is taken in until then.
    </p>
    <ul>
      <slot />
    </ul>
  </FormDialog>
</template>

<style scoped>
.file {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
ul {
  max-height: 46dvh;
  overflow: auto;
}
:slotted(li) {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.alert,
:slotted(.wrong) {
  color: var(--poor);
  font-weight: 550;
}
</style>
