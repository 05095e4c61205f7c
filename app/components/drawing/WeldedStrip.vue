<script setup lang="ts">
import type { Bead, CouponDocument } from '~~/core/coupon'
import { beadEnd, isTry, travelsForward } from '~~/core/coupon'
import type { DrawnLanes } from '~/drawing/drawnLanes'
import type { Placement } from '~/drawing/placement'

/** The metal with its beads, laid one over the last. Used large on the bench and small in a list. */
const props = defineProps<{ document: CouponDocument; drawn: DrawnLanes; placement: Placement }>()

const id = useId()
const forward = (bead: Bead) => travelsForward(props.document, bead)

/** Beads of one width and direction share their ripples. */
const patterns = computed(() => {
  const found = new Map<string, { key: string; widthMm: number; step: number; bow: number }>()
  for (const bead of props.drawn.beads) {
    const key = patternOf(bead)
    if (!found.has(key))
      found.set(key, {
        key,
        widthMm: bead.widthMm,
        step: Math.max(1.1, bead.widthMm * 0.14),
        bow: (forward(bead) ? -1 : 1) * bead.widthMm * 0.34,
      })
  }
  return [...found.values()]
})
const patternOf = (bead: Bead) =>
  `${id}-ripples-${bead.widthMm.toFixed(1).replace('.', '-')}${forward(bead) ? '' : '-back'}`
/** One ripple: where the tail of the puddle froze, bowed back against the travel. */
const ripple = ({ widthMm, bow }: { widthMm: number; bow: number }, x: number) =>
  `M${x} 0 Q ${x + bow} ${widthMm / 2} ${x} ${widthMm}`

/** A crater lies on its bead, also where the next is tied in at its very end. */
const inside = ({ fromMm, toMm, widthMm }: Bead, at: number) =>
  Math.min(toMm - widthMm * 0.4, Math.max(fromMm + widthMm * 0.4, at))
const craters = computed(() => {
  const found = new Map<string, number[]>()
  for (const bead of props.drawn.beads)
    found.set(
      bead.id,
      bead.face === 'root' ? [] : [beadEnd(props.document, bead) + (forward(bead) ? -1 : 1) * bead.widthMm * 0.45],
    )
  for (const mark of props.document.marks)
    if (isTry(mark) && (mark.kind === 'restart' || mark.kind === 'tie-in')) found.get(mark.beadId)?.push(mark.atMm)
  for (const bead of props.drawn.beads)
    found.set(
      bead.id,
      found.get(bead.id)!.map(at => inside(bead, at)),
    )
  return found
})
/** The bevel edges, which a cap is held against: they show through it. */
const edges = computed(() => props.drawn.lines.filter(line => line.is === 'bevel edge'))
/** The groove between them, darker than the plate. */
const groove = computed(() => {
  const [one, other] = edges.value.map(edge => props.placement.across(edge.offsetMm))
  return one === undefined || other === undefined
    ? null
    : { upper: Math.min(one, other), height: Math.abs(one - other) }
})
</script>

<template>
  <g>
    <defs>
      <linearGradient :id="`${id}-plate`" x1="0" y1="0" x2="1" y2="1">
        <stop offset="0" stop-color="#cfd5d8" /><stop offset="1" stop-color="#b3bcc1" />
      </linearGradient>
      <linearGradient :id="`${id}-groove`" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="#aab3b8" /><stop offset="0.5" stop-color="#6d777d" /><stop
          offset="1"
          stop-color="#aab3b8"
        />
      </linearGradient>
      <linearGradient :id="`${id}-bead`" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="#6f7a80" /><stop offset="0.3" stop-color="#b9c2c6" /><stop
          offset="0.55"
          stop-color="#a4aeb3"
        /><stop offset="1" stop-color="#69747a" />
      </linearGradient>
      <pattern
        v-for="pattern in patterns"
        :id="pattern.key"
        :key="pattern.key"
        patternUnits="userSpaceOnUse"
        :width="pattern.step * 4"
        :height="pattern.widthMm"
      >
        <path
          v-for="n in 9"
          :key="n"
          :d="ripple(pattern, (n - 3) * pattern.step)"
          fill="none"
          stroke="#4d585e"
          stroke-opacity="0.42"
          stroke-width="0.28"
        />
      </pattern>
    </defs>
    <g :transform="placement.transform">
      <rect
        v-if="!drawn.inRows"
        :width="drawn.lengthMm"
        :height="drawn.widthMm"
        :fill="`url(#${id}-plate)`"
        stroke="#7c878d"
        stroke-width="0.4"
      />
      <rect
        v-if="groove"
        :y="groove.upper"
        :width="drawn.lengthMm"
        :height="groove.height"
        :fill="`url(#${id}-groove)`"
      />
      <template v-for="line in drawn.lines" :key="line.offsetMm">
        <path
          :d="`M0 ${placement.across(line.offsetMm)} H${drawn.lengthMm}`"
          stroke="#3d474d"
          stroke-width="0.35"
          :stroke-dasharray="line.is === 'seam' ? '3 1.6' : undefined"
        />
      </template>
      <template v-if="drawn.members">
        <text
          v-for="(member, index) in drawn.members"
          :key="member"
          :x="drawn.lengthMm / 2"
          :y="placement.across(index === 0 ? 4 : drawn.widthMm - 4) + 1.2"
          text-anchor="middle"
          font-size="3.4"
          fill="#3d474d"
          >{{ member }}</text
        >
      </template>
      <BeadShape
        v-for="bead in drawn.beads"
        :key="bead.id"
        :bead="bead"
        :y="placement.across(bead.offsetMm)"
        :forward="forward(bead)"
        :craters="craters.get(bead.id) ?? []"
        :fill="`url(#${id}-bead)`"
        :ripples="`url(#${patternOf(bead)})`"
      />
      <path
        v-for="line in edges"
        :key="`over ${line.offsetMm}`"
        :d="`M0 ${placement.across(line.offsetMm)} H${drawn.lengthMm}`"
        stroke="#14191c"
        stroke-width="0.25"
        stroke-dasharray="1.4 1.4"
        stroke-opacity="0.7"
      />
    </g>
  </g>
</template>
