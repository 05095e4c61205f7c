import { describe, expect, it } from 'vitest'
import { usualPiece } from '../coupon'
import { aCoupon, aJoint, aTicket } from '../coupon/example'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { CAUTIONS } from '../trade'
import { cautionsOfClass } from '.'

const topics = (...coupons: Parameters<typeof cautionsOfClass>[0]) =>
  new Set(cautionsOfClass(coupons, rules).map(one => one.topic))
const pad = (more: Parameters<typeof aTicket>[0]) => ({ ticket: aTicket(more) })

// Which to show: overhead, vertical, pipe that is fixed, low hydrogen, stubs, stainless, downhill. Common practice.
describe('the cautions of a class', () => {
  it('are those of always where nobody runs anything', () => expect([...topics()]).toEqual(['always']))
  it.each([
    ['overhead', { position: '4G' }],
    ['vertical', { position: '3G' }],
    ['low hydrogen', { classification: 'E7018' }],
    ['stainless', { classification: 'E308L-16' }],
    ['stubs', { rods: 'stubs' }],
    ['drag downhill', { position: '3G', travel: 'down', classification: 'E6010' }],
    ['fixed pipe', { position: '5G' }],
  ] as const)('%s', (topic, ticket) => {
    const usual = pad({ position: '1G', classification: 'E6013', rods: 'new' })
    expect(topics(usual).has(topic)).toBe(false)
    expect(topics(usual, pad({ classification: 'E6013', rods: 'new', ...ticket })).has(topic)).toBe(true)
  })
  it('are those of every pass: a root is ground, a cap by another rod counts too', () => {
    const groove = aJoint(usualPiece('plate groove', true), { position: '1G', classification: 'E6010' })
    expect(topics(groove).has('grinding')).toBe(true)
    const passes = groove.passes!.map((pass, n) => (n === 0 ? pass : { ...pass, classification: 'E308L-16' }))
    expect(topics({ ...groove, passes }).has('stainless')).toBe(true)
  })
  it('a GTAW root with its bare wire calls for nothing of a covered rod', () => {
    const groove = aJoint(usualPiece('plate groove', true), { position: '1G', classification: 'E6010' })
    const passes = groove.passes!.map(pass => ({ ...pass, classification: 'ER70S-2' }))
    const said = topics({ ...groove, passes })
    expect([said.has('low hydrogen'), said.has('stainless'), said.has('grinding')]).toEqual([false, false, true])
  })
  it('are said once each, in the order they are kept', () => {
    const said = cautionsOfClass([aCoupon(), aCoupon(), pad({ position: '4G' })], rules)
    expect(said).toEqual(CAUTIONS.filter(one => said.includes(one)))
    expect(new Set(said).size).toBe(said.length)
  })
})
