import type { LengthUnit } from '../units'
import type { Source } from '../trade'

/** What a person may put into a sheet. Lengths are kept in mm, speeds in mm/min, shares in per cent. */
export type SheetInput =
  | {
      readonly id: string
      readonly name: string
      readonly kind: 'number'
      readonly quantity: NumberKind
      readonly lowest: number
      readonly highest: number
      readonly start: number
    }
  | {
      readonly id: string
      readonly name: string
      readonly kind: 'choice'
      readonly choices: readonly string[]
      readonly start: string
    }

export type NumberKind =
  | 'length'
  | 'speed'
  | 'amperes'
  | 'volts'
  | 'percent'
  | 'degrees'
  | 'celsius'
  | 'mass percent'
  | 'hours'
  | 'days'
  | 'coupons'
  | 'core diameters'
  | 'pixels'

export type SheetValues = Readonly<Record<string, number | string>>

/** One result with the sum that makes it, both in words for the screen. */
export interface SheetLine {
  readonly name: string
  readonly result: string
  readonly working: string
  /** Something to know before it is used: it lies outside a table, a plate is too cold. */
  readonly note?: string
}

/** A piece of the trade's arithmetic that shows its working. */
export interface Sheet {
  readonly id: string
  readonly name: string
  readonly formula: string
  readonly sources: readonly Source[]
  readonly inputs: readonly SheetInput[]
  /** @throws RangeError in plain words where inputs do not go together */
  readonly work: (values: SheetValues, unit: LengthUnit) => readonly SheetLine[]
}

/** Builders, so that a sheet reads like a form. */
export const length = (id: string, name: string, lowest: number, highest: number, start: number): SheetInput => ({
  id,
  name,
  kind: 'number',
  quantity: 'length',
  lowest,
  highest,
  start,
})
export const numeric = (
  quantity: NumberKind,
  id: string,
  name: string,
  lowest: number,
  highest: number,
  start: number,
): SheetInput => ({ id, name, kind: 'number', quantity, lowest, highest, start })
export const choice = (id: string, name: string, choices: readonly string[], start = choices[0]!): SheetInput => ({
  id,
  name,
  kind: 'choice',
  choices,
  start,
})

/** Number inputs of a set of values; the sheet's own inputs say which are numbers. */
export const numbers =
  (values: SheetValues) =>
  (id: string): number =>
    Number(values[id])
