<script setup lang="ts">
import { describePiece, describeRod, isPlate, thicknessOf, ticketWindow, type CouponDocument } from '~~/core/coupon'
import { sayWindow, type TicketRemark } from '~~/core/setup'
import { positionOf } from '~~/core/trade'
import type { LengthUnit } from '~~/core/units'
import { useBench } from '~/stores/bench'

/** The slip that comes with a coupon. What does not fit is marked on it; it never blocks. */
const props = defineProps<{ document: CouponDocument; remarks: readonly TicketRemark[]; unit: LengthUnit }>()
defineEmits<{ edit: [] }>()
const bench = useBench()

function hoursOut({ hoursOut: hours, lot }: CouponDocument['ticket']): string[] {
  if (hours === undefined) return []
  return [`${hours} h out${lot ? ` of ${lot.hoursAllowed}` : ''}`]
}
const slips = computed(() => {
  const { ticket, piece } = props.document
  const window = sayWindow(ticketWindow(ticket, thicknessOf(piece), bench.rules), ticket.panelOffsetA)
  const remark = (...fields: TicketRemark['field'][]) =>
    props.remarks
      .filter(row => fields.includes(row.field))
      .map(row => row.text)
      .join('; ')
  return [
    { label: ticket.position, value: ticket.rung, warn: remark('position') },
    {
      label: [ticket.rods === 'stubs' ? 'stubs' : 'new rods', ...hoursOut(ticket)].join(', '),
      value: describeRod(ticket),
      warn: remark('rod'),
    },
    {
      label: `current, ${window}`,
      value: `${ticket.currentA} A ${ticket.polarity}`,
      warn: remark('currentA', 'polarity'),
    },
    ...(ticket.arcForcePercent === undefined
      ? []
      : [{ label: 'arc force', value: `${ticket.arcForcePercent} %`, warn: remark('arcForce') }]),
    { label: isPlate(piece) ? 'plate' : 'piece', value: describePiece(piece, props.unit), warn: remark('plate') },
    { label: positionOf(ticket.position).name, value: ticket.travel, warn: remark('travel') },
  ]
})
</script>

<template>
  <div class="ticket" role="group" aria-label="Ticket">
    <button
      v-for="slip in slips"
      :key="slip.label"
      type="button"
      :class="{ warn: slip.warn }"
      :title="slip.warn"
      @click="$emit('edit')"
    >
      <small>{{ slip.label }}</small><b>{{ slip.value }}</b
      ><span v-if="slip.warn" class="why">{{ slip.warn }}</span>
    </button>
  </div>
</template>

<style scoped>
.ticket {
  display: flex;
  flex-wrap: wrap;
  gap: 7px;
}
button {
  min-height: 46px;
  padding: 4px 11px;
  border: 1px solid var(--line);
  border-radius: 9px;
  text-align: left;
  background: rgb(var(--v-theme-surface));
  display: grid;
  line-height: 1.2;
}
button:hover {
  border-color: currentColor;
}
small {
  font-size: 0.76rem;
  color: var(--quiet);
}
b {
  font-weight: 650;
  font-size: 0.95rem;
}
.warn {
  border: 2px solid rgb(var(--v-theme-warning));
  padding: 3px 10px;
}
.why {
  font-size: 0.8rem;
  font-weight: 600;
  color: rgb(var(--v-theme-warning));
}
.warn b::before {
  content: '▲ ';
  font-size: 0.7em;
  color: rgb(var(--v-theme-warning));
}
</style>
