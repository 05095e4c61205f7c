<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { parseRulesFile, rulesSaveSchema, writeRulesFile } from '~~/contract/houseRules'
import type { RulesVersion } from '~~/contract/record'
import {
  completeRules,
  departures,
  rulesCatalogue,
  sayDefault,
  sayRange,
  writeRule,
  type HouseRules,
  type RuleGroup,
} from '~~/core/house'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useLoader } from '~/composables/loader'
import { saveFile } from '~/composables/saveFile'
import { useHouseRules } from '~/stores/houseRules'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

const houseRules = useHouseRules()
const sections = useSections()
const session = useSession()
useHead({ title: 'House rules · Fusilis' })

interface RulesDraft {
  readonly baseVersion: number
  readonly rules: HouseRules
}
/** What is edited and not saved stays in this browser. */
const draft = useLocalStorage<RulesDraft | null>('fusilis.rules-draft', null, {
  serializer: { read: text => JSON.parse(text) as RulesDraft | null, write: value => JSON.stringify(value) },
})
const { loading, problem, load } = useLoader(async () => {
  await houseRules.load()
  if (!sections.loaded) await sections.load()
})
onMounted(load)

const locked = computed(() => !session.isLead)
const inForce = computed(() => houseRules.current)
const edited = computed(() =>
  locked.value ? inForce.value.rules : draft.value ? completeRules(draft.value.rules) : inForce.value.rules,
)
const changedPaths = computed(() => new Set(departures(edited.value, inForce.value.rules).map(line => line.path)))
const changed = computed(
  () =>
    changedPaths.value.size +
    (JSON.stringify(edited.value.windows) === JSON.stringify(inForce.value.rules.windows) ? 0 : 1),
)
const outrun = computed(() => draft.value !== null && draft.value.baseVersion !== inForce.value.version)

const GROUPS: readonly RuleGroup[] = [
  'The bead',
  'Restarts and ends',
  'Grooves',
  'Undercut',
  'Angles and arc',
  'Current',
  'Moving up',
  'Ways',
]
const group = ref<RuleGroup | 'Departures'>('The bead')
const departed = computed(() => new Set(departures(edited.value).map(line => line.path)))
const lines = computed(() =>
  rulesCatalogue(edited.value).filter(line =>
    group.value === 'Departures' ? departed.value.has(line.path) : line.group === group.value,
  ),
)

const problems = ref<Record<string, string>>({})
const unreadable = computed(() => Object.values(problems.value).some(Boolean))
const notice = ref('')
const faults = ref<readonly string[]>([])

function write(rules: HouseRules) {
  draft.value = { baseVersion: draft.value?.baseVersion ?? inForce.value.version, rules }
  notice.value = ''
}
function takeUp(version: RulesVersion) {
  write(version.rules)
  notice.value = `Version ${version.version} is on the table; save it to bring it into force.`
}
function leave() {
  draft.value = null
  problems.value = {}
  faults.value = []
}

const saving = ref(false)
const why = ref('')
const { errors, message, busy, attempt } = useFieldErrors()
async function save() {
  const body = { baseVersion: draft.value!.baseVersion, why: why.value, rules: edited.value }
  const done = await attempt(() => houseRules.save(body.rules, body.why.trim(), body.baseVersion), {
    schema: rulesSaveSchema,
    value: body,
  })
  if (!done) return
  leave()
  saving.value = false
  why.value = ''
  notice.value = `Version ${inForce.value.version} is in force. Coupons read before keep the rules of their day.`
}
/** After someone else saved: their version is loaded, and these edits are kept on top of it. */
async function loadNewer() {
  await houseRules.reload()
  if (draft.value) draft.value = { ...draft.value, baseVersion: inForce.value.version }
  saving.value = false
  notice.value = `Version ${inForce.value.version} is loaded beneath your changes. Look them over, then save.`
}

const file = useTemplateRef<HTMLInputElement>('file')
async function importFile(event: Event) {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen) return
  const read = await parseRulesFile(await chosen.text())
  if (file.value) file.value.value = ''
  if ('faults' in read) {
    faults.value = read.faults.map(fault => fault.message)
    notice.value = ''
    return
  }
  faults.value = []
  write(read.rules)
  notice.value = `${chosen.name} is on the table; save it to bring it into force.`
}
function exportFile() {
  saveFile(new Blob([writeRulesFile(edited.value)], { type: 'application/json' }), 'house-rules.json')
}
</script>

