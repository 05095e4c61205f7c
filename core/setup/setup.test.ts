import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { aTicket } from '../coupon/example'
import { checkTicket, currentWindow, publishedWindow } from '.'

// AWS A5.1 annex, typical amperage ranges, from memory.
it.each([
  ['E6010', 1 / 8, 75, 125], ['E6013', 3 / 32, 45, 90], ['E7018', 1 / 8, 115, 165], ['E7018', 5 / 32, 150, 220], ['E7024', 1 / 8, 140, 190], ['E7016', 3 / 32, 65, 110],
])('%s of %d in is published for %d to %d A', (classification, size, low, high) => {
  expect(publishedWindow(classification, inches(size))).toMatchObject({ lowA: low, highA: high })
})

it('holds a coupon to practice where schools run otherwise, and says so', () => {
  expect(currentWindow('E7018', inches(1 / 8), '3G')).toMatchObject({ lowA: 100, highA: 115, source: { certainty: 'common practice' } })
  expect(currentWindow('E6010', inches(1 / 8), '3G')).toMatchObject({ lowA: 75, source: { certainty: 'from memory, check your copy' } })
})

describe('checkTicket', () => {
  it('finds nothing on a ticket that fits', () => expect(checkTicket(aTicket())).toEqual([]))
  it('takes both ends of the window as inside', () => {
    expect(checkTicket(aTicket({ currentA: 110 }))).toEqual([])
    expect(checkTicket(aTicket({ currentA: 140 }))).toEqual([])
  })
  it('says how far out the current is', () => {
    expect(checkTicket(aTicket({ currentA: 141 }))[0]).toMatchObject({ finding: 'current high', byA: 1 })
    expect(checkTicket(aTicket({ currentA: 90 }))[0]).toMatchObject({ finding: 'current low', byA: 20 })
  })
  it('rules out the wrong polarity first', () => {
    expect(checkTicket(aTicket({ classification: 'E6010', polarity: 'DCEN', currentA: 150 })).map(row => row.finding)).toEqual(['wrong polarity', 'current high'])
  })
  it('marks a rod that is not made for the position, and a direction that is not', () => {
    expect(checkTicket(aTicket({ classification: 'E7024', currentA: 160, position: '4G' }))[0]?.finding).toBe('rod unfit for position')
    expect(checkTicket(aTicket({ travel: 'up' }))[0]?.finding).toBe('odd travel')
  })
})
