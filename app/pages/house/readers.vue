<script setup lang="ts">
import { kappa, sayKappa, type AgreementTable } from '~~/core/statistics'
import { discontinuityOf, type DiscontinuityId } from '~~/core/trade'
import type { ReadersAgreement } from '~~/contract/blindReadings'
import { spokenDay } from '~~/core/calendar'
import { useLoader } from '~/composables/loader'
import { useBlindReadings } from '~/stores/blindReadings'

/** Where the school's instructors read alike and where they differ, and what waits for a second reader. */
const readings = useBlindReadings()
useHead({ title: 'Readers · Fusilis' })
const agreement = ref<ReadersAgreement | null>(null)
const { loading, problem, load } = useLoader(async () => {
  agreement.value = await readings.agreement()
})
onMounted(load)

const DIFFER = 0.6
const FEWEST_COUPONS = 2
/** Places that either reader marked: all but those that both took for sound. */
const marked = (table: AgreementTable) => table.flat().reduce((sum, value) => sum + value, 0) - table[0]![0]!
function lineOf(name: string, tables: readonly AgreementTable[], weights: 'none' | 'quadratic') {
  const found = kappa(tables, weights)
  const interval =
    found.kappa === null
      ? ''
      : tables.length < FEWEST_COUPONS
        ? 'not from one coupon'
        : `${found.low.toFixed(2)} to ${found.high.toFixed(2)}`
  return {
    name,
    found,
    interval,
    marked: tables.reduce((sum, table) => sum + marked(table), 0),
    value: found.kappa?.toFixed(2) ?? '–',
    word: sayKappa(found.kappa),
    differ: found.kappa !== null && found.high < DIFFER,
  }
}
const pairs = computed(() =>
  (agreement.value?.pairs ?? []).map(({ first, second, coupons, tallies }) => ({
    key: `${first} ${second}`,
    first,
    second,
    coupons,
    lines: [
      lineOf('Sound or not, all of it', tallies.all, 'none'),
      ...Object.entries(tallies.tries).map(([kind, tables]) =>
        lineOf(`${kind[0]!.toUpperCase()}${kind.slice(1)}s, by degree`, tables, 'quadratic'),
      ),
      ...Object.entries(tallies.flaws).map(([id, tables]) =>
        lineOf(discontinuityOf(id as DiscontinuityId).name, tables, 'none'),
      ),
    ],
  })),
)
</script>

<template>
  <div class="page">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="agreement">
      <section class="panel block">
        <h2>Waiting for a second reader</h2>
        <p v-if="agreement.waiting.length === 0" class="quiet">Nothing that others have read is waiting for you.</p>
        <ul v-else class="waiting">
          <li v-for="coupon in agreement.waiting" :key="coupon.couponId">
            <span
              ><b>{{ coupon.rung }}</b
              >{{ ' ' }}
              <span class="quiet"
                >{{ coupon.student }}, {{ spokenDay(coupon.classDay) }}, read by {{ coupon.readBy }}</span
              ></span
            >
            <v-btn
              variant="outlined"
              :to="{ path: '/second-reading', query: { coupon: coupon.couponId } }"
              :aria-label="`Read blind: the ${coupon.rung} of ${coupon.student}`"
              >Read blind</v-btn
            >
          </li>
        </ul>
      </section>
      <MarkedShares v-if="agreement.marks.length > 1" :marks="agreement.marks" />
      <WidthsHeld />
      <p v-if="pairs.length === 0" class="quiet none">No coupon has been read by two instructors yet.</p>
      <section v-for="pair in pairs" :key="pair.key" class="panel block">
        <h2>
          {{ pair.second }} after {{ pair.first }}
          <span class="quiet">{{ pair.coupons }} {{ pair.coupons === 1 ? 'coupon' : 'coupons' }}</span>
        </h2>
        <table class="lines">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Kappa</th>
              <th scope="col">95 % interval</th>
              <th scope="col">Agreement</th>
              <th scope="col">Marked by either</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in pair.lines" :key="line.name" :class="{ differ: line.differ }">
              <th scope="row">{{ line.name }}</th>
              <td class="num">{{ line.value }}</td>
              <td class="num">{{ line.interval }}</td>
              <td>{{ line.differ ? `▲ ${line.word}: talk it over` : line.word }}</td>
              <td class="num">{{ line.marked }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <p class="quiet none">
        Cohen’s kappa; weighted by squares for degrees. Every try and every inch of bead counts once. The intervals
        leave out a coupon at a time, as marks on one coupon are alike. The words are convention only.
      </p>
    </template>
  </div>
</template>

<style scoped>
.block {
  padding: 16px;
  margin-bottom: 14px;
  overflow-x: auto;
}
h2 {
  font-size: 1.15rem;
  font-weight: 700;
  margin-bottom: 6px;
}
h2 span {
  font-weight: 450;
  font-size: 0.95rem;
  margin-left: 8px;
}
.waiting {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 420px), 1fr));
  gap: 4px 24px;
}
.waiting li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 52px;
  border-bottom: 1px solid var(--line);
}
.waiting .quiet {
  display: block;
  font-size: 0.9rem;
}
.differ th,
.differ td {
  font-weight: 650;
}
.none {
  padding: 6px 0;
}
</style>
