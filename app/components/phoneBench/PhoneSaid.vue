<script setup lang="ts">
import { useBench } from '~/stores/bench'

/** The verdict and the one change, always in view, and the question that tells most. A tap opens the whole reading. */
defineEmits<{ open: [] }>()
const bench = useBench()
const change = computed(() => bench.coupon?.nextRun ?? bench.reading?.nextRun ?? '')
const likeliest = computed(() => {
  const [first, second] = bench.reading?.causes ?? []
  if (!first) return ''
  const percent = (odds: number) => `${Math.round(odds * 100)} %`
  const one = `${first.cause.name.toLowerCase()} ${percent(first.odds)}`
  return second && !bench.reading!.clear ? `${one}, ${second.cause.name.toLowerCase()} ${percent(second.odds)}` : one
})
</script>

<template>
  <section class="said" aria-label="Reading">
    <button type="button" class="change" aria-label="Open the whole reading" @click="$emit('open')">
      <VerdictSign v-if="bench.grade" :verdict="bench.grade.verdict" :size="26" />
      <span
        ><b>{{ change }}</b
        ><small v-if="likeliest">{{ likeliest }}</small></span
      >
    </button>
    <div v-if="bench.question" class="ask" role="group" aria-label="Ask the student">
      <p>{{ bench.question.ask }}</p>
      <button type="button" @click="bench.answer(bench.question.sign, 'no')">no</button>
      <button type="button" @click="bench.answer(bench.question.sign, 'yes')">yes</button>
    </div>
  </section>
</template>

<style scoped>
.said {
  margin: 0 10px;
  padding: 8px 12px;
  border-radius: 12px;
  background: var(--say);
  color: #fff;
}
.change {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  width: 100%;
  min-height: 44px;
  text-align: left;
}
.change span {
  display: grid;
  min-width: 0;
}
b {
  font-size: 1rem;
  font-weight: 650;
  line-height: 1.25;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
  line-clamp: 3;
  overflow: hidden;
}
small {
  color: #c3cdd2;
  font-size: 0.82rem;
}
.ask {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-top: 4px;
}
.ask p {
  flex: 1;
  font-size: 0.9rem;
  line-height: 1.2;
}
.ask button {
  min-width: 56px;
  min-height: 44px;
  border-radius: 9px;
  font-weight: 650;
  background: rgba(255, 255, 255, 0.16);
}
</style>
