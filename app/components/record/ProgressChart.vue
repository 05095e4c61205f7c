<script setup lang="ts">
import { mondayOf } from '~~/core/calendar'
import type { ApexOptions } from 'apexcharts'
import type { DayPoint } from '~~/contract/record'
import { elementOf, ELEMENTS, type ElementId } from '~~/core/grading'
import { binomialInterval } from '~~/core/statistics'
import { useShopTheme } from '~/composables/shopTheme'

/**
 * The learning curve of one element: sound tries by the week, with what so few allow. The table beside it says the
 * same in figures.
 */
const props = defineProps<{ days: readonly DayPoint[] }>()
const Chart = defineAsyncComponent(() => import('vue3-apexcharts'))
const { isDark } = useShopTheme()

const COUNTED = ELEMENTS.filter(element => element.counted === 'tries')
const offered = computed(() =>
  COUNTED.filter(element => props.days.some(day => day.element === element.id && day.tried > 0)),
)
const chosen = ref<ElementId | null>(null)
const element = computed(
  () => chosen.value ?? offered.value.find(one => one.id === 'restart')?.id ?? offered.value[0]?.id ?? null,
)

/** A week's tries together: a single day holds too few to say anything. */
const weeks = computed(() => {
  const found = new Map<string, { tried: number; sound: number }>()
  for (const day of props.days.filter(one => one.element === element.value && one.tried > 0)) {
    const week = mondayOf(day.classDay)
    const sum = found.get(week) ?? { tried: 0, sound: 0 }
    found.set(week, { tried: sum.tried + day.tried, sound: sum.sound + day.sound })
  }
  return [...found].map(([week, { tried, sound }]) => ({
    week: Date.parse(week),
    share: percent(sound / tried),
    ...intervalOf(sound, tried),
  }))
})
const percent = (share: number) => Math.round(share * 100)
const intervalOf = (sound: number, tried: number) => {
  const { low, high } = binomialInterval(Math.round(sound), Math.round(tried))
  return { range: [percent(low), percent(high)] as [number, number] }
}
const series = computed(() => [
  { name: '95 % interval', type: 'rangeArea', data: weeks.value.map(({ week, range }) => ({ x: week, y: range })) },
  {
    name: element.value ? `${elementOf(element.value).name}, by the week` : '',
    type: 'line',
    data: weeks.value.map(({ week, share }) => ({ x: week, y: share })),
  },
])
const still = typeof window !== 'undefined' && window.matchMedia('(prefers-reduced-motion: reduce)').matches
const options = computed<ApexOptions>(() => ({
  chart: {
    type: 'rangeArea',
    toolbar: { show: false },
    zoom: { enabled: false },
    animations: { enabled: !still },
    fontFamily: 'inherit',
    background: 'transparent',
    foreColor: isDark.value ? '#c9d2d6' : '#3b464c',
  },
  theme: { mode: isDark.value ? 'dark' : 'light' },
  colors: isDark.value ? ['#7fb0ee', '#7fb0ee'] : ['#24549a', '#24549a'],
  stroke: { width: [0, 2.5], curve: 'straight' },
  fill: { opacity: [0.22, 1] },
  dataLabels: { enabled: false },
  markers: { size: [0, 5], strokeWidth: 0 },
  xaxis: { type: 'datetime', labels: { style: { fontSize: '13px' }, datetimeUTC: false } },
  yaxis: {
    min: 0,
    max: 100,
    tickAmount: 4,
    labels: { style: { fontSize: '13px' }, formatter: (value: number) => `${value} %` },
  },
  legend: { position: 'top', horizontalAlign: 'left', fontSize: '14px' },
  grid: { borderColor: isDark.value ? '#3a474e' : '#d5dadd' },
  tooltip: { x: { format: "'week of' d MMM" } },
}))
</script>

<template>
  <figure class="panel chart" aria-label="Sound tries over time">
    <div class="choose" role="group" aria-label="Element">
      <button
        v-for="one in offered"
        :key="one.id"
        type="button"
        :aria-pressed="one.id === element"
        @click="chosen = one.id"
      >
        {{ one.name }}
      </button>
    </div>
    <ClientOnly
      ><Chart :key="element ?? ''" type="rangeArea" height="250" :options="options" :series="series"
    /></ClientOnly>
  </figure>
</template>

<style scoped>
.chart {
  padding: 10px 12px 0;
  min-height: 290px;
}
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.choose button {
  min-height: 44px;
  padding: 0 12px;
  border-radius: 10px;
  font-weight: 550;
}
.choose button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
</style>
