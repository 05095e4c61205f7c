<script setup lang="ts">
import { FAULTS, isFlaw, isTry, type Mark } from '~~/core/coupon'
import { discontinuityOf } from '~~/core/trade'
import { formatLength } from '~~/core/units'
import { useCouponBench } from '~/composables/couponBench'
import { LARGE_STEP, SMALL_STEP, useBenchActs } from '~/composables/benchActs'

/** The selected mark, and everything that can be done to it by touch; in one hand in one row, which is pushed along. */
const props = defineProps<{ mark: Mark | null; inHand?: boolean }>()
const bench = useCouponBench()
const hand = useBenchActs(bench)

const degrees = computed(() =>
  props.mark && isTry(props.mark) ? ['sound', 'workable', 'poor'] : ['light', 'plain', 'bad'],
)
const degree = computed(() => {
  if (!props.mark || props.mark.kind === 'reading') return -1
  return isTry(props.mark) ? ['sound', 'workable', 'poor'].indexOf(props.mark.degree) : props.mark.severity - 1
})
const isSpan = computed(
  () => props.mark !== null && isFlaw(props.mark) && discontinuityOf(props.mark.flaw).givenAs === 'span',
)
/** What the house calls a sound restart, said where one is graded. */
const sound = computed(() => {
  const { heightMm, widthMm, lineMm } = bench.rules.restartWithin
  const within = (mm: number) => formatLength(mm, bench.rules.unit)
  return `sound: height within ${within(heightMm)}, width ${within(widthMm)}, line ${within(lineMm)}, and clean`
})
const isJoin = computed(() => props.mark?.kind === 'restart' || props.mark?.kind === 'tie-in')
const forms = computed(() => (props.mark && isFlaw(props.mark) ? (discontinuityOf(props.mark.flaw).forms ?? []) : []))
const hasSide = computed(() => props.mark !== null && isFlaw(props.mark) && discontinuityOf(props.mark.flaw).sided)
</script>

<template>
  <section class="detail" :class="{ inHand }" aria-label="Selected mark">
    <p v-if="!mark" class="quiet">
      {{
        inHand
          ? 'Tap the place, then what is there. Only what is not sound.'
          : 'Choose a bead, go along it, press a letter. Only what is not sound needs marking.'
      }}
    </p>
    <template v-else>
      <div v-if="degree >= 0" class="row" role="group" aria-label="How bad">
        <button
          v-for="(name, index) in degrees"
          :key="name"
          type="button"
          :aria-pressed="degree === index"
          @click="hand.degree((index + 1) as 1 | 2 | 3)"
        >
          <kbd aria-hidden="true">{{ index + 1 }}</kbd> {{ name }}
        </button>
      </div>
      <div v-if="isTry(mark) && mark.degree !== 'sound'" class="row" role="group" aria-label="What is wrong">
        <button
          v-for="fault in FAULTS[mark.kind]"
          :key="fault"
          type="button"
          :aria-pressed="mark.fault === fault"
          @click="hand.setFault(mark, mark.fault === fault ? null : fault)"
        >
          {{ fault }}
        </button>
      </div>
      <div v-if="mark.kind === 'flaw' && forms.length > 0" class="row" role="group" aria-label="Which kind">
        <button
          v-for="form in forms"
          :key="form.id"
          type="button"
          :aria-pressed="mark.form === form.id"
          @click="hand.setForm(form.id)"
        >
          {{ form.id }}
        </button>
      </div>
      <p v-if="isJoin && degree === 0" class="quiet">{{ sound }}</p>
      <div class="row">
        <template v-if="isSpan">
          <button type="button" class="length" aria-label="Shorten the span" @click="hand.stretch(-SMALL_STEP)">
            [ shorter
          </button>
          <button type="button" class="length" aria-label="Stretch the span" @click="hand.stretch(LARGE_STEP)">
            longer ]
          </button>
        </template>
        <button v-if="hasSide" type="button" @click="hand.side">which toe</button>
        <button type="button" @click="hand.remove">take off</button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.detail {
  min-height: 58px;
  padding: 6px 14px;
  display: flex;
  align-items: center;
  gap: 6px 12px;
  overflow-x: auto;
}
.row {
  display: flex;
  gap: 5px;
  flex: none;
}
.row:last-child {
  margin-left: auto;
}
button {
  min-height: 44px;
  padding: 0 7px;
  border: 1px solid var(--line);
  border-radius: 9px;
  font-size: 0.9rem;
  font-weight: 550;
  white-space: nowrap;
  background: rgb(var(--v-theme-surface));
}
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
@media (max-width: 1000px) {
  .detail {
    flex-wrap: wrap;
  }
  .row {
    flex-wrap: wrap;
    flex: 1 1 auto;
  }
}
.detail.inHand {
  padding: 2px 10px 6px;
  min-height: 52px;
  flex-wrap: nowrap;
  scrollbar-width: none;
}
.inHand .row {
  flex: none;
  flex-wrap: nowrap;
}
.inHand button {
  min-width: 48px;
}
/* A span is pulled by its end: what is left is put behind the rest. */
.inHand .length {
  order: 1;
}
</style>
