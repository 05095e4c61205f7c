<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { standsUpright } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import type { BenchDialog } from '~/composables/benchActs'
import type { MarkKind } from '~/keys/markKinds'
import { useBench } from '~/stores/bench'

/** The Bench in one hand: the strip, the marks in reach of the thumb, what is said of it, and the one main act. */
defineProps<{ unit: LengthUnit; problem: string; saving: boolean }>()
defineEmits<{ ask: [dialog: BenchDialog]; drop: [kind: MarkKind]; save: [] }>()
const bench = useBench()
const upright = computed(() => standsUpright(bench.coupon!))
const whole = ref(false)
/** The thumb that marks: of the hand that holds the phone. */
const thumb = useLocalStorage<'right' | 'left'>('fusilis.thumb', 'right')
const act = computed(() => {
  if (bench.open?.toTry) return 'Enough tried, clear it'
  if (bench.open?.testId) return 'Save, back to the test'
  return bench.isRegrade ? 'Save again' : 'Save, next'
})
</script>

<template>
  <div class="phone-bench" :class="thumb">
    <PhoneHead @ticket="$emit('ask', 'ticket')" @pass="$emit('ask', 'pass')" />
    <section class="stage" :class="{ upright }" aria-label="Coupon">
      <PhoneStrip :key="bench.open!.id" :unit="unit" />
      <PhonePalette
        :face="bench.cursorFace"
        :upright="upright"
        @drop="$emit('drop', $event)"
        @more="$emit('ask', 'more')"
      />
    </section>
    <MarkDetail :mark="bench.selected" in-hand />
    <PhoneSaid @open="whole = true" />
    <p v-if="problem || bench.keptAt === 'nowhere'" role="alert" class="alert">
      {{ problem || 'This browser cannot keep a draft. Save soon.' }}
    </p>
    <div class="act">
      <v-btn variant="outlined" height="56" :disabled="!bench.canUndo" @click="bench.undo">Undo</v-btn>
      <v-btn color="primary" height="56" class="save" :loading="saving" @click="$emit('save')">{{ act }}</v-btn>
    </div>
    <v-bottom-sheet v-model="whole" scrollable>
      <section class="whole" aria-label="The whole reading">
        <BenchReading :unit="unit" @ask="$emit('ask', $event)" />
        <div class="end">
          <v-btn variant="text" @click="thumb = thumb === 'right' ? 'left' : 'right'"
            >Marks for the {{ thumb === 'right' ? 'left' : 'right' }} thumb</v-btn
          >
          <v-btn v-if="!bench.open?.toTry" variant="text" @click="$emit('ask', 'pictures')">Pictures</v-btn>
          <v-btn variant="text" :disabled="!bench.canRedo" @click="bench.redo">Redo</v-btn>
          <v-btn variant="text" @click="bench.touched ? $emit('ask', 'discard') : bench.clear()">Discard</v-btn>
          <v-btn variant="outlined" @click="whole = false">Close</v-btn>
        </div>
      </section>
    </v-bottom-sheet>
  </div>
</template>

<style scoped>
.phone-bench {
  height: 100dvh;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto auto auto;
  grid-template-columns: minmax(0, 1fr);
}
.stage {
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  grid-template-columns: minmax(0, 1fr);
}
.stage.upright {
  grid-template-rows: minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr) auto;
}
.left .stage.upright {
  grid-template-columns: auto minmax(0, 1fr);
}
.left .stage.upright > .palette {
  order: -1;
}
.act {
  display: flex;
  gap: 8px;
  padding: 8px 10px max(10px, env(safe-area-inset-bottom));
}
.left .act {
  flex-direction: row-reverse;
}
.save {
  flex: 1;
  font-size: 1.05rem;
  font-weight: 650;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding: 6px 14px 0;
}
.whole {
  max-height: 82dvh;
  overflow-y: auto;
  padding: 16px;
  background: rgb(var(--v-theme-surface));
  border-radius: 14px 14px 0 0;
  display: grid;
  gap: 14px;
}
.end {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 6px;
}
</style>
