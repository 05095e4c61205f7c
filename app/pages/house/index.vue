<script setup lang="ts">
import { consentWanting } from '~~/contract/guardianConsent'
import type { Account, Section, Student } from '~~/contract/people'
import { longDay } from '~~/core/calendar'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePeople } from '~/stores/people'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

const session = useSession()
const sections = useSections()
const people = usePeople()
useHead({ title: 'House · Fusilis' })

type Form =
  | { is: 'student'; student: Student | null }
  | { is: 'section'; section: Section | null }
  | { is: 'account'; account: Account | null }
  | { is: 'import' }
  | { is: 'erase'; student: Student }
  | null
const form = shallowRef<Form>(null)
const notice = ref('')

const { loading, problem, load } = useLoader(async () => {
  await sections.load()
  const id = sections.current?.id
  if (id) await Promise.all([people.loadStudents(id), people.loadConsents(id)])
  if (session.isLead) await people.loadAccounts()
})
onMounted(load)
watch(
  () => sections.current?.id,
  (id, before) => {
    if (before && id) void load()
  },
)

/** Which sections an account sees, in words. */
function seenBy({ role, sectionIds }: Account): string {
  if (role === 'student') return 'the own record'
  if (sectionIds === null) return 'all sections'
  const names = sections.all.filter(section => sectionIds.includes(section.id)).map(section => section.name)
  return names.join(', ') || 'no section yet'
}

async function done(said: string) {
  form.value = null
  notice.value = said
  await load()
}
</script>

<template>
  <div class="page">
    <HouseHead>
      <div class="push"><SectionChooser /></div>
      <v-btn v-if="session.isLead" variant="outlined" @click="form = { is: 'section', section: null }"
        >New section</v-btn
      >
    </HouseHead>
    <p class="quiet said" role="status">{{ notice }}</p>
    <PageState v-if="problem || (loading && !sections.loaded)" :problem="problem" :loading="loading" @again="load" />
    <PageState v-else-if="!sections.current" :empty="sections.none">
      <v-btn v-if="session.isLead" color="primary" @click="form = { is: 'section', section: null }"
        >Add the first section</v-btn
      >
    </PageState>
    <template v-else>
      <section class="panel block">
        <header>
          <h2>{{ sections.current.name }}</h2>
          <span class="quiet">{{ sections.current.termFrom }} to {{ sections.current.termTo }}</span>
          <v-btn v-if="session.isLead" variant="text" @click="form = { is: 'section', section: sections.current }"
            >Change section</v-btn
          >
          <v-btn class="push" variant="outlined" @click="form = { is: 'import' }">Import a list</v-btn>
          <v-btn color="primary" @click="form = { is: 'student', student: null }">Add student</v-btn>
        </header>
        <p v-if="people.students.length === 0" class="quiet none">Nobody is in this section yet.</p>
        <table v-else class="cards">
          <thead>
            <tr>
              <th>Name</th>
              <th>Booth</th>
              <th>Hand</th>
              <th>Since</th>
              <th />
            </tr>
          </thead>
          <tbody>
            <tr v-for="student in people.students" :key="student.id" :class="{ gone: !student.active }">
              <td class="whole">
                <NuxtLink :to="`/record/${student.id}`">{{ student.name }}</NuxtLink><small v-if="!student.active">
                  archived</small
                >
                <small v-if="consentWanting(people.consents.get(student.id), today())" class="wanting">
                  under age, no guardian’s word yet</small
                >
              </td>
              <td class="num" data-name="Booth">{{ student.booth ?? '–' }}</td>
              <td data-name="Hand">{{ student.hand }}</td>
              <td data-name="Since">{{ longDay(student.startDate) }}</td>
              <td class="end acts">
                <v-btn variant="text" :aria-label="`Change ${student.name}`" @click="form = { is: 'student', student }"
                  >Change</v-btn
                >
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="session.isLead" class="panel block">
        <header>
          <h2>Accounts</h2>
          <v-btn class="push" variant="outlined" @click="form = { is: 'account', account: null }">Add account</v-btn>
        </header>
        <table class="cards">
          <thead>
            <tr>
              <th>Name</th>
              <th>User name</th>
              <th>Role</th>
              <th>Sees</th>
              <th />
            </tr>
          </thead>
          <tbody>
            <tr v-for="account in people.accounts" :key="account.id" :class="{ gone: !account.active }">
              <td class="whole">{{ account.name }}<small v-if="!account.active"> may not sign in</small></td>
              <td data-name="User name">{{ account.username }}</td>
              <td data-name="Role">{{ account.role }}</td>
              <td data-name="Sees">{{ seenBy(account) }}</td>
              <td class="end acts">
                <v-btn
                  variant="text"
                  :aria-label="`Change the account of ${account.name}`"
                  @click="form = { is: 'account', account }"
                  >Change</v-btn
                >
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <template v-if="session.isLead">
        <SchoolClock />
        <StaffCodes />
        <IdleScreens />
        <ProgrammeHours />
        <RecordsKept />
        <LastBackup />
      </template>
    </template>
    <StudentForm
      v-if="form?.is === 'student' && sections.current"
      :student="form.student"
      :sections="sections.all"
      :section-id="sections.current.id"
      @done="done('Student saved')"
      @erase="form = { is: 'erase', student: $event }"
      @close="form = null"
    />
    <ErasePerson
      v-if="form?.is === 'erase'"
      :student="form.student"
      @done="done('The person is erased')"
      @close="form = null"
    />
    <SectionForm
      v-if="form?.is === 'section'"
      :section="form.section"
      @done="done('Section saved')"
      @close="form = null"
    />
    <AccountForm
      v-if="form?.is === 'account'"
      :account="form.account"
      :students="people.students"
      :sections="sections.all"
      @done="done('Account saved')"
      @close="form = null"
    />
    <RosterImport
      v-if="form?.is === 'import' && sections.current"
      :section="sections.current"
      @done="done(`${$event} students imported`)"
      @close="form = null"
    />
  </div>
</template>

<style scoped>
.wanting {
  color: var(--poor);
}
.said:empty {
  display: none;
}
.said {
  margin-bottom: 10px;
}
.block {
  margin-bottom: 18px;
  overflow-x: auto;
}
.block > header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  padding: 12px 16px;
  border-bottom: 1px solid var(--line);
}
.block h2 {
  font-size: 1.1rem;
  font-weight: 650;
}
.push {
  margin-left: auto;
}
th,
td {
  text-align: left;
  padding: 4px 16px;
  min-height: 44px;
}
@media screen and (max-width: 600px) {
  .cards {
    padding: 0 16px;
  }
}
thead th {
  font-size: 0.85rem;
  color: var(--quiet);
  font-weight: 600;
  padding-top: 8px;
}
td a {
  color: inherit;
  font-weight: 600;
  text-decoration: none;
}
td a:hover {
  text-decoration: underline;
}
.end {
  text-align: right;
}
.gone {
  color: var(--quiet);
}
.none {
  padding: 24px 16px;
}
</style>
