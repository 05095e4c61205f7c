<script setup lang="ts">
import type { ShownBead } from '~~/core/simulate'
import { formatLength, type LengthUnit } from '~~/core/units'
import RulerScale from '../bench/RulerScale.vue'
import { placementOf } from '~/drawing/placement'
import { folds, nearest, outline, ripples, section, sideView, slag, undercut } from '~/drawing/shownBeadPaths'

/**
 * A bead as it lies: from above and from the side along a ruler, and cut through. The bead wanted is dashed, to
 * hold it against.
 */
const props = defineProps<{
  bead: ShownBead
  right: { readonly widthMm: number; readonly heightMm: number }
  unit: LengthUnit
  upright: boolean
  label: string
}>()

const id = useId()
const PLATE_MM = 29
const LINE = PLATE_MM / 2
/** Height is shown larger than along the bead, or a lump would not be seen. */
const HIGHER = 2
const SIDE_MM = 11
const placement = computed(() => placementOf({ lengthMm: props.bead.lengthMm, widthMm: PLATE_MM }, false))
const CUT_AT = 0.74
const cut = computed(() => nearest(props.bead, props.bead.lengthMm * CUT_AT))
const wanted = computed(() => ({
  ...cut.value,
  ...props.right,
  undercutMm: { upper: 0, lower: 0 },
  overlapMm: { upper: 0, lower: 0 },
  sag: 0,
}))
const px = (pixels: number) => pixels * 0.17
const lump = computed(() => ({
  station: nearest(props.bead, props.bead.restartAtMm),
  around: nearest(props.bead, props.bead.restartAtMm + 14),
}))
const lumpMm = computed(() => lump.value.station.heightMm - lump.value.around.heightMm)
const crater = computed(() => nearest(props.bead, props.bead.lengthMm - 4.5))
const SECTION = { half: 9, plate: 6 }
</script>

