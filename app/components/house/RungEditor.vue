<script setup lang="ts">
import { ELEMENTS } from '~~/core/grading'
import type { LadderRung } from '~~/core/ladder'
import { PIECES, positionsFor, type PieceKind } from '~~/core/trade'

/** One rung: what is welded, what it needs first, what it trains. Its rule of sign-off has a form of its own. */
const props = defineProps<{ rung: LadderRung; before: readonly LadderRung[]; inARow: number }>()
const emit = defineEmits<{ change: [rung: LadderRung] }>()
const change = (part: Partial<LadderRung>) => emit('change', { ...props.rung, ...part })
const OPEN_KINDS: readonly PieceKind[] = ['plate groove', 'pipe butt']

function piece(kind: PieceKind) {
  const positions = positionsFor(kind)
  change({
    piece: kind,
    position: positions.includes(props.rung.position) ? props.rung.position : positions[0]!,
    open: OPEN_KINDS.includes(kind) && (kind === 'pipe butt' || props.rung.open),
  })
}
</script>

<template>
  <div class="form">
    <v-text-field
      label="Name, as on the ticket"
      :model-value="rung.name"
      maxlength="60"
      hide-details
      @update:model-value="change({ name: $event })"
    />
    <div class="row">
      <v-select
        label="Piece"
        :model-value="rung.piece"
        :items="PIECES.map(row => ({ value: row.kind, title: row.name }))"
        hide-details
        @update:model-value="piece($event)"
      />
      <v-select
        label="Position"
        :model-value="rung.position"
        :items="positionsFor(rung.piece)"
        hide-details
        @update:model-value="change({ position: $event })"
      />
    </div>
    <v-checkbox
      v-if="OPEN_KINDS.includes(rung.piece)"
      label="Open root"
      :model-value="rung.open"
      hide-details
      density="compact"
      @update:model-value="change({ open: $event === true })"
    />
    <div class="row">
      <v-select
        label="Rods"
        :model-value="rung.rods"
        :items="['new', 'stubs']"
        hide-details
        @update:model-value="change({ rods: $event })"
      />
      <v-select
        label="Hand"
        :model-value="rung.hand"
        :items="[
          { value: 'own', title: 'usual' },
          { value: 'other', title: 'other' },
        ]"
        hide-details
        @update:model-value="change({ hand: $event })"
      />
      <v-text-field
        label="Coupons, usually"
        inputmode="numeric"
        :model-value="rung.coupons"
        hide-details
        @update:model-value="change({ coupons: Number($event) || 1 })"
      />
    </div>
    <v-autocomplete
      label="Needs first"
      multiple
      chips
      closable-chips
      :model-value="[...rung.needs]"
      :items="before.map(row => ({ value: row.id, title: row.name }))"
      hide-details
      @update:model-value="change({ needs: $event })"
    />
    <v-autocomplete
      label="Trains above all"
      multiple
      chips
      closable-chips
      :model-value="[...rung.trains]"
      :items="ELEMENTS.map(row => ({ value: row.id, title: row.name }))"
      hide-details
      @update:model-value="change({ trains: $event })"
    />
    <SignOffForm
      :rule="rung.signOff"
      :coupons="rung.coupons"
      :in-a-row="inARow"
      @change="change({ signOff: $event })"
    />
  </div>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  gap: 10px;
}
</style>
