<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import type { DayPoint } from '~~/contract/record'
import { elementOf, type ElementId } from '~~/core/grading'
import { useShopTheme } from '~/composables/shopTheme'

/** Shares of sound work over the class days, by element. The table beside it says the same in figures. */
const props = defineProps<{ days: readonly DayPoint[] }>()
const Chart = defineAsyncComponent(() => import('vue3-apexcharts'))
const { isDark } = useShopTheme()

const SHOWN: readonly { id: ElementId, dash: number }[] = [{ id: 'start', dash: 0 }, { id: 'restart', dash: 0 }, { id: 'ends', dash: 6 }, { id: 'run', dash: 3 }]
const lines = computed(() => SHOWN
  .map(({ id, dash }) => ({
    id, dash, name: elementOf(id).name,
    data: props.days.filter(day => day.element === id && day.tried > 0).map(day => ({ x: new Date(`${day.classDay}T12:00:00`).getTime(), y: Math.round((100 * day.sound) / day.tried) })),
  }))
  .filter(line => line.data.length > 0))
const series = computed(() => lines.value.map(({ name, data }) => ({ name, data })))
const still = typeof window !== 'undefined' && window.matchMedia('(prefers-reduced-motion: reduce)').matches
const options = computed<ApexOptions>(() => ({
  chart: { type: 'line', toolbar: { show: false }, zoom: { enabled: false }, animations: { enabled: !still }, fontFamily: 'inherit', background: 'transparent', foreColor: isDark.value ? '#c9d2d6' : '#3b464c' },
  theme: { mode: isDark.value ? 'dark' : 'light' },
  colors: isDark.value ? ['#e0bd63', '#ee8d4d', '#c78bca', '#7fb0ee'] : ['#a87f10', '#a8541a', '#7b3f7d', '#24549a'],
  stroke: { width: 2.5, curve: 'straight', dashArray: lines.value.map(line => line.dash) },
  markers: { size: 4, strokeWidth: 0, shape: ['circle', 'diamond', 'square', 'triangle'] },
  xaxis: { type: 'datetime', labels: { style: { fontSize: '13px' }, datetimeUTC: false } },
  yaxis: { min: 0, max: 100, tickAmount: 4, labels: { style: { fontSize: '13px' }, formatter: (value: number) => `${value} %` } },
  legend: { position: 'top', horizontalAlign: 'left', fontSize: '14px' },
  grid: { borderColor: isDark.value ? '#3a474e' : '#d5dadd' },
  tooltip: { x: { format: 'ddd d MMM' } },
}))
</script>

<template>
  <figure class="panel chart" aria-label="Sound work over time, by element">
    <ClientOnly><Chart type="line" height="270" :options="options" :series="series" /></ClientOnly>
  </figure>
</template>

<style scoped>
.chart { padding: 10px 12px 0; min-height: 290px; }
</style>
