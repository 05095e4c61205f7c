<script setup lang="ts">
import { beadNumber, type CouponDocument } from '~~/core/coupon'
import { laps, restartQualities, straightness, undercutDepths, type RestartQuality } from '~~/core/grading'
import { formatLength, type LengthUnit } from '~~/core/units'
import { useBench } from '~/stores/bench'

/** What the marks and the gauge come to, line by line, before any code is held against it. */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit }>()
const emit = defineEmits<{ show: [markIds: readonly string[]] }>()
const bench = useBench()

const QUALITIES: readonly RestartQuality[] = ['height', 'width', 'line', 'clean']
const say = (mm: number) => formatLength(mm, props.unit)

const rows = computed(() => {
  const { document, unit } = props
  const limits = undercutDepths(document)
  const { tried, failed } = restartQualities(document)
  return [
    ...limits.flatMap(({ toMm, lengthMm, markIds }) =>
      lengthMm > 0
        ? [
            {
              name:
                toMm === null
                  ? `Undercut deeper than ${formatLength(limits.at(-2)!.toMm!, unit)}`
                  : `Undercut to ${say(toMm)} deep`,
              value: say(lengthMm),
              markIds,
            },
          ]
        : [],
    ),
    ...(tried > 0
      ? QUALITIES.map(quality => ({
          name: `Restarts, ${quality}`,
          value: `${tried - failed[quality].length} of ${tried}`,
          markIds: failed[quality],
        }))
      : []),
    ...straightness(document, bench.rules).map(row => ({
      name: `Bead ${beadNumber(document, row.bead.id)}, off its best line`,
      value: say(row.offMm),
      markIds: row.markIds,
    })),
    ...laps(document).map(row => ({
      name: `Bead ${beadNumber(document, row.bead.id)} over ${beadNumber(document, row.over.id)}`,
      value: row.share < 0 ? 'plate shows between' : `${Math.round(row.share * 100)} % covered`,
      markIds: row.markIds,
    })),
  ]
})
</script>

<template>
  <section v-if="rows.length > 0" aria-label="Measured">
    <h3>Measured</h3>
    <ul>
      <li v-for="row in rows" :key="row.name">
        <span>{{ row.name }}</span>
        <button v-if="row.markIds.length > 0" type="button" class="num" @click="emit('show', row.markIds)">
          {{ row.value }}</button><b v-else class="num">{{ row.value }}</b>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 1.05rem;
  font-weight: 700;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 0 28px;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
}
button {
  min-height: 44px;
  font-weight: 650;
  text-decoration: underline;
}
b {
  font-weight: 650;
}
</style>
