import {
  electrodeOf,
  isMade,
  positionOf,
  ROD_SIZES,
  rodSizeOf,
  rodSizesFor,
  type PadPosition,
  type Polarity,
  type Travel,
  usualSize,
} from '~~/core/trade'
import { JOINTS, PASSES, settingsCard, type Joint, type CardPass, type SetUpCase } from '~~/core/setup'
import { inches } from '~~/core/units'
import { choice, length, type SheetInput } from '~~/core/working'
import { useHouseRules } from '~/stores/houseRules'
import { PAD_INPUTS } from './padCard'
import { useSheetForm } from './sheetForm'

const TRAVELS: readonly Travel[] = ['left to right', 'right to left', 'up', 'down']
const ALL_PASSES = [...new Set(Object.values(PASSES).flat())]

const INPUTS: readonly SheetInput[] = [
  ...PAD_INPUTS.map(input =>
    input.id === 'size'
      ? choice(
          'size',
          input.name,
          ROD_SIZES.map(row => row.name),
          '1/8',
        )
      : input,
  ),
  choice('travel', 'Travel', TRAVELS),
  choice('joint', 'Joint', JOINTS),
  choice('pass', 'Bead', ALL_PASSES),
  length('plate', 'Plate', 1, 100, inches(3 / 8)),
  choice('polarity', 'Polarity', ['DCEP', 'DCEN', 'AC']),
  choice('hand', 'Hand', ['right', 'left']),
  choice('rods', 'Rods', ['new', 'stubs']),
]

/** What is to be set up, as the page's address says it, and its card. */
export function useSetUpCase() {
  const houseRules = useHouseRules()
  const form = useSheetForm(
    () => INPUTS,
    () => houseRules.unit,
  )

  const position = computed(() => String(form.values.value.position).slice(0, 2) as PadPosition)
  const joint = computed(() => form.values.value.joint as Joint)
  const hand = computed(() => form.values.value.hand as 'right' | 'left')
  const travel = computed<Travel>(() => {
    const ways = positionOf(position.value).travel
    const asked = form.values.value.travel as Travel
    if (!ways.includes(asked))
      return hand.value === 'left' && ways.includes('right to left') ? 'right to left' : ways[0]!
    return asked
  })
  const pass = computed<CardPass>(() =>
    PASSES[joint.value].includes(form.values.value.pass as CardPass)
      ? (form.values.value.pass as CardPass)
      : PASSES[joint.value][0]!,
  )

  /** The size that was asked for, where the rod is made in it. */
  const size = computed(() => {
    const asked = ROD_SIZES.find(row => row.name === form.values.value.size)!
    return isMade(String(form.values.value.rod), asked.diameterMm) ? asked : usualSize(asked.unit)
  })

  const wanted = computed<SetUpCase>(() => ({
    classification: String(form.values.value.rod),
    diameterMm: size.value.diameterMm,
    position: position.value,
    travel: travel.value,
    joint: joint.value,
    pass: pass.value,
    thicknessMm: Number(form.values.value.plate),
    polarity: form.values.value.polarity as Polarity,
    rods: form.values.value.rods as 'new' | 'stubs',
  }))
  const card = computed(() => settingsCard(wanted.value, houseRules.current.rules))
  const name = computed(() => `${wanted.value.classification} · ${rodSizeOf(wanted.value.diameterMm).name}`)

  /** The inputs as they stand: a position has its ways of travel, a joint its beads. */
  const fields = computed(() =>
    INPUTS.filter(input => input.id !== 'pass' || PASSES[joint.value].length > 1).map((input): SheetInput => {
      if (input.id === 'travel') return { ...input, choices: positionOf(position.value).travel } as SheetInput
      if (input.id === 'size')
        return { ...input, choices: rodSizesFor('in', wanted.value.classification).map(row => row.name) } as SheetInput
      if (input.id === 'pass') return { ...input, choices: PASSES[joint.value] } as SheetInput
      return input
    }),
  )
  const shown = computed(
    () =>
      ({ ...form.values.value, travel: travel.value, pass: pass.value, size: size.value.name }) as Record<
        string,
        number | string
      >,
  )

  function set(id: string, value: number | string): void {
    form.set(id, value)
    if (id === 'hand' && position.value !== '3G')
      form.set('travel', value === 'left' ? 'right to left' : 'left to right')
    const { currents } = electrodeOf(String(form.values.value.rod))
    if (id === 'rod' && !currents.includes(form.values.value.polarity as Polarity))
      form.set('polarity', currents.includes('DCEP') ? 'DCEP' : currents[0]!)
  }

  return { ...form, set, fields, shown, wanted, card, hand, name }
}
