<script setup lang="ts">
import { arcRun, arcVolts, atTheArc, settingsCard } from '~~/core/setup'
import { formatHeat, formatSpeed, formatTime, type LengthUnit } from '~~/core/units'
import { cardCase, laneName, passOf, thicknessOf } from '~~/core/coupon'
import { runAs } from '~~/core/trade'
import { useArcClock } from '~/composables/arcClock'
import { useCouponBench } from '~/composables/couponBench'

/**
 * The stopwatch of the bead at the cursor: strike and break by one key, or typed; travel and heat beside the
 * card's.
 */
const props = defineProps<{ unit: LengthUnit }>()
const bench = useCouponBench()
const clock = useArcClock()
/** The bead that is being timed: the cursor may move on while the arc burns. */
const timing = ref('')
const typing = ref(false)
const typed = ref('')
const error = ref('')

const bead = computed(
  () => bench.coupon?.beads.find(one => one.id === (clock.burning.value ? timing.value : bench.cursor.beadId)) ?? null,
)
const name = computed(() => (bench.coupon && bead.value ? laneName(bench.coupon, bead.value.id) : ''))
/** A bare rod has no card of its own, and a root is not run from its far side. */
const timed = computed(() => bead.value?.face !== 'root' && bench.pass?.process !== 'GTAW')
const run = computed(() => {
  const { coupon } = bench
  if (!coupon || !bead.value?.arcSeconds || !timed.value) return null
  const { ticket, piece } = coupon
  const pass = passOf(coupon, bead.value)
  const { classification, currentA: panelA } = pass ?? ticket
  const currentA = atTheArc(panelA, ticket.panelOffsetA)
  const card = settingsCard(
    pass
      ? cardCase(coupon, pass)
      : { ...ticket, position: runAs(ticket.position), joint: 'pad', pass: 'bead', thicknessMm: thicknessOf(piece) },
    bench.rules,
  )
  return arcRun({
    lengthMm: bead.value.toMm - bead.value.fromMm,
    seconds: bead.value.arcSeconds,
    currentA,
    volts: arcVolts(classification, currentA).middle,
    targetMmPerMin: card.travelMmPerMin,
  })
})
const words = computed(() => {
  if (!run.value || !bead.value) return ''
  const off = Math.round((run.value.ofTarget - 1) * 100)
  const beside =
    Math.abs(off) < 10
      ? 'on the card'
      : off > 100
        ? 'over twice the card'
        : `${Math.abs(off)} % ${off > 0 ? 'fast' : 'slow'}`
  const { travelMmPerMin, kjPerMm } = run.value
  return [
    formatTime(bead.value.arcSeconds!),
    formatSpeed(travelMmPerMin, props.unit),
    formatHeat(kjPerMm, props.unit),
    beside,
  ].join(', ')
})

function press() {
  if (!clock.burning.value) {
    timing.value = bench.cursor.beadId
    return clock.strike()
  }
  const seconds = clock.breakArc()!
  if (seconds >= 0.5 && seconds <= 3600) bench.timeBead(timing.value, seconds)
}
function keep() {
  const text = typed.value.trim().replace(/s$/, '').trim()
  const seconds = Number(text)
  if (text !== '' && !(seconds >= 0.5 && seconds <= 3600)) {
    error.value = 'Seconds, from 0.5 to 3600, like 36'
    return
  }
  if (bead.value) bench.timeBead(bead.value.id, text === '' ? null : seconds)
  typing.value = false
}
function open() {
  typed.value = bead.value?.arcSeconds ? String(bead.value.arcSeconds) : ''
  error.value = ''
  typing.value = true
}
defineExpose({ press })
</script>

<template>
  <span v-if="timed" class="clock">
    <span v-if="words && !clock.burning.value" class="num words">{{ name }}: {{ words }}</span>
    <button type="button" class="num" :class="{ burning: clock.burning.value }" @click="press">
      <template v-if="clock.burning.value">break · {{ clock.seconds.value.toFixed(1) }} s</template
      ><template v-else>time {{ name }}</template> <kbd>Space</kbd>
    </button>
    <button type="button" @click="open">type it</button>
    <FormDialog
      v-if="typing"
      :heading="`Arc time of ${name}`"
      save="Keep the time"
      :width="360"
      @submit="keep"
      @close="typing = false"
    >
      <v-text-field
        v-model="typed"
        label="Arc time"
        suffix="s"
        inputmode="decimal"
        :error-messages="error"
        hint="Empty takes it off"
        persistent-hint
        autofocus
      />
    </FormDialog>
  </span>
</template>

<style scoped>
.clock {
  display: flex;
  align-items: center;
  gap: 4px 10px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.words {
  color: rgb(var(--v-theme-on-background));
  font-weight: 600;
}
button {
  min-height: 44px;
  padding: 0 8px;
  border-radius: 8px;
  font-weight: 550;
  color: rgb(var(--v-theme-on-background));
}
.burning {
  background: var(--say);
  color: #fff;
}
</style>