<template>
  <div class="page">
    <header class="page-head">
      <h1>House</h1>
      <HouseTabs />
      <div class="push acts">
        <input
          ref="file"
          type="file"
          accept="application/json,.json"
          class="sr-only"
          aria-label="File of house rules"
          tabindex="-1"
          @change="importFile"
        />
        <v-btn v-if="!locked" variant="text" @click="file?.click()">Import</v-btn
        ><v-btn variant="text" @click="exportFile">Export</v-btn>
      </div>
    </header>
    <PageState v-if="loading || problem" :loading="loading" :problem="problem" @again="load" />
    <div v-else class="room">
      <div class="rules">
        <nav class="groups" aria-label="Groups">
          <button v-for="one in GROUPS" :key="one" type="button" :aria-pressed="group === one" @click="group = one">
            {{ one }}
          </button>
          <button type="button" :aria-pressed="group === 'Departures'" @click="group = 'Departures'">
            Departures <b class="num">{{ departed.size }}</b>
          </button>
        </nav>
        <ul v-if="faults.length > 0" class="panel faults" role="alert">
          <li>Nothing was taken from this file:</li>
          <li v-for="fault in faults" :key="fault">{{ fault }}</li>
        </ul>
        <section class="panel lines" :aria-label="group">
          <p v-if="lines.length === 0" class="quiet none">This school departs from no default.</p>
          <div v-for="line in lines" :key="line.path" class="line" :class="{ edited: changedPaths.has(line.path) }">
            <div>
              <h3>{{ line.name }}</h3>
              <p class="quiet">{{ line.why }}</p>
            </div>
            <RuleField
              :line="line"
              :rules="edited"
              :locked="locked"
              @write="write(writeRule(edited, line.path, $event))"
              @problem="
                (path, said) => {
                  problems[path] = said
                }
              "
            />
            <p v-if="line.kind !== 'choice' || departed.has(line.path)" class="default quiet">
              <span v-if="line.kind !== 'choice'">{{ sayRange(line, edited.unit) }}</span><span
                v-if="departed.has(line.path)"
                ><span aria-hidden="true">◆</span> default {{ sayDefault(line, edited) ?? 'by the other school' }}</span
              >
            </p>
          </div>
          <div v-if="group === 'Current'" class="line own">
            <div>
              <h3>Own current windows</h3>
              <p class="quiet">Held to before practice and the published window.</p>
            </div>
            <WindowTable :rules="edited" :locked="locked" @write="write({ ...edited, windows: $event })" />
          </div>
        </section>
      </div>
      <aside>
        <RulesExample :in-force="inForce.rules" :edited="edited" />
        <div v-if="!locked" class="save">
          <p v-if="outrun" role="alert" class="alert">
            Newer house rules were saved meanwhile. <v-btn variant="text" @click="loadNewer">Load them</v-btn>
          </p>
          <p role="status" class="quiet">
            {{
              notice ||
              (changed > 0
                ? `${changed} ${changed === 1 ? 'line' : 'lines'} changed, kept in this browser until saved`
                : `Version ${inForce.version} in force`)
            }}
          </p>
          <v-btn
            color="primary"
            block
            height="52"
            :disabled="changed === 0 || unreadable || outrun"
            @click="saving = true"
            >Save as version {{ inForce.version + 1 }}</v-btn
          >
          <v-btn v-if="changed > 0" variant="text" block @click="leave">Throw the changes away</v-btn>
        </div>
        <p v-else class="quiet">A lead instructor changes these.</p>
        <RulesHistory :versions="houseRules.versions" :locked="locked" @take="takeUp" />
      </aside>
    </div>
    <FormDialog
      v-if="saving"
      heading="New house rules"
      save="Bring into force"
      :message="
        message ||
        Object.entries(errors)
          .filter(([path]) => path !== 'why')
          .map(([, said]) => said)
          .join('. ')
      "
      :busy="busy"
      @submit="save"
      @close="saving = false"
    >
      <p class="quiet">
        {{ changed }} {{ changed === 1 ? 'line differs' : 'lines differ' }} from version {{ inForce.version }}. Coupons
        are judged by the rules of their day.
      </p>
      <v-text-field v-model="why" label="Why" :error-messages="errors.why" autofocus />
      <v-btn v-if="message" variant="text" @click="loadNewer">Load the newer rules</v-btn>
    </FormDialog>
  </div>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 20px;
  align-items: start;
}
.rules,
aside {
  display: grid;
  gap: 14px;
}
aside {
  position: sticky;
  top: 16px;
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.groups button {
  min-height: 44px;
  padding: 0 10px;
  border-radius: 10px;
  font-weight: 550;
}
.groups button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.lines {
  padding: 4px 18px;
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 330px);
  gap: 4px 22px;
  padding: 14px 0;
  border-bottom: 1px solid var(--line);
  align-items: center;
}
.line:last-child {
  border-bottom: 0;
}
.line.own {
  grid-template-columns: minmax(0, 1fr);
}
h3 {
  font-size: 1rem;
  font-weight: 650;
}
.edited h3::after {
  content: ' changed';
  color: rgb(var(--v-theme-primary));
  font-size: 0.85rem;
}
.default {
  grid-column: 1 / -1;
  font-size: 0.88rem;
  display: flex;
  gap: 4px 18px;
  flex-wrap: wrap;
}
.none {
  padding: 24px 0;
}
.faults {
  padding: 12px 18px;
  color: var(--poor);
  font-weight: 600;
}
.save {
  display: grid;
  gap: 8px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.acts {
  display: flex;
}
@media (max-width: 1000px) {
  .room {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    position: static;
  }
}
@media (max-width: 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
