<script setup lang="ts">
import { usualPiece, type Piece } from '~~/core/coupon'
import { PIECES, pieceOf, PIPE_SIZES } from '~~/core/trade'
import { inches, type LengthUnit } from '~~/core/units'
import { choice, length, numeric, type SheetInput } from '~~/core/working'

/** The piece and its own sizes: each kind asks for what it has and nothing else. */
const props = defineProps<{ modelValue: Piece; unit: LengthUnit }>()
const emit = defineEmits<{ 'update:modelValue': [piece: Piece]; 'problem': [id: string, message: string] }>()

const SIDES = ['one side', 'both sides'] as const
const BACKING = ['open root', 'on backing'] as const
const piece = computed(() => props.modelValue)

/** Fields of a piece, each with how it is read off it and put back. */
interface PieceField {
  readonly input: SheetInput
  readonly value: number | string
  readonly put: (value: number | string) => Piece
}
const fields = computed<PieceField[]>(() => {
  const of = piece.value
  const mm = (id: string, name: string, low: number, high: number, value: number): PieceField => ({
    input: length(id, name, low, high, value),
    value,
    put: next => ({ ...of, [id]: Number(next) }) as Piece,
  })
  const pick = (
    id: string,
    name: string,
    words: readonly string[],
    value: string,
    put: PieceField['put'],
  ): PieceField => ({ input: choice(id, name, words), value, put })
  if ('widthMm' in of) {
    const { every, everyMm } = pieceOf(of.kind)
    return [
      ...(every ? [mm('everyMm', every, inches(1 / 4), 300, of.everyMm ?? everyMm)] : []),
      mm('lengthMm', 'Plate length', inches(1), 1000, of.lengthMm),
      mm('widthMm', 'Plate width', inches(1), 1000, of.widthMm),
      mm('thicknessMm', 'Thickness', 1, 100, of.thicknessMm),
    ]
  }
  const pipe =
    'pipe' in of
      ? [
          pick(
            'pipe',
            'Pipe, NPS',
            PIPE_SIZES.map(size => size.name),
            of.pipe,
            next => ({ ...of, pipe: String(next) }),
          ),
        ]
      : []
  const plate =
    'lengthMm' in of
      ? [
          mm('lengthMm', 'Joint length', inches(1), 1000, of.lengthMm),
          mm('thicknessMm', 'Thickness', 1, 100, of.thicknessMm),
        ]
      : []
  return [...pipe, ...plate, ...('groove' in of ? grooveFields(of) : jointFields(of, mm, pick))]
})

function jointFields(
  of: Exclude<Piece, { groove: unknown } | { widthMm: unknown }>,
  mm: (id: string, name: string, low: number, high: number, value: number) => PieceField,
  pick: (id: string, name: string, words: readonly string[], value: string, put: PieceField['put']) => PieceField,
): PieceField[] {
  const leg = of.legMm > 0 ? [mm('legMm', 'Leg', inches(1 / 8), inches(2), of.legMm)] : []
  if (!('sides' in of)) return leg
  const gap = leg.length > 0 ? [] : [mm('gapMm', 'Gap', 0, 20, of.gapMm)]
  const sides = pieceOf(of.kind).twoSides
    ? [pick('sides', 'Welded from', SIDES, SIDES[of.sides - 1]!, next => ({ ...of, sides: next === SIDES[1] ? 2 : 1 }))]
    : []
  return [...leg, ...gap, ...sides]
}

function grooveFields(of: Extract<Piece, { groove: unknown }>): PieceField[] {
  const { groove } = of
  const put =
    (id: string) =>
    (next: number | string): Piece => ({
      ...of,
      groove: { ...groove, [id]: typeof groove[id as 'gapMm'] === 'number' ? Number(next) : next },
    })
  return [
    {
      input: choice('shape', 'Groove', of.kind === 'pipe butt' ? ['V', 'U'] : ['V', 'double V', 'U']),
      value: groove.shape,
      put: put('shape'),
    },
    {
      input: choice('backing', 'Root', BACKING),
      value: BACKING[groove.backing ? 1 : 0],
      put: next => ({ ...of, groove: { ...groove, backing: next === BACKING[1] } }),
    },
    { input: length('gapMm', 'Root opening', 0, 20, groove.gapMm), value: groove.gapMm, put: put('gapMm') },
    { input: length('landMm', 'Root face', 0, 20, groove.landMm), value: groove.landMm, put: put('landMm') },
    {
      input: numeric('degrees', 'includedDegrees', 'Included angle', 10, 120, groove.includedDegrees),
      value: groove.includedDegrees,
      put: put('includedDegrees'),
    },
  ]
}
</script>

<template>
  <v-select
    label="Piece"
    :model-value="piece.kind"
    :items="PIECES.map(row => ({ value: row.kind, title: row.name }))"
    @update:model-value="emit('update:modelValue', usualPiece($event))"
  />
  <SheetField
    v-for="field in fields"
    :key="`${piece.kind} ${field.input.id}`"
    class="size"
    :input="field.input"
    :model-value="field.value"
    :unit="unit"
    @update:model-value="emit('update:modelValue', field.put($event))"
    @problem="emit('problem', field.input.id, $event)"
  />
</template>

<style scoped>
.size {
  margin-bottom: 12px;
}
</style>
