<script setup lang="ts">
import type { CodeBook } from '~~/core/qualification'
import { hasResult, minutesRun, testStanding, type WelderTest, type TestStep } from '~~/core/welderTest'
import { clockOf, useMoment } from '~/composables/shopClock'

/** What is next on a test, and its clock: the one loud thing of the page. */
const props = defineProps<{ document: WelderTest; book: CodeBook; step: TestStep; stepSaid: string }>()
defineEmits<{ act: []; stop: [] }>()
const now = useMoment()
const standing = computed(() => testStanding(props.document, props.book, props.step.is !== 'read'))
const minutes = computed(() => minutesRun(props.document, now.value))
const runs = computed(() => props.document.startedAt !== null && props.document.endedAt === null)
const stands = computed(() => props.document.stops.some(stop => stop.to === null))
const over = computed(() => props.document.limitMinutes !== null && minutes.value > props.document.limitMinutes)
const WORDS = { passed: 'Passed', failed: 'Not passed' } as const
</script>

<template>
  <section class="now" :class="standing.state.replace(' ', '-')" aria-label="What is next">
    <div class="clock num" role="timer">
      <b>{{ clockOf(minutes) }}</b><span
        >{{ stands ? 'the clock stands' : runs ? 'on the clock' : document.endedAt ? 'welded in' : 'not started'
        }}<template v-if="document.limitMinutes"> · limit {{ document.limitMinutes }} min</template></span
      ><em v-if="over">over the school’s limit</em>
    </div>
    <div class="say">
      <p v-if="standing.state === 'passed' || standing.state === 'failed'" class="result">
        {{ WORDS[standing.state] }}
      </p>
      <p v-for="reason in standing.reasons" :key="reason">{{ reason }}</p>
      <p class="next">{{ standing.next }}</p>
    </div>
    <div class="acts">
      <v-btn v-if="runs && !stands" variant="outlined" height="56" @click="$emit('stop')"
        >Stop <kbd class="key">P</kbd></v-btn
      >
      <v-btn
        color="primary"
        height="56"
        class="main"
        :variant="hasResult(standing.state) ? 'outlined' : 'flat'"
        @click="$emit('act')"
        >{{ stepSaid }} <kbd class="key">Enter</kbd></v-btn
      >
    </div>
  </section>
</template>

<style scoped>
.now {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 26px;
  padding: 16px 20px;
  border-radius: 12px;
  background: var(--say);
  color: #fff;
}
.clock {
  display: grid;
  min-width: 120px;
}
.clock b {
  font-size: 2rem;
  line-height: 1.1;
  font-weight: 700;
  letter-spacing: -0.01em;
}
.clock span {
  font-size: 0.86rem;
  opacity: 0.85;
}
.clock em {
  color: #ffcf8a;
  font-style: normal;
  font-weight: 650;
  font-size: 0.9rem;
}
.say {
  flex: 1;
  min-width: 220px;
  line-height: 1.4;
}
.result {
  font-size: 1.4rem;
  font-weight: 700;
}
.next {
  opacity: 0.9;
}
.failed .result {
  color: #ffb39f;
}
.acts {
  display: flex;
  gap: 10px;
}
.main {
  font-size: 1.05rem;
  font-weight: 650;
}
.acts :deep(.v-btn--variant-outlined) {
  color: #fff;
}
.key {
  margin-left: 10px;
}
@media (max-width: 600px) {
  .acts {
    width: 100%;
  }
  .acts .main {
    flex: 1;
  }
}
</style>
