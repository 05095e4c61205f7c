<script setup lang="ts">
import { daysBetween } from '~~/core/calendar'
import type { RungState } from '~~/core/ladder'
import { awayFor } from './boardOrder'

/** One rung of one student: how far along by temper colour, how many coupons, and how lately. */
const props = defineProps<{ state: RungState; who: string; rung: string; today: string }>()
defineEmits<{ open: [] }>()

const heat = computed(() => {
  const { status, share, coupons } = props.state
  if (status === 'signed off') return 'blue'
  if (status === 'ready') return 'purple'
  if (coupons === 0) return status === 'open' ? 'next' : 'cold'
  return share >= 0.5 ? 'bronze' : 'straw'
})
const WEEK = 7
const lately = computed(() => {
  if (props.state.lastDay === null) return 0
  const days = daysBetween(props.state.lastDay, props.today)
  return days <= WEEK ? 1 : days <= 3 * WEEK ? 0.45 : 0
})
const said = computed(() => {
  const { who, rung, state, today } = props
  const stands = `${who}, ${rung}: ${state.status}`
  if (state.coupons === 0) return stands
  return `${stands}, ${state.coupons} coupons, last ${awayFor(state.lastDay, today)}${lately.value < 1 ? ' ago' : ''}`
})
</script>

<template>
  <button type="button" :class="['cell', heat]" :aria-label="said" :title="said" @click="$emit('open')">
    <span v-if="state.coupons > 0" class="num">{{ state.coupons }}</span>
    <i v-if="lately > 0" class="lately" :style="{ width: `${lately * 100}%` }" />
  </button>
</template>

<style scoped>
.cell {
  position: relative;
  display: grid;
  place-items: center;
  width: 100%;
  height: 30px;
  border-radius: 5px;
  font-size: 0.86rem;
  font-weight: 650;
  overflow: hidden;
}
.cold {
  background: rgba(var(--v-theme-on-surface), 0.04);
}
.next {
  border: 1px dashed var(--quiet);
}
.straw {
  background: var(--temper-straw);
  color: #20282c;
}
.bronze {
  background: var(--temper-bronze);
  color: #fff;
}
.purple {
  background: var(--temper-purple);
  color: #fff;
  box-shadow:
    inset 0 0 0 2px #fff,
    inset 0 0 0 3px var(--temper-purple);
}
.blue {
  background: var(--temper-blue);
  color: #fff;
}
.lately {
  position: absolute;
  left: 0;
  bottom: 0;
  height: 4px;
  background: currentColor;
  opacity: 0.75;
}
</style>
