<script setup lang="ts">
import type { CodeBook } from '~~/core/qualification'
import type { CouponDocument } from '~~/core/coupon'
import type { LengthUnit } from '~~/core/units'
import type { BendOutcome, Opening, Specimen, WelderTest } from '~~/core/welderTest'

/** What is cut from a test's coupon, where, and how each piece came out. */
const props = defineProps<{
  document: WelderTest
  book: CodeBook
  coupon: CouponDocument
  specimens: readonly Specimen[]
  outcomes: ReadonlyMap<string, BendOutcome>
  openings: readonly { specimenId: string; opening: Opening; atMm: number }[]
  unit: LengthUnit
}>()
defineEmits<{
  examine: [by: WelderTest['examinedBy']]
  sound: [specimen: Specimen]
  enter: [specimen: Specimen]
}>()

const chosen = ref<string | null>(null)
const untouched = computed(() => Object.keys(props.document.results).length === 0)
const mayChoose = computed(() => props.book.radiograph && props.document.test.weld === 'groove' && untouched.value)
const pipe = computed(() => {
  const { outsideMm, thicknessMm } = props.document.test
  return outsideMm === null ? null : { outsideMm, wallMm: thicknessMm }
})
</script>

<template>
  <section class="panel cuts" aria-label="What is cut">
    <div class="head">
      <h2 class="section-title">{{ document.examinedBy === 'radiograph' ? 'Radiograph' : 'Specimens' }}</h2>
      <v-select
        v-if="mayChoose"
        class="by"
        label="Examined by"
        hide-details
        density="compact"
        :items="['specimens', 'radiograph']"
        :model-value="document.examinedBy"
        @update:model-value="$emit('examine', $event)"
      />
    </div>
    <SpecimenDrawing
      id="specimens"
      :coupon="coupon"
      :specimens="specimens"
      :outcomes="outcomes"
      :openings="openings"
      :unit="unit"
      :pipe="pipe"
      :chosen="chosen"
      @choose="chosen = $event"
    />
    <SpecimenList
      :document="document"
      :book="book"
      :specimens="specimens"
      :coupon="coupon"
      :chosen="chosen"
      :open="document.visual?.outcome === 'passes'"
      @choose="chosen = $event"
      @sound="$emit('sound', $event)"
      @enter="$emit('enter', $event)"
    />
  </section>
</template>

<style scoped>
.cuts {
  padding: 16px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.by {
  max-width: 190px;
}
</style>
