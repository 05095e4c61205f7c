<script setup lang="ts">
import { beadNumber, type CouponDocument } from '~~/core/coupon'
import { laps, restartQualities, straightness, undercutDepths, type RestartQuality } from '~~/core/grading'
import { formatLength, type LengthUnit } from '~~/core/units'
import { useCouponBench } from '~/composables/couponBench'

/** What the marks and the gauge come to, line by line, before any code is held against it. */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit }>()
const emit = defineEmits<{ show: [markIds: readonly string[]] }>()
const bench = useCouponBench()

const QUALITIES: readonly RestartQuality[] = ['height', 'width', 'line', 'clean']
const say = (mm: number) => formatLength(mm, props.unit)

const rows = computed(() => {
  const { document: coupon, unit } = props
  const limits = undercutDepths(coupon)
  const { tried, failed } = restartQualities(coupon)
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
    ...straightness(coupon, bench.rules).map(row => ({
      name: `Bead ${beadNumber(coupon, row.bead.id)}, off its best line`,
      value: say(row.offMm),
      markIds: row.markIds,
    })),
    ...laps(coupon).map(row => ({
      name: `Bead ${beadNumber(coupon, row.bead.id)} over ${beadNumber(coupon, row.over.id)}`,
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
