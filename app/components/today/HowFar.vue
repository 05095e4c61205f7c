<script setup lang="ts">
import type { LadderRung, RungState } from '~~/core/ladder'

/** How far along the ladder a student is: rungs signed off, the one under way with its coupons, and those to come. */
const props = defineProps<{ rungs: readonly LadderRung[]; climb: readonly RungState[]; next: string | null }>()
const steps = computed(() =>
  props.climb.flatMap(state => {
    const rung = props.rungs.find(one => one.id === state.rungId)
    return rung ? [{ ...state, name: rung.name }] : []
  }),
)
const done = computed(() => steps.value.filter(step => step.status === 'signed off').length)
const SIGN = { 'signed off': '✓', 'ready': '●', 'open': '○', 'not yet': '–' } as const
const WORDS = { 'signed off': 'signed off', 'ready': 'ready for the instructor', 'open': 'open', 'not yet': 'later' }
</script>

<template>
  <section class="panel far" aria-label="How far along">
    <header>
      <h2>How far along</h2>
      <span class="quiet num">{{ done }} of {{ steps.length }} signed off</span>
    </header>
    <ol>
      <li
        v-for="step in steps"
        :key="step.rungId"
        :class="[step.status.replace(' ', '-'), { next: step.rungId === next }]"
        :title="WORDS[step.status]"
      >
        <span aria-hidden="true">{{ step.rungId === next ? '→' : SIGN[step.status] }}</span>
        {{ step.name }}
        <small v-if="step.status !== 'signed off' && step.coupons > 0" class="num">{{ step.good }} good</small>
        <span class="sr-only">{{ step.rungId === next ? 'next' : WORDS[step.status] }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.far {
  display: grid;
  gap: 10px;
  padding: 16px 18px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
}
li {
  padding: 4px 10px;
  border: 1px solid var(--line);
  border-radius: 999px;
  font-size: 0.92rem;
}
.signed-off {
  font-weight: 600;
}
.not-yet {
  color: var(--quiet);
  border-style: dashed;
}
.next {
  color: inherit;
  border: 2px solid currentColor;
  font-weight: 700;
}
</style>
