<script setup lang="ts">
import { useLoader } from '~/composables/loader'
import { useFloor } from '~/stores/floor'
import { useSections } from '~/stores/sections'

const sections = useSections()
const floor = useFloor()
useHead({ title: 'Record · Fusilis' })
const asked = ref('')
const { loading, problem, load } = useLoader(async () => {
  if (!sections.loaded) await sections.load()
  if (sections.current) await floor.load(sections.current.id)
})
onMounted(load)
watch(
  () => sections.current?.id,
  (id, before) => {
    if (before && id) void load()
  },
)
const found = computed(() =>
  floor.students.filter(student => student.name.toLocaleLowerCase().includes(asked.value.trim().toLocaleLowerCase())),
)
</script>

<template>
  <div class="page">
    <header class="page-head">
      <h1>Whose record?</h1>
      <div class="push"><SectionChooser /></div>
    </header>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <EmptySection v-else-if="floor.students.length === 0" />
    <template v-else>
      <v-text-field v-model="asked" label="Name" hide-details class="asked" autofocus />
      <ul>
        <li v-for="student in found" :key="student.id">
          <NuxtLink :to="`/record/${student.id}`" class="panel"
            ><VerdictSign v-if="student.last" :verdict="student.last.verdict" :size="22" /><b>{{ student.name }}</b
            ><span class="quiet">{{ student.last?.ticket.rung ?? 'no coupon yet' }}</span></NuxtLink
          >
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.asked {
  max-width: 420px;
  margin-bottom: 14px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 8px;
}
a {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 52px;
  padding: 0 14px;
  color: inherit;
  text-decoration: none;
}
a span {
  margin-left: auto;
  font-size: 0.9rem;
}
a:hover {
  border-color: currentColor;
}
</style>
