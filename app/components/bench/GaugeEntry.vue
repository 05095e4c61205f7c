<script setup lang="ts">
import {
  beadOf,
  hasGroove,
  isLastLayer,
  newReading,
  type CouponDocument,
  type Place,
  type GaugeKind,
} from '~~/core/coupon'
import { sayLimit, sizeLimit } from '~~/core/grading'
import type { LengthUnit } from '~~/core/units'
import { length } from '~~/core/working'
import { useCouponBench } from '~/composables/couponBench'

/** Types what the gauge reads at the cursor: one figure, or the two of a fillet. What is left empty is not kept. */
const props = defineProps<{ document: CouponDocument; place: Place; kinds: readonly GaugeKind[]; unit: LengthUnit }>()
const bench = useCouponBench()
const emit = defineEmits<{ read: [readings: readonly { of: GaugeKind; valueMm: number }[]]; close: [] }>()
/** On the last layer of a groove the gauge goes over the whole cap, edge to edge, and not over one bead of it. */
const what = computed(() => {
  const bead = beadOf(props.document, props.place.beadId)
  return hasGroove(props.document.piece) && isLastLayer(props.document, bead)
    ? 'Cap'
    : bead.face === 'root'
      ? 'Root'
      : 'Bead'
})
const NAMES: Readonly<Partial<Record<GaugeKind, string>>> = {
  'penetration': 'Stands through by',
  'edge to toe': 'Edge of the plate to its near toe',
}
const nameOf = (of: GaugeKind) =>
  NAMES[of] ??
  (of === 'width' || of === 'height' ? `${what.value} ${of} here` : `${of[0]!.toUpperCase()}${of.slice(1)} here`)
const fields = computed(() =>
  props.kinds.map(of => ({ of, input: length(of, nameOf(of), 0, of === 'edge to toe' ? 1000 : 60, 6) })),
)
/** What the joint wants of it, where anything is laid down. */
function wants(of: GaugeKind): string {
  const limit = sizeLimit(props.document, newReading('', of, props.place, 0), bench.rules)
  return limit ? `wants ${sayLimit(limit, props.unit)}, ${limit.source.name}` : ''
}
const values = reactive<Record<string, number | ''>>({})
// What a caliper sent stands in the first field, to be kept or measured again.
const sentMm = bench.sentMm
bench.sentMm = null
if (sentMm !== null) values[props.kinds[0]!] = sentMm
const problems = reactive<Record<string, string>>({})
const read = computed(() =>
  props.kinds.flatMap(of => (typeof values[of] === 'number' ? [{ of, valueMm: values[of] }] : [])),
)
const wrong = computed(() => Object.values(problems).some(Boolean))

function enter() {
  if (!wrong.value && read.value.length > 0) emit('read', read.value)
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="340"
    :aria-label="kinds.length > 1 ? 'Gauge readings' : fields[0]!.input.name.replace(' here', '')"
    @update:model-value="$emit('close')"
  >
    <form class="panel entry" novalidate @submit.prevent="enter">
      <div v-for="(field, index) in fields" :key="field.of">
        <SheetField
          :input="field.input"
          :model-value="values[field.of] ?? ''"
          :unit="unit"
          :autofocus="index === (sentMm === null ? 0 : kinds.length - 1)"
          @update:model-value="values[field.of] = Number($event)"
          @problem="problems[field.of] = $event"
        />
        <p v-if="wants(field.of)" class="quiet wants">{{ wants(field.of) }}</p>
      </div>
      <v-btn type="submit" color="primary" block :disabled="read.length === 0 || wrong">Keep the reading</v-btn>
    </form>
  </v-dialog>
</template>

<style scoped>
.wants {
  font-size: 0.85rem;
  padding: 2px 14px 0;
}
.entry {
  padding: 20px;
  display: grid;
  gap: 16px;
}
</style>
