import { computed } from 'vue'
import { beyondTable, depositionRate, stackTotals } from '~~/core/deposit'
import { arcVolts, startCurrent, type Joint } from '~~/core/setup'
import { formatHeat, formatLength, formatTime, formatWeight } from '~~/core/units'
import { useHouseRules } from '~/stores/houseRules'
import type { useStackCase } from './stackCase'

/** What a planned joint takes: rods, time, weld metal and heat, by the current of its card. */
export function useStackFigures({ form, of, kind, rod, position, plan }: ReturnType<typeof useStackCase>) {
  const houseRules = useHouseRules()
  const rules = computed(() => houseRules.current.rules)
  const unit = computed(() => houseRules.unit)

  const current = computed(
    () =>
      startCurrent(
        {
          classification: String(form.values.value.rod),
          diameterMm: rod.value.diameterMm,
          position: position.value,
          travel: position.value === '3G' ? 'up' : 'left to right',
          joint: kind.value === 'T fillet' ? 'T' : ('V, backing' satisfies Joint),
          pass: kind.value === 'T fillet' ? 'first' : 'fill',
          thicknessMm: of('plate'),
        },
        rules.value,
      ).startA,
  )
  const classification = computed(() => String(form.values.value.rod))
  const totals = (from: number) =>
    stackTotals(plan.value!.beads.slice(from), {
      lengthMm: of('long'),
      classification: classification.value,
      rod: rod.value,
      currentA: current.value,
      volts: arcVolts(classification.value, current.value).middle,
      stubMm: rules.value.stubMm,
    })
  const beyond = computed(() => beyondTable(depositionRate(classification.value, rod.value.diameterMm, current.value)))
  const heatWords = ([least, most]: readonly [number, number]) => {
    const [from, to] = [formatHeat(least, unit.value), formatHeat(most, unit.value)]
    return from === to ? to : `${from.replace(/ .*/, '')} to ${to}`
  }
  const figures = computed(() => {
    const made = plan.value
    if (!made) return []
    const all = totals(0)
    const capped = made.legsMm
      ? [
          {
            name: 'Legs',
            value: `${formatLength(made.legsMm[0], unit.value)}, ${formatLength(made.legsMm[1], unit.value)}`,
          },
          { name: 'Convexity', value: formatLength(made.reinforcementMm, unit.value) },
        ]
      : [
          { name: 'Cap stands', value: formatLength(made.reinforcementMm, unit.value) },
          {
            name: 'Beyond the edges',
            value: `${formatLength(made.beyondLeftMm, unit.value)}, ${formatLength(made.beyondRightMm, unit.value)}`,
          },
          { name: 'Under flush, uncapped', value: formatLength(made.underFlushMm, unit.value) },
        ]
    return [
      { name: 'Beads', value: `${made.beads.length}: ${made.layers.map(layer => layer.beads).join(' + ')}` },
      { name: 'Rods', value: String(all.rods) },
      { name: 'Restarts', value: String(all.restarts) },
      { name: 'Arc time', value: formatTime(all.arcSeconds) },
      { name: 'Weld metal', value: formatWeight(all.weightKg, unit.value) },
      { name: 'Heat, bead by bead', value: heatWords(all.heatKjPerMm) },
      ...capped,
    ]
  })

  return { current, totals, beyond, figures }
}
