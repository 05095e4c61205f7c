<script setup lang="ts">
import { wallAfter } from '~~/core/calendar'
import { stepsOf, wantedOf, type PlanConflict, type PlanCase, type PlannedCoupon } from '~~/core/dayPlan'

/**
 * The day drawn: a row for each booth, time across. A coupon is dragged to its place, or picked up by a tap and put
 * down by another; by keys the arrows move it and Delete takes it out.
 */
const lines = defineModel<readonly PlannedCoupon[]>({ required: true })
/** What is picked up: a line that stands, or a coupon that is not in the plan yet. */
const picked = defineModel<PlannedCoupon | null>('picked', { required: true })
const props = defineProps<{
  wanted: PlanCase
  from: string
  conflicts: readonly PlanConflict[]
  nameOf: (studentId: string) => string
}>()

const step = computed(() => props.wanted.terms.stepMinutes)
const steps = computed(() => stepsOf(props.wanted))
const hours = computed(() =>
  Array.from({ length: steps.value }, (_, n) => n * step.value).filter(minute => minute % 30 === 0),
)
const booths = computed(() =>
  [...new Set([...props.wanted.booths.map(one => one.booth), ...lines.value.map(line => line.booth)])].sort(
    (a, b) => a - b,
  ),
)
const rows = computed(() =>
  booths.value.map(booth => ({
    booth,
    own: lines.value.flatMap((line, n) => (line.booth === booth ? [{ line, n }] : [])),
  })),
)
const bad = computed(() => new Map(props.conflicts.flatMap(({ lines: of, says }) => of.map(n => [n, says] as const))))
const couponOf = (line: PlannedCoupon) => wantedOf(props.wanted, line)?.name ?? 'not open'
const across = (minute: number) => `${(100 * minute) / (steps.value * step.value)}%`
const sayLine = (line: PlannedCoupon) =>
  `${props.nameOf(line.studentId)}: ${couponOf(line)}, booth ${line.booth}, ${wallAfter(props.from, line.from)} to ` +
  wallAfter(props.from, line.from + line.minutes)

/** Puts what is picked up down: what a person puts stays there when the day is planned again. */
function put(line: PlannedCoupon, booth: number, from: number) {
  const last = steps.value * step.value - line.minutes
  const moved = { ...line, booth, from: Math.max(0, Math.min(last, from)), pinned: true }
  lines.value = lines.value.includes(line)
    ? lines.value.map(one => (one === line ? moved : one))
    : [...lines.value, moved]
  picked.value = null
  return moved
}
function takeOut(line: PlannedCoupon) {
  lines.value = lines.value.filter(one => one !== line)
  picked.value = null
}

const minuteAt = (event: MouseEvent) => {
  const { left, width } = (event.currentTarget as HTMLElement).getBoundingClientRect()
  return (steps.value * step.value * (event.clientX - left)) / width
}
const whole = (minute: number) => step.value * Math.floor(minute / step.value)
let grabbed = 0
function grab(event: DragEvent, line: PlannedCoupon) {
  picked.value = line
  grabbed = (line.minutes * event.offsetX) / (event.currentTarget as HTMLElement).clientWidth
  event.dataTransfer?.setData('text/plain', sayLine(line))
}
const drop = (event: DragEvent, booth: number) =>
  picked.value && put(picked.value, booth, step.value * Math.round((minuteAt(event) - grabbed) / step.value))
const tapRow = (event: MouseEvent, booth: number) => picked.value && put(picked.value, booth, whole(minuteAt(event)))

