import { formatLength, inches, type LengthUnit } from '../units'

/** A root opening gauged at both ends, mm. */
export interface GaugedGap {
  readonly leftMm: number
  readonly rightMm: number
}

/** A groove as it is put together: what is wanted, and what the gauge said as it was tacked, the first tack at the left end. Angles in degrees. */
export interface FitUp {
  readonly wantedGapMm: number
  readonly bare: GaugedGap
  readonly afterFirstTack: GaugedGap | null
  readonly afterSecondTack: GaugedGap | null
  readonly misalignmentMm: number
  readonly presetDegrees: number
  /** What the welded piece still stands out of flat, toward the weld positive; null before it is welded. */
  readonly leftDegrees: number | null
}

export interface FitUpFinding {
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
/** Plates out of line by more than this are set again, mm. Common practice: 1/16 in; the code book in force decides on a test. */
const OUT_OF_LINE_MM = inches(1 / 16)
const ROUNDING = 1e-6

/**
 * What is off in a fit-up, and what it will do, in the order in which it is put right. Source: common practice.
 * @throws RangeError for a reading under 0
 * @example checkFitUp({ ...good, afterFirstTack: { leftMm: 3.2, rightMm: 2.4 } }, 'in').findings[0].text // '1/32 in tight at the right end after tack 1'
 */
export function checkFitUp(fitUp: FitUp, unit: LengthUnit): FitUpCheck {
  for (const { leftMm, rightMm } of [fitUp.bare, fitUp.afterFirstTack, fitUp.afterSecondTack].filter(gap => gap !== null))
    if (!(leftMm >= 0 && rightMm >= 0)) throw new RangeError('A root opening is 0 or more')
  const say = (mm: number) => formatLength(mm, unit)
  const findings = [
    ...gapFindings(fitUp.bare, fitUp.wantedGapMm, 'before the tacks', { tight: 'Open it with the gauge rod', wide: 'Close it up' }, say),
    ...(fitUp.afterFirstTack ? gapFindings({ leftMm: fitUp.wantedGapMm, rightMm: fitUp.afterFirstTack.rightMm }, fitUp.wantedGapMm, 'after tack 1', { tight: 'Wedge it before tack 2', wide: 'Close it before tack 2' }, say) : []),
    ...drawnShut(fitUp, say),
    ...(fitUp.afterSecondTack ? gapFindings(fitUp.afterSecondTack, fitUp.wantedGapMm, 'as tacked', { tight: 'No penetration there: cut that tack and set it again', wide: 'The keyhole will run away there: less current, or set it again' }, say) : []),
  ]
  if (fitUp.misalignmentMm > OUT_OF_LINE_MM + ROUNDING)
    findings.push({ text: `Plates out of line by ${say(fitUp.misalignmentMm)}`, then: 'One wall of the root will be missed: set it again' })
  return { findings, nextPresetDegrees: fitUp.leftDegrees === null ? null : fitUp.presetDegrees + fitUp.leftDegrees }
}

function gapFindings({ leftMm, rightMm }: GaugedGap, wantedMm: number, when: string, then: { tight: string, wide: string }, say: (mm: number) => string): FitUpFinding[] {
  return ([['left', leftMm], ['right', rightMm]] as const).flatMap(([end, mm]): FitUpFinding[] => {
    const off = mm - wantedMm
    if (Math.abs(off) < TELLS_MM - ROUNDING) return []
    return [{ text: `${say(Math.abs(off))} ${off < 0 ? 'tight' : 'wide'} at the ${end} end ${when}`, then: off < 0 ? then.tight : then.wide }]
  })
}

/** How much the second tack drew its end shut: the next one is wedged open by as much. */
function drawnShut({ afterFirstTack, afterSecondTack }: FitUp, say: (mm: number) => string): FitUpFinding[] {
  if (!afterFirstTack || !afterSecondTack) return []
  const drawn = afterFirstTack.rightMm - afterSecondTack.rightMm
  if (drawn < TELLS_MM - ROUNDING) return []
  return [{ text: `Tack 2 drew the right end shut by ${say(drawn)}`, then: 'Wedge the next one open by as much before that tack' }]
}
