<script setup lang="ts">
import { spokenMonth, spokenDay } from '~~/core/calendar'
import { addTallies } from '~~/core/agreement'
import { kappa, sayKappa } from '~~/core/statistics'
import type { CouponDocument } from '~~/core/coupon'
import { nameOfCard, answersSummary, type AnswersSummary } from '~~/core/readingRoom'
import type { LengthUnit } from '~~/core/units'
import type { BlindReadingSummary } from '~~/contract/blindReadings'
import { useCoupons } from '~/stores/coupons'
import { useBlindReadings } from '~/stores/blindReadings'
import { useReadingRoom } from '~/stores/readingRoom'
import { messageOf } from '~/stores/request'

/** How well a student reads own welds: agreement with the instructor over time, and each reading laid over. */
const props = defineProps<{ studentId: string; unit: LengthUnit }>()
const readings = useBlindReadings()
const practice = useReadingRoom()
const shownBeads = ref<AnswersSummary | null>(null)
const coupons = useCoupons()
const own = ref<BlindReadingSummary[]>([])
const problem = ref('')
const shown = shallowRef<{ title: string; reference: CouponDocument; reading: CouponDocument } | null>(null)

onMounted(async () => {
  try {
    const [mine, answers] = await Promise.all([
      readings.ofStudent(props.studentId),
      practice.ofStudent(props.studentId),
    ])
    own.value = mine
    shownBeads.value = answersSummary(answers)
  } catch (error) {
    problem.value = messageOf(error)
  }
})

const SHOWN_LAST = 6
const last = computed(() => own.value.slice(-SHOWN_LAST).reverse())
/** Pooled by month: single coupons hold too little to say anything. */
const months = computed(() =>
  [...new Set(own.value.map(one => one.classDay.slice(0, 7)))].map(month => {
    const of = own.value.filter(one => one.classDay.startsWith(month))
    return {
      month: spokenMonth(month),
      coupons: of.length,
      found: kappa(addTallies(of.map(one => one.tally)).all),
    }
  }),
)
const all = computed(() => (own.value.length > 0 ? kappa(addTallies(own.value.map(one => one.tally)).all) : null))
/** How sure it is; one coupon says nothing of that. */
const interval = computed(() =>
  all.value && own.value.length > 1 ? ` (${all.value.low.toFixed(2)} to ${all.value.high.toFixed(2)})` : '',
)
/** Minus one to one, as percent of the line; only from nothing up is drawn. */
const along = (value: number) => `${Math.max(0, value) * 100}%`

async function show(one: BlindReadingSummary) {
  problem.value = ''
  try {
    const [coupon, kept] = await Promise.all([coupons.find(one.couponId), readings.ofCoupon(one.couponId)])
    shown.value = {
      title: `${one.rung}, ${spokenDay(one.classDay)}`,
      reference: coupon.document,
      reading: kept.find(reading => reading.id === one.id)!.document,
    }
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <section v-if="own.length > 0 || shownBeads?.shown || problem" class="panel own" aria-label="Reads own welds">
    <header>
      <h2 class="section-title">Reads own welds</h2>
      <p v-if="all" class="quiet">
        {{
          all.kappa === null
            ? 'Too little marked to say'
            : `Agreement beyond chance ${all.kappa.toFixed(2)}${interval}, ${sayKappa(all.kappa)}`
        }}, {{ own.length }} {{ own.length === 1 ? 'coupon' : 'coupons' }}
      </p>
    </header>
    <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
    <p v-if="shownBeads?.rate">
      Reading room: {{ shownBeads.shown }} beads, {{ shownBeads.named }} of the last {{ shownBeads.late }} named ({{
        Math.round(shownBeads.rate.low * 100)
      }}
      to {{ Math.round(shownBeads.rate.high * 100) }} %)<template v-if="shownBeads.mixedUp"
        >; takes “{{ nameOfCard(shownBeads.mixedUp.card) }}” for “{{
          nameOfCard(shownBeads.mixedUp.takenFor)
        }}”</template
      >
    </p>
    <div v-if="own.length > 0" class="pair">
      <ul class="months" aria-label="By month">
        <li v-for="month in months" :key="month.month">
          <span>{{ month.month }}</span>
          <span class="line" aria-hidden="true"
            ><i
              v-if="month.found.kappa !== null"
              class="range"
              :style="{ left: along(month.found.low), right: `calc(100% - ${along(month.found.high)})` }" /><b
              v-if="month.found.kappa !== null"
              :style="{ left: along(month.found.kappa) }"
          /></span>
          <span class="num">{{ month.found.kappa === null ? '–' : month.found.kappa.toFixed(2) }}</span>
        </li>
      </ul>
      <table>
        <thead>
          <tr>
            <th scope="col">Coupon</th>
            <th scope="col">Found</th>
            <th scope="col">Missed</th>
            <th scope="col">Imagined</th>
            <th scope="col">Misjudged</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in last" :key="one.id">
            <th scope="row">
              <button type="button" @click="show(one)">{{ one.rung }}, {{ spokenDay(one.classDay) }}</button
              ><small v-if="one.stage === 'before chipping'"> before chipping</small>
            </th>
            <td class="num">{{ one.outcomes.found }}</td>
            <td class="num">{{ one.outcomes.missed }}</td>
            <td class="num">{{ one.outcomes.imagined }}</td>
            <td class="num">{{ one.outcomes.misjudged }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <v-dialog
      v-if="shown"
      :model-value="true"
      max-width="1040"
      :aria-label="shown.title"
      @update:model-value="shown = null"
    >
      <div class="panel dialog">
        <h2>{{ shown.title }}</h2>
        <LaidOver :reference="shown.reference" :reading="shown.reading" reader="the student" :unit="unit" /><v-btn
          color="primary"
          @click="shown = null"
          >Close</v-btn
        >
      </div>
    </v-dialog>
  </section>
</template>

<style scoped>
.own {
  padding: 16px;
  display: grid;
  gap: 10px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) minmax(0, 2fr);
  gap: 24px;
  align-items: start;
}
.months li {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) 44px;
  gap: 10px;
  align-items: center;
  min-height: 40px;
  font-size: 0.95rem;
}
.line {
  position: relative;
  height: 10px;
  border-radius: 5px;
  background: rgb(var(--v-theme-surface-variant));
}
.range {
  position: absolute;
  top: 0;
  bottom: 0;
  border-radius: 5px;
  background: rgb(var(--v-theme-secondary));
  opacity: 0.45;
}
.line b {
  position: absolute;
  width: 4px;
  top: -4px;
  bottom: -4px;
  margin-left: -2px;
  border-radius: 2px;
  background: currentColor;
}
.num {
  text-align: right;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 2px 8px;
  text-align: left;
  font-weight: 400;
  border-top: 1px solid var(--line);
}
td.num,
thead th:not(:first-child) {
  text-align: right;
}
thead th {
  color: var(--quiet);
  font-size: 0.86rem;
  font-weight: 600;
  border-top: 0;
}
button {
  min-height: 44px;
  text-align: left;
  text-decoration: underline;
}
small {
  color: var(--quiet);
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.dialog {
  padding: 20px;
  display: grid;
  gap: 12px;
  max-height: 92dvh;
  overflow: auto;
}
@media (max-width: 900px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
