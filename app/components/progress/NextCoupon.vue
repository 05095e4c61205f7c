<script setup lang="ts">
import { dayOf } from '~/composables/shopClock'
import type { Proposal } from '~~/core/readiness'
import type { StudentProgress } from '~~/contract/progress'
import { spokenDay } from '~~/core/calendar'

/** The one dark panel: what to run next, and why; the instructor may pin something else. */
const props = defineProps<{
  proposals: readonly Proposal[]
  progress: StudentProgress
  canPin: boolean
  busy: boolean
}>()
const emit = defineEmits<{ pin: [rungId: string | null, over: string] }>()

const first = computed(() => props.proposals[0] ?? null)
/** An instructor may pin, and reads it in counts of tests. */
const why = computed(() => (props.canPin ? first.value?.why : first.value?.toStudent))
const pinned = computed(() =>
  props.progress.pin
    ? (props.progress.ladder.ladder.rungs.find(rung => rung.id === props.progress.pin!.rungId) ?? null)
    : null,
)
const choosing = ref(false)
const open = computed(() =>
  props.progress.climb
    .filter(state => state.status === 'open' || state.status === 'ready')
    .map(state => props.progress.ladder.ladder.rungs.find(rung => rung.id === state.rungId)!),
)
function pin(rungId: string | null) {
  choosing.value = false
  emit('pin', rungId, first.value?.rung.name ?? '')
}
</script>

<template>
  <section class="say" aria-label="Next coupon">
    <template v-if="pinned">
      <p class="kind">Next coupon, pinned</p>
      <h2>{{ pinned.name }}</h2>
      <p>
        By {{ progress.pin!.by }}, {{ spokenDay(dayOf(progress.pin!.at))
        }}<template v-if="progress.pin!.over">, over {{ progress.pin!.over }}</template
        >.
      </p>
      <p v-if="first && first.rung.id !== pinned.id" class="quiet-on">Proposed: {{ first.rung.name }}. {{ why }}.</p>
    </template>
    <template v-else-if="first">
      <p class="kind">Next coupon</p>
      <h2>{{ first.rung.name }}</h2>
      <p>{{ why }}.</p>
      <p v-if="proposals[1]" class="quiet-on">
        Or
        {{
          proposals
            .slice(1, 3)
            .map(one => one.rung.name)
            .join(', or ')
        }}.
      </p>
    </template>
    <template v-else
      ><p class="kind">Next coupon</p>
      <h2>Every rung is signed off</h2></template
    >
    <div v-if="canPin" class="acts">
      <button v-if="pinned" type="button" :disabled="busy" @click="pin(null)">Take the pin out</button>
      <button type="button" :disabled="busy" :aria-expanded="choosing" @click="choosing = !choosing">
        Pin another
      </button>
    </div>
    <ul v-if="choosing" aria-label="Rungs that are open">
      <li v-for="rung in open" :key="rung.id">
        <button type="button" @click="pin(rung.id)">{{ rung.name }}</button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.say {
  background: var(--say);
  color: #fff;
  border-radius: 12px;
  padding: 18px;
  display: grid;
  gap: 6px;
  align-content: start;
}
.kind {
  font-size: 0.9rem;
  opacity: 0.85;
}
h2 {
  font-size: 1.5rem;
  font-weight: 700;
  letter-spacing: -0.01em;
}
h2::first-letter {
  text-transform: uppercase;
}
.quiet-on {
  opacity: 0.85;
}
.acts {
  display: flex;
  gap: 8px;
  padding-top: 8px;
}
.acts button,
li button {
  min-height: 44px;
  padding: 4px 14px;
  border: 1px solid rgba(255, 255, 255, 0.5);
  border-radius: 10px;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
:focus-visible {
  outline-color: #e2a052;
}
</style>