const chart = useTemplateRef<HTMLElement>('chart')
const ALONG: Readonly<Record<string, readonly [later: number, down: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
async function press(event: KeyboardEvent, line: PlannedCoupon) {
  if (event.key === 'Escape') picked.value = null
  if (event.key === 'Delete' || event.key === 'Backspace') return (event.preventDefault(), takeOut(line))
  const way = ALONG[event.key]
  if (!way) return
  event.preventDefault()
  const booth = booths.value[booths.value.indexOf(line.booth) + way[1]] ?? line.booth
  const moved = put(line, booth, line.from + way[0] * step.value)
  await nextTick()
  chart.value?.querySelector<HTMLElement>(`[data-line="${lines.value.indexOf(moved)}"]`)?.focus()
}
</script>

<template>
  <div ref="chart" class="chart" :style="{ '--steps': steps }">
    <div class="row head" aria-hidden="true">
      <span />
      <div class="time">
        <span v-for="minute in hours" :key="minute" class="num" :style="{ left: across(minute) }">{{
          wallAfter(from, minute)
        }}</span>
      </div>
    </div>
    <div v-for="{ booth, own } in rows" :key="booth" class="row" role="group" :aria-label="`Booth ${booth}`">
      <span class="booth num">{{ booth }}</span>
      <div
        class="lane"
        :class="{ open: picked }"
        @click="tapRow($event, booth)"
        @dragover.prevent
        @drop.prevent="drop($event, booth)"
      >
        <div
          v-for="shown in wanted.terms.shown"
          :key="`${shown.from} ${shown.topic}`"
          class="shown"
          :title="shown.topic"
          :style="{ left: across(shown.from), width: across(shown.minutes) }"
        />
        <button
          v-for="{ line, n } in own"
          :key="`${line.studentId} ${line.rungId} ${line.nth}`"
          type="button"
          class="coupon"
          :class="{ bad: bad.has(n), pinned: line.pinned, picked: picked === line }"
          :style="{ left: across(line.from), width: across(line.minutes) }"
          :data-line="n"
          :aria-label="bad.has(n) ? `${sayLine(line)}. ${bad.get(n)}` : sayLine(line)"
          :aria-pressed="picked === line"
          draggable="true"
          @click.stop="picked = picked === line ? null : line"
          @keydown="press($event, line)"
          @dragstart="grab($event, line)"
        >
          <b>{{ nameOf(line.studentId) }}</b>
          <span>{{ bad.has(n) ? `▲ ${couponOf(line)}` : couponOf(line) }}</span>
        </button>
      </div>
    </div>
  </div>
  <div v-if="picked && lines.includes(picked)" class="held no-print">
    <p>
      <b>{{ nameOf(picked.studentId) }}</b>, {{ couponOf(picked) }}: tap where it goes, or
    </p>
    <v-btn variant="outlined" @click="takeOut(picked)">Take it out</v-btn>
    <v-btn variant="text" @click="picked = null">Leave it</v-btn>
  </div>
</template>

<style scoped>
.chart {
  display: grid;
  gap: 3px;
  overflow-x: auto;
}
.row {
  display: grid;
  grid-template-columns: 34px minmax(640px, 1fr);
  align-items: stretch;
}
.booth {
  font-weight: 700;
  align-self: center;
}
.time {
  position: relative;
  height: 1.5rem;
  font-size: 0.85rem;
  color: var(--quiet);
}
.time span {
  position: absolute;
}
.lane {
  position: relative;
  height: 50px;
  border-radius: 6px;
  background:
    repeating-linear-gradient(to right, var(--line) 0 1px, transparent 1px calc(100% / var(--steps))),
    rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
}
.lane.open {
  cursor: copy;
  border-style: dashed;
  border-color: rgb(var(--v-theme-primary));
}
.shown {
  position: absolute;
  inset-block: 0;
  background: repeating-linear-gradient(45deg, var(--line) 0 4px, transparent 4px 9px);
}
.lane .coupon {
  position: absolute;
  inset-block: 2px;
  display: grid;
  align-content: center;
  padding: 0 8px 0 11px;
  text-align: left;
  line-height: 1.2;
  font-size: 0.88rem;
  overflow: hidden;
  border-radius: 5px;
  border: 1px solid var(--steel-dark);
  border-left: 5px solid var(--temper-bronze);
  background: rgb(var(--v-theme-background));
}
.coupon b,
.coupon span {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.lane .pinned {
  border-left-color: var(--temper-blue);
}
.lane .bad {
  border: 2px solid var(--poor);
  border-left-width: 5px;
}
.lane .coupon:focus-visible {
  z-index: 1;
}
.lane .picked {
  outline: 3px solid rgb(var(--v-theme-primary));
  outline-offset: 1px;
  z-index: 1;
}
.held {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding-top: 8px;
}
@media print {
  .lane {
    height: 38px;
  }
}
</style>
