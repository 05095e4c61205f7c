<script setup lang="ts">
import { thicknessIn, unitFor, type CodeBook } from '~~/core/qualification'
import {
  bendVerdict,
  isBend,
  OPENING_KINDS,
  type Opening,
  type Specimen,
  type SpecimenResult,
  type WelderTest,
} from '~~/core/welderTest'
import { MM_PER_INCH } from '~~/core/units'
import { length, numeric } from '~~/core/working'

/** One specimen looked at: the openings of a bend with their length, place and kind, or what is judged by hand. */
const props = defineProps<{ specimen: Specimen; document: WelderTest; book: CodeBook }>()
const emit = defineEmits<{ keep: [result: Pick<SpecimenResult, 'openings' | 'byHand' | 'note'>]; close: [] }>()
const before = props.document.results[props.specimen.id]
const openings = ref<Opening[]>([...(before?.openings ?? [])])
const byHand = ref<'passes' | 'fails'>(before?.byHand ?? 'passes')
const note = ref(before?.note ?? '')
const problems = reactive<Record<string, string>>({})
const unit = unitFor(props.book, props.document.test)
const widthMm = props.specimen.toMm - props.specimen.fromMm
const bend = isBend(props.specimen.kind)
const LONG = length('length', 'Length', 0.1, 200, 0)
const AT = length('at', 'From its start', 0, widthMm, widthMm / 2)
const DEPTH = numeric('percent', 'depth', 'Under the face', 0, 100, 50)
/** Openings are kept in the unit they are judged in; fields hold mm. */
const toMm = (value: number) => (unit === 'in' ? value * MM_PER_INCH : value)
const fromMm = (mm: number) => (unit === 'in' ? mm / MM_PER_INCH : mm)

const change = (n: number, part: Partial<Opening>) => {
  openings.value = openings.value.map((one, index) => (index === n ? { ...one, ...part } : one))
}
const add = () => {
  openings.value = [
    ...openings.value,
    {
      length: unit === 'in' ? 1 / 8 : 3,
      atMm: widthMm / 2,
      corner: false,
      kind: 'opening',
      depth: props.specimen.kind === 'side' ? 0.5 : null,
    },
  ]
}
if (bend && openings.value.length === 0) add()
const verdict = computed(() =>
  bendVerdict(props.book, unit, openings.value, thicknessIn(props.book, props.document.test).value),
)
const source = computed(() => (isBend(props.specimen.kind) ? null : props.book.byHand[props.specimen.kind]))
const message = computed(() => Object.values(problems).find(Boolean) ?? '')
function keep() {
  if (!message.value)
    emit('keep', { openings: bend ? openings.value : [], byHand: bend ? null : byHand.value, note: note.value.trim() })
}
</script>

<template>
  <FormDialog
    :heading="bend ? `Openings, ${specimen.kind} bend` : specimen.kind"
    save="Keep it"
    leave="Leave as it was"
    :width="720"
    :message="message"
    @submit="keep"
    @close="$emit('close')"
  >
    <template v-if="bend">
      <fieldset v-for="(opening, n) in openings" :key="n">
        <SheetField
          :input="LONG"
          :unit="unit"
          :model-value="toMm(opening.length)"
          :autofocus="n === openings.length - 1"
          @update:model-value="change(n, { length: fromMm(Number($event)) })"
          @problem="problems[`length ${n}`] = $event"
        />
        <v-select
          label="Kind"
          :model-value="opening.kind"
          :items="[...OPENING_KINDS]"
          hide-details
          @update:model-value="change(n, { kind: $event })"
        />
        <SheetField
          :input="AT"
          :unit="unit"
          :model-value="opening.atMm"
          @update:model-value="change(n, { atMm: Number($event) })"
          @problem="problems[`at ${n}`] = $event"
        />
        <SheetField
          v-if="specimen.kind === 'side'"
          :input="DEPTH"
          :unit="unit"
          :model-value="100 * (opening.depth ?? 0.5)"
          @update:model-value="change(n, { depth: Number($event) / 100 })"
          @problem="problems[`depth ${n}`] = $event"
        />
        <v-checkbox
          label="At a corner"
          :model-value="opening.corner"
          hide-details
          density="compact"
          @update:model-value="change(n, { corner: $event === true })"
        />
        <v-btn
          variant="text"
          :aria-label="`Take opening ${n + 1} off`"
          @click="openings = openings.filter((_, index) => index !== n)"
          >take off</v-btn
        >
      </fieldset>
      <div><v-btn variant="outlined" @click="add">One opening more</v-btn></div>
      <p class="verdict" role="status">
        <b>{{ verdict.outcome }}</b> <span v-for="reason in verdict.reasons" :key="reason">{{ reason }}. </span
        ><small>{{ verdict.clause }}</small>
      </p>
    </template>
    <template v-else>
      <p v-if="source" class="quiet">
        {{ source.says }} <small>{{ book.name }} {{ source.clause }}</small>
      </p>
      <v-textarea
        v-model="note"
        :label="specimen.kind === 'radiograph' ? 'Indications, one a line: what, how long, where' : 'What is seen'"
        rows="3"
        auto-grow
        maxlength="1000"
        autofocus
        hide-details
      />
      <v-btn-toggle v-model="byHand" mandatory divided variant="outlined" aria-label="Judged by hand"
        ><v-btn value="passes">Passes</v-btn><v-btn value="fails">Fails</v-btn></v-btn-toggle
      >
    </template>
  </FormDialog>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  grid-template-columns: minmax(110px, 1fr) minmax(140px, 1.3fr) minmax(110px, 1fr) auto auto;
  gap: 8px;
  align-items: start;
  padding: 4px 0;
}
fieldset:has(> :nth-child(6)) {
  grid-template-columns: minmax(96px, 1fr) minmax(124px, 1.2fr) minmax(96px, 1fr) minmax(96px, 1fr) auto auto;
}
.verdict b {
  text-transform: capitalize;
}
small {
  color: var(--quiet);
}
@media (max-width: 700px) {
  fieldset,
  fieldset:has(> :nth-child(6)) {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