<template>
  <div class="views">
    <figure class="along">
      <svg :viewBox="`-2 -1 ${bead.lengthMm + 4} ${PLATE_MM + 11 + SIDE_MM}`" role="img" :aria-label="label">
        <defs>
          <linearGradient :id="`${id}-plate`" x1="0" y1="0" x2="1" y2="1">
            <stop offset="0" stop-color="#cfd5d8" />
            <stop offset="1" stop-color="#b3bcc1" />
          </linearGradient>
          <linearGradient :id="`${id}-bead`" x1="0" y1="0" x2="0" y2="1">
            <stop offset="0" stop-color="#6f7a80" />
            <stop :offset="upright ? 0.45 : 0.3" stop-color="#b9c2c6" />
            <stop offset="0.6" stop-color="#a4aeb3" />
            <stop offset="1" stop-color="#5d686e" />
          </linearGradient>
          <clipPath :id="`${id}-metal`"><path :d="outline(bead, LINE)" /></clipPath>
          <radialGradient :id="`${id}-lump`">
            <stop offset="0" stop-color="#f1f4f5" stop-opacity="0.95" />
            <stop offset="0.6" stop-color="#d5dbde" stop-opacity="0.6" />
            <stop offset="1" stop-color="#7b868c" stop-opacity="0.25" />
          </radialGradient>
          <radialGradient :id="`${id}-dip`">
            <stop offset="0" stop-color="#39434a" stop-opacity="0.75" />
            <stop offset="0.7" stop-color="#59636a" stop-opacity="0.4" />
            <stop offset="1" stop-color="#59636a" stop-opacity="0" />
          </radialGradient>
        </defs>
        <rect
          :width="bead.lengthMm"
          :height="PLATE_MM"
          :fill="`url(#${id}-plate)`"
          stroke="#7c878d"
          stroke-width="0.4"
        />
        <circle
          v-for="(drop, n) in bead.spatter"
          :key="n"
          :cx="drop.atMm"
          :cy="LINE - drop.offsetMm"
          :r="drop.diameterMm / 2"
          fill="#4c565c"
        />
        <g
          v-for="strike in bead.strikes"
          :key="strike.atMm"
          :transform="`translate(${strike.atMm} ${LINE - strike.offsetMm})`"
        >
          <ellipse :rx="strike.diameterMm * 0.75" ry="0.95" fill="#4a545a" fill-opacity="0.55" />
          <path d="M-1.7 0.3 L-0.3 -0.3 L0.8 0.35 L1.8 -0.1" fill="none" stroke="#252c30" stroke-width="0.45" />
        </g>
        <path :d="undercut(bead, LINE)" fill="#2b3338" />
        <path :d="outline(bead, LINE)" :fill="`url(#${id}-bead)`" stroke="#545e63" stroke-width="0.3" />
        <path
          :d="ripples(bead, LINE)"
          :clip-path="`url(#${id}-metal)`"
          fill="none"
          stroke="#3f4a50"
          stroke-opacity="0.5"
          stroke-width="0.3"
        />
        <path :d="folds(bead, LINE)" fill="none" stroke="#39434a" stroke-opacity="0.8" stroke-width="0.55" />
        <path :d="slag(bead, LINE)" fill="none" stroke="#4a2f22" stroke-width="1" stroke-linecap="round" />
        <g :transform="`translate(${bead.restartAtMm} ${LINE - lump.station.strayMm})`">
          <ellipse
            v-if="Math.abs(lumpMm) > 0.3"
            :rx="4.6"
            :ry="lump.station.widthMm * 0.44"
            :fill="`url(#${id}-${lumpMm > 0 ? 'lump' : 'dip'})`"
          />
          <path
            :d="`M-1.2 ${-lump.station.widthMm * 0.46} Q ${lump.station.widthMm * 0.42} 0 -1.2 ${lump.station.widthMm * 0.46}`"
            fill="none"
            stroke="#39434a"
            stroke-opacity="0.75"
            stroke-width="0.35"
          />
        </g>
        <g :transform="`translate(${bead.lengthMm - 4.5} ${LINE - crater.strayMm})`">
          <ellipse
            :rx="crater.widthMm * 0.36"
            :ry="crater.widthMm * 0.4"
            :fill="`url(#${id}-dip)`"
            :opacity="Math.min(1, 0.3 + bead.crater.depthMm / 2)"
          />
          <path
            v-if="bead.crater.cracked"
            d="M0 0 l1.3 0.5 l0.8 -0.3 M0 0 l-0.4 1.3 l0.5 0.7 M0 0 l-1.4 0.1 l-0.5 -0.5 M0 0 l0.4 -1.5 l-0.4 -0.6"
            fill="none"
            stroke="#0d1113"
            stroke-width="0.32"
          />
        </g>
        <circle
          v-for="pore in bead.pores"
          :key="pore.atMm"
          :cx="pore.atMm"
          :cy="LINE - pore.offsetMm"
          :r="pore.diameterMm / 2"
          fill="#1c2225"
          stroke="#dfe4e6"
          stroke-width="0.12"
        />
        <g class="wanted">
          <path
            :d="`M0 ${LINE - right.widthMm / 2} h${bead.lengthMm} M0 ${LINE + right.widthMm / 2} h${bead.lengthMm}`"
          />
        </g>
        <path class="cut" :d="`M${cut.atMm} 0.6 v3.4 M${cut.atMm} ${PLATE_MM - 4} v3.4`" />
        <RulerScale :placement="placement" :length-mm="bead.lengthMm" :unit="unit" :px="px" />
        <g :transform="`translate(0 ${PLATE_MM + SIDE_MM + 7})`">
          <path :d="sideView(bead, 0, HIGHER)" fill="#9aa5ab" stroke="#545e63" stroke-width="0.3" />
          <path d="M0 0 h150 v1.6 h-150 Z" fill="#b3bcc1" stroke="#7c878d" stroke-width="0.3" />
          <g class="wanted"><path :d="`M0 ${-right.heightMm * HIGHER} h${bead.lengthMm}`" /></g>
        </g>
      </svg>
      <figcaption>
        From above, and from the side at twice the height. Welded left to right{{
          upright ? ', the plate upright' : ''
        }}. Dashed: {{ formatLength(right.widthMm, unit) }} wide, {{ formatLength(right.heightMm, unit) }} high, as
        wanted.
      </figcaption>
    </figure>
    <figure class="across">
      <svg
        :viewBox="
          upright
            ? `-8 ${-SECTION.half - 1} 15 ${SECTION.half * 2 + 2}`
            : `${-SECTION.half - 1} -8 ${SECTION.half * 2 + 2} 15`
        "
        role="img"
        aria-label="Cut through"
      >
        <!-- The section is made with its upper toe on the left; on an upright plate the face looks left and the
             upper toe is up. -->
        <g :transform="upright ? 'matrix(0 1 1 0 0 0)' : undefined">
          <path
            :d="section(cut, SECTION.plate, SECTION.half)"
            fill="#a9b3b8"
            stroke="#394349"
            stroke-width="0.2"
            stroke-linejoin="round"
          />
          <path class="wanted-section" :d="section(wanted, SECTION.plate, SECTION.half)" />
        </g>
      </svg>
      <figcaption>Cut through at the marks</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(150px, 21%);
  gap: 18px;
  align-items: center;
}
svg {
  display: block;
  width: 100%;
}
.across svg {
  max-height: 260px;
}
figcaption {
  color: var(--quiet);
  font-size: 0.86rem;
  padding-top: 6px;
}
.wanted path,
.wanted-section {
  fill: none;
  stroke: #123a66;
  stroke-width: 0.28;
  stroke-dasharray: 1.6 1.2;
  stroke-opacity: 0.75;
}
.wanted-section {
  stroke-width: 0.16;
  stroke-dasharray: 0.7 0.5;
}
.cut {
  stroke: #123a66;
  stroke-width: 0.5;
}
@media (max-width: 820px) {
  .views {
    grid-template-columns: minmax(0, 1fr);
  }
  .across {
    display: flex;
    align-items: center;
    gap: 12px;
  }
  .across svg {
    max-width: 200px;
  }
}
</style>
