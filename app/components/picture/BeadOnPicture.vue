<script setup lang="ts">
import { gaugeKinds, laneName, type GaugeKind } from '~~/core/coupon'
import { isBare } from '~~/core/picture'
import { formatLength, MM_PER_INCH, type LengthUnit } from '~~/core/units'
import { useBench } from '~/stores/bench'
import { usePictures } from '~/stores/pictures'

/** Measures the bead at the cursor on the picture under the marks: a proposal, which a person takes or leaves. */
const props = defineProps<{ unit: LengthUnit }>()
defineEmits<{ readings: [read: readonly { of: GaugeKind; valueMm: number }[]] }>()
const bench = useBench()
const pictures = usePictures()
const busy = ref(false)

const coupon = computed(() => bench.coupon!)
const bead = computed(() => coupon.value.beads.find(lane => lane.id === bench.cursor.beadId)!)
/** A bead whose width is gauged, and both of whose toes are there to be seen: no later bead lies over one. */
const measurable = computed(
  () => gaugeKinds(coupon.value.piece, bead.value).across[0] === 'width' && isBare(coupon.value, bead.value),
)
const found = computed(() => (pictures.seen?.beadId === bead.value.id ? pictures.seen : null))
/** A tenth of a millimetre is all that a picture tells. */
const tenth = (mm: number) => Math.round(mm * 10) / 10
const says = computed(() => {
  const seen = found.value?.bead
  if (!found.value) return ''
  if (!seen) return 'Its toes do not stand out on this picture. Gauge it.'
  const fine = (mm: number) =>
    props.unit === 'in' ? `${Math.max(0.01, mm / MM_PER_INCH).toFixed(2)} in` : `${Math.max(0.1, mm).toFixed(1)} mm`
  const wide = `${formatLength(seen.widthMm, props.unit)} wide, give or take ${fine(seen.unevenMm)} along it`
  return `${wide}; off its line by ${fine(seen.straysMm)} at most. Toes seen on ${Math.round(100 * seen.sure)} % of it.`
})

async function measure() {
  busy.value = true
  await pictures.look(coupon.value, bead.value).finally(() => {
    busy.value = false
  })
}
</script>

<template>
  <div v-if="pictures.shown && measurable" class="measured">
    <template v-if="found">
      <p role="status">{{ laneName(coupon, bead.id) }} on the picture: {{ says }}</p>
      <v-btn
        v-if="found.bead"
        variant="outlined"
        size="small"
        @click="$emit('readings', [{ of: 'width', valueMm: tenth(found.bead.widthMm) }])"
        >Keep as gauged</v-btn
      >
      <v-btn variant="text" size="small" @click="pictures.forget()">Leave it</v-btn>
    </template>
    <v-btn v-else variant="text" size="small" :loading="busy" @click="measure"
      >Measure {{ laneName(coupon, bead.id) }} on the picture</v-btn
    >
  </div>
</template>

<style scoped>
.measured {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 0 12px 4px 20px;
  font-size: 0.92rem;
}
p {
  flex: 1 1 300px;
}
p::first-letter {
  text-transform: uppercase;
}
</style>
