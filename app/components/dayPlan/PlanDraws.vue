<script setup lang="ts">
import { wallAfter } from '~~/core/calendar'
import { lengthsToCut, rodsTaken, takenAgain, wantedOf, type PlanCase, type PlannedCoupon } from '~~/core/dayPlan'
import { electrodeOf, pieceOf } from '~~/core/trade'
import { formatLength } from '~~/core/units'
import { useHouseRules } from '~/stores/houseRules'

/** What a plan takes out of the store: rods to draw, pieces to cut, and what goes back into the oven. */
const props = defineProps<{ wanted: PlanCase; lines: readonly PlannedCoupon[]; from: string }>()
const emit = defineEmits<{ cut: [] }>()
const houseRules = useHouseRules()

const rods = computed(() =>
  [...rodsTaken(props.wanted, props.lines)].map(([kind, count]) => ({ kind, count, there: props.wanted.rods[kind] })),
)
const again = computed(() => [...takenAgain(props.wanted, props.lines)])
const cuts = computed(() => lengthsToCut(props.wanted, props.lines))
const intoOven = computed(() =>
  props.lines.some(line =>
    wantedOf(props.wanted, line)?.rods.some(rod => electrodeOf(rod.classification).family === 'low hydrogen'),
  ),
)
</script>

<template>
  <section aria-label="What it takes" class="takes">
    <h2>What it takes</h2>
    <p v-if="lines.length === 0" class="quiet">Rods and pieces, once something is planned.</p>
    <template v-else>
      <ul aria-label="Rods to draw">
        <li v-for="{ kind, count, there } in rods" :key="kind">
          <b class="num">{{ count }}</b> × {{ kind }}
          <small v-if="there !== undefined" class="quiet num">of {{ there }} in the store</small>
          <small v-else class="quiet">not kept in the rod room</small>
        </li>
      </ul>
      <p v-if="intoOven" class="quiet">
        Low-hydrogen rods that are left go back into the oven by {{ wallAfter(from, wanted.minutes) }}.
      </p>
      <ul v-if="again.length > 0" aria-label="Taken again">
        <li v-for="[kind, count] in again" :key="kind">
          <b class="num">{{ count }}</b> × {{ pieceOf(kind).name }}
          <small class="quiet">{{
            pieceOf(kind).work === 'plate' ? 'again, another layer' : 'again, cut off and prepared anew'
          }}</small>
        </li>
      </ul>
      <ul aria-label="Pieces to cut">
        <li v-for="{ piece, count, lengthMm } in cuts" :key="piece">
          <b class="num">{{ count }}</b> × {{ formatLength(lengthMm, houseRules.unit) }}
          <small class="quiet">for {{ pieceOf(piece).name }}</small>
        </li>
      </ul>
      <v-btn v-if="cuts.some(one => !one.pipe)" class="no-print" variant="outlined" @click="emit('cut')"
        >Cut the plates</v-btn
      >
    </template>
  </section>
</template>

<style scoped>
.takes {
  display: grid;
  gap: 8px;
  justify-items: start;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
}
</style>
