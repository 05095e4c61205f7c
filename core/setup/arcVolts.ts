import { burnsAs, type Source } from '../trade'

export interface ArcVolts {
  readonly low: number
  readonly high: number
  /** What heat is worked with. */
  readonly middle: number
  readonly source: Source
}

const HANDBOOK: Source = {
  name: 'typical close arc',
  clause: 'makers’ handbooks',
  certainty: 'from memory, check your copy',
}
const LOAD_LINE: Source = {
  name: 'IEC 60974-1',
  clause: 'load line 20 + 0.04 I',
  certainty: 'from memory, check your copy',
}

/** Close-arc volts by class. Source: makers' handbooks, from memory. */
const TYPICAL: Readonly<Record<string, readonly [number, number]>> = {
  E6010: [24, 28],
  E6011: [24, 28],
  E6013: [20, 24],
  E7014: [22, 26],
  E7018: [21, 25],
  E7024: [28, 34],
}

/**
 * Volts across a close arc. A rod without a figure goes by the machines' load line.
 * @param currentA arc current, A
 * @example arcVolts('E7018', 125) // { low: 21, high: 25, source: typical close arc }
 */
export function arcVolts(classification: string, currentA: number): ArcVolts {
  const row = TYPICAL[burnsAs(classification)]
  if (row) return { low: row[0], high: row[1], middle: (row[0] + row[1]) / 2, source: HANDBOOK }
  const volts = 20 + 0.04 * currentA
  return { low: volts - 2, high: volts + 2, middle: volts, source: LOAD_LINE }
}
