import { describe, expect, it } from 'vitest'
import { triedOf } from '.'
import { inches } from '../units'

const row = {
  element: 'restart',
  position: '3G',
  work: 'groove',
  rodFamily: 'low hydrogen',
  tried: 6,
  sound: 4,
} as const
const run = {
  couponId: 'c',
  classDay: '1970-01-03',
  hand: 'right',
  usualHand: 'right',
  travel: 'up',
  mock: false,
} as const

describe('a row of evidence as tries', () => {
  it('counts tries as they are, on the day it was welded', () =>
    expect(triedOf(row, run)).toEqual([
      {
        couponId: 'c',
        day: 2,
        element: 'restart',
        lie: '3G',
        work: 'groove',
        rodFamily: 'low hydrogen',
        otherHand: false,
        otherWay: false,
        mock: false,
        tried: 6,
        sound: 4,
      },
    ]))
  it('counts a length as so many beads of six inches', () => {
    const [length] = triedOf({ ...row, element: 'run', tried: inches(12), sound: inches(9) }, run)
    expect(length!.tried).toBeCloseTo(2, 12)
    expect(length!.sound).toBeCloseTo(1.5, 12)
  })
  it('keeps what a test would reject, and leaves it out where there is none', () => {
    expect(triedOf(row, run, { 'iso 9606': 1 })[0]!.rejected).toEqual({ 'iso 9606': 1 })
    expect(triedOf(row, run)[0]).not.toHaveProperty('rejected')
  })
  it('keeps nothing of what is judged once a coupon', () =>
    expect(triedOf({ ...row, element: 'clean-up' }, run)).toEqual([]))
  it.each([
    ['the other hand', { hand: 'left' }, { otherHand: true }],
    ['a left-hander with the own hand', { hand: 'left', usualHand: 'left' }, { otherHand: false }],
    ['downhill', { travel: 'down' }, { otherWay: true }],
    ['a slip that did not say', { travel: null }, { otherWay: false }],
    ['under test terms', { mock: true }, { mock: true }],
  ] as const)('%s', (_, change, seen) => expect(triedOf(row, { ...run, ...change })[0]).toMatchObject(seen))
  it('a left-hander’s right to left is the usual way on the flat, a right-hander’s is not', () => {
    const flat = { ...row, position: '1G' } as const
    const otherWay = (hand: 'left' | 'right') =>
      triedOf(flat, { ...run, hand, usualHand: hand, travel: 'right to left' })[0]!.otherWay
    expect([otherWay('left'), otherWay('right')]).toEqual([false, true])
  })
})
