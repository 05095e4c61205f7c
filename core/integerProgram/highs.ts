import type { Solve } from '.'

/** HiGHS as its WebAssembly package loads it: as much of it as is used. */
interface Highs {
  readonly solve: (
    program: string,
    options: object,
  ) => { readonly Status: string; readonly ObjectiveValue: number; readonly Columns: object }
}

const ENOUGH = ['Optimal', 'Time limit reached']

/**
 * A solver out of HiGHS; what it has when its time is up is taken.
 * @param options by HiGHS's own names: `time_limit` in seconds, `mip_rel_gap`, `mip_abs_gap`
 */
export const solverOf =
  (highs: Highs, options: Readonly<Record<string, number>> = {}): Solve =>
  program => {
    const { Status, ObjectiveValue, Columns } = highs.solve(program, options)
    if (!ENOUGH.includes(Status)) return null
    const columns = Columns as Readonly<Record<string, { readonly Primal?: number } | undefined>>
    return {
      proved: Status === 'Optimal',
      value: ObjectiveValue,
      of: name => columns[name]?.Primal ?? 0,
    }
  }
