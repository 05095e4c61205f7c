/** What an integer program is written in, and who solves it: the solver itself comes in as an argument. */

/** What a solver says of a program: the value of each variable, and the best that was found, proved or in time. */
export interface Solved {
  readonly proved: boolean
  readonly value: number
  readonly of: (variable: string) => number
}
/** Solves a program in LP format; null where it has no answer. */
export type Solve = (program: string) => Solved | null

/** A sum of variables, each by its factor. */
export type Terms = readonly (readonly [by: number, variable: string])[]

/** A sum as LP format writes it, in lines that a solver still reads. */
export function sayTerms(terms: Terms): string {
  const A_LINE = 8
  return terms
    .map(
      ([by, variable], n) =>
        `${by < 0 ? '-' : '+'} ${Math.abs(by)} ${variable}${n % A_LINE === A_LINE - 1 ? '\n' : ''}`,
    )
    .join(' ')
}
