<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { observedOf, sayLimitRule, SHIPPED_SETS, type Criterion, type CriteriaSet } from '~~/core/criteria'
import type { SchoolCriteria } from '~~/contract/criteria'
import { useLoader } from '~/composables/loader'
import { useSaving } from '~/composables/saving'
import { useCriteria } from '~/stores/criteria'
import { useSession } from '~/stores/session'

/** Sets of criteria: the shipped ones to read, the school's own to edit with its code book at hand. */
const criteria = useCriteria()
const session = useSession()
useHead({ title: 'Criteria · Fusilis' })
const { loading, problem, load } = useLoader(() => criteria.load())
onMounted(load)

const shownId = ref(SHIPPED_SETS[0]!.id)
const draft = shallowRef<{ set: SchoolCriteria; baseVersion: number } | null>(null)
const why = ref('')
const { busy, refused, attempt } = useSaving()
const unread = ref('')

const own = computed(() => criteria.own.find(one => one.set.id === shownId.value) ?? null)
const shown = computed<CriteriaSet>(
  () => own.value?.set ?? SHIPPED_SETS.find(set => set.id === shownId.value) ?? SHIPPED_SETS[0]!,
)
const list = computed(() => [
  ...criteria.own.map(({ set }) => ({
    id: set.id,
    name: set.name,
    note: set.retired ? 'the school’s own, retired' : 'the school’s own',
  })),
  ...SHIPPED_SETS.map(set => ({
    id: set.id,
    name: set.name,
    note: criteria.offered.some(one => one.id === set.id) ? set.edition : 'superseded here',
  })),
])

function copySet() {
  draft.value = {
    set: {
      ...shown.value,
      id: uuid(),
      name: `${shown.value.name}, ours`.slice(0, 80),
      supersedes: own.value ? null : shown.value.id,
      retired: false,
    },
    baseVersion: 0,
  }
  why.value = ''
  refused.value = ''
}
function editSet() {
  if (own.value) draft.value = { set: own.value.set, baseVersion: own.value.version }
  why.value = ''
  refused.value = ''
}
function edit(part: Partial<SchoolCriteria>) {
  if (draft.value) draft.value = { ...draft.value, set: { ...draft.value.set, ...part } }
}
const editLine = (index: number, line: Criterion) =>
  edit({ criteria: draft.value!.set.criteria.map((one, n) => (n === index ? line : one)) })
const removeLine = (index: number) => edit({ criteria: draft.value!.set.criteria.filter((_, n) => n !== index) })
const addLine = () =>
  edit({
    criteria: [
      ...draft.value!.set.criteria,
      {
        id: `line ${draft.value!.set.criteria.length + 1}`,
        observed: 'arc strikes',
        limit: { is: 'none' },
        appliesTo: {},
        clause: 'school rule',
        certainty: 'common practice',
      },
    ],
  })

async function save() {
  const edited = draft.value
  if (!edited) return
  const wrong =
    unread.value ||
    (why.value.trim() === ''
      ? 'Say why: it is kept with the version'
      : edited.set.name.trim() === ''
        ? 'Give the set a name'
        : '')
  if (!(await attempt(wrong, () => criteria.save(edited.set, why.value.trim(), edited.baseVersion)))) return
  shownId.value = edited.set.id
  draft.value = null
}
</script>

<template>
  <div class="page">
    <header class="page-head">
      <h1>House</h1>
      <HouseTabs />
    </header>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="two">
      <nav class="panel sets" aria-label="Sets of criteria">
        <button
          v-for="one in list"
          :key="one.id"
          type="button"
          :aria-pressed="one.id === shownId && !draft"
          :disabled="draft !== null"
          @click="shownId = one.id"
        >
          <b>{{ one.name }}</b><small>{{ one.note }}</small>
        </button>
      </nav>
      <section v-if="draft" class="panel set" aria-label="Editing">
        <div class="head">
          <v-text-field
            label="Name"
            :model-value="draft.set.name"
            maxlength="80"
            hide-details
            @update:model-value="edit({ name: $event })"
          />
          <v-text-field
            label="Edition"
            :model-value="draft.set.edition"
            maxlength="80"
            hide-details
            @update:model-value="edit({ edition: $event })"
          />
        </div>
        <v-checkbox
          v-if="draft.set.supersedes"
          label="Takes the place of the shipped set"
          hide-details
          density="compact"
          :model-value="true"
          @update:model-value="edit({ supersedes: null })"
        />
        <CriterionEditor
          v-for="(line, index) in draft.set.criteria"
          :key="`${index} ${line.observed}`"
          :criterion="line"
          @change="editLine(index, $event)"
          @remove="removeLine(index)"
          @problem="unread = $event"
        />
        <div><v-btn variant="outlined" @click="addLine">Add a line</v-btn></div>
        <v-text-field v-model="why" label="Why" maxlength="400" hint="Kept with the version" persistent-hint />
        <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
        <div class="acts">
          <v-btn v-if="draft.baseVersion > 0" variant="text" @click="edit({ retired: !draft.set.retired })">{{
            draft.set.retired ? 'Offer it again' : 'Retire it'
          }}</v-btn>
          <v-btn variant="text" @click="draft = null">Leave it</v-btn>
          <v-btn color="primary" :loading="busy" @click="save">Save the set</v-btn>
        </div>
      </section>
      <section v-else class="panel set" :aria-label="shown.name">
        <div class="title">
          <div>
            <h2>{{ shown.name }}</h2>
            <p class="quiet">
              {{ shown.edition
              }}<template v-if="own">, version {{ own.version }} by {{ own.savedBy }}: {{ own.why }}</template
              ><template v-else
                >. From memory, check your copy: the code in force and the qualified inspector decide.</template
              >
            </p>
          </div>
          <v-btn v-if="session.isLead && own" color="primary" @click="editSet">Edit</v-btn>
          <v-btn
            v-if="session.isLead"
            :variant="own ? 'outlined' : 'flat'"
            :color="own ? undefined : 'primary'"
            @click="copySet"
            >Copy and edit</v-btn
          >
        </div>
        <table>
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Allowed</th>
              <th scope="col">Applies to</th>
              <th scope="col">Clause</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in shown.criteria" :key="line.id">
              <th scope="row">{{ observedOf(line.observed).name }}</th>
              <td class="num">{{ sayLimitRule(line.limit) }}</td>
              <td>
                {{
                  [
                    line.appliesTo.weld ? `${line.appliesTo.weld}s` : '',
                    line.appliesTo.overMm ? `over ${line.appliesTo.overMm} mm` : '',
                    line.appliesTo.upToMm ? `to ${line.appliesTo.upToMm} mm` : '',
                  ]
                    .filter(Boolean)
                    .join(', ') || 'all'
                }}
              </td>
              <td class="quiet">{{ line.clause }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.sets {
  display: grid;
  padding: 8px;
}
.sets button {
  min-height: 52px;
  padding: 6px 12px;
  border-radius: 8px;
  text-align: left;
  line-height: 1.25;
}
.sets button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.sets small {
  display: block;
  font-size: 0.82rem;
  opacity: 0.75;
}
.set {
  padding: 18px 20px;
  display: grid;
  gap: 10px;
  overflow-x: auto;
}
.title {
  display: flex;
  gap: 12px;
  align-items: start;
}
.title div {
  flex: 1;
}
h2 {
  font-size: 1.25rem;
  font-weight: 700;
}
.head {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 8px 10px;
  font-weight: 400;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
thead th {
  color: var(--quiet);
  font-size: 0.86rem;
  font-weight: 600;
  border-top: 0;
}
tbody th {
  font-weight: 600;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
