<script setup lang="ts">
import { FEWEST_BEADS, gaugedBeads, readerWidths, type ReaderWidths, type WidthHeld } from '~~/core/picture'
import { MM_PER_INCH } from '~~/core/units'
import { useSaving } from '~/composables/saving'
import { useHouseRules } from '~/stores/houseRules'
import { usePictures } from '~/stores/pictures'

/** A reader's own figure: how far the widths gauged by hand lie from those that the coupons' pictures show. */
const pictures = usePictures()
const houseRules = useHouseRules()
const { busy, refused, attempt } = useSaving()
const asked = ref(false)
const found = shallowRef<ReaderWidths | null>(null)

const hold = () =>
  attempt('', async () => {
    await houseRules.load()
    // Of pictures of one part of a coupon the newest comes first, and is the one that counts.
    const held = new Map<string, WidthHeld>()
    for (const { picture, document: coupon } of await pictures.gauged())
      for (const { bead, gaugedMm } of gaugedBeads(coupon, picture)) {
        const key = `${picture.couponId} ${bead.id}`
        const seen = held.has(key) ? null : await pictures.see(picture, coupon.piece, bead)
        if (seen) held.set(key, { gaugedMm, seenMm: seen.widthMm })
      }
    found.value = readerWidths([...held.values()])
    asked.value = true
  })

const say = (mm: number) => (houseRules.unit === 'in' ? `${(mm / MM_PER_INCH).toFixed(3)} in` : `${mm.toFixed(2)} mm`)
const says = computed(() => {
  if (!asked.value) return ''
  if (!found.value)
    return `It takes ${FEWEST_BEADS} beads that you gauged yourself and that a picture shows clearly: there are too few.`
  const { meanMm, lowMm, highMm, strayMm, beads } = found.value
  const clear = lowMm > 0 || highMm < 0
  const way = clear ? `${say(Math.abs(meanMm))} ${meanMm > 0 ? 'wider' : 'narrower'} than` : 'as wide as'
  return `On ${beads} beads you gauge ${way} the pictures show. Mean ${say(meanMm)}, 95 % interval ${say(lowMm)} to ${say(highMm)}; one bead strays by ${say(strayMm)}.`
})
</script>

<template>
  <section class="panel block" aria-label="Your widths against pictures">
    <h2>Your widths against pictures</h2>
    <p v-if="says" role="status">{{ says }}</p>
    <p v-if="refused" role="alert">{{ refused }}</p>
    <v-btn variant="outlined" :loading="busy" @click="hold">Hold my widths against the pictures</v-btn>
    <p class="quiet">
      Of your own last coupons with a picture and a gauged width. A width taken from the picture itself does not count.
      The picture has errors too: of its corners, and where a toe is no darker than what lies beside it.
    </p>
  </section>
</template>

<style scoped>
.block {
  padding: 16px;
  margin-bottom: 14px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
h2 {
  font-size: 1.15rem;
  font-weight: 700;
}
</style>
