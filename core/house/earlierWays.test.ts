import { describe, expect, it } from 'vitest'
import { WAYS, type Way, type WayId } from '.'
import { liftWays } from './earlierWays'

describe('ways kept by their words', () => {
  it.each(Object.entries(WAYS) as [WayId, Way][])('%s: each gets an id that its matter has', (way, { choices }) => {
    for (const [id, says] of Object.entries(choices)) {
      expect(liftWays({ [way]: says }), says).toEqual({ [way]: id })
      expect(liftWays({ [way]: id }), id).toEqual({ [way]: id })
    }
  })

  it('a word that was none of the choices stays, to be refused by its name', () => {
    expect(liftWays({ cooling: 'in the sea' })).toEqual({ cooling: 'in the sea' })
  })
})
