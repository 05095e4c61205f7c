import { formatLength, inches, type LengthUnit, over, under } from '../units'

/** A root opening gauged at both ends, mm. */
export interface GaugedGap {
  readonly leftMm: number
  readonly rightMm: number
}

/** A short weld that holds the joint. `atMm` is its middle along the seam. */
export interface Tack {
  readonly atMm: number
  readonly lengthMm: number
  /** Ground to a ramp at both ends, so that the root ties in. */
  readonly feathered: boolean
}

export const SURFACES = ['bright metal', 'mill scale'] as const
export const CLAMPS = ['on bare metal, near', 'far off', 'on one side only'] as const

/**
 * A groove as it was put together, the first tack at the left end. Lengths mm, angles degrees; null for what no one
 * gauged.
 */
export interface FitUp {
  readonly bare: GaugedGap
  readonly afterFirstTack: GaugedGap | null
  readonly afterSecondTack: GaugedGap | null
  readonly misalignmentMm: number
  readonly presetDegrees: number
  /** What the welded piece still stands out of flat, toward the weld positive; null before it is welded. */
  readonly leftDegrees: number | null
  /** Bevel of each plate, from square. */
  readonly bevelDegrees: { readonly left: number; readonly right: number } | null
  readonly landMm: number | null
  readonly tacks: readonly Tack[]
  readonly surface: (typeof SURFACES)[number] | null
  readonly clamp: (typeof CLAMPS)[number] | null
}

/** What a joint is prepared to; null where there is nothing to prepare. */
export interface FitUpWanted {
  readonly gapMm: number
  readonly landMm: number | null
  readonly includedDegrees: number | null
}

/** What is off, for code that reasons from it; the text is for people. */
export type FitUpFault =
  | 'gap tight'
  | 'gap wide'
  | 'land thick'
  | 'land thin'
  | 'angle tight'
  | 'angle wide'
  | 'bevels differ'
  | 'scale'
  | 'out of line'
  | 'drawn shut'
  | 'tack not feathered'
  | 'clamp'

export interface FitUpFinding {
  readonly fault: FitUpFault
  readonly text: string
  /** What it will do to the weld, or what to do about it. */
  readonly then: string
}

export interface FitUpCheck {
  readonly findings: readonly FitUpFinding[]
  /** Pre-set for the next piece, degrees; null before this one is welded. */
  readonly nextPresetDegrees: number | null
}

/** A gauge of this much tells right from wrong, mm. Common practice: 1/32 in, read off metric gauges as 0.75 mm. */
const TELLS_MM = 0.75
/** An angle this far off is seen in the fill, degrees. Common practice. */
const ANGLE_TELLS = 5
/**
 * Plates out of line by more than this are set again, mm. Common practice: 1/16 in; the code book in force decides
 * on a test.
 */
const OUT_OF_LINE_MM = inches(1 / 16)

/**
 * What is off in a fit-up, and what it will do, in the order in which it is put right. Source: common practice.
 * @throws RangeError for a reading under 0
 * @example checkFitUp({ ...good, afterFirstTack: { leftMm: 3.2, rightMm: 2.4 } }, wanted, 'in').findings[0].text //
 *   '1/32 in tight at the right end after tack 1'
 */
export function checkFitUp(fitUp: FitUp, wanted: FitUpWanted, unit: LengthUnit): FitUpCheck {
  for (const { leftMm, rightMm } of [fitUp.bare, fitUp.afterFirstTack, fitUp.afterSecondTack].filter(
    gap => gap !== null,
  ))
    if (!(leftMm >= 0 && rightMm >= 0)) throw new RangeError('A root opening is 0 or more')
  const say = (mm: number) => formatLength(mm, unit)
  const wantedMm = wanted.gapMm
  const findings = [
    ...edgeFindings(fitUp, wanted, say),
    ...gapFindings(
      fitUp.bare,
      wantedMm,
      'before the tacks',
      { tight: 'Open it with the gauge rod', wide: 'Close it up' },
      say,
    ),
    ...(fitUp.afterFirstTack
      ? gapFindings(
          { leftMm: wantedMm, rightMm: fitUp.afterFirstTack.rightMm },
          wantedMm,
          'after tack 1',
          { tight: 'Wedge it before tack 2', wide: 'Close it before tack 2' },
          say,
        )
      : []),
    ...drawnShut(fitUp, say),
    ...(fitUp.afterSecondTack
      ? gapFindings(
          fitUp.afterSecondTack,
          wantedMm,
          'as tacked',
          {
            tight: 'No penetration there: cut that tack and set it again',
            wide: 'The keyhole will run away there: less current, or set it again',
          },
          say,
        )
      : []),
  ]
  if (over(fitUp.misalignmentMm, OUT_OF_LINE_MM))
    findings.push({
      fault: 'out of line',
      text: `Plates out of line by ${say(fitUp.misalignmentMm)}`,
      then: 'One wall of the root will be missed: set it again',
    })
  findings.push(...tackFindings(fitUp, say))
  return { findings, nextPresetDegrees: nextPreset(fitUp) }
}

/**
 * The pre-set for the next piece: what was set, and what the weld still left of it. Common practice.
 * @returns degrees; null before the piece is welded
 * @example nextPreset({ presetDegrees: 3, leftDegrees: 2 }) // 5
 */
