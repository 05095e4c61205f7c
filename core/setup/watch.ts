import { sayWay, type HouseRules, type WayId } from '../house'
import { electrodeOf } from '../trade'
import type { SetUpCase } from './setUpCase'

/**
 * What to keep an eye on while the bead runs, in the words of the trade; the most telling first. Source: common
 * practice.
 * @example watchFor({ ...flatPad }, rules)[0] // 'The trailing edge of the puddle: a smooth half-moon'
 */
export function watchFor(wanted: SetUpCase, rules: HouseRules): string[] {
  const { position, joint, pass, travel, classification } = wanted
  const lines: string[] = []
  if (joint === 'V, open root' && pass === 'root')
    lines.push('The keyhole: a little wider than the gap. Growing, move out and back; closing, slow down')
  if (pass === 'hot') lines.push('Both walls wetted: pause about a second on the edge of the freezing puddle')
  if (pass === 'cap') lines.push('The bevel edge: go no more than 1/16 in beyond it')
  if (pass === 'fill') lines.push('Room for the next bead to reach the bottom of its valley')
  if (position === '2G')
    lines.push(
      `The upper toe: pause there. Aim ${rules.ways.horizontalAim === 'on the toe' ? 'on the last toe' : 'just above the last toe'}`,
    )
  if (position === '3G' && travel === 'up') lines.push('The toes: pause at each, quick across the middle')
  if (position === '3G' && travel === 'down') lines.push('The slag: keep the arc ahead of it')
  if (position === '4G') lines.push('The arc: tight. A bead that hangs mostly wants more current, not less')
  if (joint === 'T') lines.push('Both plates wetted; a little to the one that takes more heat')
  if (joint === 'lap') lines.push('The upper edge melts first: aim a little at the lower plate')
  if (joint === 'outside corner') lines.push('The edges: they melt away easily')
  lines.push('The trailing edge of the puddle: a smooth half-moon, its width sets the speed')
  if (electrodeOf(classification).family === 'cellulosic') lines.push('The sound: crisp')
  else lines.push('The sound: smooth when the arc is tight, crackling when it is long')
  return lines
}

/** How it is done in this house, step by step, as far as the joint asks for it. */
export function houseWays({ joint, pass, position }: SetUpCase, { ways }: HouseRules): string[] {
  const done = (...ids: readonly WayId[]) => ids.map(id => sayWay(ways, id)).join('; ')
  const lines = [`Light it: ${done('lighting', 'lightingGap')}`, `Run: ${done('manipulation', 'touching')}`]
  if (pass === 'root') lines.push(`Root: ${done('rootPass')}`)
  if (joint !== 'pad') lines.push(`Tacks: ${done('tacks')}`)
  if (joint === 'pad' && position !== '1G') lines.push(`First bead: ${done('firstBead')}`)
  lines.push(
    `Restart: ${done('restart')}`,
    `End: ${done('endOfRun')}`,
    `Between beads: ${done('cleaning', 'cooling')}`,
    `Rod: ${done('stubUse')}`,
  )
  return lines
}
