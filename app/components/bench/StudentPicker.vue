<script setup lang="ts">
import type { FloorStudent } from '~~/contract/people'

/** Chooses whose coupon it is: type a part of the name or the booth. */
const props = defineProps<{
  students: readonly FloorStudent[]
  /** The class is still on its way. */
  loading?: boolean
}>()
const emit = defineEmits<{ choose: [student: FloorStudent]; close: [] }>()
const asked = ref('')
const found = computed(() => {
  const part = asked.value.trim().toLocaleLowerCase()
  return props.students.filter(
    student => student.name.toLocaleLowerCase().includes(part) || String(student.booth ?? '') === part,
  )
})
/** Enter was pressed before the class had come: the first who is found then is meant. */
const entered = ref(false)
function enter() {
  if (found.value[0]) emit('choose', found.value[0])
  else entered.value = Boolean(props.loading)
}
watch(
  () => entered.value && found.value[0],
  student => {
    if (student) emit('choose', student)
  },
)
watch(asked, () => {
  entered.value = false
})
</script>

<template>
  <v-dialog :model-value="true" max-width="460" aria-label="Choose a student" @update:model-value="$emit('close')">
    <form class="panel picker" @submit.prevent="enter">
      <v-text-field v-model="asked" label="Name or booth" hide-details autofocus autocomplete="off" />
      <ul>
        <li v-for="student in found" :key="student.id">
          <button type="button" @click="$emit('choose', student)">
            <b>{{ student.name }}</b><span>{{ student.booth ? `booth ${student.booth}` : '' }}</span>
          </button>
        </li>
        <li v-if="found.length === 0" class="quiet none">
          {{ loading ? 'The class is being fetched.' : 'Nobody in this section is called that.' }}
        </li>
      </ul>
    </form>
  </v-dialog>
</template>

<style scoped>
.picker {
  padding: 18px;
  display: grid;
  gap: 10px;
}
ul {
  max-height: 50dvh;
  overflow: auto;
}
button {
  width: 100%;
  min-height: 46px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 0 10px;
  border-radius: 8px;
}
button:hover {
  background: rgb(var(--v-theme-surface-variant));
}
.none {
  padding: 12px;
}
</style>
