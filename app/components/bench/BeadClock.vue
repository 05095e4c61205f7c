<script setup lang="ts">
import { arcRun, arcVolts, atTheArc, settingsCard } from '~~/core/setup'
import { formatHeat, formatLength, formatSpeed, formatTime, type LengthUnit } from '~~/core/units'
import { cardCase, laneName, meanCurrent, passOf, thicknessOf } from '~~/core/coupon'
import { runAs } from '~~/core/trade'
import { useArcClock } from '~/composables/arcClock'
import { useCouponBench } from '~/composables/couponBench'

/**
 * How the bead at the cursor was run: its stopwatch, struck and broken by one key, or typed, with travel and heat
 * beside the card's; and where the panel was turned on the way.
 */
const props = defineProps<{ unit: LengthUnit }>()
const bench = useCouponBench()
const clock = useArcClock()
/** The bead that is being timed: the cursor may move on while the arc burns. */
const timing = ref('')
const typing = ref(false)
const typed = ref('')
const turnedTo = ref('')
const errors = reactive({ time: '', turned: '' })

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
  const { classification } = pass ?? ticket
  const currentA = atTheArc(meanCurrent(coupon, bead.value), ticket.panelOffsetA)
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
const turnWords = computed(() => {
  const turned = bead.value?.turned
  return turned ? `${turned.currentA} A from ${formatLength(turned.atMm, props.unit)}` : ''
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
/** Where the current was turned: as it was kept, else at the cursor. */
const turnedAtMm = computed(() => bead.value?.turned?.atMm ?? bench.cursor.atMm)
function keep() {
  const seconds = Number(typed.value.trim().replace(/s$/, ''))
  const amperes = Number(turnedTo.value)
  const timed = typed.value.trim() !== ''
  const turned = turnedTo.value.trim() !== ''
  errors.time = timed && !(seconds >= 0.5 && seconds <= 3600) ? 'Seconds, from 0.5 to 3600, like 36' : ''
  const fits = Number.isInteger(amperes) && amperes >= 10 && amperes <= 500
  errors.turned = turned && !fits ? 'Whole amperes, from 10 to 500' : ''
  if (errors.time || errors.turned || !bead.value) return
  const { id, arcSeconds, turned: before } = bead.value
  const at = { atMm: turnedAtMm.value, currentA: amperes }
  if (timed ? seconds !== arcSeconds : arcSeconds) bench.timeBead(id, timed ? seconds : null)
  if (turned ? amperes !== before?.currentA : before) bench.turnCurrent(id, turned ? at : null)
  typing.value = false
}
function open() {
  typed.value = bead.value?.arcSeconds ? String(bead.value.arcSeconds) : ''
  turnedTo.value = bead.value?.turned ? String(bead.value.turned.currentA) : ''
  Object.assign(errors, { time: '', turned: '' })
  typing.value = true
}
defineExpose({ press })
</script>

<template>
  <span v-if="timed" class="clock">
    <span v-if="(words || turnWords) && !clock.burning.value" class="num words"
      >{{ name }}: {{ [words, turnWords].filter(Boolean).join(', ') }}</span
    >
    <button type="button" class="num" :class="{ burning: clock.burning.value }" @click="press">
      <template v-if="clock.burning.value">break · {{ clock.seconds.value.toFixed(1) }} s</template
      ><template v-else>time {{ name }}</template> <kbd>Space</kbd>
    </button>
    <button type="button" @click="open">type it</button>
    <FormDialog
      v-if="typing"
      :heading="`How ${name} was run`"
      save="Keep it"
      :width="360"
      @submit="keep"
      @close="typing = false"
    >
      <v-text-field
        v-model="typed"
        label="Arc time"
        suffix="s"
        inputmode="decimal"
        :error-messages="errors.time"
        hint="Empty takes it off"
        persistent-hint
        autofocus
      />
      <v-text-field
        v-model="turnedTo"
        :label="`Current from ${formatLength(turnedAtMm, unit)} on`"
        suffix="A"
        inputmode="numeric"
        :error-messages="errors.turned"
        hint="Where the panel was turned on the way: put the cursor there first"
        persistent-hint
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
