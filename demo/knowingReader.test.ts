import { describe, expect, it } from 'vitest'
import { CAUSES, type CauseId } from '../core/diagnosis'
import { DEFAULT_HOUSE_RULES as rules } from '../core/house'
import { JOINTS_TO_RUN, weldJointWith, weldWith, type Technique } from '../core/simulate'
import { seededRandom } from '../core/statistics'
import { CAUSE_WORLDS, causesTrial, knownTrial } from './causesTrial'
import { knowingReader } from './knowingReader'

const oddsOf = (odds: readonly number[], id: CauseId) => odds[CAUSES.findIndex(cause => cause.id === id)]!

describe('a reader that knows the law', () => {
  it('tells two techniques apart that leave different marks', () => {
    const random = seededRandom(3)
    const hands: readonly Technique[] = [{ 'arc long': 1.2 }, { 'too long in crater': 1.2 }]
    const read = knowingReader(hands, weldWith({}, rules, random))
    for (const technique of hands)
      for (let n = 0; n < 20; n++) {
        const [id] = Object.keys(technique) as [CauseId]
        expect(oddsOf(read(weldWith(technique, rules, random)), id)).toBeGreaterThan(0.9)
      }
  })
  it('answers with what it was told to expect where nothing tells them apart', () => {
    const random = seededRandom(4)
    const hands: readonly Technique[] = [{ ends: 1 }, { ends: 1 }, { ends: 1, strike: 0 }]
    const odds = knowingReader(hands, weldWith({}, rules, random))(weldWith({ ends: 1 }, rules, random))
    expect(oddsOf(odds, 'ends')).toBeCloseTo(1, 12)
    expect(oddsOf(odds, 'strike')).toBeCloseTo(1 / 3, 12)
  })
  it('knows a joint’s one pass that was set too hot, whichever it is, and a gap by its gauge', () => {
    const random = seededRandom(5)
    const { openRoot } = JOINTS_TO_RUN
    const hands: readonly Technique[] = [{ 'current high': 1.3 }, { 'gap wide': 1.3 }, { strike: 1.3 }]
    const read = knowingReader(hands, weldJointWith({}, openRoot, rules, random))
    for (let n = 0; n < 12; n++) {
      expect(oddsOf(read(weldJointWith(hands[0]!, openRoot, rules, random)), 'current high')).toBeGreaterThan(0.9)
      const wide = weldJointWith(hands[1]!, openRoot, rules, random)
      if (wide.fitUp) expect(oddsOf(read(wide), 'gap wide')).toBeGreaterThan(0.9)
    }
  })
  it.each(CAUSE_WORLDS.filter(world => world.canBeKnown))(
    'reads $name better than odds that share no figure',
    world => {
      const known = knownTrial(world, 7, 120, 1000)
      const { marks } = causesTrial(world, 7, 120)
      expect(known.brier).toBeLessThan(0.95 * marks.brier)
      // Its odds are the law's own: said and come true alike.
      for (const { said, came } of known.tenths.filter(row => row.count >= 60))
        expect(Math.abs(came - said)).toBeLessThan(0.08)
      // So much there is to be read, on these joints, by anybody: under what a school would wish.
      if (world.name !== 'pads') expect(known.topOne).toBeLessThan(0.87)
    },
  )
})
