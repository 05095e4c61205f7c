<script setup lang="ts">
import type { CouponDocument } from '~~/core/coupon'
import { clauseIn, sayPrinted, thicknessIn, unitFor, type CodeBook, saySize } from '~~/core/qualification'
import {
  formerFor,
  isBend,
  originOf,
  sayOrigin,
  specimenVerdict,
  type Specimen,
  type WelderTest,
} from '~~/core/welderTest'
import { formatLength } from '~~/core/units'
import { wallTime } from '~/composables/shopClock'

/** The specimens: what each is, its former, how it came out, and where in the weld an opening came from. */
const props = defineProps<{
  document: WelderTest
  book: CodeBook
  specimens: readonly Specimen[]
  coupon: CouponDocument
  chosen: string | null
  open: boolean
}>()
defineEmits<{ choose: [id: string]; sound: [specimen: Specimen]; enter: [specimen: Specimen] }>()
const unit = computed(() => unitFor(props.book, props.document.test))
const former = computed(() => formerFor(props.book, props.document.yieldMpa))
/** Face and root bends are as thick as the wall to 3/8 in (10 mm); a side bend is a slice through all of it. */
const rows = computed(() =>
  props.specimens.map((specimen, n) => {
    const result = props.document.results[specimen.id]
    const verdict = specimenVerdict(props.document, specimen, props.book)
    return {
      specimen,
      number: n + 1,
      result,
      verdict,
      width: formatLength(specimen.toMm - specimen.fromMm, unit.value),
      openings: (result?.openings ?? []).map(opening => ({
        says: `${saySize(opening.length, unit.value)} ${unit.value} ${opening.kind}${opening.corner ? ' at a corner' : ''}`,
        from: sayOrigin(originOf(props.coupon, specimen, opening)),
      })),
    }
  }),
)
const bends = computed(() => props.specimens.some(specimen => isBend(specimen.kind)))
const WORDS = { 'passes': 'passes', 'fails': 'fails', 'another specimen': 'cut another' } as const
</script>

<template>
  <section aria-label="Specimens">
    <p v-if="bends" class="quiet">
      Former for {{ document.yieldMpa }} MPa yield: {{ sayPrinted(former.plunger, unit) }} plunger; wall
      {{ formatLength(document.test.thicknessMm, unit) }},
      {{
        Math.round(
          (100 * thicknessIn(book, document.test).value) /
            (thicknessIn(book, document.test).value + former.plunger[unit]),
        )
      }}
      % stretch at full thickness. {{ clauseIn(book, former) }}
    </p>
    <ul>
      <li
        v-for="row in rows"
        :key="row.specimen.id"
        :class="{ chosen: row.specimen.id === chosen }"
        @click="$emit('choose', row.specimen.id)"
      >
        <span class="num number">{{ row.number }}</span>
        <div class="what">
          <b>{{ row.specimen.kind }}</b> <span class="quiet">{{ row.width }} wide</span>
          <small v-for="(opening, n) in row.openings" :key="n">{{ opening.says }}: {{ opening.from }}</small>
          <small v-if="row.result?.note">{{ row.result.note }}</small>
          <small v-if="row.verdict && row.verdict.reasons.length > 0"
            >{{ row.verdict.reasons.join('. ') }} ({{ row.verdict.clause }})</small
          >
        </div>
        <span v-if="row.verdict" class="outcome" :class="row.verdict.outcome.replace(' ', '-')"
          >{{ WORDS[row.verdict.outcome]
          }}<small v-if="row.result">{{ row.result.by }}, {{ wallTime(row.result.at) }}</small></span
        >
        <template v-if="open">
          <v-btn
            v-if="isBend(row.specimen.kind) && !row.result"
            variant="outlined"
            :aria-label="`Specimen ${row.number}: sound`"
            @click.stop="$emit('sound', row.specimen)"
            >Sound</v-btn
          >
          <v-btn
            variant="text"
            :aria-label="`Specimen ${row.number}: ${isBend(row.specimen.kind) ? 'openings' : 'judge'}`"
            @click.stop="$emit('enter', row.specimen)"
            >{{ isBend(row.specimen.kind) ? 'Openings' : 'Judge' }}</v-btn
          >
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 52px;
  padding: 4px 6px;
  border-top: 1px solid var(--line);
  cursor: pointer;
}
.chosen {
  background: color-mix(in srgb, var(--temper-straw) 22%, transparent);
}
.number {
  width: 26px;
  height: 26px;
  display: grid;
  place-items: center;
  border-radius: 6px;
  background: rgb(var(--v-theme-surface-variant));
  font-weight: 700;
}
.what {
  flex: 1;
}
.what b::first-letter {
  text-transform: uppercase;
}
.what b {
  display: inline-block;
}
small {
  display: block;
  color: var(--quiet);
  font-size: 0.86rem;
}
.outcome {
  font-weight: 650;
  text-align: right;
}
.fails {
  color: var(--poor);
}
p.quiet {
  font-size: 0.88rem;
  padding-bottom: 8px;
}
</style>
