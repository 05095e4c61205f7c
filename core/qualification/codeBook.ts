import type { LengthUnit } from '../units'
import type { Bound, Printed, SizeTest } from './printedSize'
import type { TestForm, TestPosition, TestWeld } from './testPlace'

/** Families of codes. They do not agree with each other and share no table. */
export type FamilyId = 'structural' | 'pressure' | 'ISO' | 'pipeline'

/** How sure a line of a code is remembered; `checked` once a school has held it against its own copy. */
export const REMEMBERED = ['sure', 'check before it decides', 'may be wrong', 'checked'] as const
export type Remembered = (typeof REMEMBERED)[number]

/** Where a statement comes from. */
export interface Clause {
  readonly clause: string
  readonly remembered: Remembered
}

/** Flat, horizontal, vertical, overhead. */
export type Welded = 'F' | 'H' | 'V' | 'O'
export const ALL_WELDED: readonly Welded[] = ['F', 'H', 'V', 'O']

/** Positions that are qualified, by what is welded. */
export interface Coverage {
  readonly plateGroove: readonly Welded[]
  readonly pipeGroove: readonly Welded[]
  readonly fillet: readonly Welded[]
}

/** What one test position qualifies. `progression` is null where up and down make no difference to it. */
export interface PositionRow extends Coverage, Clause {
  readonly form: TestForm
  readonly position: TestPosition
  readonly progression: 'up' | 'down' | null
}

/** Tests that together qualify more than each alone. */
export interface TogetherRow extends Coverage, Clause {
  readonly form: TestForm
  readonly positions: readonly TestPosition[]
}

/** What is qualified by a size: the first row that fits the test holds. */
export interface RangeRow extends Clause {
  readonly form: TestForm | 'any'
  readonly weld: TestWeld | 'any'
  /** Which coupons it is of, by their own size: thickness, deposit, or outside diameter. */
  readonly when: SizeTest
  /** Outside diameters it is of, where that counts beside the size itself. */
  readonly outside: SizeTest
  /** Least number of layers; 0 where they do not count. */
  readonly layers: number
  readonly least: Bound
  readonly most: Bound
  readonly says: string
  /** Pipe that is turned while it is welded. */
  readonly rotated?: RotatedPipe
}

/** The least outside diameter of rotated pipe that is covered, and by what name each position is. */
export interface RotatedPipe {
  readonly from: Printed
  readonly groove: Readonly<Partial<Record<Welded, readonly string[]>>>
  readonly fillet: Readonly<Partial<Record<Welded, readonly string[]>>>
}

/** Fillers are grouped by F-number, by covering, or by the pipeline standard's own groups. */
export type FillerGrouping = 'F-number' | 'covering' | 'pipeline group'

/** What a filler of one group qualifies, tested with backing or on an open root. */
export interface FillerRow extends Clause {
  readonly tested: string
  readonly backing: 'with' | 'without' | 'any'
  readonly withBacking: readonly string[]
  readonly openRoot: readonly string[]
}

export type BendKind = 'face' | 'root' | 'side'
export const BEND_KINDS: readonly BendKind[] = ['face', 'root', 'side']
export type SpecimenKind = BendKind | 'nick-break' | 'tensile' | 'fillet break' | 'macro' | 'radiograph'
export const SPECIMEN_KINDS: readonly SpecimenKind[] = [
  'face',
  'root',
  'side',
  'nick-break',
  'tensile',
  'fillet break',
  'macro',
  'radiograph',
]

/**
 * What is cut from a test: the first row that fits holds. `round` says whether the pipe was fixed and welded all
 * the way round (5G, 6G).
 */
export interface SpecimenRow extends Clause {
  readonly form: TestForm | 'any'
  readonly weld: TestWeld
  readonly round: boolean | null
  readonly wall: SizeTest
  readonly outside: SizeTest
  readonly kinds: readonly SpecimenKind[]
}

