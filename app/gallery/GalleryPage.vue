<script setup lang="ts">
import { newFlaw, putMark, setDegree, isTry, type CouponDocument, type Mark, type Verdict } from '~~/core/coupon'
import { aCoupon, aJoint, exampleRead } from '~~/core/coupon/example'
import { planStack, type JointShape } from '~~/core/deposit'
import { DEFAULT_HOUSE_RULES } from '~~/core/house'
import { housePlanner } from '~~/core/setup'
import { DISCONTINUITIES, type PadPosition } from '~~/core/trade'
import { inches } from '~~/core/units'
import type { TestState } from '~~/core/welderTest'

/** Drawings and states side by side, in both themes, made from the example coupons. In development only. */
const rules = DEFAULT_HOUSE_RULES
useHead({ title: 'Gallery · Fusilis' })

const sound = (mark: Mark, degree: 1 | 2 | 3) => (isTry(mark) ? setDegree(mark, degree) : mark)
const degrees: CouponDocument = {
  ...aCoupon(),
  marks: aCoupon().marks.map((mark, n) => sound(mark, ((n % 3) + 1) as 1 | 2 | 3)),
}
/** Each discontinuity once, one to a bead. */
const flawed = (kinds: typeof DISCONTINUITIES): CouponDocument => {
  const blank = aCoupon({ beadCount: kinds.length })
  return kinds.reduce((coupon, { id }, n) => {
    const bead = coupon.beads[n]!
    return putMark(coupon, newFlaw(coupon, id, id, { beadId: bead.id, atMm: bead.toMm / 2 }))
  }, blank)
}
const HALF = Math.ceil(DISCONTINUITIES.length / 2)
const coupons = [
  { name: 'as it opens', document: aCoupon() },
  { name: 'the example, read', document: exampleRead(rules) },
  { name: 'sound, workable, poor', document: degrees },
  { name: 'discontinuities, first half', document: flawed(DISCONTINUITIES.slice(0, HALF)) },
  { name: 'discontinuities, second half', document: flawed(DISCONTINUITIES.slice(HALF)) },
  { name: 'the example pipe, 6G', document: aJoint() },
]

const groove = { thicknessMm: inches(3 / 8), gapMm: inches(1 / 4), landMm: 0, includedDegrees: 45 }
const SHAPES: readonly { readonly name: string; readonly shape: JointShape; readonly position: PadPosition }[] = [
  { name: 'V on backing, 3G', shape: { kind: 'V', groove, backing: true }, position: '3G' },
  { name: '1/2 in fillet, 2F', shape: { kind: 'fillet', legMm: inches(1 / 2), thicknessMm: 12 }, position: '2G' },
]
const stacks = SHAPES.map(one => ({
  ...one,
  plan: planStack(housePlanner({ ...one, coreMm: inches(1 / 8), rootCoreMm: inches(1 / 8) }, rules)),
}))
const VERDICTS: readonly Verdict[] = ['move on', 'run it again', 'start over']
const STATES: readonly TestState[] = ['planned', 'under way', 'for visual', 'for specimens', 'passed', 'failed']
</script>

<template>
  <div v-for="theme in ['shop', 'booth']" :key="theme" class="page">
    <v-theme-provider :theme="theme" with-background>
      <h1>{{ theme }}</h1>
      <ul class="grid">
        <li v-for="one in coupons" :key="one.name">
          <CouponThumb :document="one.document" :label="one.name" />
          <small>{{ one.name }}</small>
        </li>
      </ul>
      <ul class="grid wide">
        <li v-for="one in stacks" :key="one.name">
          <StackDrawing :plan="one.plan" :shape="one.shape" :aims="{}" :laid="one.plan.beads.length" unit="in" />
          <small>{{ one.name }}, {{ one.plan.beads.length }} beads</small>
        </li>
      </ul>
      <p>
        <span v-for="verdict in VERDICTS" :key="verdict" class="sign"
          ><VerdictSign :verdict="verdict" />{{ verdict }}</span
        >
        <span v-for="state in STATES" :key="state" class="sign"><StateSign :state="state" />{{ state }}</span>
      </p>
      <div class="grid wide">
        <PageState loading />
        <PageState problem="The server does not answer." />
        <PageState empty="Nobody has read a coupon yet." />
      </div>
    </v-theme-provider>
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 18px;
  padding: 12px 0;
}
.grid.wide {
  grid-template-columns: repeat(auto-fill, minmax(400px, 1fr));
}
.sign {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  margin-left: 16px;
}
</style>
