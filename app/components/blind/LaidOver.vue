<script setup lang="ts">
import { compareReadings, type Compared, type Outcome } from '~~/core/agreement'
import { describeMark, standsUpright, type CouponDocument } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'

/** Two readings of one coupon on one drawing. Each outcome has a shape of its own. */
const props = defineProps<{ reference: CouponDocument; reading: CouponDocument; reader: string; unit: LengthUnit }>()

const drawn = computed(() => drawnLanes(props.reference, 'all passes', ''))
const placement = computed(() => placementOf(drawn.value, standsUpright(props.reference)))
const lanes = computed(() => new Map(drawn.value.beads.map(bead => [bead.id, bead])))
const compared = computed(() =>
  compareReadings(props.reference, props.reading).filter(row =>
    lanes.value.has((row.reference ?? row.reading)!.beadId),
  ),
)

const NAMES: Readonly<Record<Outcome, string>> = {
  found: 'Found',
  missed: 'Missed',
  imagined: 'Imagined',
  misjudged: 'Misjudged',
}
const groups = computed(() =>
  (Object.keys(NAMES) as Outcome[])
    .map(outcome => ({ outcome, rows: compared.value.filter(row => row.outcome === outcome) }))
    .filter(group => group.rows.length > 0),
)
const markOf = (row: Compared) => (row.reference ?? row.reading)!
const at = (row: Compared) => {
  const mark = markOf(row)
  const middle = mark.kind === 'flaw' ? (mark.atMm + mark.toMm) / 2 : mark.atMm
  return placement.value.point(middle, lanes.value.get(mark.beadId)!.offsetMm)
}
const RADIUS = 3.6
const SHAPES: Readonly<Record<Outcome, string>> = {
  found: `M${-RADIUS} 0 a${RADIUS} ${RADIUS} 0 1 0 ${2 * RADIUS} 0 a${RADIUS} ${RADIUS} 0 1 0 ${-2 * RADIUS} 0`,
  missed: `M${-RADIUS} ${-RADIUS} h${2 * RADIUS} v${2 * RADIUS} h${-2 * RADIUS} Z`,
  imagined: `M${-RADIUS} ${-RADIUS} L${RADIUS} ${RADIUS} M${-RADIUS} ${RADIUS} L${RADIUS} ${-RADIUS}`,
  misjudged: `M0 ${-RADIUS * 1.3} L${RADIUS * 1.3} ${RADIUS} H${-RADIUS * 1.3} Z`,
}
const say = (row: Compared) => {
  const said = describeMark(props.reference, markOf(row), props.unit)
  return row.outcome === 'misjudged' && row.reading
    ? `${said}; read as ${describeMark(props.reference, row.reading, props.unit)}`
    : said
}
</script>

<template>
  <div class="over">
    <svg
      :viewBox="`-4 -4 ${placement.width + 8} ${placement.height + 8}`"
      role="img"
      :aria-label="`The coupon with both readings: ${groups.map(group => `${group.rows.length} ${group.outcome}`).join(', ') || 'nothing marked'}`"
    >
      <WeldedStrip :document="reference" :drawn="drawn" :placement="placement" />
      <g :transform="placement.transform">
        <MarkSign
          v-for="row in compared"
          :key="markOf(row).id"
          :mark="markOf(row)"
          :bead="lanes.get(markOf(row).beadId)!"
          :placement="placement"
          :selected="false"
          :radius="2.2"
        />
      </g>
      <g v-for="row in compared" :key="`sign ${markOf(row).id}`" :transform="`translate(${at(row).x} ${at(row).y})`">
        <path :d="SHAPES[row.outcome]" class="under" />
        <path :d="SHAPES[row.outcome]" class="sign" />
      </g>
    </svg>
    <div class="lists">
      <p v-if="groups.length === 0" class="quiet">Neither marked anything. Both call it sound.</p>
      <section v-for="group in groups" :key="group.outcome">
        <h3>
          <svg viewBox="-6 -6 12 12" width="22" height="22" aria-hidden="true">
            <path :d="SHAPES[group.outcome]" class="sign" /></svg
          >{{ NAMES[group.outcome] }} {{ group.rows.length }}
        </h3>
        <ul>
          <li v-for="row in group.rows" :key="markOf(row).id">{{ say(row) }}</li>
        </ul>
      </section>
      <p class="quiet">Found and missed by {{ reader }}, against the coupon as it was saved.</p>
    </div>
  </div>
</template>

<style scoped>
.over {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(240px, 2fr);
  gap: 18px;
  align-items: start;
}
.over > svg {
  width: 100%;
  max-height: 62dvh;
}
.sign {
  fill: none;
  stroke: currentColor;
  stroke-width: 1;
  stroke-linejoin: round;
}
g .sign {
  stroke: #14191c;
}
.under {
  fill: none;
  stroke: #fff;
  stroke-width: 2.2;
  stroke-opacity: 0.85;
}
.lists {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
h3 {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 700;
}
li {
  padding: 3px 0 3px 30px;
  font-size: 0.95rem;
}
@media (max-width: 700px) {
  .over {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
