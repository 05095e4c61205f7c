<script setup lang="ts">
import type { LengthUnit } from '~~/core/units'
import type { BenchDialog } from '~/composables/benchActs'
import { useBench } from '~/stores/bench'

/** What the coupon comes to, beside its drawing: verdict, the next run, causes, marks; and the one main act. */
defineProps<{ unit: LengthUnit; problem: string; saving: boolean }>()
defineEmits<{ ask: [dialog: BenchDialog]; save: [] }>()
const bench = useBench()
/** What Enter does with what lies here. */
const act = computed(() => {
  if (bench.open?.toTry) return 'Enough tried, clear it'
  if (bench.open?.testId) return 'Save, back to the test'
  return bench.isRegrade ? 'Save again' : 'Save, next coupon'
})
</script>

<template>
  <aside v-if="bench.coupon && bench.open" class="side" aria-label="Reading">
    <div class="scroll">
      <BenchReading :unit="unit" @ask="$emit('ask', $event)" />
    </div>
    <div class="act">
      <p v-if="bench.keptAt === 'nowhere'" role="alert" class="alert">This browser cannot keep a draft. Save soon.</p>
      <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
      <div class="steps">
        <v-btn variant="text" :disabled="!bench.canUndo" @click="bench.undo">Undo</v-btn>
        <v-btn variant="text" :disabled="!bench.canRedo" @click="bench.redo">Redo</v-btn>
        <v-btn variant="text" @click="bench.touched ? $emit('ask', 'discard') : bench.clear()">Discard</v-btn>
      </div>
      <v-btn color="primary" block height="56" class="main" :loading="saving" @click="$emit('save')"
        >{{ act }} <kbd class="key">Enter</kbd></v-btn
      >
    </div>
  </aside>
</template>

<style scoped>
.side {
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  background: rgb(var(--v-theme-surface));
  border-left: 1px solid var(--line);
}
.scroll {
  overflow-y: auto;
  padding: 16px 16px 8px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.act {
  padding: 6px 16px 14px;
  border-top: 1px solid var(--line);
}
.steps {
  display: flex;
  justify-content: space-between;
}
.steps .v-btn {
  min-width: 0;
  padding: 0 10px;
}
.main {
  font-size: 1.05rem;
  font-weight: 650;
}
.key {
  margin-left: 10px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding: 6px 0;
}
@media (max-width: 1000px) {
  .side {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
  .scroll {
    overflow: visible;
  }
  .act {
    position: sticky;
    bottom: 0;
    background: rgb(var(--v-theme-surface));
    z-index: 2;
  }
}
@media (max-width: 700px) {
  .act {
    bottom: 60px;
  }
}
</style>
