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
import { useVersionedDraft } from '~/composables/versionedDraft'
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
interface BookSheet {
  readonly book: CodeBook
  readonly retired: boolean
}
const { draft, why, busy, refused, begin, edit: put, leave, save } = useVersionedDraft<BookSheet>('codeBook')
const group = ref('Positions')
const unread = reactive<Record<string, string>>({})

const own = computed(() => books.newest.find(one => one.book.id === shownId.value) ?? null)
const shown = computed(
  () =>
    draft.value?.sheet.book ??
    own.value?.book ??
    SHIPPED_BOOKS.find(book => book.id === shownId.value) ??
    SHIPPED_BOOKS[0]!,
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

function copyBook() {
  const book = { ...shown.value, id: uuid(), name: `${shown.value.name}, ours`.slice(0, 80) }
  begin({ book, retired: false }, 0)
}
function editBook() {
  if (own.value) begin({ book: own.value.book, retired: own.value.retired }, own.value.version)
}
function leaveBook() {
  leave()
  for (const path of Object.keys(unread)) unread[path] = ''
}
const edit = (book: CodeBook) => {
  if (draft.value) put({ ...draft.value.sheet, book })
}
const setValue = (line: BookLine, value: BookValue) => edit(withLine(draft.value!.sheet.book, line, value))
const setClause = (line: BookLine, clause: Clause) => edit(withClause(draft.value!.sheet.book, line, clause))

async function keep() {
  const book = draft.value?.sheet.book
  if (!book) return
  const wrong = Object.values(unread).find(Boolean) || (book.name.trim() === '' ? 'Give the book a name' : '')
  const sent = await save(wrong, ({ sheet, why: said, baseVersion }) =>
    books.save({ ...sheet, baseVersion, why: said }),
  )
  if (sent) shownId.value = book.id
}
</script>

<template>
  <div class="page wide">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="two">
      <SheetList v-model:shown-id="shownId" label="Code books" :sheets="list" :locked="draft !== null" />
      <section class="panel book" :aria-label="draft ? 'Editing' : shown.name">
        <div v-if="draft" class="head">
          <v-text-field
            label="Name"
            :model-value="draft.sheet.book.name"
            maxlength="80"
            hide-details
            @update:model-value="edit({ ...draft.sheet.book, name: $event })"
          />
          <v-text-field
            label="Edition"
            :model-value="draft.sheet.book.edition"
            maxlength="80"
            hide-details
            @update:model-value="edit({ ...draft.sheet.book, edition: $event })"
          />
          <v-select
            label="Visual by"
            :model-value="draft.sheet.book.criteriaId"
            hide-details
            :items="criteria.offered.map(set => ({ value: set.id, title: set.name }))"
            @update:model-value="edit({ ...draft.sheet.book, criteriaId: $event })"
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
          <v-btn v-if="session.isLead && own" color="primary" @click="editBook">Edit</v-btn>
          <v-btn
            v-if="session.isLead"
            :variant="own ? 'outlined' : 'flat'"
            :color="own ? undefined : 'primary'"
            @click="copyBook"
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
          <SaveVersion
            v-model:why="why"
            save="Save the book"
            hint="Kept with the version; tests stay with the version they were judged by"
            :busy="busy"
            :wrong="refused ? [refused] : []"
            :retired="draft.baseVersion > 0 ? draft.sheet.retired : null"
            @retire="put({ ...draft.sheet, retired: !draft.sheet.retired })"
            @leave="leaveBook"
            @save="keep"
          />
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
