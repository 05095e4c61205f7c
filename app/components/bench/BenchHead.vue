<script setup lang="ts">
import type { LengthUnit } from '~~/core/units'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'

/** Whose coupon lies on the Bench, and how it was run. */
defineProps<{ unit: LengthUnit }>()
defineEmits<{ student: []; ticket: [] }>()
const bench = useBench()
const floor = useFloor()
const remarks = computed(() => (bench.open ? floor.remarksAbout(bench.open.student.id) : []))
/** A remark that cannot be ticked off now stays where it is. */
const tick = (id: string) => void floor.tick(id).catch(() => {})
</script>

<template>
  <header v-if="bench.coupon && bench.open" class="head">
    <div class="who">
      <h1>
        <button type="button" @click="$emit('student')">{{ bench.open.student.name }}</button>
      </h1>
      <p>
        <template v-if="bench.open.toTry"
          >Nobody ran it, and nothing is kept: mark it, undo, look at what is said.</template
        >
        <template v-else
          >{{ bench.coupon.ticket.hand }} hand{{
            bench.coupon.ticket.booth ? ` · booth ${bench.coupon.ticket.booth}` : ''
          }}{{ bench.isRegrade ? ' · graded again' : '' }}</template
        >
      </p>
      <GroupLine />
    </div>
    <RemarkList v-if="remarks.length > 0" class="remarks" :remarks="remarks" @tick="tick" />
    <BenchTicket :document="bench.coupon" :remarks="bench.remarks" :unit="unit" @edit="$emit('ticket')" />
  </header>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
  padding: 12px 18px;
  background: rgb(var(--v-theme-surface));
  border-bottom: 1px solid var(--line);
}
.remarks {
  flex: 1 1 240px;
}
.who h1 {
  font-size: 1.4rem;
  font-weight: 700;
  letter-spacing: -0.015em;
  line-height: 1.15;
}
.who p {
  color: var(--quiet);
  font-size: 0.92rem;
}
</style>