/** How wide a specimen is along the seam: the first row that fits holds. */
export interface StripRow extends Clause {
  readonly kinds: readonly SpecimenKind[]
  readonly outside: SizeTest
  readonly width: Printed
}

/** How the convex face of a bend is judged. */
export interface BendRule extends Clause {
  /** Longest single opening, and whether one of just that length passes. */
  readonly single: Printed
  readonly singleReached: boolean
  /** Half the wall is the limit where that is less. */
  readonly halfWall: boolean
  /** What all openings from `counted` to the single limit may sum to; null where they are not summed. */
  readonly sum: Printed | null
  readonly counted: Printed
  readonly countedReached: boolean
  /**
   * Longest opening at a corner that shows neither slag nor lack of fusion, and whether one of just that length
   * passes; null where it is not counted at all.
   */
  readonly corner: Printed | null
  readonly cornerReached: boolean
  readonly cornerBeyond: 'fails' | 'another specimen'
}

/** Former for a bend by the steel's yield strength; none over `upToMpa`, the last row null. */
export interface FormerRow extends Clause {
  readonly upToMpa: number | null
  /** Whether a steel of just that strength still belongs to the row. */
  readonly reached: boolean
  readonly plunger: Printed
}

/** What is allowed after a failure. `pieces` at once; null where there is no retest at once. */
export interface RetestRule extends Clause {
  readonly pieces: number | null
  readonly atOnce: string
  readonly afterTraining: string
}

/** What keeps a qualification alive. */
export interface ContinuityRule extends Clause {
  readonly months: number
  /** Lapses with "so many months or more" without use, which is a day sooner than "more than". */
  readonly orMore: boolean
  /** It stands on a signed confirmation, and not on use alone. */
  readonly confirmed: boolean
  /** The years after which it is taken again in any case; null where it need not be. */
  readonly again: number | null
  readonly says: string
}

/**
 * One family's rules for tests of welders, as data: shipped from memory of the published code, or a school's copy,
 * held against its own.
 * The code in force and the qualified inspector decide.
 */
export interface CodeBook {
  readonly id: string
  readonly family: FamilyId
  readonly name: string
  readonly edition: string
  /** In which unit it is read: as the house measures, or in millimetres only. */
  readonly unit: LengthUnit | 'as the house'
  /** Id of the set of visual criteria that its tests are held against. */
  readonly criteriaId: string
  readonly positions: readonly PositionRow[]
  readonly together: readonly TogetherRow[]
  /** Over this outside diameter a plate test counts on pipe as it does on plate; null where it never does. */
  readonly plateAsPipe: (Printed & Clause) | null
  /** Whether thickness goes by the coupon, or by what each filler deposited. */
  readonly thicknessOf: 'coupon' | 'deposit'
  readonly thickness: readonly RangeRow[]
  readonly diameters: readonly RangeRow[]
  readonly fillers: { readonly grouping: FillerGrouping; readonly rows: readonly FillerRow[] }
  readonly backing: Clause & { readonly with: string; readonly without: string }
  readonly progression: Clause & { readonly says: string }
  readonly specimens: readonly SpecimenRow[]
  readonly strips: readonly StripRow[]
  readonly bend: BendRule
  readonly formers: readonly FormerRow[]
  /** A radiograph in place of bends; null where it is not taken. */
  readonly radiograph: (Clause & { readonly says: string }) | null
  /** How breaks, macros, tensiles and films are judged by hand. */
  readonly byHand: Readonly<Partial<Record<Exclude<SpecimenKind, BendKind>, Clause & { readonly says: string }>>>
  readonly retest: RetestRule
  readonly continuity: ContinuityRule
}

/** A clause with the book it stands in: `AWS D1.1 Table 4.10 (2015)`. */
export const clauseIn = (book: Pick<CodeBook, 'name'>, { clause }: Clause): string => `${book.name} ${clause}`

/** What stands beside every verdict. */
export const WHO_DECIDES = 'The code in force and the qualified inspector decide.'
