<script setup lang="ts">
import type { ToldInSchool } from '~~/contract/causes'
import { longDay } from '~~/core/calendar'
import { dayOf } from '~/composables/shopClock'
import { CAUSES, schoolPriors, type CauseCounts, type CauseId } from '~~/core/diagnosis'
import { useLoader } from '~/composables/loader'
import { useSaving } from '~/composables/saving'
import { useCauses } from '~/stores/causes'
import { useSession } from '~/stores/session'

/** How likely each cause is before anything is seen: as shipped, and as this school's instructors have moved it. */
const causes = useCauses()
const session = useSession()
useHead({ title: 'Causes · Fusilis' })
const told = shallowRef<ToldInSchool>({ causes: [], tellers: [] })
const { loading, problem, load } = useLoader(async () => {
  const [found] = await Promise.all([causes.told(), causes.load()])
  told.value = found
})
onMounted(load)

const asking = ref(false)
const why = ref('')
const { busy, refused, attempt } = useSaving()
const said = computed(() => CAUSES.reduce((sum, { id }) => sum + (causes.said.said[id] ?? 0), 0))
const changes = computed(() => Object.values(causes.said.made))
const made = computed(() => changes.value.reduce((sum, one) => sum + one.made, 0))
const helped = computed(() => changes.value.reduce((sum, one) => sum + one.helped, 0))
const saidText = computed(() =>
  said.value === 0
    ? 'Nobody has said a cause yet. Say what it was on the Bench, and the odds follow.'
    : `Instructors have said the cause of ${said.value} ${said.value === 1 ? 'coupon' : 'coupons'}.`,
)
const madeText = computed(() =>
  made.value === 0
    ? 'Whether a change was made is one key on the next coupon: those that help move the odds too.'
    : `${helped.value} of ${made.value} changes that students made helped: that moves the odds too.`,
)
const rows = computed(() => {
  const now = schoolPriors(causes.said.school)
  const tallies = new Map(told.value.causes.map(row => [row.cause, row]))
  return CAUSES.map((cause, index) => ({
    ...cause,
    now: now[index]!,
    said: causes.said.said[cause.id] ?? 0,
    expected: expectedToBeSaid(cause.id),
    made: causes.said.made[cause.id] ?? null,
    told: tallies.get(cause.id) ?? null,
  })).sort((a, b) => b.now - a.now)
})
/** Of all sayings, without the changes that students made. */
function expectedToBeSaid(id: CauseId): number {
  const of = (counts: CauseCounts) => counts[id]?.expected ?? 0
  return of(causes.said.school) - of(causes.said.made)
}
const most = computed(() => rows.value[0]?.now ?? 1)
const percent = (chance: number) => `${(chance * 100).toFixed(1)} %`
const day = (at: string) => longDay(dayOf(at))

async function reset() {
  if (!(await attempt(why.value.trim() === '' ? 'Say why: it is kept' : '', () => causes.reset(why.value.trim()))))
    return
  asking.value = false
  why.value = ''
}
</script>

<template>
  <div class="page">
    <HouseHead>
      <div class="push" />
      <v-btn v-if="session.isLead && said + made > 0" variant="outlined" @click="asking = true">Begin anew</v-btn>
    </HouseHead>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <template v-else>
      <p class="quiet lead" role="status">
        {{ saidText }} {{ madeText }}
        <template v-if="causes.said.reset">
          Begun anew by {{ causes.said.reset.by }} on {{ day(causes.said.reset.at) }}:
          {{ causes.said.reset.why }}.</template
        >
      </p>
      <div class="panel wrap">
        <table>
          <caption class="sr-only">
            Causes, before anything is seen
          </caption>
          <thead>
            <tr>
              <th scope="col">Cause</th>
              <th scope="col">Here</th>
              <th scope="col">As shipped</th>
              <th scope="col">Said</th>
              <th scope="col">Told, and gone next time</th>
              <th scope="col">The change</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.id">
              <th scope="row">{{ row.name }}</th>
              <td class="num">
                <span class="bar"><i :style="{ width: `${(100 * row.now) / most}%` }" /></span>{{ percent(row.now) }}
              </td>
              <td class="num">{{ percent(row.prior) }}</td>
              <td class="num">
                {{ row.said }}<small v-if="said > 0">{{ row.expected.toFixed(1) }} expected</small
                ><small v-if="row.made">{{ row.made.helped }} of {{ row.made.made }} changes helped</small>
              </td>
              <td class="num">
                <template v-if="row.told"
                  >{{ row.told.gone }} of {{ row.told.seen
                  }}<small v-if="row.told.alone !== null"
                    >left alone {{ Math.round(row.told.alone * 100) }} %</small
                  ></template
                ><template v-else>–</template>
              </td>
              <td class="change">{{ row.change }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <section v-if="told.tellers.length > 0" class="panel tellers" aria-label="By who told it">
        <h2>By who told it</h2>
        <ul>
          <li v-for="one in told.tellers" :key="one.name">
            <span>{{ one.name }}</span><b class="num">{{ one.gone }} of {{ one.seen }}</b>
          </li>
        </ul>
        <p class="quiet">
          Faults that a change was told for, and how many were gone, or half gone, on the next coupon of the same piece,
          position and rod. Faults that were left alone go too, as hands learn: hold the two against each other.
        </p>
      </section>
    </template>
    <FormDialog
      v-if="asking"
      heading="Begin anew"
      save="Begin anew"
      :busy="busy"
      :message="refused"
      danger
      @submit="reset"
      @close="asking = false"
    >
      <p>
        The odds go back to what was shipped, and follow what is said and what helps from now on. What was said stays
        with its coupons.
      </p>
      <v-text-field v-model="why" label="Why" maxlength="400" autofocus />
    </FormDialog>
  </div>
</template>

<style scoped>
.lead {
  margin-bottom: 12px;
}
.wrap {
  overflow-x: auto;
}
th,
td {
  text-align: left;
  padding: 9px 14px;
  vertical-align: middle;
  font-weight: 400;
}
thead th {
  font-size: 0.88rem;
  color: var(--quiet);
  font-weight: 600;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
tbody th {
  font-weight: 600;
  white-space: nowrap;
}
tbody tr + tr > * {
  border-top: 1px solid var(--line);
}
.num {
  white-space: nowrap;
}
.bar {
  display: inline-block;
  width: 110px;
  height: 8px;
  border-radius: 4px;
  margin-right: 10px;
  background: rgb(var(--v-theme-surface-variant));
  overflow: hidden;
  vertical-align: middle;
}
.bar i {
  display: block;
  height: 100%;
  background: rgb(var(--v-theme-secondary));
}
td small {
  display: block;
  color: var(--quiet);
}
.tellers {
  margin-top: 16px;
  padding: 16px;
  max-width: 560px;
}
.tellers h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
.tellers li {
  display: flex;
  justify-content: space-between;
  min-height: 36px;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.tellers p {
  padding-top: 8px;
  font-size: 0.92rem;
}
.change {
  color: var(--quiet);
  font-size: 0.92rem;
  min-width: 240px;
}
/* A tablet shows the figures; how they compare is for a wider screen. */
@media (max-width: 960px) {
  .bar {
    display: none;
  }
}
</style>
