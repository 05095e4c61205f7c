import { shownBead, type RightBead, type ShownBead, type Technique } from '../simulate'
import { seededRandom } from '../statistics'
import { positionOfCard, seedOf, techniquesOfCard, type Showing } from './beadCards'
import { tellsOf } from './tells'

/**
 * The bead of a showing: as subtle as it is known, but plain enough that something on it tells. What cannot be seen is
 * not asked, for a wrong answer to it could not be explained.
 * @param right the bead the school wants, mm
 * @example shownBeadOf({ card: 'right', shown: 0, known: 0 }, { widthMm: 6, heightMm: 2.4 }).strikes.length // 0
 */
export function shownBeadOf(showing: Showing, right: Omit<RightBead, 'level'>): ShownBead {
  const { card, known } = showing
  const level = positionOfCard(card) === '1G'
  const beadOf = (technique: Technique) => shownBead(technique, { ...right, level }, seededRandom(seedOf(showing)))
  const tells = (bead: ShownBead) => (['in', 'mm'] as const).every(unit => tellsOf(card, bead, right, unit).length > 0)
  const techniques = techniquesOfCard(card, known)
  const plainest = techniques.at(-1)!
  for (const technique of techniques) {
    const bead = beadOf(technique)
    if (card === 'right' || technique === plainest || tells(bead)) return bead
  }
  return beadOf(plainest)
}
