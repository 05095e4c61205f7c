<script setup lang="ts">
import { ALL_WELDED, type Wanted, type Welded } from '~~/core/qualification'
import { ELECTRODES, PIPE_SIZES } from '~~/core/trade'
import { inches, type LengthUnit } from '~~/core/units'
import { length } from '~~/core/working'

/** What a student should end up qualified for. */
const props = defineProps<{ wanted: Wanted; unit: LengthUnit; pipeToo: boolean }>()
const emit = defineEmits<{
  'change': [wanted: Wanted]
  'update:pipeToo': [on: boolean]
  'problem': [message: string]
}>()
const NAMES: Readonly<Record<Welded, string>> = { F: 'Flat', H: 'Horizontal', V: 'Vertical', O: 'Overhead' }
const WALL = length('thickness', 'Thickest joint', 1, 100, inches(1 / 2))
const change = (part: Partial<Wanted>) => emit('change', { ...props.wanted, ...part })
const letters = (chosen: readonly Welded[]) => ALL_WELDED.filter(letter => chosen.includes(letter))
const pipes = PIPE_SIZES.map(size => ({ value: size.outsideMm, title: `NPS ${size.nps}` })).filter(
  (one, n, all) => all.findIndex(other => other.value === one.value) === n,
)
function on(what: 'plate' | 'pipe') {
  change({
    on: what,
    outsideMm: what === 'pipe' ? PIPE_SIZES.find(size => size.nps === 6)!.outsideMm : null,
    openRoot: what === 'pipe',
  })
}
</script>

<template>
  <section class="panel wanted" aria-label="What is wanted">
    <h2>Should be qualified for</h2>
    <v-btn-toggle
      :model-value="wanted.on"
      mandatory
      divided
      variant="outlined"
      aria-label="Plate or pipe"
      @update:model-value="on($event)"
      ><v-btn value="plate">Plate</v-btn><v-btn value="pipe">Pipe</v-btn></v-btn-toggle
    >
    <div
      v-for="[field, name] in [
        ['grooves', 'Grooves'],
        ['fillets', 'Fillets'],
      ] as const"
      :key="field"
      class="letters"
      role="group"
      :aria-label="name"
    >
      <span>{{ name }}</span>
      <v-btn-toggle
        :model-value="[...wanted[field]]"
        multiple
        divided
        variant="outlined"
        @update:model-value="change({ [field]: letters($event) })"
        ><v-btn v-for="letter in ALL_WELDED" :key="letter" :value="letter" size="small">{{
          NAMES[letter]
        }}</v-btn></v-btn-toggle
      >
    </div>
    <div class="row">
      <SheetField
        :input="WALL"
        :unit="unit"
        :model-value="wanted.thicknessMm"
        @update:model-value="change({ thicknessMm: Number($event) })"
        @problem="emit('problem', $event)"
      />
      <v-select
        v-if="wanted.on === 'pipe'"
        label="Pipe"
        :model-value="wanted.outsideMm"
        :items="pipes"
        hide-details
        @update:model-value="change({ outsideMm: $event })"
      />
      <v-select
        label="Filled with"
        :model-value="wanted.classification"
        :items="ELECTRODES.map(row => row.classification)"
        hide-details
        @update:model-value="change({ classification: $event })"
      />
    </div>
    <div class="row">
      <v-checkbox
        label="Open root"
        :model-value="wanted.openRoot"
        hide-details
        density="compact"
        @update:model-value="change({ openRoot: $event === true })"
      />
      <v-select
        label="Vertical"
        :model-value="wanted.progression"
        :items="['up', 'down']"
        hide-details
        @update:model-value="change({ progression: $event })"
      />
    </div>
    <v-checkbox
      v-if="wanted.on === 'plate'"
      label="Pipe pieces may stand in for plate"
      :model-value="pipeToo"
      hide-details
      density="compact"
      @update:model-value="emit('update:pipeToo', $event === true)"
    />
  </section>
</template>

<style scoped>
.wanted {
  padding: 16px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.letters {
  display: grid;
  gap: 4px;
}
.letters > span {
  color: var(--quiet);
  font-size: 0.9rem;
}
.letters .v-btn-toggle {
  display: flex;
  height: 44px;
}
.letters .v-btn {
  flex: 1;
  padding: 0 2px;
  min-width: 0;
  font-size: 0.82rem;
}
.wanted .v-btn--active {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 10px;
  align-items: center;
}
</style>
