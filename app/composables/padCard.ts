import { settingsCard, type SettingsCard } from '~~/core/setup'
import { ELECTRODES, electrodeOf, PAD_POSITIONS, USUAL_SIZES, type PadPosition } from '~~/core/trade'
import { inches } from '~~/core/units'
import { choice, type SheetInput, type SheetValues } from '~~/core/working'
import type { HouseRules } from '~~/core/house'

/** What a pad's card depends on, as three fields. */
export const PAD_INPUTS: readonly SheetInput[] = [
  choice(
    'rod',
    'Rod',
    ELECTRODES.map(row => row.classification),
    'E7018',
  ),
  choice(
    'size',
    'Size, in or mm',
    USUAL_SIZES.map(row => row.name),
    '1/8',
  ),
  choice(
    'position',
    'Position',
    PAD_POSITIONS.map(row => `${row.id} ${row.name}`),
  ),
]

/** The card of a pad for what those fields hold, on 3/8 in plate. */
export function padCard({ rod, size, position }: SheetValues, rules: HouseRules): SettingsCard {
  const id = String(position).slice(0, 2) as PadPosition
  return settingsCard(
    {
      classification: String(rod),
      diameterMm: USUAL_SIZES.find(row => row.name === size)!.diameterMm,
      position: id,
      travel: id === '3G' ? 'up' : 'left to right',
      joint: 'pad',
      pass: 'bead',
      thicknessMm: inches(3 / 8),
      polarity: electrodeOf(String(rod)).currents.includes('DCEP') ? 'DCEP' : 'AC',
      rods: 'new',
    },
    rules,
  )
}
