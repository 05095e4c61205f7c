import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES, DEFAULT_WAYS, followSchool, SCHOOLS_OF_PRACTICE, WAYS, type WayId } from '.'

const named = (id: string) => SCHOOLS_OF_PRACTICE.find(one => one.id === id)!

describe('schools of practice', () => {
  it('choose only from what the house rules offer, and each differs from the common way', () => {
    for (const { id, ways, rules } of SCHOOLS_OF_PRACTICE.slice(1)) {
      for (const [way, choice] of Object.entries(ways)) {
        expect(Object.keys(WAYS[way as WayId].choices), `${id} ${way}`).toContain(choice)
        expect(choice, `${id} ${way}`).not.toBe(DEFAULT_WAYS[way as keyof typeof DEFAULT_WAYS])
      }
      expect(Object.keys(ways).length + Object.keys(rules).length, id).toBeGreaterThan(3)
    }
  })

  it('the common way is what a house has that has said nothing', () => {
    expect(followSchool(DEFAULT_HOUSE_RULES, named('common way'))).toEqual(DEFAULT_HOUSE_RULES)
  })

  it.each([
    ['stringers', 'manipulation', 'stringers'],
    ['stringers', 'cooling', 'air'],
    ['first strikes', 'firstRod', 'E6013'],
    ['first strikes', 'lightingGap', 'wide'],
    ['pipe hands', 'rootPass', 'whip'],
    ['pipe hands', 'order', 'overhead first'],
  ] as const)('%s: %s is %s', (id, way, choice) => {
    expect(followSchool(DEFAULT_HOUSE_RULES, named(id)).ways[way]).toBe(choice)
  })

  it('one put in place of another leaves none of its ways behind; what the house set otherwise stays', () => {
    const house = { ...DEFAULT_HOUSE_RULES, unit: 'mm' as const, exposureHours: 2 }
    const changed = followSchool(followSchool(house, named('stringers')), named('pipe hands'))
    expect(changed.ways).toEqual({ ...DEFAULT_WAYS, ...named('pipe hands').ways })
    expect([changed.unit, changed.exposureHours]).toEqual(['mm', 2])
  })

  it('half of each bead is covered by strict stringers', () => {
    expect(followSchool(DEFAULT_HOUSE_RULES, named('stringers')).overlap).toEqual({ low: 0.5, high: 0.6 })
    expect(followSchool(DEFAULT_HOUSE_RULES, named('pipe hands')).verticalUnderFlatA).toEqual({ low: 0, high: 10 })
  })
})
