import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { exposureOf, hoursAllowed, isPast, type HandfulEvent } from '.'

const START = Date.parse('2026-09-14T18:00:00Z')
const at = (hours: number) => new Date(START + hours * 3_600_000)
/** Events by their hours after the start: `[0, 'out'], [2, 'in']`. */
const handful = (...events: readonly (readonly [hours: number, kind: HandfulEvent['kind']])[]): HandfulEvent[] =>
  events.map(([hours, kind]) => ({ kind, at: at(hours).toISOString() }))
const standing = (hours: number, events: readonly HandfulEvent[], limit = 4) => exposureOf(events, limit, at(hours))

describe('the clock of a handful', () => {
  // AWS D1.1: four hours out; back before that and in for four hours, issued again; past it re-dried, once.
  it.each([
    ['half-way', 2, handful([0, 'out']), 'out', 2],
    ['met exactly', 4, handful([0, 'out']), 'out', 0],
    ['a minute past it', 4 + 1 / 60, handful([0, 'out']), 'past', 0],
    ['back in time, resting', 4, handful([0, 'out'], [3, 'in']), 'resting', 1],
    ['back in time and rested four hours', 7, handful([0, 'out'], [3, 'in']), 'fresh', 1],
    [
      'out again before it had rested: it goes on where it was',
      5,
      handful([0, 'out'], [3, 'in'], [4.5, 'out']),
      'out',
      0.5,
    ],
    ['out again after four hours: it begins anew', 8, handful([0, 'out'], [3, 'in'], [7, 'out']), 'out', 3],
    ['back too late', 6, handful([0, 'out'], [5, 'in']), 'to re-dry', 0],
    ['back too late, however long it lies there', 90, handful([0, 'out'], [5, 'in']), 'to re-dry', 0],
    ['re-dried', 9, handful([0, 'out'], [5, 'in'], [8, 're-dried']), 'fresh', 4],
    ['re-dried and out again', 12, handful([0, 'out'], [5, 'in'], [8, 're-dried'], [9, 'out']), 'out', 1],
    ['re-dried and past it again', 14, handful([0, 'out'], [5, 'in'], [8, 're-dried'], [9, 'out']), 'bin', 0],
    [
      'in and out twice within the hours adds up',
      6,
      handful([0, 'out'], [2, 'in'], [3, 'out'], [4, 'in'], [5, 'out']),
      'out',
      0,
    ],
  ] as const)('%s', (_, hours, events, state, left) => {
    const found = standing(hours, events)
    expect(found.state).toBe(state)
    expect(found.leftHours).toBeCloseTo(left, 9)
    expect(isPast(found)).toBe(state === 'past' || state === 'to re-dry' || state === 'bin')
  })

  it('says until when: the limit while it is out, the end of its rest while it is in', () => {
    expect(standing(1, handful([0, 'out'])).until).toBe(at(4).toISOString())
    expect(standing(4, handful([0, 'out'], [3, 'in'])).until).toBe(at(7).toISOString())
    expect(standing(5, handful([0, 'out'], [3, 'in'], [4.5, 'out'])).until).toBe(at(5.5).toISOString())
    expect(standing(9, handful([0, 'out'])).until).toBeNull()
  })

  it('runs over midnight and the change to winter time by moments, not by the clock on the wall', () => {
    // In Lisbon the clock goes back at 02:00 on 25 October 2026: from 23:30 to 02:30 on the wall are four hours.
    const out: HandfulEvent[] = [{ kind: 'out', at: '2026-10-24T23:30:00+01:00' }]
    expect(exposureOf(out, 4, new Date('2026-10-25T02:30:00+00:00')).leftHours).toBeCloseTo(0, 9)
    expect(exposureOf(out, 4, new Date('2026-10-25T02:31:00+00:00')).state).toBe('past')
  })

  it('is never better for having been out longer, nor under nought, whatever happens to it', () => {
    const random = seededRandom(19)
    for (let n = 0; n < 500; n++) {
      const events: HandfulEvent[] = [{ kind: 'out', at: at(0).toISOString() }]
      let hours = 0
      for (let step = 0; step < 4; step++) {
        hours += random.uniform() * 6
        events.push({ kind: step % 2 === 0 ? 'in' : 'out', at: at(hours).toISOString() })
      }
      const now = standing(hours + 0.5, events)
      const later = standing(hours + 2, events)
      expect(now.leftHours).toBeGreaterThanOrEqual(0)
      expect(later.leftHours).toBeLessThanOrEqual(now.leftHours)
      if (now.state === 'past') expect(later.state).toBe('past')
    }
  })

  it('begins by being taken out', () => expect(() => exposureOf([], 4, at(0))).toThrow(RangeError))
})

describe('hours that a rod may be out', () => {
  // AWS D1.1 table of exposure: E70XX 4 h, with R and E7018M 9 h; A5.5: E80 2 h, E90 1 h, E100 and over 1/2 h.
  it.each([
    ['E7018', false, 4, 4],
    ['E7018-1', false, 4, 4],
    ['E7018', true, 4, 9],
    ['E7018M', false, 4, 9],
    ['E8018-C3', false, 4, 2],
    ['E8018-C3', true, 4, 2],
    // A house that is stricter is so with every rod; one that is milder with its E7018 is not with stronger ones.
    ['E7018', false, 3, 3],
    ['E7018', true, 3, 3],
    ['E8018-C3', false, 1, 1],
    ['E7018', false, 8, 8],
    ['E8018-C3', false, 8, 2],
  ] as const)('%s, R %s, house %d h: %d h', (classification, resistant, house, hours) => {
    expect(hoursAllowed({ classification, resistant }, house)).toBe(hours)
  })

  it('there is no clock for cellulosic and rutile rods', () => {
    for (const classification of ['E6010', 'E6011', 'E6013', 'E7014'])
      expect(hoursAllowed({ classification, resistant: false }, 4)).toBeNull()
  })
})
