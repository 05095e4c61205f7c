<script setup lang="ts">
import {
  refusals,
  thicknessOf,
  ticketWindow,
  usualPiece,
  type CouponDocument,
  type Piece,
  type Refusal,
  type SetUpChange,
} from '~~/core/coupon'
import { rungNamed, type Ladder } from '~~/core/ladder'
import { arcForceWindow, knownRungs, rungSettings, sayOffset, sayWindow, startCurrent } from '~~/core/setup'
import { ELECTRODES, electrodeOf, positionOf, positionsFor, rodSizesFor, runAs } from '~~/core/trade'
import type { LengthUnit } from '~~/core/units'
import { numeric } from '~~/core/working'
import { readTicket, ticketFormOf } from '~/composables/ticketForm'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'
import { useProgress } from '~/stores/progress'
import { messageOf } from '~/stores/request'

/**
 * Changes the ticket, the piece and the number of beads; the coupon is laid out again around what was marked. The
 * card fills what follows.
 */
const props = defineProps<{ document: CouponDocument; unit: LengthUnit }>()
const emit = defineEmits<{ change: [change: SetUpChange]; close: [] }>()
const bench = useBench()
const progress = useProgress()
const floor = useFloor()

const { ticket } = props.document
const piece = shallowRef<Piece>(props.document.piece)
const isPlate = computed(() => 'widthMm' in piece.value)
const form = reactive(ticketFormOf(props.document))
const errors = ref<Record<string, string>>({})
const electrode = computed(() => electrodeOf(form.classification))
const booth = computed(() => (/^\d+$/.test(form.booth.trim()) ? Number(form.booth) : null))
/** That of the machine it was run on: of another booth, another. */
const panelOffsetA = computed(() =>
  booth.value === ticket.booth ? ticket.panelOffsetA : floor.panelOffsetOf(booth.value),
)
const window = computed(() =>
  ticketWindow({ ...form, panelOffsetA: panelOffsetA.value }, thicknessOf(props.document.piece), bench.rules),
)
const forceWindow = computed(() => arcForceWindow({ ...form, position: runAs(form.position) }, bench.rules))
const rungs = computed(() => knownRungs(bench.rules))

/** The ladder as it stands; without the server a ticket names its rung by words alone. */
const ladder = shallowRef<Ladder | null>(null)
onMounted(async () => {
  ladder.value = await progress.ladder().then(
    kept => kept.ladder,
    () => null,
  )
})
const rungIdOf = (name: string) =>
  ladder.value ? rungNamed(ladder.value, name)?.id : name === ticket.rung ? ticket.rungId : undefined
const positions = computed(() => positionsFor(piece.value.kind).map(positionOf))
const CURRENT = numeric('amperes', 'currentA', 'Current', 10, 500, ticket.currentA)

/**
 * A rung brings its piece, its position, its way of travel and the card's current; the rod stays the one the
 * student runs.
 */
function chooseRung(name: unknown) {
  form.rung = String(name ?? '')
  const rung = rungs.value.find(one => one.name === form.rung)
  if (!rung) return
  const same = piece.value.kind === rung.piece && !('groove' in piece.value && piece.value.groove.backing === rung.open)
  if (!same) piece.value = usualPiece(rung.piece, rung.open)
  Object.assign(
    form,
    rungSettings(rung, form.hand, thicknessOf(piece.value), bench.rules, {
      classification: form.classification,
      diameterMm: form.diameterMm,
    }),
  )
}
/** Another piece may not be welded where the last one was. */
watch(positions, now => {
  if (!now.some(row => row.id === form.position)) form.position = now[0]!.id
})
/** Another rod or position wants another current: the card's. */
watch(
  () => [form.classification, form.diameterMm, form.position] as const,
  ([classification, diameterMm, position]) => {
    if (classification !== ticket.classification) form.make = ''
    const ways = positionOf(position).travel
    if (!ways.includes(form.travel)) form.travel = ways[0]!
    if (!electrode.value.currents.includes(form.polarity)) form.polarity = electrode.value.currents[0]!
    const { startA } = startCurrent(
      {
        classification,
        diameterMm,
        ...(form.make ? { make: form.make } : {}),
        position: runAs(position),
        travel: form.travel,
        joint: 'pad',
        pass: 'bead',
        thicknessMm: thicknessOf(piece.value),
      },
      bench.rules,
    )
    form.currentA = startA - (panelOffsetA.value ?? 0)
  },
)

