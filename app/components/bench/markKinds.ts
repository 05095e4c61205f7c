import type { TryKind } from '~~/core/coupon'
import { DISCONTINUITIES, type DiscontinuityId } from '~~/core/trade'

/** What a letter drops on the drawing: a try to grade, a flaw, or a gauge reading. */
export type MarkKind =
  | { readonly letter: string, readonly name: string, readonly is: 'try', readonly kind: TryKind }
  | { readonly letter: string, readonly name: string, readonly is: 'flaw', readonly flaw: DiscontinuityId }
  | { readonly letter: string, readonly name: string, readonly is: 'reading', readonly of: 'width' | 'height' }

const flaw = (letter: string, id: DiscontinuityId): MarkKind =>
  ({ letter, is: 'flaw', flaw: id, name: DISCONTINUITIES.find(row => row.id === id)!.name })

/** In the order of a reading; the first ten stand on the palette, the rest under More. */
export const MARK_KINDS: readonly MarkKind[] = [
  { letter: 'S', name: 'Start', is: 'try', kind: 'start' },
  { letter: 'R', name: 'Restart', is: 'try', kind: 'restart' },
  { letter: 'T', name: 'Tie-in', is: 'try', kind: 'tie-in' },
  { letter: 'E', name: 'End', is: 'try', kind: 'end' },
  flaw('U', 'undercut'),
  flaw('O', 'overlap'),
  flaw('P', 'porosity'),
  flaw('G', 'slag'),
  flaw('C', 'crooked'),
  { letter: 'W', name: 'Width', is: 'reading', of: 'width' },
  { letter: 'H', name: 'Height', is: 'reading', of: 'height' },
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
]

export const PALETTE_SIZE = 10
