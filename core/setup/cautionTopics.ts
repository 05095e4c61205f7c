import type { HouseRules } from '../house'
import { ELECTRODES, familyOf, type CautionTopic } from '../trade'
import type { SetUpCase } from './setUpCase'

/** A bare wire of a GTAW root is in no list of covered rods. */
const isStainless = (classification: string) =>
  ELECTRODES.some(rod => rod.classification === classification && rod.fNumber === 5)

/**
 * What calls for a caution where something is to be run: its position, its rod, its way, its pass.
 * @example cautionTopics({ position: '4G', classification: 'E7018', rods: 'new', travel: 'up', pass: 'bead' }, rules)
 */
export function cautionTopics(
  {
    position,
    classification,
    rods,
    travel,
    pass,
  }: Pick<SetUpCase, 'position' | 'classification' | 'rods' | 'travel' | 'pass'>,
  { ways }: HouseRules,
): CautionTopic[] {
  const topics: CautionTopic[] = []
  if (position === '4G') topics.push('overhead')
  if (position === '3G') topics.push(travel === 'down' ? 'drag downhill' : 'vertical')
  if (familyOf(classification) === 'low hydrogen') topics.push('low hydrogen')
  if (isStainless(classification)) topics.push('stainless')
  if (rods === 'stubs') topics.push('stubs')
  if (ways.cooling === 'quench') topics.push('quench')
  if (pass === 'hot' || pass === 'root' || ways.cleaning === 'wheel') topics.push('grinding')
  return topics
}
