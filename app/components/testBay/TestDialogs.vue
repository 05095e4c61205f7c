<script setup lang="ts">
import type { CodeBook } from '~~/core/qualification'
import type { CouponDocument } from '~~/core/coupon'
import type { FitUp } from '~~/core/setup'
import type { LengthUnit } from '~~/core/units'
import { retestOptions, type Specimen, type SpecimenResult, type WelderTest } from '~~/core/welderTest'
import type { TestDialog } from '~/composables/testActs'

/** What a test asks about: the stop, the retest, the fit-up, a specimen's openings, and whose version stands. */
defineProps<{
  document: WelderTest
  book: CodeBook
  coupon: CouponDocument
  unit: LengthUnit
  /** Another person saved a newer version. */
  contested: boolean
}>()
const dialog = defineModel<TestDialog | null>('dialog', { required: true })
const entering = defineModel<Specimen | null>('entering', { required: true })
defineEmits<{
  stop: [why: string]
  callOff: []
  settle: [stands: 'mine' | 'theirs']
  retest: [pieces: number]
  fitUp: [fitUp: FitUp | null]
  result: [result: Pick<SpecimenResult, 'openings' | 'byHand' | 'note'>]
}>()

const stopWhy = ref('')
watch(dialog, () => (stopWhy.value = ''))
</script>

<template>
  <FormDialog
    v-if="dialog === 'stop'"
    heading="Stop the clock"
    save="Stop it"
    leave="Weld on"
    @submit="$emit('stop', stopWhy)"
    @close="dialog = null"
    ><v-text-field v-model="stopWhy" label="Why" maxlength="200" autofocus autocomplete="off"
  /></FormDialog>
  <FormDialog
    v-if="dialog === 'call off'"
    heading="Call this test off?"
    save="Call it off"
    danger
    @submit="$emit('callOff')"
    @close="dialog = null"
    ><p>Nothing of it has been welded. The plan goes, and nothing of it is kept.</p></FormDialog
  >
  <FormDialog
    v-if="contested"
    heading="Somebody else changed this test"
    save="Mine goes over it"
    leave="Theirs stands"
    @submit="$emit('settle', 'mine')"
    @close="$emit('settle', 'theirs')"
    ><p>What you did since is kept in this browser. Both versions stay among the test’s versions.</p></FormDialog
  >
  <RetestChoice
    v-if="dialog === 'retest'"
    :options="retestOptions(book, document.testDay)"
    @choose="$emit('retest', $event)"
    @close="dialog = null"
  />
  <LazyFitUpEditor
    v-if="dialog === 'fit-up'"
    :document="{ ...coupon, ...(document.fitUp ? { fitUp: document.fitUp } : {}) }"
    :unit="unit"
    :preset-degrees="null"
    @keep="$emit('fitUp', $event)"
    @close="dialog = null"
  />
  <SpecimenForm
    v-if="entering"
    :key="entering.id"
    :specimen="entering"
    :document="document"
    :book="book"
    @keep="$emit('result', $event)"
    @close="entering = null"
  />
</template>
