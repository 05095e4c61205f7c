<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import type { CouponDocument } from '~~/core/coupon'
import { sayPicture, tellingOf } from '~~/core/picture'
import type { CouponPicture } from '~~/contract/pictures'
import { svgForPaper } from '~/composables/svgForPaper'
import type { PaperPicture } from '~/papers/paperParts'
import { usePictures, type ShownPicture } from '~/stores/pictures'
import { useRecord } from '~/stores/record'

/** Draws coupons for papers, out of sight: each with the picture that lies over it, and what is said under it. */
const pictures = usePictures()
const record = useRecord()
const drawing = shallowRef<{ readonly coupon: CouponDocument; readonly picture: ShownPicture | null } | null>(null)
const host = useTemplateRef<HTMLDivElement>('host')

async function draw(coupon: CouponDocument, taken: CouponPicture | null, says: string): Promise<PaperPicture> {
  drawing.value = { coupon, picture: taken && (await pictures.lay(taken, coupon.piece, 'paper')) }
  await nextTick()
  const svg = svgForPaper(host.value!.querySelector('svg')!)
  drawing.value = null
  return { svg, says }
}

/** Every picture of a coupon that lies to scale. @throws RequestFailure where one cannot be had now */
async function everyPicture(couponId: string, coupon: CouponDocument): Promise<PaperPicture[]> {
  const drawn: PaperPicture[] = []
  for (const taken of await pictures.ofCoupon(couponId))
    if (taken.lies) drawn.push(await draw(coupon, taken, sayPicture(taken)))
  return drawn
}

/** The first coupon of a student's rung, and the latest. @throws RequestFailure where they cannot be had now */
async function firstAndLatest(studentId: string) {
  const { pair } = await record.firstAndLatest(studentId)
  if (!pair) return null
  const drawn: PaperPicture[] = []
  for (const { id, pictures: count, document: coupon, classDay, verdict } of [pair.first, pair.latest]) {
    const taken = count > 0 ? tellingOf(await pictures.ofCoupon(id)) : null
    drawn.push(await draw(coupon, taken, `${spokenDay(classDay)}: ${verdict}`))
  }
  return { rung: pair.rung, coupons: drawn }
}

defineExpose({ everyPicture, firstAndLatest })
</script>

<template>
  <div ref="host" class="sr-only" aria-hidden="true">
    <DrawnCoupon v-if="drawing" :document="drawing.coupon" :picture="drawing.picture" label="" whole />
  </div>
</template>
