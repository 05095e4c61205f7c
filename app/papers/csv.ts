import Papa from 'papaparse'

/** What a spreadsheet would take for a formula, and run. */
const FORMULA = /^[=+\-@\t\r]/

type Cell = string | number
/** A table: a row for each thing with its columns by name, or the names of all columns and then the rows. */
type Table =
  readonly Readonly<Record<string, Cell>>[] | { readonly fields: readonly string[]; readonly data: readonly Cell[][] }

/**
 * A table as a spreadsheet takes it. A text that begins like a formula is written with an apostrophe before it: the
 * person who opens the file is shown it, and nothing is run.
 */
export const writeCsv = (table: Table): string =>
  Papa.unparse(table as Parameters<typeof Papa.unparse>[0], { escapeFormulae: FORMULA })

/** A cell as it was before `writeCsv` made it safe. @example readCell("'=1+1") // '=1+1' */
export const readCell = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text
