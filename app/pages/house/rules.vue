<script setup lang="ts">
import { parseRulesFile, rulesSaveSchema, writeRulesFile } from '~~/contract/houseRules'
import type { RulesVersion } from '~~/contract/record'
import { completeRules, departures, type HouseRules } from '~~/core/house'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useLoader } from '~/composables/loader'
import { saveFile } from '~/composables/saveFile'
import { useVersionedDraft } from '~/composables/versionedDraft'
import { useHouseRules } from '~/stores/houseRules'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

const houseRules = useHouseRules()
const sections = useSections()
const session = useSession()
useHead({ title: 'House rules · Fusilis' })

const { draft, why, begin, edit, leave: leaveDraft } = useVersionedDraft<HouseRules>('rules')
const { loading, problem, load } = useLoader(async () => {
  await houseRules.load()
  if (!sections.loaded) await sections.load()
})
onMounted(load)

const locked = computed(() => !session.isLead)
const inForce = computed(() => houseRules.current)
const edited = computed(() =>
  locked.value ? inForce.value.rules : draft.value ? completeRules(draft.value.sheet) : inForce.value.rules,
)
const changedPaths = computed(() => new Set(departures(edited.value, inForce.value.rules).map(line => line.path)))
const changed = computed(
  () =>
    changedPaths.value.size +
    (JSON.stringify(edited.value.windows) === JSON.stringify(inForce.value.rules.windows) ? 0 : 1),
)
const outrun = computed(() => draft.value !== null && draft.value.baseVersion !== inForce.value.version)

const problems = ref<Record<string, string>>({})
const unreadable = computed(() => Object.values(problems.value).some(Boolean))
const notice = ref('')
const faults = ref<readonly string[]>([])

function write(rules: HouseRules) {
  if (draft.value) edit(rules)
  else begin(rules, inForce.value.version)
  notice.value = ''
}
function takeUp(version: RulesVersion) {
  write(version.rules)
  notice.value = `Version ${version.version} is on the table; save it to bring it into force.`
}
function leave() {
  leaveDraft()
  problems.value = {}
  faults.value = []
}

const saving = ref(false)
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
    <HouseHead>
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
    </HouseHead>
    <PageState v-if="loading || problem" :loading="loading" :problem="problem" @again="load" />
    <div v-else class="room">
      <div class="rules">
        <RulesLines
          :rules="edited"
          :edited="changedPaths"
          :locked="locked"
          @write="write"
          @problem="
            (path, said) => {
              problems[path] = said
            }
          "
        >
          <ul v-if="faults.length > 0" class="panel faults" role="alert">
            <li>Nothing was taken from this file:</li>
            <li v-for="fault in faults" :key="fault">{{ fault }}</li>
          </ul>
        </RulesLines>
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
</style>
