<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { describeRod } from '~~/core/coupon'
import { tellingOf } from '~~/core/picture'
import type { CouponSummary, FirstAndLatest } from '~~/contract/record'
import type { CouponPicture } from '~~/contract/pictures'
import { useLaidPicture } from '~/composables/laidPicture'
import { useLookedAt } from '~/composables/loader'
import { usePictures } from '~/stores/pictures'
import { useRecord } from '~/stores/record'

/** Where a student began with a rung and where it is now: two coupons side by side, with their pictures. */
const props = defineProps<{ studentId: string }>()
const record = useRecord()
const pictures = usePictures()
const rung = ref('')

interface Beside {
  readonly rungs: readonly string[]
  readonly first: CouponSummary | null
  readonly latest: CouponSummary | null
  readonly pictures: readonly (CouponPicture | null)[]
}
const NONE: Beside = { rungs: [], first: null, latest: null, pictures: [null, null] }
const picture = async ({ id, pictures: count }: CouponSummary) =>
  count > 0 ? tellingOf(await pictures.ofCoupon(id).catch(() => [])) : null

const { found, problem, load } = useLookedAt(NONE, async () => {
  const { rungs, pair }: FirstAndLatest = await record.firstAndLatest(props.studentId, rung.value)
  if (!pair) return { ...NONE, rungs }
  rung.value = pair.rung
  const { first, latest } = pair
  return { rungs, first, latest, pictures: await Promise.all([picture(first), picture(latest)]) }
})
const ask = (wanted: string) => {
  rung.value = wanted
  void load()
}

const SIDES = [
  { which: 'first', name: 'First' },
  { which: 'latest', name: 'Latest' },
] as const
const laid = SIDES.map(({ which }, n) =>
  useLaidPicture(() => {
    const [coupon, taken] = [found.value[which], found.value.pictures[n]]
    return coupon && taken ? { picture: taken, piece: coupon.document.piece } : null
  }),
)
const pictured = computed(() => laid.some(one => one.laid.value))
</script>

<template>
  <section v-if="found.first || problem" class="panel" aria-label="First and latest">
    <div class="bar">
      <h2 class="section-title">First and latest</h2>
      <PictureShare v-if="pictured" class="no-print" />
      <v-select
        v-if="found.rungs.length > 1"
        label="Rung"
        hide-details
        density="compact"
        class="no-print"
        :model-value="rung"
        :items="[...found.rungs]"
        @update:model-value="ask"
      />
      <b v-else>{{ rung }}</b>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="sides">
      <template v-for="({ which, name }, n) in SIDES" :key="which">
        <figure v-if="found[which]">
          <DrawnCoupon
            :document="found[which].document"
            :picture="laid[n]!.laid.value"
            :label="`${name} coupon: ${found[which].verdict}`"
            class="coupon"
          />
          <figcaption>
            <VerdictSign :verdict="found[which].verdict" :size="20" />
            <span
              ><b>{{ name }}, {{ spokenDay(found[which].classDay) }}</b>
              {{ describeRod(found[which].document.ticket) }} · {{ found[which].document.ticket.currentA }} A</span
            >
            <p v-if="laid[n]!.problem.value" class="quiet">{{ laid[n]!.problem.value }}</p>
          </figcaption>
        </figure>
      </template>
    </div>
  </section>
</template>

<style scoped>
section {
  padding: 16px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-bottom: 10px;
}
.bar h2 {
  margin-right: auto;
}
.bar .v-select {
  flex: 0 1 240px;
}
.sides {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
  gap: 18px;
}
figure {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 8px;
  break-inside: avoid;
}
.coupon {
  max-height: 320px;
  align-self: center;
}
figcaption {
  display: flex;
  align-items: center;
  gap: 8px;
  flex-wrap: wrap;
  justify-content: center;
}
</style>