export function nextPreset({
  presetDegrees,
  leftDegrees,
}: Pick<FitUp, 'presetDegrees' | 'leftDegrees'>): number | null {
  return leftDegrees === null ? null : presetDegrees + leftDegrees
}

/** The edges before they are put together: angle, land, and what is left on them. */
function edgeFindings(
  { bevelDegrees, landMm, surface }: FitUp,
  wanted: FitUpWanted,
  say: (mm: number) => string,
): FitUpFinding[] {
  const found: FitUpFinding[] = []
  if (surface === 'mill scale')
    found.push({
      fault: 'scale',
      text: 'Mill scale left',
      then: 'Slag and pinholes at the walls: grind to bright metal, an inch back',
    })
  if (bevelDegrees && wanted.includedDegrees !== null) {
    const off = bevelDegrees.left + bevelDegrees.right - wanted.includedDegrees
    if (!under(Math.abs(off), ANGLE_TELLS))
      found.push({
        fault: off < 0 ? 'angle tight' : 'angle wide',
        text: `Included angle ${Math.abs(off)}° ${off < 0 ? 'tight' : 'wide'}`,
        then: off < 0 ? 'The rod will not reach the root: bevel again' : 'More metal to lay, and more pull: expect it',
      })
    const differ = Math.abs(bevelDegrees.left - bevelDegrees.right)
    if (!under(differ, ANGLE_TELLS))
      found.push({
        fault: 'bevels differ',
        text: `Bevels differ by ${differ}°`,
        then: 'Point the rod at the steeper wall',
      })
  }
  if (landMm !== null && wanted.landMm !== null && !under(Math.abs(landMm - wanted.landMm), TELLS_MM)) {
    const thick = landMm > wanted.landMm
    found.push({
      fault: thick ? 'land thick' : 'land thin',
      text: `Root face ${say(Math.abs(landMm - wanted.landMm))} ${thick ? 'thick' : 'thin'}`,
      then: thick ? 'It will not melt through: grind it down' : 'The keyhole will run away: less current',
    })
  }
  return found
}

function tackFindings({ tacks, clamp }: FitUp, say: (mm: number) => string): FitUpFinding[] {
  const blunt = tacks
    .filter(tack => !tack.feathered)
    .map((tack): FitUpFinding => ({
      fault: 'tack not feathered',
      text: `Tack at ${say(tack.atMm)} not feathered`,
      then: 'The root will not tie in there: grind both its ends to a ramp',
    }))
  return clamp === null || clamp === 'on bare metal, near'
    ? blunt
    : [...blunt, { fault: 'clamp', text: `Work clamp ${clamp}`, then: 'Arc blow will be worse: bring it to the joint' }]
}

function gapFindings(
  { leftMm, rightMm }: GaugedGap,
  wantedMm: number,
  when: string,
  then: { tight: string; wide: string },
  say: (mm: number) => string,
): FitUpFinding[] {
  return (
    [
      ['left', leftMm],
      ['right', rightMm],
    ] as const
  ).flatMap(([end, mm]): FitUpFinding[] => {
    const off = mm - wantedMm
    if (under(Math.abs(off), TELLS_MM)) return []
    return [
      {
        fault: off < 0 ? 'gap tight' : 'gap wide',
        text: `${say(Math.abs(off))} ${off < 0 ? 'tight' : 'wide'} at the ${end} end ${when}`,
        then: off < 0 ? then.tight : then.wide,
      },
    ]
  })
}

/** How far the edges were off as they were gauged last, in steps that a gauge tells; null for what was not gauged. */
export interface EdgesOff {
  /** At the end where it is tightest, and where it is widest; 1 is a step too tight, or too wide. */
  readonly gap: { readonly tight: number; readonly wide: number }
  /** Over 0 where the land is heavy. */
  readonly land: number | null
}

/**
 * How far gap and land were off as they were gauged last: what a tack drew shut since counts, what was put right before
 * it does not.
 * @example edgesOff({ ...good, bare: { leftMm: 2.45, rightMm: 3.2 } }, { ...wanted, gapMm: 3.2 }).gap // { tight: 1,
 *   wide: 0 }
 */
export function edgesOff({ bare, afterFirstTack, afterSecondTack, landMm }: FitUp, wanted: FitUpWanted): EdgesOff {
  const last = afterSecondTack ?? { ...bare, ...(afterFirstTack && { rightMm: afterFirstTack.rightMm }) }
  const offMm = [last.leftMm - wanted.gapMm, last.rightMm - wanted.gapMm]
  return {
    gap: { tight: -Math.min(...offMm) / TELLS_MM, wide: Math.max(...offMm) / TELLS_MM },
    land: landMm === null || wanted.landMm === null ? null : (landMm - wanted.landMm) / TELLS_MM,
  }
}

/** How much the second tack drew its end shut: the next one is wedged open by as much. */
function drawnShut({ afterFirstTack, afterSecondTack }: FitUp, say: (mm: number) => string): FitUpFinding[] {
  if (!afterFirstTack || !afterSecondTack) return []
  const drawn = afterFirstTack.rightMm - afterSecondTack.rightMm
  if (under(drawn, TELLS_MM)) return []
  return [
    {
      fault: 'drawn shut',
      text: `Tack 2 drew the right end shut by ${say(drawn)}`,
      then: 'Wedge the next one open by as much before that tack',
    },
  ]
}
