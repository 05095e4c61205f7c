<script setup lang="ts">
import { addPass, removePass } from '~~/core/coupon'
import { withPasses, type WelderTest } from '~~/core/welderTest'
import { formatFraction } from '~~/core/units'
import { clockOf, useMoment, wallTime } from '~/composables/shopClock'

/** The passes as they are run: what with, from when to when. Not yet run, one can be added or left out. */
const props = defineProps<{ document: WelderTest }>()
const emit = defineEmits<{ change: [document: WelderTest] }>()
const now = useMoment()
const rows = computed(() =>
  props.document.passes.map((pass, n) => {
    const run = props.document.runs[pass.id]
    return {
      pass,
      number: n + 1,
      rod: `${pass.classification} ${formatFraction(pass.diameterMm, 32)} in`,
      current: `${pass.currentA} A`,
      running: run?.to === null,
      from: run ? wallTime(run.from) : '',
      took: run ? clockOf((Date.parse(run.to ?? now.value) - Date.parse(run.from)) / 60_000) : '',
    }
  }),
)
const open = computed(() => props.document.endedAt === null)
const last = computed(() => props.document.passes.at(-1)!)
const canDrop = computed(() => open.value && props.document.passes.length > 1 && !props.document.runs[last.value.id])
const add = () => emit('change', withPasses(props.document, addPass(props.document.passes, last.value.id)))
const drop = () => {
  if (canDrop.value) emit('change', withPasses(props.document, removePass(props.document.passes, last.value.id)))
}
defineExpose({
  add: () => {
    if (open.value) add()
  },
  drop,
})
</script>

<template>
  <section class="panel runs" aria-label="Passes">
    <h2>Passes</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">Pass</th>
          <th scope="col">Rod</th>
          <th scope="col">Current</th>
          <th scope="col">Begun</th>
          <th scope="col">Took</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.pass.id" :class="{ running: row.running }">
          <th scope="row">{{ row.number }} {{ row.pass.role }}</th>
          <td>{{ row.rod }}</td>
          <td class="num">{{ row.current }}</td>
          <td class="num">{{ row.from }}</td>
          <td class="num">{{ row.took }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="(stop, n) in document.stops" :key="n" class="quiet">
      Stopped {{ wallTime(stop.from) }}{{ stop.to ? ` to ${wallTime(stop.to)}` : '' }}: {{ stop.why }}
    </p>
    <div v-if="open" class="acts">
      <v-btn variant="outlined" @click="add">A pass more</v-btn
      ><v-btn variant="text" :disabled="!canDrop" @click="drop">One fewer</v-btn>
    </div>
  </section>
</template>

<style scoped>
.runs {
  padding: 16px;
  display: grid;
  gap: 10px;
  align-content: start;
  overflow-x: auto;
}
th,
td {
  text-align: left;
  padding: 7px 10px 7px 0;
  font-weight: 400;
  border-top: 1px solid var(--line);
  white-space: nowrap;
}
thead th {
  border-top: 0;
  color: var(--quiet);
  font-size: 0.88rem;
  font-weight: 600;
}
tbody th {
  font-weight: 600;
}
.running th,
.running td {
  background: color-mix(in srgb, var(--temper-straw) 30%, transparent);
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
