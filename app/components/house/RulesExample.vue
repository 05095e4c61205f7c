<script setup lang="ts">
import { exampleRead } from '~~/core/coupon/example'
import { gradeCoupon } from '~~/core/grading'
import type { HouseRules } from '~~/core/house'
import { settingsCard, type SetUpCase } from '~~/core/setup'
import { formatLength, inches } from '~~/core/units'

/** One coupon by the rules in force and by the rules as edited: what a change does is seen as it is made. */
const props = defineProps<{ inForce: HouseRules; edited: HouseRules }>()

const VERTICAL: SetUpCase = {
  classification: 'E7018',
  diameterMm: inches(1 / 8),
  position: '3G',
  travel: 'up',
  joint: 'pad',
  pass: 'bead',
  thicknessMm: inches(3 / 8),
  polarity: 'DCEP',
  rods: 'new',
}
function outcome(rules: HouseRules) {
  const coupon = exampleRead(rules)
  const grade = gradeCoupon(coupon, rules)
  const card = settingsCard(VERTICAL, rules)
  return {
    coupon,
    grade,
    lines: [
      { name: 'Bead drawn', value: formatLength(coupon.beads[0]!.widthMm, rules.unit) },
      { name: 'Restarts foreseen', value: String(coupon.marks.filter(mark => mark.kind === 'restart').length) },
      { name: 'One rod, vertical', value: formatLength(card.runOutMm, rules.unit) },
      {
        name: 'Card, vertical',
        value: `${card.current.startA} A, ${card.current.window.lowA}–${card.current.window.highA} A`,
      },
    ],
  }
}
const now = computed(() => outcome(props.inForce))
const next = computed(() => outcome(props.edited))
const changed = (index: number) => now.value.lines[index]!.value !== next.value.lines[index]!.value
</script>

<template>
  <section class="panel example" aria-label="Example coupon">
    <h2>Example coupon</h2>
    <div class="drawing"><CouponThumb :document="next.coupon" label="The example as these rules lay it out" /></div>
    <div class="verdicts" aria-live="polite">
      <p>
        <VerdictSign :verdict="now.grade.verdict" :size="24" />{{ ' ' }}
        <span><small>in force</small>{{ now.grade.verdict }}</span>
      </p>
      <p :class="{ differs: now.grade.verdict !== next.grade.verdict }">
        <VerdictSign :verdict="next.grade.verdict" :size="24" />{{ ' ' }}
        <span><small>as edited</small>{{ next.grade.verdict }}</span>
      </p>
    </div>
    <ul v-if="next.grade.reasons.length > 0">
      <li v-for="reason in next.grade.reasons" :key="reason.text">{{ reason.text }}</li>
    </ul>
    <p v-else class="quiet">Nothing against it.</p>
    <dl class="num">
      <div v-for="(line, index) in next.lines" :key="line.name" :class="{ differs: changed(index) }">
        <dt>{{ line.name }}</dt>
        <dd>
          <s v-if="changed(index)">{{ now.lines[index]!.value }}</s> {{ line.value }}
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.example {
  padding: 16px;
  display: grid;
  gap: 12px;
}
h2 {
  font-size: 1rem;
  font-weight: 650;
}
.drawing {
  height: 190px;
}
.verdicts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.verdicts p {
  display: flex;
  align-items: center;
  gap: 10px;
  font-weight: 650;
}
small {
  display: block;
  font-weight: 400;
  color: var(--quiet);
}
li {
  padding: 1px 0 1px 14px;
  position: relative;
}
li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.7em;
  width: 6px;
  height: 2px;
  background: currentColor;
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
dt {
  color: var(--quiet);
}
dd {
  font-weight: 600;
  text-align: right;
}
s {
  color: var(--quiet);
  font-weight: 400;
  margin-right: 6px;
}
.differs {
  color: rgb(var(--v-theme-primary));
}
</style>
