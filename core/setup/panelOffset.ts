import { daysAfter, type ClassDay } from '../calendar'

/** What a clamp meter around the lead read while the machine's panel said its own figure, A. */
export interface ClampReading {
  readonly panelA: number
  readonly clampA: number
}

/** A panel that is further off than this is no panel to set a current by: the machine wants looking at. A. */
export const MOST_OFFSET_A = 60

/**
 * What the arc has more than the panel says, A; less than 0 where it has less. An arc meter is right: the panel's
 * own may be off by a tenth. Source: common practice, after IEC 60974-14, from memory.
 * @example offsetOf({ panelA: 120, clampA: 126 }) // 6
 */
export const offsetOf = ({ panelA, clampA }: ClampReading): number => clampA - panelA

/** What burns at the arc while the panel shows a current, A. @example atTheArc(119, 6) // 125 */
export const atTheArc = (currentA: number, offsetA = 0): number => currentA + offsetA

/**
 * A window of amperes at the arc as the panel has to show it.
 * @param offsetA what the arc has more than the panel says, A
 * @example onPanel({ lowA: 115, highA: 165 }, 6) // { lowA: 109, highA: 159 }
 */
export const onPanel = <Window extends { readonly lowA: number; readonly highA: number }>(
  window: Window,
  offsetA = 0,
): Window => ({ ...window, lowA: window.lowA - offsetA, highA: window.highA - offsetA })

/** A window as it is said, and that it is the panel's. @example sayWindow({ lowA: 109, highA: 159 }, 6) */
export const sayWindow = ({ lowA, highA }: { readonly lowA: number; readonly highA: number }, offsetA = 0): string =>
  `${lowA}–${highA} A${offsetA === 0 ? '' : ' on this panel'}`

/** How far a panel is off, in words. @example sayOffset(6) // 'the arc has 6 A more than the panel says' */
export function sayOffset(offsetA: number): string {
  if (offsetA === 0) return 'the arc has what the panel says'
  return `the arc has ${Math.abs(offsetA)} A ${offsetA > 0 ? 'more' : 'less'} than the panel says`
}

/**
 * The day from which a clamp meter is to be held to a machine again.
 * @param days that the house lets pass between two readings
 * @example clampDueOn('2026-10-05', 365) // '2027-10-05'
 */
export const clampDueOn = (readOn: ClassDay, days: number): ClassDay => daysAfter(readOn, days)
