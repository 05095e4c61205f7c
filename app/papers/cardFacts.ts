import type { HouseRules } from '~~/core/house'
import { sayTravelAngle, type SettingsCard } from '~~/core/setup'
import { formatHeat, formatLength, formatRange, formatSpeed, formatTime } from '~~/core/units'

/** The figures of a card as a welder reads them, for screen and paper alike. */
export function cardFacts(
  card: SettingsCard,
  rules: HouseRules,
): readonly { readonly name: string; readonly value: string }[] {
  const { unit } = rules
  return [
    { name: 'Travel angle', value: sayTravelAngle(card.angles.travel, rules) },
    { name: 'Arc', value: `up to ${formatLength(card.longestArcMm, unit)}, ${card.volts.low}–${card.volts.high} V` },
    { name: 'Arc force', value: `${card.arcForcePercent.low}–${card.arcForcePercent.high} %` },
    {
      name: card.bead.as === 'fillet' ? 'Face' : 'Bead',
      value: `${formatRange(card.bead.lowMm, card.bead.highMm, unit)} wide${card.bead.passes > 1 ? `, about ${card.bead.passes} passes` : ''}`,
    },
    { name: 'Travel', value: formatSpeed(card.travelMmPerMin, unit) },
    { name: 'One rod', value: `${formatLength(card.runOutMm, unit)}, ${formatTime(card.rodSeconds)}` },
    { name: 'Plate suits', value: `${formatRange(card.rodsForPlate.lowMm, card.rodsForPlate.highMm, unit)} rods` },
    { name: 'Heat', value: formatHeat(card.heatKjPerMm, unit) },
  ]
}
