<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { SHEETS, type SheetLine } from '~~/core/working'
import { useSheetForm } from '~/composables/sheetForm'
import { useHouseRules } from '~/stores/houseRules'
import { messageOf } from '~/stores/request'

const route = useRoute()
const houseRules = useHouseRules()
const unit = computed(() => houseRules.unit)
const sheet = computed(() => SHEETS.find(one => one.id === route.query.sheet) ?? SHEETS[0]!)
const form = useSheetForm(
  () => sheet.value.inputs,
  () => unit.value,
)
watch(() => sheet.value.id, form.read, { flush: 'sync' })

const { copy, copied, text: lastCopied } = useClipboard({ legacy: true })
const outcome = computed<{ lines: readonly SheetLine[] } | { problem: string }>(() => {
  try {
    return { lines: sheet.value.work(form.values.value, unit.value) }
  } catch (error) {
    return { problem: messageOf(error) }
  }
})
</script>

<template>
  <div class="room">
    <nav class="panel list" aria-label="Sheets">
      <NuxtLink
        v-for="one in SHEETS"
        :key="one.id"
        :to="{ path: '/set-up/arithmetic', query: { sheet: one.id } }"
        :class="{ here: one.id === sheet.id }"
        :aria-current="one.id === sheet.id ? 'page' : undefined"
        >{{ one.name }}</NuxtLink
      >
    </nav>
    <article :key="sheet.id" class="panel sheet" :aria-label="sheet.name">
      <header>
        <h2>{{ sheet.name }}</h2>
        <p class="formula">{{ sheet.formula }}</p>
      </header>
      <CaseForm
        :fields="sheet.inputs"
        :values="form.values.value"
        :unit="unit"
        @set="form.set"
        @problem="form.setProblem"
      />
      <p v-if="'problem' in outcome" role="alert" class="alert">{{ outcome.problem }}</p>
      <dl v-else :class="{ stale: !form.valid.value }">
        <div v-for="line in outcome.lines" :key="line.name">
          <dt>{{ line.name }}</dt>
          <dd>
            <span
              ><b class="num">{{ line.result }}</b
              ><small class="num">{{ line.working }}</small
              ><small v-if="line.note" class="note">{{ line.note }}</small></span
            >
            <v-btn variant="text" :aria-label="`Copy ${line.name}`" @click="copy(line.result)">{{
              copied && lastCopied === line.result ? 'Copied' : 'Copy'
            }}</v-btn>
          </dd>
        </div>
      </dl>
      <p v-if="!form.valid.value" class="quiet">The results are of the last inputs that could be read.</p>
      <footer>
        <p class="quiet">
          <template v-for="(source, index) in sheet.sources" :key="source.name"
            >{{ index > 0 ? ' · ' : '' }}{{ source.name }}{{ source.clause ? `, ${source.clause}` : ''
            }}<template v-if="source.certainty !== source.name && source.certainty !== 'published'">
              ({{ source.certainty }})</template
            ></template
          >
        </p>
        <v-btn variant="text" @click="copy(form.link())">{{
          copied && lastCopied.startsWith('http') ? 'Link copied' : 'Copy a link to these inputs'
        }}</v-btn>
      </footer>
    </article>
  </div>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}
.list {
  padding: 8px;
  display: grid;
}
.list a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 12px;
  border-radius: 8px;
  color: inherit;
  text-decoration: none;
}
.list .here {
  background: rgb(var(--v-theme-surface-variant));
  font-weight: 650;
}
.sheet {
  padding: 22px 24px;
  display: grid;
  gap: 18px;
}
h2 {
  font-size: 1.3rem;
  font-weight: 700;
  letter-spacing: -0.01em;
}
.formula {
  font-size: 1.05rem;
  color: var(--quiet);
}
dl div {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr);
  gap: 16px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  align-items: center;
}
dd {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
dd b {
  font-size: 1.3rem;
  font-weight: 700;
  letter-spacing: -0.01em;
}
small {
  display: block;
  font-size: 0.92rem;
  color: var(--quiet);
}
.note {
  color: rgb(var(--v-theme-warning));
}
.stale {
  opacity: 0.55;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
footer {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  font-size: 0.88rem;
}
@media (max-width: 900px) {
  .room {
    grid-template-columns: minmax(0, 1fr);
  }
  .list {
    grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  }
  dl div {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
  footer {
    flex-wrap: wrap;
  }
}
</style>
