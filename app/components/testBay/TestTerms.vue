<script setup lang="ts">
import { CHECKS, holdPointsOf, type CheckId, type HoldPoint, type Signature, type WelderTest } from '~~/core/welderTest'
import { wallTime } from '~/composables/shopClock'

/** Test terms: what is looked at before the arc, and where the welder stops until a witness has looked. */
const props = defineProps<{ document: WelderTest; witness: string }>()
const emit = defineEmits<{
  'change': [document: WelderTest]
  'hold': [point: HoldPoint]
  'fit-up': []
  'update:witness': [initials: string]
}>()
const begun = computed(() => props.document.startedAt !== null)
const check = (id: CheckId, on: boolean) =>
  emit('change', { ...props.document, checks: { ...props.document.checks, [id]: on } })
const stamp = ref(props.document.stamp)
watch(
  () => props.document.stamp,
  now => {
    stamp.value = now
  },
)
const keepStamp = () => {
  if (stamp.value.trim() !== props.document.stamp) emit('change', { ...props.document, stamp: stamp.value.trim() })
}
const saySeen = (seen: Signature | null) => (seen ? `${seen.by}, ${wallTime(seen.at)}` : 'not yet')
/** A hold point may be signed when its turn has come: the fit-up before the clock, the others while it runs. */
const due = (point: HoldPoint) =>
  props.document.holds[point] === null &&
  (point === 'fit-up' ? !begun.value : begun.value && props.document.endedAt === null)

const field = useTemplateRef<{ focus: () => void; blur: () => void }>('field')
function enter() {
  keepStamp()
  field.value?.blur()
}
defineExpose({ stamp: () => field.value?.focus() })
</script>

<template>
  <section class="panel terms" aria-label="Test terms">
    <h2>Test terms</h2>
    <div class="fields">
      <v-text-field
        ref="field"
        v-model="stamp"
        label="Stamp on the piece"
        maxlength="20"
        hide-details
        autocomplete="off"
        @blur="keepStamp"
        @keydown.enter.prevent="enter"
      />
      <v-text-field
        :model-value="witness"
        label="Witness, initials"
        maxlength="20"
        hide-details
        autocomplete="off"
        @update:model-value="$emit('update:witness', $event)"
      />
    </div>
    <ul>
      <li v-for="one in CHECKS" :key="one">
        <v-checkbox
          :label="one"
          :model-value="document.checks[one]"
          :readonly="begun"
          density="compact"
          hide-details
          @update:model-value="check(one, $event === true)"
        />
        <v-btn v-if="one === 'fit-up within limits'" variant="text" @click="$emit('fit-up')">{{
          document.fitUp ? 'Fit-up kept' : 'Gauge it'
        }}</v-btn>
      </li>
    </ul>
    <dl>
      <div v-for="point in holdPointsOf(document)" :key="point">
        <dt>{{ point }} witnessed</dt>
        <dd :class="{ quiet: !document.holds[point] }">{{ saySeen(document.holds[point]) }}</dd>
        <v-btn v-if="due(point)" variant="text" :aria-label="`Witness the ${point}`" @click="$emit('hold', point)"
          >Witness</v-btn
        >
      </div>
    </dl>
  </section>
</template>

<style scoped>
.terms {
  padding: 16px;
  display: grid;
  gap: 10px;
  align-content: start;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
}
li :deep(label)::first-letter {
  text-transform: uppercase;
}
dl {
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
dl div {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}
dt {
  flex: 1;
}
dt::first-letter {
  text-transform: uppercase;
}
dd {
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
dd.quiet {
  font-weight: 400;
}
</style>
