import type { Face, TryKind } from '~~/core/coupon'
import { discontinuityOf, type DiscontinuityId } from '~~/core/trade'

/** What a letter drops on the drawing: a try to grade, a flaw, or a gauge reading. */
export type MarkKind =
  | { readonly letter: string; readonly name: string; readonly is: 'try'; readonly kind: TryKind }
  | {
      readonly letter: string
      readonly name: string
      readonly is: 'flaw'
      readonly flaw: DiscontinuityId
      readonly short: string
    }
  | { readonly letter: string; readonly name: string; readonly is: 'reading'; readonly of: 'across' | 'over' }

/** `short` is what fits on the palette, where the term does not. */
const flaw = (letter: string, id: DiscontinuityId, short = discontinuityOf(id).name): MarkKind => ({
  letter,
  is: 'flaw',
  flaw: id,
  name: discontinuityOf(id).name,
  short,
})

const READINGS: readonly MarkKind[] = [
  { letter: 'W', name: 'Width', is: 'reading', of: 'across' },
  { letter: 'H', name: 'Height', is: 'reading', of: 'over' },
]

/** In the order of a reading; the first ten stand on the palette, the rest under More. */
export const FACE_KINDS: readonly MarkKind[] = [
  { letter: 'S', name: 'Start', is: 'try', kind: 'start' },
  { letter: 'R', name: 'Restart', is: 'try', kind: 'restart' },
  { letter: 'T', name: 'Tie-in', is: 'try', kind: 'tie-in' },
  { letter: 'E', name: 'End', is: 'try', kind: 'end' },
  flaw('U', 'undercut'),
  flaw('O', 'overlap'),
  flaw('P', 'porosity'),
  flaw('G', 'slag'),
  flaw('C', 'crooked'),
  READINGS[0]!,
  READINGS[1]!,
  flaw('L', 'lap'),
  flaw('V', 'irregular width'),
  flaw('Q', 'irregular surface'),
  flaw('F', 'incomplete fusion'),
  flaw('K', 'crack'),
  flaw('A', 'arc strike'),
  flaw('J', 'spatter'),
  flaw('B', 'excess weld metal'),
  flaw('D', 'underfill'),
  flaw('M', 'sagging'),
  flaw('Z', 'melt-through'),
  flaw('\\', 'tool mark'),
]

/** On the root side the letters keep their sense: too much, too little, not through. */
export const ROOT_KINDS: readonly MarkKind[] = [
  flaw('F', 'incomplete penetration', 'Not through'),
  flaw('D', 'root concavity', 'Concave'),
  flaw('B', 'excess penetration', 'Too much'),
  flaw('Z', 'melt-through'),
  flaw('O', 'incomplete fusion', 'No fusion'),
  flaw('U', 'undercut'),
  flaw('P', 'porosity'),
  flaw('G', 'slag'),
  flaw('K', 'crack'),
  flaw('\\', 'tool mark'),
  ...READINGS,
]

/** The marks there are on a side of a piece. */
export const markKindsOn = (face: Face | undefined): readonly MarkKind[] => (face === 'root' ? ROOT_KINDS : FACE_KINDS)

export const PALETTE_SIZE = 10
