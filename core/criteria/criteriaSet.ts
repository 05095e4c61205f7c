import { formatFraction, inches, round, type LengthUnit } from '../units'
import { stepOf, type WidthStep } from '../grading'
import type { Certainty } from '../trade'
import type { ObservedId } from './observed'

/**
 * What a criterion allows. A length that a code prints in inches and in millimetres holds both as printed, never
 * one converted into the other;
 * a share is of the plate or wall, the width of the weld, or the throat, with what is added and the most that comes
 * of it, mm.
 */
export type Limit =
  | { readonly is: 'none' }
  | { readonly is: 'at most'; readonly in: number; readonly mm: number }
  | {
      readonly is: 'at most a share'
      readonly of: 'thickness' | 'width' | 'throat'
      readonly share: number
      readonly plusMm: number
      readonly mostMm: number | null
    }
  | { readonly is: 'steps by width'; readonly steps: readonly WidthStep[] }
  | { readonly is: 'less of'; readonly share: number; readonly in: number; readonly mm: number }

/** What a criterion applies to; everything when it says nothing. Thickness of plate or wall, mm. */
export interface AppliesTo {
  readonly weld?: 'groove' | 'fillet'
  readonly overMm?: number
  readonly upToMm?: number
}

/** One line of a set: something observed, what is allowed of it, and where it is written. */
export interface Criterion {
  readonly id: string
  readonly observed: ObservedId
  readonly limit: Limit
  readonly appliesTo: AppliesTo
  readonly clause: string
  readonly certainty: Certainty
}

/** A named set of criteria: data, so that a school can hold a coupon against its own code book. */
export interface CriteriaSet {
  readonly id: string
  readonly name: string
  /** Family and edition it is remembered from, or the school's own words. */
  readonly edition: string
  readonly criteria: readonly Criterion[]
}

/** Sizes a limit may depend on, mm. */
export interface Sizes {
  readonly thicknessMm: number
  readonly widthMm: number
  readonly throatMm: number
}

/**
 * What a limit comes to on a piece.
 * @returns mm, or a count; 0 where none is allowed
 * @example limitOf({ is: 'at most', in: 1 / 32, mm: 1 }, sizes, 'mm') // 1, and in inches 0.79375
 */
export function limitOf(limit: Limit, sizes: Sizes, unit: LengthUnit): number {
  switch (limit.is) {
    case 'none':
      return 0
    case 'at most':
      return unit === 'in' ? inches(limit.in) : limit.mm
    case 'steps by width':
      return stepOf(limit.steps, sizes.widthMm, unit)
    case 'less of':
      return Math.min(limit.share * sizes.thicknessMm, unit === 'in' ? inches(limit.in) : limit.mm)
    case 'at most a share': {
      const base = { thickness: sizes.thicknessMm, width: sizes.widthMm, throat: sizes.throatMm }[limit.of]
      return Math.min(limit.plusMm + limit.share * base, limit.mostMm ?? Infinity)
    }
  }
}

const OF = { thickness: 'the plate or wall', width: 'the weld’s width', throat: 'the throat' } as const
const printed = (inch: number, mm: number) => `${formatFraction(inches(inch), 64)} in (${round(mm, 2)} mm)`

/**
 * A limit as a code book prints it, in both units.
 * @example sayLimitRule({ is: 'at most', in: 1 / 32, mm: 1 }) // '1/32 in (1 mm)'
 */
export function sayLimitRule(limit: Limit): string {
  switch (limit.is) {
    case 'none':
      return 'none'
    case 'at most':
      return printed(limit.in, limit.mm)
    case 'less of':
      return `${printed(limit.in, limit.mm)} or ${round(100 * limit.share, 1)} % of the wall, the smaller`
    case 'steps by width':
      return limit.steps
        .map(
          step =>
            `${printed(step.in, step.mm)}${step.to ? ` ${step.under ? 'under' : 'to'} ${printed(step.to.in, step.to.mm)} wide` : ' beyond'}`,
        )
        .join(', ')
    case 'at most a share': {
      const sum = `${limit.plusMm > 0 ? `${round(limit.plusMm, 2)} mm + ` : ''}${round(100 * limit.share, 1)} % of ${OF[limit.of]}`
      return limit.mostMm === null ? sum : `${sum}, at most ${round(limit.mostMm, 2)} mm`
    }
  }
}
