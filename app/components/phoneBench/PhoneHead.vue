<script setup lang="ts">
import { mdiChevronLeft } from '@mdi/js'
import { describeRod, isTry, rowOf } from '~~/core/coupon'
import { rowsOf } from '~/drawing/drawnLanes'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'

/** Whose coupon lies here, how it was run, who waits; and its beads or passes, each as large as a finger. */
defineEmits<{ ticket: []; pass: [] }>()
const bench = useBench()
const floor = useFloor()
const waiting = computed(() => floor.queue.waiting.length)
const slip = computed(() => {
  const { ticket } = bench.coupon!
  const run = bench.pass ?? ticket
  return `${ticket.rung} · ${describeRod(run)} · ${run.currentA} A`
})
const amiss = computed(() => bench.remarks.length > 0)

const rows = computed(() => {
  const coupon = bench.coupon!
  return rowsOf(coupon).map(({ key, beads }, index) => {
    const ids = new Set(beads.map(bead => bead.id))
    const pass = coupon.passes?.findIndex(one => one.id === key) ?? index
    return {
      key,
      name: key === 'root' ? 'root' : String(pass + 1),
      says: key === 'root' ? 'root side' : `${coupon.passes ? 'pass' : 'bead'} ${pass + 1}`,
      here: ids.has(bench.cursor.beadId),
      against: coupon.marks.filter(
        mark => ids.has(mark.beadId) && mark.kind !== 'reading' && !(isTry(mark) && mark.degree === 'sound'),
      ).length,
    }
  })
})
const lanes = useTemplateRef<HTMLElement>('lanes')
watch(
  () => bench.cursor.beadId,
  async () => {
    await nextTick()
    lanes.value?.querySelector('[aria-pressed=true]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
  },
  { flush: 'post', immediate: true },
)
const bead = (id: string) => bench.coupon!.beads.find(one => rowOf(one) === id)!
</script>

<template>
  <header class="head">
    <div class="who">
      <NuxtLink to="/" aria-label="To the Floor"><v-icon :icon="mdiChevronLeft" size="30" /></NuxtLink>
      <h1 class="slip" :class="{ amiss }">
        <button type="button" @click="$emit('ticket')">
          <b>{{ bench.open!.student.name }}</b><span>{{ amiss ? bench.remarks[0]!.text : slip }}</span>
        </button>
      </h1>
      <span v-if="waiting > 0" class="waiting num" :aria-label="`${waiting} wait`">{{ waiting }}</span>
    </div>
    <div ref="lanes" class="lanes" role="group" :aria-label="bench.coupon!.passes ? 'Passes' : 'Beads'">
      <button
        v-for="row in rows"
        :key="row.key"
        type="button"
        :aria-pressed="row.here"
        :aria-label="row.against > 0 ? `${row.says}, ${row.against} against it` : row.says"
        @click="
          row.here && bench.pass ? $emit('pass') : bench.moveCursor({ ...bench.cursor, beadId: bead(row.key).id })
        "
      >
        {{ row.name }}<i v-if="row.against > 0" class="num">{{ row.against }}</i>
      </button>
    </div>
  </header>
</template>

<style scoped>
.who {
  display: flex;
  align-items: center;
  background: rgb(var(--v-theme-surface));
  padding-right: 12px;
}
a {
  width: 48px;
  height: 56px;
  display: grid;
  place-items: center;
  color: inherit;
}
.slip {
  flex: 1;
  min-width: 0;
  font: inherit;
}
.slip button {
  width: 100%;
  min-height: 56px;
  text-align: left;
  display: grid;
  align-content: center;
  line-height: 1.2;
}
.slip b {
  font-size: 1.1rem;
  font-weight: 700;
}
.slip span {
  color: var(--quiet);
  font-size: 0.85rem;
}
.slip b,
.slip span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.slip.amiss span {
  color: rgb(var(--v-theme-warning));
  font-weight: 600;
}
.waiting {
  min-width: 36px;
  padding: 4px 8px;
  border-radius: 8px;
  text-align: center;
  font-weight: 700;
  background: rgb(var(--v-theme-surface-variant));
}
.lanes {
  display: flex;
  gap: 6px;
  padding: 6px 10px;
  overflow-x: auto;
  scrollbar-width: none;
}
.lanes button {
  flex: 1 0 46px;
  height: 46px;
  border-radius: 9px;
  font-weight: 700;
  position: relative;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
}
.lanes button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.lanes i {
  position: absolute;
  top: 2px;
  right: 2px;
  min-width: 18px;
  padding: 0 4px;
  border-radius: 9px;
  font: inherit;
  font-size: 0.72rem;
  line-height: 18px;
  background: var(--poor);
  color: #fff;
}
</style>
