<script setup lang="ts">
import type { SavedCoupon } from '~~/contract/coupon'
import type { FloorStudent } from '~~/contract/people'
import { gaugeKinds, type GaugeKind, type Pass, type SetUpChange } from '~~/core/coupon'
import type { FitUp } from '~~/core/setup'
import type { LengthUnit } from '~~/core/units'
import type { BenchDialog } from '~/composables/benchActs'
import type { MarkKind } from '~/keys/markKinds'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'
import { useHouseRules } from '~/stores/houseRules'

/** What the Bench asks about; one at a time. */
defineProps<{
  unit: LengthUnit
  saving: boolean
  loading: boolean
  /** Whether a picture can be laid on the Bench's own drawing. */
  inPlace: boolean
}>()
const dialog = defineModel<BenchDialog | null>('dialog', { required: true })
/** The version that another person saved meanwhile. */
const theirs = defineModel<SavedCoupon | null>('theirs', { required: true })
defineEmits<{
  setUp: [change: SetUpChange]
  drop: [kind: MarkKind]
  student: [student: FloorStudent]
  discard: []
  save: [why: string]
  readings: [read: readonly { of: GaugeKind; valueMm: number }[]]
  pass: [pass: Pass]
  fitUp: [fitUp: FitUp | null]
  settle: [stands: 'mine' | 'theirs']
}>()
const bench = useBench()
const floor = useFloor()
const houseRules = useHouseRules()

/** Dialogs come once the drawing stands, and before the server may be away. */
const DIALOGS = [
  'ToldSigns',
  'TicketEditor',
  'PassEditor',
  'FitUpEditor',
  'HeldAgainst',
  'PictureDialog',
  'BeadOnPicture',
  'TwoVersions',
]
onMounted(() => {
  window.setTimeout(() => void prefetchComponents(DIALOGS), 2000)
})

/** What the gauge letter that was pressed reads on the lane at the cursor. */
const gauged = computed(() => {
  const bead = bench.coupon?.beads.find(lane => lane.id === bench.cursor.beadId)
  return bench.coupon && bead && (dialog.value === 'across' || dialog.value === 'over')
    ? gaugeKinds(bench.coupon.piece, bead)[dialog.value]
    : []
})
const editor = useTemplateRef<{ refuse: (message: string) => void }>('editor')
defineExpose({
  /** Says on the ticket why what was asked of it cannot be. */
  refuse: (message: string) => editor.value?.refuse(message),
})
</script>

<template>
  <LazyTicketEditor
    v-if="dialog === 'ticket' && bench.coupon"
    ref="editor"
    :document="bench.coupon"
    :unit="unit"
    @change="$emit('setUp', $event)"
    @close="dialog = null"
  />
  <MoreMarks v-if="dialog === 'more'" :face="bench.cursorFace" @drop="$emit('drop', $event)" @close="dialog = null" />
  <StudentPicker
    v-if="dialog === 'students'"
    :students="floor.students"
    :loading="loading"
    @choose="$emit('student', $event)"
    @close="dialog = null"
  />
  <LazyHeldAgainst
    v-if="dialog === 'codes' && bench.coupon"
    :document="bench.coupon"
    :unit="unit"
    @close="dialog = null"
  />
  <LazyToldSigns v-if="dialog === 'told' && bench.coupon" :document="bench.coupon" @close="dialog = null" />
  <DiscardCoupon v-if="dialog === 'discard'" @discard="$emit('discard')" @close="dialog = null" />
  <WhyAgain v-if="dialog === 'why'" @why="$emit('save', $event)" @close="dialog = null" />
  <GaugeEntry
    v-if="gauged.length > 0 && bench.coupon"
    :document="bench.coupon"
    :place="bench.cursor"
    :kinds="gauged"
    :unit="unit"
    @read="$emit('readings', $event)"
    @close="dialog = null"
  />
  <LazyPassEditor
    v-if="dialog === 'pass' && bench.coupon && bench.pass"
    :document="bench.coupon"
    :pass="bench.pass"
    :unit="unit"
    :students="floor.students"
    @change="$emit('pass', $event)"
    @close="dialog = null"
  />
  <LazyFitUpEditor
    v-if="dialog === 'fit-up' && bench.coupon"
    :document="bench.coupon"
    :unit="unit"
    :preset-degrees="bench.open?.presetDegrees ?? null"
    @keep="$emit('fitUp', $event)"
    @close="dialog = null"
  />
  <LazyPictureDialog
    v-if="dialog === 'pictures' && bench.coupon && bench.open"
    :document="bench.coupon"
    :coupon="bench.open"
    :unit="unit"
    :longest-px="houseRules.current.rules.pictureLongestPx"
    :in-place="inPlace"
    @close="dialog = null"
  />
  <LazyTwoVersions
    v-if="theirs && bench.coupon"
    :mine="bench.coupon"
    :theirs="theirs"
    :busy="saving"
    @choose="$emit('settle', $event)"
    @close="theirs = null"
  />
</template>