/** The makes that the house has windows of. */
const makes = computed(() => [...new Set(bench.rules.windows.flatMap(row => row.make ?? []))])
const unread = reactive<Record<string, string>>({})
/** Where a refusal is said: at the field that can put it right. */
const AT: Readonly<Record<Refusal['field'], string>> = {
  position: 'position',
  classification: 'classification',
  travel: 'travel',
  piece: 'piece',
  passes: 'piece',
}
function apply() {
  const read = readTicket(form, {
    before: ticket,
    rungId: rungIdOf(form.rung.trim()),
    panelOffsetA: panelOffsetA.value,
    isPlate: isPlate.value,
  })
  const { ticket: next, beadCount } = read
  errors.value = { ...read.errors }
  for (const { field, why } of refusals({ piece: piece.value, ticket: next })) errors.value[AT[field]] ??= why
  if (Object.keys(errors.value).length > 0 || Object.values(unread).some(Boolean)) return
  try {
    emit('change', { ticket: next, piece: piece.value, beadCount })
  } catch (error) {
    errors.value.beads = messageOf(error)
  }
}
defineExpose({
  refuse: (message: string) => {
    errors.value.beads = message
  },
})
</script>

<template>
  <FormDialog
    heading="Ticket"
    leave="Leave as it was"
    save="Set the ticket"
    :width="720"
    @submit="apply"
    @close="$emit('close')"
  >
    <div class="grid">
      <v-combobox
        :model-value="form.rung"
        label="Rung"
        class="wide"
        :items="rungs.map(rung => rung.name)"
        :error-messages="errors.rung"
        autofocus
        @update:model-value="chooseRung"
      />
      <v-select
        v-model="form.position"
        label="Position"
        :items="positions.map(row => ({ value: row.id, title: `${row.id} ${row.name}` }))"
        :error-messages="errors.position"
      />
      <v-select
        v-model="form.travel"
        label="Travel"
        :items="[...positionOf(form.position).travel]"
        :error-messages="errors.travel"
      />
      <v-select v-model="form.hand" label="Hand" :items="['right', 'left']" />
      <v-select
        v-model="form.classification"
        label="Rod"
        :items="ELECTRODES.map(row => row.classification)"
        :hint="electrode.covering"
        persistent-hint
        :error-messages="errors.classification"
      />
      <v-select
        v-model="form.diameterMm"
        label="Size"
        :items="rodSizesFor(unit, form.classification).map(size => ({ value: size.diameterMm, title: size.label }))"
      />
      <v-combobox
        v-model="form.make"
        label="Make"
        :items="makes"
        hint="As the box says"
        persistent-hint
        maxlength="40"
      />
      <v-select v-model="form.rods" label="New rods or stubs" :items="['new', 'stubs']" />
      <v-text-field
        v-model="form.hoursOut"
        label="Out of the oven"
        suffix="h"
        inputmode="decimal"
        :disabled="electrode.family !== 'low hydrogen'"
        :error-messages="errors.hoursOut"
      />
      <div>
        <SheetField
          :input="CURRENT"
          :model-value="form.currentA"
          :unit="unit"
          @update:model-value="form.currentA = Number($event)"
          @problem="unread.currentA = $event"
        />
        <p class="quiet window num">
          {{ sayWindow(window, panelOffsetA) }}, {{ window.source.name
          }}{{ panelOffsetA ? `: ${sayOffset(panelOffsetA)}` : '' }}
        </p>
      </div>
      <v-text-field
        v-model="form.arcForce"
        label="Arc force"
        suffix="%"
        inputmode="decimal"
        :hint="`${forceWindow.low}–${forceWindow.high} % here`"
        persistent-hint
        :error-messages="errors.arcForce"
      />
      <v-select v-model="form.polarity" label="Polarity" :items="['DCEP', 'DCEN', 'AC']" />
      <v-text-field v-model="form.booth" label="Booth" inputmode="numeric" :error-messages="errors.booth" />
      <PieceFields
        v-model="piece"
        :unit="unit"
        @problem="
          (id, message) => {
            unread[id] = message
          }
        "
      />
      <v-text-field
        v-if="isPlate"
        v-model="form.beads"
        label="Beads or runs"
        inputmode="numeric"
        :error-messages="errors.beads"
      />
      <p v-if="errors.piece || (!isPlate && errors.beads)" class="wrong" role="alert">
        {{ errors.piece || errors.beads }}
      </p>
    </div>
  </FormDialog>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 12px;
  align-items: start;
}
.wide {
  grid-column: span 2;
}
.wrong {
  grid-column: 1 / -1;
  color: var(--poor);
  font-weight: 600;
}
.window {
  font-size: 0.8rem;
  padding: 2px 12px 8px;
}
@media (max-width: 600px) {
  .grid {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
