<script setup lang="ts">
import type { TestPiece } from '~~/core/qualification'
import { ARC_SHARE, couponOf, needsOf, NOBODY } from '~~/core/welderTest'
import type { HouseRules } from '~~/core/house'
import { sayOdds } from '~~/core/readiness'
import { describePiece } from '~~/core/coupon'
import { formatFraction } from '~~/core/units'
import type { PlannedSet } from '~/composables/testPlan'

/** The fewest pieces that cover what is wanted, by each code book: what they take, and how each would go. */
const props = defineProps<{
  sets: readonly PlannedSet[]
  none: readonly string[]
  chosen: PlannedSet | null
  /** The odds of a piece by the book of its set; none while they are looked at. */
  oddsOf: (set: PlannedSet, piece: TestPiece) => number | undefined
  rules: HouseRules
  /** Whose odds they are; null while no student is chosen. */
  studentId: string | null
}>()
defineEmits<{ choose: [set: PlannedSet] }>()

/** Under this most attempts fail, and what would help says more than a test does. */
const LONG = 0.35
const isLong = computed(
  () => props.chosen?.pieces.some(piece => (props.oddsOf(props.chosen!, piece) ?? 1) < LONG) ?? false,
)

const keyOf = ({ kept, pieces }: PlannedSet) =>
  `${kept.book.id} ${kept.version} ${pieces.map(piece => piece.id).join(' ')}`
function takes(pieces: readonly TestPiece[]): string {
  const needs = pieces.map(piece => needsOf(couponOf(piece, NOBODY, props.rules), props.rules))
  const rods = new Map<string, number>()
  for (const { classification, diameterMm, count } of needs.flatMap(need => need.rods)) {
    const name = `${classification} ${formatFraction(diameterMm, 32)} in`
    rods.set(name, (rods.get(name) ?? 0) + count)
  }
  const hours = needs.reduce((sum, need) => sum + need.arcMinutes, 0) / ARC_SHARE / 60
  const counted = [...rods].map(([name, count]) => `${count} × ${name}`).join(', ')
  const long = hours < 1 ? `${Math.max(1, Math.round(hours * 6)) * 10} min` : `${Math.round(hours * 2) / 2} h`
  return `${counted}; about ${long} in the booth`
}
</script>

<template>
  <section class="panel sets" aria-label="The fewest pieces">
    <h2>The fewest pieces</h2>
    <button
      v-for="set in sets"
      :key="keyOf(set)"
      type="button"
      :aria-pressed="chosen !== null && keyOf(set) === keyOf(chosen)"
      @click="$emit('choose', set)"
    >
      <span class="book">{{ set.kept.book.name }}</span>
      <span v-for="piece in set.pieces" :key="piece.id" class="piece"
        ><b>{{ piece.name }}</b
        ><i v-if="studentId">{{ oddsOf(set, piece) === undefined ? '…' : sayOdds(oddsOf(set, piece)!) }}</i
        ><small>{{ describePiece(piece.piece, rules.unit) }}</small></span
      >
      <small>{{ takes(set.pieces) }}</small>
    </button>
    <p v-if="studentId && isLong" class="quiet">
      Long odds are no bar to a test.
      <NuxtLink :to="`/record/${studentId}/progress`">What would change them</NuxtLink>
    </p>
    <p v-if="none.length > 0" class="quiet">
      No set of up to four of the school’s pieces covers it by {{ none.join(', ') }}.
    </p>
  </section>
</template>

<style scoped>
.sets {
  padding: 16px;
  display: grid;
  gap: 8px;
  align-content: start;
}
button {
  display: grid;
  gap: 2px;
  padding: 10px 14px;
  min-height: 56px;
  border-radius: 10px;
  border: 1px solid var(--line);
  text-align: left;
}
button[aria-pressed='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
  padding: 9px 13px;
}
.book {
  color: var(--quiet);
  font-size: 0.86rem;
  font-weight: 600;
}
.piece {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 12px;
}
.piece small {
  width: 100%;
}
.piece b {
  font-weight: 650;
}
.piece i {
  font-style: normal;
  white-space: nowrap;
}
small {
  color: var(--quiet);
}
</style>
