<script setup lang="ts">
import { PAD_POSITIONS, type PadPosition } from '~~/core/trade'
import type { PadGridCell } from '~~/contract/record'

/** Pads by position, hand and way: what has been covered, and where the gaps are. */
const props = defineProps<{ grid: readonly PadGridCell[] }>()
const HANDS = ['right', 'left'] as const

const rows = computed(() =>
  HANDS.flatMap(hand =>
    [0, 1].map(way => ({
      hand,
      name: `${hand} hand, ${way === 0 ? 'left to right or up' : 'right to left or down'}`,
      cells: PAD_POSITIONS.map(position => {
        const travel = position.travel[way]!
        return {
          position: position.id,
          travel,
          own:
            props.grid.find(cell => cell.position === position.id && cell.hand === hand && cell.travel === travel) ??
            null,
        }
      }),
    })),
  ),
)
const name = (id: PadPosition) => PAD_POSITIONS.find(position => position.id === id)!.name
const share = ({ tried, sound }: { readonly tried: number; readonly sound: number }) =>
  tried > 0 ? `${sound} of ${tried}` : 'none'
</script>

<template>
  <section class="panel grid" aria-label="Pads by position, hand and way">
    <h2 class="section-title">Pads by hand and way</h2>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="sr-only">Hand and way</span></th>
            <th v-for="position in PAD_POSITIONS" :key="position.id" scope="col">{{ name(position.id) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <td v-for="cell in row.cells" :key="cell.position" class="num">
              <template v-if="cell.own"
                ><b>{{ cell.own.coupons }} {{ cell.own.coupons === 1 ? 'pad' : 'pads' }}</b
                ><small>starts {{ share(cell.own.starts) }}, restarts {{ share(cell.own.restarts) }}</small></template
              >
              <span v-else class="gap">not yet</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.grid {
  padding: 16px;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: separate;
  border-spacing: 4px;
}
th {
  text-align: left;
  font-weight: 500;
  padding: 2px 8px 2px 0;
  white-space: nowrap;
}
thead th {
  color: var(--quiet);
  font-size: 0.9rem;
}
thead th::first-letter,
tbody th::first-letter {
  text-transform: uppercase;
}
td {
  min-width: 150px;
  padding: 6px 10px;
  border-radius: 8px;
  background: rgba(var(--v-theme-on-surface), 0.05);
  vertical-align: top;
}
td:has(.gap) {
  background: none;
  border: 1px dashed var(--line);
}
small {
  display: block;
  color: var(--quiet);
  font-size: 0.84rem;
}
.gap {
  color: var(--quiet);
}
</style>
