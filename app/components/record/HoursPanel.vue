<script setup lang="ts">
import type { StudentHours } from '~~/contract/hours'
import { useLoader } from '~/composables/loader'
import { useHours } from '~/stores/hours'

/** Hours of the term: in the booth, at the arc, by position, and toward what the programme asks for. */
const props = defineProps<{ studentId: string }>()
const store = useHours()
const hours = shallowRef<StudentHours | null>(null)
const { loading, problem, load } = useLoader(async () => {
  hours.value = await store.of(props.studentId)
})
onMounted(load)

const say = (minutes: number) => `${(minutes / 60).toFixed(1)} h`
const sayHours = (value: number) => String(Math.round(10 * value) / 10)
const arcMinutes = computed(() => hours.value?.positions.reduce((sum, one) => sum + one.arcMinutes, 0) ?? 0)
const share = (done: number, wanted: number) => `${Math.min(100, (100 * done) / wanted)}%`
</script>

<template>
  <section class="panel hours" aria-label="Hours this term">
    <h2>Hours this term</h2>
    <PageState v-if="problem || (loading && !hours)" :problem="problem" :loading="loading" @again="load" />
    <p v-else-if="hours && hours.days === 0" class="quiet">Not seen in the booth yet this term.</p>
    <template v-else-if="hours">
      <p>
        <b class="num">{{ say(hours.boothMinutes) }}</b> in the booth on {{ hours.days }}
        {{ hours.days === 1 ? 'day' : 'days' }}, about <b class="num">{{ say(arcMinutes) }}</b> at the arc on the
        coupons that were read.
      </p>
      <ul v-if="hours.programme.length > 0" aria-label="Toward the programme">
        <li v-for="row in hours.programme" :key="row.of">
          <span class="of">{{ row.of }}</span>
          <span class="bar" aria-hidden="true"><span :style="{ width: share(row.done, row.hours) }" /></span>
          <span class="num">{{ sayHours(row.done) }} of {{ row.hours }} h</span>
          <b class="num">{{ row.left > 0 ? `${sayHours(row.left)} h left` : 'done' }}</b>
        </li>
      </ul>
      <p class="quiet num">
        <template v-for="(row, n) in hours.positions" :key="row.position"
          >{{ n > 0 ? ' · ' : '' }}{{ row.position }} {{ say(row.boothMinutes) }}</template
        >
      </p>
      <p class="quiet small">A day’s time is shared out over what was welded that day, by length of weld.</p>
    </template>
  </section>
</template>

<style scoped>
.hours {
  padding: 16px;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 90px minmax(60px, 1fr) 110px 90px;
  align-items: center;
  gap: 12px;
  min-height: 34px;
}
.of {
  font-weight: 650;
}
.bar {
  height: 8px;
  border-radius: 4px;
  overflow: hidden;
  background: rgb(var(--v-theme-surface-variant));
}
.bar span {
  display: block;
  height: 100%;
  background: var(--temper-bronze);
}
li b {
  text-align: right;
}
.small {
  font-size: 0.85rem;
}
@media (max-width: 600px) {
  li {
    grid-template-columns: 64px minmax(0, 1fr) auto;
  }
  li .bar {
    display: none;
  }
}
</style>
