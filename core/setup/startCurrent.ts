import type { HouseRules } from '../house'
import { DEFAULT_HOUSE_RULES } from '../house'
import { electrodeOf, positionOf } from '../trade'
import { inches } from '../units'
import { currentWindow, publishedWindow, type CurrentWindow } from './currentWindow'
import { practiceOf, type CurrentCase } from './practiceCurrents'

export interface StartCurrent {
  readonly startA: number
  readonly window: CurrentWindow
  readonly published: CurrentWindow
  /** How it was found, step by step. */
  readonly working: readonly string[]
}

const middle = ({ low, high }: { readonly low: number; readonly high: number }) => (low + high) / 2
const toFive = (amperes: number) => Math.round(amperes / 5) * 5

/** Plates thinner and thicker than these ask for less and more current, mm. Common practice. */
const THIN_MM = inches(3 / 16)
const THICK_MM = inches(3 / 4)

/** Amperes in each thousandth of an inch of core, low-hydrogen rods run flat. Common practice: 1/8 in, 125 A. */
const AMPERES_A_MM = 1000 / 25.4

/**
 * The current to begin with: what schools run for the case, else the rule of one ampere a thousandth of an inch
 * (low hydrogen) or the middle
 * of the published window, moved by position as the house does, by thickness, and held inside the window.
 * @returns amperes, to the nearest five where nothing else is said
 * @throws RangeError for a rod or size that is not kept
 * @example startCurrent({ classification: 'E7018', diameterMm: 3.175, position: '3G', joint: 'pad', pass: 'bead' },
 *   rules).startA // 110
 */
export function startCurrent(wanted: CurrentCase, rules: HouseRules): StartCurrent {
  const { classification, diameterMm, thicknessMm } = wanted
  const published = publishedWindow(classification, diameterMm)
  const practice = practiceOf(wanted)
  const window = currentWindow(wanted, rules)
  const working: string[] = []
  let startA: number
  if (practice) {
    startA = practice.startA
    working.push(`${practice.startA} A is usual ${practice.where === 'flat' ? 'in flat' : `for ${practice.where}`}`)
  } else {
    startA = flatStart(classification, diameterMm, published, working)
  }
  startA = byPosition(startA, wanted, rules, practice !== null, working)
  if (thicknessMm !== undefined && thicknessMm < THIN_MM && !practice?.onThin) {
    startA -= 5
    working.push('5 A down for thin plate')
  } else if (thicknessMm !== undefined && thicknessMm >= THICK_MM) {
    startA += 5
    working.push('5 A up for thick plate')
  }
  const held = Math.min(Math.max(startA, window.lowA), window.highA)
  if (held !== startA) working.push(`held inside ${window.lowA}–${window.highA} A`)
  if (held < published.lowA || held > published.highA)
    working.push(`outside the published ${published.lowA}–${published.highA} A: ${OUTSIDE}`)
  return { startA: Math.round(held), window, published, working }
}
const OUTSIDE = 'the maker’s figures on the box come first'

function flatStart(classification: string, diameterMm: number, published: CurrentWindow, working: string[]): number {
  if (electrodeOf(classification).family === 'low hydrogen') {
    const startA = toFive(diameterMm * AMPERES_A_MM)
    working.push(`1 A for each 0.001 in of core: ${startA} A flat`)
    return startA
  }
  working.push(`the middle of ${published.lowA}–${published.highA} A flat`)
  return toFive((published.lowA + published.highA) / 2)
}

/**
 * Moves a start by position. Practice rows are stated for the default rule, so only the house's departure from it
 * moves them.
 */
function byPosition(
  startA: number,
  { classification, position, travel }: CurrentCase,
  rules: HouseRules,
  isPractice: boolean,
  working: string[],
): number {
  const rule =
    position === '3G' && travel !== 'down' ? 'verticalUnderFlatA' : position === '4G' ? 'overheadUnderFlatA' : null
  if (!rule) return startA
  // A cellulosic rod freezes fast: it is run much the same in every position.
  if (!isPractice && electrodeOf(classification).family === 'cellulosic') return startA
  const under = middle(rules[rule]) - (isPractice ? middle(DEFAULT_HOUSE_RULES[rule]) : 0)
  if (under === 0) return startA
  working.push(`${Math.abs(under)} A ${under > 0 ? 'down' : 'up'} ${positionOf(position).name}, by the house’s rule`)
  return startA - under
}
