<script setup lang="ts">
import { fitUpWanted, isTry, passRemarks, type CouponDocument } from '~~/core/coupon'
import { checkFitUp } from '~~/core/setup'
import type { LengthUnit } from '~~/core/units'
import { useCouponBench } from '~/composables/couponBench'
import { rowsOf } from '~/drawing/drawnLanes'

/**
 * The passes of a joint: which one is read, what stands against each, how the one at hand was set, and how the
 * joint was put together.
 */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit; locked?: boolean }>()
defineEmits<{ pass: []; fitUp: [] }>()
const bench = useCouponBench()

const rows = computed(() =>
  rowsOf(props.document).map(({ key, beads }) => {
    const index = props.document.passes!.findIndex(pass => pass.id === key)
    const pass = props.document.passes![index]
    const ids = new Set(beads.map(bead => bead.id))
    const against = props.document.marks.filter(
      mark => ids.has(mark.beadId) && mark.kind !== 'reading' && !(isTry(mark) && mark.degree === 'sound'),
    ).length
    return {
      key,
      against,
      beads,
      here: ids.has(bench.cursor.beadId),
      name: pass
        ? `${index + 1} ${pass.role === 'single' ? (pass.face === 'far side' ? 'far side' : 'weld') : pass.role}`
        : 'root side',
      amiss: pass
        ? (props.document.mock && !pass.log) || passRemarks(props.document, pass, bench.rules).length > 0
        : false,
    }
  }),
)
/** Under test terms each pass is logged; on practice it is as you like. */
const remarks = computed(() => {
  if (!bench.pass) return []
  const wanted = props.document.mock && !bench.pass.log ? ['log it: a mock test'] : []
  return [...passRemarks(props.document, bench.pass, bench.rules).map(remark => remark.text), ...wanted]
})
const slip = computed(() =>
  bench.pass ? `${bench.pass.classification}, ${bench.pass.currentA} A, ${bench.pass.travel}` : '',
)
const fitUpWords = computed(() => {
  const { fitUp, piece } = props.document
  if (!fitUp) return 'fit-up'
  const { findings } = checkFitUp(fitUp, fitUpWanted(piece), props.unit)
  return findings.length === 0 ? 'fit-up kept' : `fit-up: ${findings.length} off`
})
</script>

<template>
  <div class="passes">
    <div class="row" role="group" aria-label="Passes">
      <button v-for="row in rows" :key="row.key" type="button" :aria-pressed="row.here" @click="bench.goToRow(row.key)">
        {{ row.name
        }}<b v-if="row.against > 0" class="num" :aria-label="`${row.against} against it`">{{ row.against }}</b
        ><i v-if="row.amiss" aria-label="look at its log">▲</i>
      </button>
    </div>
    <div class="row">
      <button v-if="!locked" type="button" :class="{ warn: remarks.length > 0 }" @click="$emit('pass')">
        <span class="num">{{ slip }}</span><em v-if="remarks.length > 0">{{ remarks[0] }}</em> <kbd>;</kbd>
      </button>
      <button v-if="!locked" type="button" @click="$emit('fitUp')">{{ fitUpWords }} <kbd>’</kbd></button>
      <button type="button" :aria-pressed="bench.view === 'all passes'" @click="bench.turnView">
        all passes <kbd>0</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.passes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  justify-content: space-between;
  padding: 8px 12px 2px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}
button {
  min-height: 44px;
  padding: 2px 10px;
  border: 1px solid var(--line);
  border-radius: 9px;
  font-size: 0.92rem;
  font-weight: 550;
  background: rgb(var(--v-theme-surface));
}
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
b {
  margin-left: 6px;
  padding: 0 6px;
  border-radius: 6px;
  background: #b3331b;
  color: #fff;
}
i {
  margin-left: 5px;
  font-style: normal;
  font-size: 0.75em;
  color: rgb(var(--v-theme-warning));
}
.warn {
  border: 2px solid rgb(var(--v-theme-warning));
}
em {
  font-style: normal;
  font-weight: 650;
  color: rgb(var(--v-theme-warning));
  margin-left: 8px;
}
</style>
