<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { dayOf, wallTime } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePeople } from '~/stores/people'
import { messageOf } from '~/stores/request'
import { useTrail } from '~/stores/trail'

/** Who did what, and whose record it touched. Lines are added by the server, and no route changes one. */
const trail = useTrail()
const people = usePeople()
useHead({ title: 'Trail · Fusilis' })

const accountId = ref<string | null>(null)
const busy = ref(false)
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([people.loadAccounts(), trail.load(accountId.value)])
})
onMounted(load)

async function page(more: boolean) {
  busy.value = true
  await trail.load(accountId.value, more).catch((error: unknown) => {
    problem.value = messageOf(error)
  })
  busy.value = false
}
watch(accountId, () => page(false))
const when = (at: string) => `${spokenDay(dayOf(at))}, ${wallTime(at)}`
</script>

<template>
  <div class="page">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <template v-else>
      <div class="bar">
        <p class="quiet">Kept by the server as it is done. Lines are only ever added.</p>
        <v-select
          v-model="accountId"
          label="Who"
          hide-details
          density="compact"
          :items="[
            { value: null, title: 'everybody' },
            ...people.accounts.map(one => ({ value: one.id, title: one.name })),
          ]"
        />
      </div>
      <PageState v-if="trail.lines.length === 0" empty="Nothing has been done by this account yet." />
      <div v-else class="panel wrap">
        <table class="cards">
          <caption class="sr-only">
            Who did what
          </caption>
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">Who</th>
              <th scope="col">Did</th>
              <th scope="col">Whose</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in trail.lines" :key="line.id">
              <td class="num" data-name="When">{{ when(line.at) }}</td>
              <th scope="row">{{ line.who }}</th>
              <td data-name="Did">{{ line.did }}</td>
              <td v-if="line.student" data-name="Whose">
                <NuxtLink :to="`/record/${line.student.id}`">{{ line.student.name }}</NuxtLink>
              </td>
              <td v-else />
            </tr>
          </tbody>
        </table>
      </div>
      <v-btn v-if="trail.next !== null" class="again" variant="outlined" :loading="busy" @click="page(true)"
        >Earlier</v-btn
      >
    </template>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  margin-bottom: 12px;
}
.bar .v-select {
  flex: 0 1 240px;
}
.wrap {
  overflow-x: auto;
}
table {
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 9px 14px;
  font-weight: 400;
}
thead th {
  font-size: 0.88rem;
  color: var(--quiet);
  font-weight: 600;
  border-bottom: 1px solid var(--line);
}
tbody th {
  font-weight: 600;
}
tbody tr + tr > * {
  border-top: 1px solid var(--line);
}
.num {
  white-space: nowrap;
}
.again {
  margin-top: 14px;
}
@media screen and (max-width: 600px) {
  .cards {
    padding: 0 16px;
  }
}
</style>
