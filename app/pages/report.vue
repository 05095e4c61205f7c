<script setup lang="ts">
import type { ReportRow, SectionReport } from '~~/contract/progress'
import { arcHours, boothHours, ratesInWords, reportCsv, sayWelded } from '~/papers/reportLines'
import { reportPdf, type ReportPage } from '~/papers/reportPdf'
import { spokenDay } from '~~/core/calendar'
import { useLoader } from '~/composables/loader'
import { saveFile } from '~/composables/saveFile'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { messageOf } from '~/stores/request'
import { useSections } from '~/stores/sections'

/** The section's report: attendance, rungs, rates in words; on paper, as a spreadsheet, or a page for each student. */
const sections = useSections()
const progress = useProgress()
const houseRules = useHouseRules()
const drawings = useTemplateRef('drawings')
useHead({ title: 'Report · Fusilis' })

const report = shallowRef<SectionReport | null>(null)
/** Without it some spreadsheets take UTF-8 for something else. */
const BYTE_ORDER_MARK = '\uFEFF'
const busy = ref('')
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([houseRules.load(), sections.loaded ? undefined : sections.load()])
  if (sections.current) report.value = await progress.reportOf(sections.current.id)
})
onMounted(load)
watch(
  () => sections.current?.id,
  (id, before) => {
    if (before && id) void load()
  },
)

const unit = computed(() => houseRules.unit)
const elements = computed(() => [
  ...new Set(report.value?.rows.flatMap(row => row.rates.map(rate => rate.element)) ?? []),
])
const wordsOf = (row: ReportRow, element: string) => ratesInWords(row).find(one => one.element === element)?.words ?? ''

const csv = () =>
  saveFile(
    new Blob([BYTE_ORDER_MARK, reportCsv(report.value!.rows, unit.value)], { type: 'text/csv;charset=utf-8' }),
    `${report.value!.section}.csv`,
  )
async function pdf(rows: readonly ReportRow[], name: string) {
  busy.value = name
  problem.value = ''
  try {
    const pages: ReportPage[] = []
    for (const row of rows) pages.push({ row, beside: await drawings.value!.firstAndLatest(row.student.id) })
    const { school, section } = report.value!
    saveFile(await reportPdf(pages, { school, section, unit: unit.value }), `${name}.pdf`)
  } catch (error) {
    problem.value = `The PDF could not be made: ${messageOf(error)}`
  } finally {
    busy.value = ''
  }
}
const print = () => window.print()
</script>

<template>
  <div class="page">
    <header class="page-head">
      <div>
        <h1>Report</h1>
        <p v-if="report">{{ report.section }}</p>
      </div>
      <div class="push no-print"><SectionChooser /></div>
      <template v-if="report && report.rows.length > 0">
        <v-btn class="no-print" variant="outlined" @click="print">Print</v-btn>
        <v-btn class="no-print" variant="outlined" @click="csv">Spreadsheet</v-btn>
        <v-btn
          class="no-print"
          color="primary"
          :loading="busy === report.section"
          @click="pdf(report.rows, report.section)"
          >PDF, a page each</v-btn
        >
      </template>
    </header>
    <PageState v-if="problem || (loading && !report)" :problem="problem" :loading="loading" @again="load" />
    <PageState v-else-if="report && report.rows.length === 0" empty="Nobody is in this section yet." />
    <div v-else-if="report" class="panel wrap">
      <table class="cards">
        <thead>
          <tr>
            <th scope="col">Student</th>
            <th scope="col">Attendance</th>
            <th scope="col">Welded</th>
            <th scope="col">Rungs</th>
            <th v-for="element in elements" :key="element" scope="col">{{ element }}</th>
            <th class="no-print"><span class="sr-only">PDF</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in report.rows" :key="row.student.id">
            <th scope="row">
              <NuxtLink :to="`/record/${row.student.id}`">{{ row.student.name }}</NuxtLink>
            </th>
            <td class="num" data-name="Attendance">
              {{ row.days }} days, {{ boothHours(row.boothMinutes) }} h<small v-if="row.lastDay"
                >{{ row.coupons }} coupons, last {{ spokenDay(row.lastDay) }}</small
              >
            </td>
            <td class="num" data-name="Welded">
              {{ sayWelded(row.weldedMm, unit) }}<small>about {{ arcHours(row.weldedMm) }} h of arc</small>
            </td>
            <td data-name="Rungs">
              {{ row.signedOff.length }} signed off<small>on {{ row.current ?? 'none: all done' }}</small>
            </td>
            <td v-for="element in elements" :key="element" :data-name="element">{{ wordsOf(row, element) }}</td>
            <td class="no-print acts">
              <v-btn
                variant="text"
                :loading="busy === row.student.name"
                :aria-label="`PDF of ${row.student.name}`"
                @click="pdf([row], row.student.name)"
                >PDF</v-btn
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p class="quiet">
        A school’s training record; it certifies nothing. Words stand for what the next coupon is expected to bring; arc
        time is reckoned from the length of bead at 8 in a minute.
      </p>
    </div>
    <PaperDrawings ref="drawings" />
  </div>
</template>

<style scoped>
.wrap {
  padding: 12px 16px 16px;
  overflow-x: auto;
}
th,
td {
  text-align: left;
  padding: 7px 10px 7px 0;
  font-weight: 400;
  vertical-align: top;
}
thead th {
  color: var(--quiet);
  font-size: 0.88rem;
  font-weight: 600;
  white-space: nowrap;
}
tbody tr > * {
  border-top: 1px solid var(--line);
}
tbody th {
  font-weight: 600;
}
tbody th a {
  color: inherit;
  text-decoration: none;
  display: inline-flex;
  min-height: 32px;
}
small {
  display: block;
  color: var(--quiet);
  font-size: 0.84rem;
}
p {
  padding-top: 12px;
  font-size: 0.9rem;
}
</style>
