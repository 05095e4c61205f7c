<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { observedOf, sayLimitRule, SHIPPED_SETS, type Criterion, type CriteriaSet } from '~~/core/criteria'
import type { SchoolCriteria } from '~~/contract/criteria'
import { useLoader } from '~/composables/loader'
import { useVersionedDraft } from '~/composables/versionedDraft'
import { useCriteria } from '~/stores/criteria'
import { useSession } from '~/stores/session'

/** Sets of criteria: the shipped ones to read, the school's own to edit with its code book at hand. */
const criteria = useCriteria()
const session = useSession()
useHead({ title: 'Criteria · Fusilis' })
const { loading, problem, load } = useLoader(() => criteria.load())
onMounted(load)

const shownId = ref(SHIPPED_SETS[0]!.id)
const { draft, why, busy, refused, begin, edit: put, leave, save } = useVersionedDraft<SchoolCriteria>('criteria')
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

const copySet = () =>
  begin(
    {
      ...shown.value,
      id: uuid(),
      name: `${shown.value.name}, ours`.slice(0, 80),
      supersedes: own.value ? null : shown.value.id,
      retired: false,
    },
    0,
  )
const editSet = () => own.value && begin(own.value.set, own.value.version)
function edit(part: Partial<SchoolCriteria>) {
  if (draft.value) put({ ...draft.value.sheet, ...part })
}
const editLine = (index: number, line: Criterion) =>
  edit({ criteria: draft.value!.sheet.criteria.map((one, n) => (n === index ? line : one)) })
const removeLine = (index: number) => edit({ criteria: draft.value!.sheet.criteria.filter((_, n) => n !== index) })
const addLine = () =>
  edit({
    criteria: [
      ...draft.value!.sheet.criteria,
      {
        id: `line ${draft.value!.sheet.criteria.length + 1}`,
        observed: 'arc strikes',
        limit: { is: 'none' },
        appliesTo: {},
        clause: 'school rule',
        certainty: 'common practice',
      },
    ],
  })

async function keep() {
  const edited = draft.value?.sheet
  if (!edited) return
  const wrong = unread.value || (edited.name.trim() === '' ? 'Give the set a name' : '')
  if (await save(wrong, ({ sheet, why: said, baseVersion }) => criteria.save(sheet, said, baseVersion)))
    shownId.value = edited.id
}
</script>

<template>
  <div class="page">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="two">
      <SheetList v-model:shown-id="shownId" label="Sets of criteria" :sheets="list" :locked="draft !== null" />
      <section v-if="draft" class="panel set" aria-label="Editing">
        <div class="head">
          <v-text-field
            label="Name"
            :model-value="draft.sheet.name"
            maxlength="80"
            hide-details
            @update:model-value="edit({ name: $event })"
          />
          <v-text-field
            label="Edition"
            :model-value="draft.sheet.edition"
            maxlength="80"
            hide-details
            @update:model-value="edit({ edition: $event })"
          />
        </div>
        <v-checkbox
          v-if="draft.sheet.supersedes"
          label="Takes the place of the shipped set"
          hide-details
          density="compact"
          :model-value="true"
          @update:model-value="edit({ supersedes: null })"
        />
        <CriterionEditor
          v-for="(line, index) in draft.sheet.criteria"
          :key="`${index} ${line.observed}`"
          :criterion="line"
          @change="editLine(index, $event)"
          @remove="removeLine(index)"
          @problem="unread = $event"
        />
        <div><v-btn variant="outlined" @click="addLine">Add a line</v-btn></div>
        <SaveVersion
          v-model:why="why"
          save="Save the set"
          :busy="busy"
          :wrong="refused ? [refused] : []"
          :retired="draft.baseVersion > 0 ? draft.sheet.retired : null"
          @retire="edit({ retired: !draft.sheet.retired })"
          @leave="leave"
          @save="keep"
        />
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
        <table class="lines">
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
th,
td {
  vertical-align: top;
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
