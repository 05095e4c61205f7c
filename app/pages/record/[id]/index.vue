<script setup lang="ts">
import { causeOf } from '~~/core/diagnosis'
import { spokenDay } from '~~/core/calendar'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { useRecord, type CouponFilters } from '~/stores/record'
import { useSession } from '~/stores/session'

const route = useRoute()
const session = useSession()
const store = useRecord()
const houseRules = useHouseRules()
const studentId = computed(() => String(route.params.id))
const filters = ref<CouponFilters>({ position: null, rodFamily: null, verdict: null })
const busy = ref(false)

const { loading, problem, load } = useLoader(async () => {
  await Promise.all([houseRules.load(), store.load(studentId.value), store.loadCoupons(studentId.value, filters.value)])
})
onMounted(load)
const record = computed(() => (store.record?.student.id === studentId.value ? store.record : null))
useHead({ title: () => `${record.value?.student.name ?? 'Record'} · Fusilis` })

async function page(more: boolean) {
  busy.value = true
  await store.loadCoupons(studentId.value, filters.value, more).catch((error: Error) => {
    problem.value = error.message
  })
  busy.value = false
}
watch(filters, () => page(false))
const print = () => window.print()
</script>

<template>
  <div class="page">
    <PageState v-if="problem || (loading && !record)" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="record">
      <header class="page-head">
        <div>
          <h1>{{ record.student.name }}</h1>
          <p>
            {{ record.section }} · {{ record.student.hand }} hand · {{ record.coupons }} coupons since
            {{ spokenDay(record.student.startDate) }}
          </p>
        </div>
        <div class="push no-print"><RecordTabs :student-id="studentId" /></div>
        <v-btn class="no-print" variant="outlined" @click="print">Print</v-btn>
        <v-btn
          v-if="session.isStaff"
          class="no-print"
          color="primary"
          :to="{ path: '/bench', query: { student: record.student.id, section: record.student.sectionId } }"
          >Read a coupon</v-btn
        >
      </header>
      <PageState v-if="record.coupons === 0" empty="No coupon has been read yet." />
      <div v-else class="parts">
        <RateTable :evidence="record.evidence" :unit="houseRules.unit" />
        <div class="pair">
          <ProgressChart :days="record.days" />
          <section class="panel common">
            <h2>Seen most</h2>
            <ol>
              <li v-for="row in record.flaws" :key="row.flaw">
                <span>{{ row.flaw }}</span><b class="num">{{ row.count }}</b>
              </li>
            </ol>
            <template v-if="record.causes.length > 0"
              ><h2>Said to be</h2>
              <ol>
                <li v-for="row in record.causes" :key="row.cause">
                  <span>{{ causeOf(row.cause).name }}</span><b class="num">{{ row.count }}</b>
                </li>
              </ol></template
            >
            <template v-if="record.told.length > 0"
              ><h2>Told, and gone next time</h2>
              <ol>
                <li v-for="row in record.told" :key="row.cause">
                  <span>{{ causeOf(row.cause).name }}</span><b class="num">{{ row.gone }} of {{ row.seen }}</b>
                </li>
              </ol></template
            >
          </section>
        </div>
        <FirstAndLatest :key="studentId" :student-id="studentId" />
        <HoursPanel :key="studentId" :student-id="studentId" />
        <PadGrid v-if="record.grid.length > 0" :grid="record.grid" />
        <OwnReading :key="studentId" :student-id="studentId" :unit="houseRules.unit" />
        <CouponGallery
          v-model:filters="filters"
          :coupons="store.coupons"
          :more="store.next !== null"
          :busy="busy"
          :can-open="session.isStaff"
          :name="record.student.name"
          @more="page(true)"
        />
        <p class="quiet">A school’s training record. Intervals are exact binomial, 95 %. It certifies nothing.</p>
      </div>
      <OwnData :student-id="studentId" :name="record.student.name" />
    </template>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 16px;
}
.common {
  padding: 16px;
}

.common h2 + ol + h2,
.common h2:nth-of-type(2) {
  margin-top: 14px;
}
.common li {
  display: flex;
  justify-content: space-between;
  min-height: 36px;
  align-items: center;
}
.common li b {
  white-space: nowrap;
}
.common li::first-letter {
  text-transform: uppercase;
}
@media (max-width: 900px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
