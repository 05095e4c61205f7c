<script setup lang="ts">
import { describeRod } from '~~/core/coupon'
import type { BoothState } from '~~/core/floor'
import type { FloorStudent } from '~~/contract/people'
import type { BoothFault, FloorBooths } from '~~/contract/shop'

/** A booth on the drawn floor: who, how it stands, what is run, and what of it there was today. */
const props = defineProps<{
  booth: number | null
  student: FloorStudent | null
  state: BoothState
  /** What of the student there was today; null where nothing is known. */
  today: FloorBooths['students'][number] | null
  fault: BoothFault | null
  /** What stands beside its sign: minutes of a wait, who reads. */
  beside: string
  /** How long ago the student was read; empty where it was not today. */
  readAgo: string
}>()
defineEmits<{ ready: []; notReady: []; takeOut: []; putBack: []; clamp: [] }>()

/** An evening's good arc time, minutes: the bar is full. Common practice. */
const FULL_MINUTES = 60
const minutes = computed(() => Math.round(props.today?.arcMinutes ?? 0))
const WORDS: Readonly<Record<BoothState, string>> = {
  'welding': 'here',
  'waits': 'waits to be read',
  'read now': 'is read now',
  'away': 'not here',
  'out of service': 'out of service',
  'empty': 'nobody of this section',
}
const ofToday = computed(() => {
  const read = props.readAgo ? `${minutes.value} min arc · ${props.readAgo}` : 'not read today'
  return props.student?.selfRead ? 'has read it' : read
})
const number = computed(() => (props.booth === null ? 'no booth' : `booth ${props.booth}`))
</script>

<template>
  <article class="tile" :class="state.replaceAll(' ', '-')">
    <div class="top">
      <v-menu>
        <template #activator="{ props: opens }">
          <button
            v-bind="opens"
            type="button"
            class="badge num"
            :aria-label="`${booth ?? '–'}: more of ${number}${student ? `, ${student.name}` : ''}`"
          >
            <span>{{ booth ?? '–' }}</span>
          </button>
        </template>
        <v-list density="comfortable">
          <v-list-item v-if="student && state === 'waits'" title="Not ready" @click="$emit('notReady')" />
          <v-list-item v-else-if="student && fault" title="Ready" @click="$emit('ready')" />
          <v-list-item v-if="student" title="Record" :to="`/record/${student.id}`" />
          <v-list-item v-if="booth !== null" title="Clamp meter" @click="$emit('clamp')" />
          <v-list-item v-if="fault" title="In service again" @click="$emit('putBack')" />
          <v-list-item v-else-if="booth !== null" title="Out of service" @click="$emit('takeOut')" />
        </v-list>
      </v-menu>
      <BoothSign :state="state" />
      <span class="sr-only">{{ WORDS[state] }}</span>
      <b v-if="beside" class="beside num">{{ beside }}</b>
      <button
        v-else-if="student && (state === 'welding' || state === 'away')"
        type="button"
        class="ready"
        :aria-label="`${student.name}: coupon is ready`"
        @click="$emit('ready')"
      >
        Ready
      </button>
    </div>
    <p v-if="fault" class="broken"><b>out of service</b> {{ fault.says }}</p>
    <NuxtLink v-if="student" class="who" :to="{ path: '/bench', query: { student: student.id } }">
      <span class="sr-only">Read a coupon of </span>
      <b>{{ student.name }}</b>
      <template v-if="student.last && !fault">
        <span class="rung">{{ student.last.ticket.rung }}</span>
        <span class="quiet num">{{ describeRod(student.last.ticket) }} · {{ student.last.ticket.currentA }} A</span>
      </template>
      <span v-else-if="!fault" class="quiet">no coupon yet</span>
    </NuxtLink>
    <div v-if="student && !fault" class="today">
      <span class="bar" aria-hidden="true"
        ><span :style="{ width: `${Math.min(100, (100 * minutes) / FULL_MINUTES)}%` }"
      /></span>
      <b v-if="today?.rodsPast" class="late">▲ rods past their hours</b>
      <span v-else class="quiet num">{{ ofToday }}</span>
    </div>
  </article>
</template>

<style scoped>
.tile {
  min-width: 0;
  height: 100%;
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding: 4px 10px 8px;
  border: 1px solid var(--line);
  border-top: 5px solid var(--temper-bronze);
  border-radius: 8px;
  background: rgb(var(--v-theme-surface));
  font-size: 0.82rem;
  line-height: 1.25;
}
.waits {
  border: 2px solid rgb(var(--v-theme-on-surface));
  border-top-width: 6px;
  padding: 3px 9px 7px;
}
.read-now {
  border-top-color: rgb(var(--v-theme-success));
}
.away,
.empty {
  border-top-color: var(--steel-dark);
  background: none;
}
.out-of-service {
  border-top-color: var(--steel);
  background: repeating-linear-gradient(45deg, transparent 0 10px, rgba(var(--v-theme-on-surface), 0.06) 10px 20px);
}
.top {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 44px;
}
.badge {
  min-width: 44px;
  height: 44px;
  margin: 0 -5px 0 -9px;
  display: grid;
  place-items: center;
}
.badge span {
  min-width: 32px;
  padding: 4px 3px;
  border-radius: 7px;
  background: rgb(var(--v-theme-surface-variant));
  font-weight: 700;
  font-size: 1rem;
}
.beside {
  margin-left: auto;
  font-size: 0.9rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.ready {
  margin-left: auto;
  min-height: 44px;
  padding: 0 4px;
  font-weight: 600;
  color: rgb(var(--v-theme-primary));
}
.who {
  display: grid;
  gap: 1px;
  color: inherit;
  text-decoration: none;
  flex: 1;
  align-content: start;
}
.who:hover b {
  text-decoration: underline;
}
.who b {
  font-size: 0.98rem;
  font-weight: 650;
  line-height: 1.2;
  overflow-wrap: anywhere;
}
.rung,
.who .quiet {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.broken b {
  display: block;
  font-size: 0.98rem;
}
.today {
  display: grid;
  gap: 3px;
}
.late {
  color: var(--poor);
}
.bar {
  height: 5px;
  border-radius: 3px;
  background: rgb(var(--v-theme-surface-variant));
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--temper-straw);
}
</style>
