<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import {
  SHIPPED_BOOKS,
  withClause,
  withLine,
  type BookLine,
  type BookValue,
  type Clause,
  type CodeBook,
} from '~~/core/qualification'
import { bookGroups, sayDoubt, sayValue } from '~/components/house/bookGroups'
import { useLoader } from '~/composables/loader'
import { useSaving } from '~/composables/saving'
import { useCodeBooks } from '~/stores/codeBooks'
import { useCriteria } from '~/stores/criteria'
import { useSession } from '~/stores/session'

/** Code books for tests: the shipped ones to read, the school's copies to correct with its own code book at hand. */
const books = useCodeBooks()
const criteria = useCriteria()
const session = useSession()
useHead({ title: 'Codes · Fusilis' })
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([books.load(), criteria.load()])
})
onMounted(load)

const shownId = ref(SHIPPED_BOOKS[0]!.id)
const draft = shallowRef<{ book: CodeBook; baseVersion: number; retired: boolean } | null>(null)
const group = ref('Positions')
const why = ref('')
const { busy, refused, attempt } = useSaving()
const unread = reactive<Record<string, string>>({})

const own = computed(() => books.newest.find(one => one.book.id === shownId.value) ?? null)
const shown = computed(
  () =>
    draft.value?.book ?? own.value?.book ?? SHIPPED_BOOKS.find(book => book.id === shownId.value) ?? SHIPPED_BOOKS[0]!,
)
const list = computed(() => [
  ...books.newest.map(one => ({
    id: one.book.id,
    name: one.book.name,
    note: `the school’s own${one.retired ? ', retired' : `, version ${one.version}`}`,
  })),
  ...SHIPPED_BOOKS.map(book => ({ id: book.id, name: book.name, note: book.edition })),
])
const groups = computed(() => bookGroups(shown.value))
const lines = computed(() => groups.value.find(one => one.name === group.value)?.lines ?? groups.value[0]!.lines)
const metricOnly = computed(() => shown.value.unit === 'mm')
const checked = computed(() => {
  const all = groups.value.flatMap(one => one.lines)
  return { done: all.filter(line => line.source.remembered === 'checked').length, of: all.length }
})

function begin(copy: boolean) {
  draft.value = copy
    ? {
        book: { ...shown.value, id: uuid(), name: `${shown.value.name}, ours`.slice(0, 80) },
        baseVersion: 0,
        retired: false,
      }
    : { book: own.value!.book, baseVersion: own.value!.version, retired: own.value!.retired }
  why.value = ''
  refused.value = ''
  for (const path of Object.keys(unread)) unread[path] = ''
}
const edit = (book: CodeBook) => {
  if (draft.value) draft.value = { ...draft.value, book }
}
const setValue = (line: BookLine, value: BookValue) => edit(withLine(draft.value!.book, line, value))
const setClause = (line: BookLine, clause: Clause) => edit(withClause(draft.value!.book, line, clause))

async function save() {
  const edited = draft.value
  if (!edited) return
  const wrong =
    Object.values(unread).find(Boolean) ||
    (why.value.trim() === ''
      ? 'Say why: it is kept with the version'
      : edited.book.name.trim() === ''
        ? 'Give the book a name'
        : '')
  if (!(await attempt(wrong, () => books.save({ ...edited, why: why.value.trim() })))) return
  shownId.value = edited.book.id
  draft.value = null
}
</script>

<template>
  <div class="page wide">
    <header class="page-head">
      <h1>House</h1>
      <HouseTabs />
    </header>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="two">
      <nav class="panel books" aria-label="Code books">
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
      <section class="panel book" :aria-label="draft ? 'Editing' : shown.name">
        <div v-if="draft" class="head">
          <v-text-field
            label="Name"
            :model-value="draft.book.name"
            maxlength="80"
            hide-details
            @update:model-value="edit({ ...draft.book, name: $event })"
          />
          <v-text-field
            label="Edition"
            :model-value="draft.book.edition"
            maxlength="80"
            hide-details
            @update:model-value="edit({ ...draft.book, edition: $event })"
          />
          <v-select
            label="Visual by"
            :model-value="draft.book.criteriaId"
            hide-details
            :items="criteria.offered.map(set => ({ value: set.id, title: set.name }))"
            @update:model-value="edit({ ...draft.book, criteriaId: $event })"
          />
        </div>
        <div v-else class="title">
          <div>
            <h2>{{ shown.name }}</h2>
            <p class="quiet">
              {{ shown.edition
              }}<template v-if="own"
                >, version {{ own.version }} by {{ own.savedBy }}: {{ own.why }}. {{ checked.done }} of
                {{ checked.of }} lines checked</template
              ><template v-else
                >. From memory, check your copy: the code in force and the qualified inspector decide.</template
              >
            </p>
          </div>
          <v-btn v-if="session.isLead && own" color="primary" @click="begin(false)">Edit</v-btn>
          <v-btn
            v-if="session.isLead"
            :variant="own ? 'outlined' : 'flat'"
            :color="own ? undefined : 'primary'"
            @click="begin(true)"
            >Copy and edit</v-btn
          >
        </div>
        <v-tabs v-model="group" density="comfortable" show-arrows
          ><v-tab v-for="one in groups" :key="one.name" :value="one.name">{{ one.name }}</v-tab></v-tabs
        >
        <template v-if="draft">
          <BookLineField
            v-for="line in lines"
            :key="line.path"
            :line="line"
            :metric-only="metricOnly"
            @value="setValue(line, $event)"
            @clause="setClause(line, $event)"
            @problem="unread[line.path] = $event"
          />
          <v-text-field
            v-model="why"
            label="Why"
            maxlength="400"
            hint="Kept with the version; tests stay with the version they were judged by"
            persistent-hint
          />
          <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
          <div class="acts">
            <v-btn v-if="draft.baseVersion > 0" variant="text" @click="draft = { ...draft, retired: !draft.retired }">{{
              draft.retired ? 'Offer it again' : 'Retire it'
            }}</v-btn>
            <v-btn variant="text" @click="draft = null">Leave it</v-btn>
            <v-btn color="primary" :loading="busy" @click="save">Save the book</v-btn>
          </div>
        </template>
        <table v-else>
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Says</th>
              <th scope="col">Clause</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in lines" :key="line.path">
              <th scope="row">{{ line.name }}</th>
              <td class="num">{{ sayValue(line.value, metricOnly) }}</td>
              <td class="quiet">
                {{ line.source.clause }}<b v-if="sayDoubt(line)">{{ sayDoubt(line) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
  </div>
</template>

<style scoped>
.wide {
  max-width: 1400px;
}
.two {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.books {
  display: grid;
  padding: 8px;
}
.books button {
  min-height: 52px;
  padding: 6px 12px;
  border-radius: 8px;
  text-align: left;
  line-height: 1.25;
}
.books button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.books small {
  display: block;
  font-size: 0.82rem;
  opacity: 0.75;
}
.book {
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
  grid-template-columns: 1.2fr 1fr 1.2fr;
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
th,
td {
  text-align: left;
  padding: 7px 10px 7px 0;
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
  font-weight: 550;
}
tbody th::first-letter {
  text-transform: uppercase;
}
td b {
  margin-left: 8px;
  font-weight: 650;
  color: var(--ink);
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: 1fr;
  }
  .head {
    grid-template-columns: 1fr;
  }
}
</style>
