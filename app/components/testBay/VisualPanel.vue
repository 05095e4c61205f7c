<script setup lang="ts">
import { sayAmount, type Held, type HeldRow } from '~~/core/criteria'
import type { Visual } from '~~/core/welderTest'
import type { LengthUnit } from '~~/core/units'
import { wallTime } from '~/composables/shopClock'

/**
 * The coupon of a test held against its visual criteria, line by line, as it was read on the Bench; and what was
 * signed.
 */
const props = defineProps<{
  held: Held | null
  visual: Visual | null
  canSign: boolean
  unit: LengthUnit
  benchAddress: string
}>()
const emit = defineEmits<{ sign: [outcome: 'passes' | 'fails', why: string] }>()
const computedOutcome = computed(() => (props.held?.outcome === 'fail' ? 'fails' : 'passes'))
const otherwise = ref(false)
const why = ref('')
const refused = ref('')
const allowed = (row: HeldRow) => (row.limit === 0 ? 'none' : sayAmount(row.criterion.observed, row.limit, props.unit))
const shown = computed(() => [...(props.held?.rows ?? [])].sort((a, b) => RANK[a.outcome] - RANK[b.outcome]))
const RANK = { 'fail': 0, 'not gauged': 1, 'pass': 2 } as const
const WORDS = { 'fail': 'fails', 'not gauged': 'not gauged', 'pass': 'passes' } as const

function signOtherwise() {
  refused.value = why.value.trim() === '' ? 'Say why' : ''
  if (refused.value) return
  emit('sign', computedOutcome.value === 'passes' ? 'fails' : 'passes', why.value.trim())
  otherwise.value = false
}
</script>

<template>
  <section class="panel visual" aria-label="Visual">
    <div class="head">
      <h2 class="section-title">Visual</h2>
      <NuxtLink v-if="held" :to="benchAddress">Open on the Bench</NuxtLink>
    </div>
    <p v-if="visual" class="signed">
      <b>{{ visual.outcome === 'passes' ? 'Passed' : 'Not passed' }}</b>, signed {{ visual.by }} {{ wallTime(visual.at)
      }}<template v-if="visual.why"
        >: {{ visual.why }} (the criteria say {{ visual.computed === 'passes' ? 'it passes' : 'it fails' }})</template
      >
    </p>
    <p v-if="!held" class="quiet">
      {{ visual ? 'Its coupon is not in this record.' : 'The piece has not been read on the Bench yet.' }}
    </p>
    <template v-else>
      <p class="quiet">{{ held.set.name }}, {{ held.set.edition }}; from memory, check your copy.</p>
      <table>
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">Here</th>
            <th scope="col">At most</th>
            <th scope="col"><span class="sr-only">Outcome</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in shown"
            :key="row.criterion.id"
            :class="row.outcome.replace(' ', '-')"
            :title="row.criterion.clause"
          >
            <th scope="row">
              {{ row.name }}<small v-if="row.outcome === 'fail'">{{ row.criterion.clause }}</small>
            </th>
            <td class="num">{{ sayAmount(row.criterion.observed, row.measured, unit) }}</td>
            <td class="num">{{ allowed(row) }}</td>
            <td>{{ WORDS[row.outcome] }}</td>
          </tr>
        </tbody>
      </table>
      <div v-if="canSign" class="acts">
        <v-btn variant="text" @click="otherwise = true">Sign otherwise</v-btn>
        <v-btn v-if="!visual" variant="outlined" @click="emit('sign', computedOutcome, '')">{{
          computedOutcome === 'passes' ? 'Sign: it passes' : 'Sign: it fails'
        }}</v-btn>
      </div>
    </template>
    <FormDialog
      v-if="otherwise"
      :heading="computedOutcome === 'passes' ? 'Not passed, against the criteria' : 'Passed, against the criteria'"
      save="Sign it so"
      :message="refused"
      @submit="signOtherwise"
      @close="otherwise = false"
    >
      <v-text-field
        v-model="why"
        label="Why"
        maxlength="400"
        autofocus
        hint="Both are kept: what the criteria say, and what was signed"
        persistent-hint
      />
    </FormDialog>
  </section>
</template>

<style scoped>
.visual {
  padding: 16px;
  display: grid;
  gap: 8px;
  align-content: start;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.head a {
  color: rgb(var(--v-theme-primary));
  min-height: 44px;
  display: inline-flex;
  align-items: center;
}
th,
td {
  text-align: left;
  padding: 5px 8px 5px 0;
  font-weight: 400;
  border-top: 1px solid var(--line);
}
thead th {
  border-top: 0;
  color: var(--quiet);
  font-size: 0.86rem;
  font-weight: 600;
}
.fail > * {
  font-weight: 700;
  color: var(--poor);
}
.not-gauged > * {
  color: var(--quiet);
}
small {
  display: block;
  font-weight: 400;
  color: var(--quiet);
}
.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
p.quiet {
  font-size: 0.88rem;
}
</style>
