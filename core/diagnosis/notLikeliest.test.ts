import { describe, expect, it } from 'vitest'
import { aCoupon } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { seededRandom } from '../statistics'
import { diagnoseSigns } from './diagnose'
import { SIGNS, type SignId } from './signTable'

const seenAs = (...ids: SignId[]) => ids.map(id => ({ id, markIds: [], share: 1 }))
const read = (ids: SignId[], ticket = {}) =>
  diagnoseSigns(aCoupon({ ticket }), DEFAULT_HOUSE_RULES, { signs: seenAs(...ids), absent: [] })

describe('why the change is not for the likeliest cause', () => {
  it('names the likelier one, and what more of goes away', () => {
    const { causes, change, notLikeliest } = read(['restart low', 'puddle sluggish'], { currentA: 118 })
    expect([causes[0]!.cause.id, change!.cause.id]).toEqual(['current low', 'too short in crater'])
    expect(notLikeliest).toBe('Current too low is likelier, but this takes away more of dips or gaps at restarts')
  })

  it('says nothing where the likeliest is changed, or nothing is', () => {
    expect(read(['restart low']).notLikeliest).toBeNull()
    expect(read([]).notLikeliest).toBeNull()
  })

  it('over a thousand readings stands just where it is wanted, and names signs that were seen', () => {
    const random = seededRandom(26)
    let said = 0
    for (let n = 0; n < 1000; n++) {
      const ids = SIGNS.filter(() => random.uniform() < 0.05).map(sign => sign.id)
      const { causes, change, notLikeliest, seen } = read(ids)
      expect(notLikeliest !== null).toBe(change !== null && change !== causes[0])
      if (notLikeliest === null) continue
      said++
      expect(notLikeliest).toContain(`${causes[0]!.cause.name} is likelier`)
      expect(seen.signs.length).toBeGreaterThan(0)
      expect(change!.gain).toBeGreaterThan(0)
      expect(seen.signs.some(({ id }) => notLikeliest.includes(SIGNS.find(sign => sign.id === id)!.says))).toBe(true)
    }
    expect(said).toBeGreaterThan(50)
  })
})
