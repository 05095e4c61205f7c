<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { isPast, lotName, sayExposure } from '~~/core/rodRoom'
import { useSaving } from '~/composables/saving'
import { wallTime } from '~/composables/shopClock'
import { useRods, type DrawnRods } from '~/stores/rods'

/** One handful: whose, which rods, how its clock stands, and what can be done with it. */
const props = defineProps<{ drawn: DrawnRods; name: string }>()
defineEmits<{ back: [] }>()
const rods = useRods()
const { busy, refused, attempt } = useSaving()
const asking = ref(false)

const state = computed(() => props.drawn.exposure?.state ?? null)
const late = computed(() => props.drawn.exposure !== null && isPast(props.drawn.exposure))
const used = computed(() => {
  const { hours, exposure } = props.drawn
  return hours && exposure ? Math.min(1, exposure.usedHours / hours) : 0
})
const of = computed(() => ({ lotId: props.drawn.lotId, handfulId: props.drawn.id }))
/** A line keeps its number until it stands. */
const line = uuid()
const redry = () => attempt('', () => rods.write(line, { ...of.value, kind: 're-dried' }))
const burnt = () => attempt('', () => rods.write(line, { ...of.value, kind: 'returned' }))
const again = () => attempt('', () => rods.write(line, { ...of.value, kind: 'issued' }))
</script>

<template>
  <li :class="{ late }">
    <div class="line">
      <div class="what">
        <b>{{ name }}</b>
        <span class="quiet num">{{ drawn.out || drawn.inOven }} × {{ lotName(drawn.lot) }}</span>
      </div>
      <v-btn
        v-if="drawn.out > 0"
        variant="text"
        :aria-label="`All burnt: rods of ${name}`"
        :loading="busy"
        @click="burnt"
        >All burnt</v-btn
      >
      <v-btn v-if="drawn.out > 0" variant="outlined" :aria-label="`Rods of ${name} are back`" @click="$emit('back')"
        >Back</v-btn
      >
      <v-btn v-else-if="state === 'resting'" variant="text" :loading="busy" @click="again">Draw again</v-btn>
      <v-btn v-else-if="state === 'to re-dry'" variant="outlined" :loading="busy" @click="redry">Re-dried</v-btn>
      <v-btn v-if="state === 'bin' || state === 'to re-dry'" variant="text" color="error" @click="asking = true"
        >Bin</v-btn
      >
    </div>
    <span v-if="drawn.exposure" class="bar" aria-hidden="true"><span :style="{ width: `${100 * used}%` }" /></span>
    <p class="num says">
      <span v-if="late" class="sign" aria-hidden="true">▲</span>
      {{ drawn.exposure ? sayExposure(drawn.exposure, wallTime) : 'no clock' }}
    </p>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
    <RodsBinned v-if="asking" :lot="drawn.lot" :handful-id="drawn.id" @done="asking = false" @close="asking = false" />
  </li>
</template>

<style scoped>
li {
  list-style: none;
  display: grid;
  gap: 4px;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
li:last-child {
  border-bottom: 0;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.what {
  display: grid;
  margin-right: auto;
  min-width: 0;
}
.bar {
  height: 6px;
  border-radius: 3px;
  background: rgb(var(--v-theme-surface-variant));
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--temper-straw);
}
.late .bar span {
  background: var(--poor);
}
.says {
  font-size: 0.92rem;
}
.late .says {
  color: var(--poor);
  font-weight: 650;
}
.alert {
  color: var(--poor);
}
</style>
