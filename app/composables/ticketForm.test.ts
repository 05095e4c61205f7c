import { describe, expect, it } from 'vitest'
import { aCoupon, aJoint, aTicket } from '../../core/coupon/example'
import { inches } from '../../core/units'
import { readTicket, ticketFormOf, type TicketForm } from './ticketForm'

const read = (change: Partial<TicketForm> = {}, before = aCoupon().ticket, isPlate = true) =>
  readTicket(
    { ...ticketFormOf({ ...aCoupon(), ticket: before }), ...change },
    { before, rungId: undefined, panelOffsetA: before.panelOffsetA, isPlate },
  )

describe('a ticket that is typed over', () => {
  it('comes back as it was where nothing was typed', () => {
    const full = aTicket({
      ...{ make: 'Skerry', arcForcePercent: 45, hoursOut: 2, panelOffsetA: 4 },
      lot: { makersLot: '4711', hoursAllowed: 4 },
    })
    expect(read({}, full)).toEqual({ ticket: full, beadCount: 6, errors: {} })
    expect(read({}, aTicket({ booth: null })).ticket.booth).toBeNull()
  })
  it('leaves out what was emptied, and hours of a rod without a clock', () => {
    const full = aTicket({ make: 'Skerry', arcForcePercent: 45, hoursOut: 2 })
    const { ticket } = read({ make: ' ', arcForce: '', hoursOut: '' }, full)
    expect([ticket.make, ticket.arcForcePercent, ticket.hoursOut]).toEqual([undefined, undefined, undefined])
    expect(read({ classification: 'E6013' }, full).ticket.hoursOut).toBeUndefined()
  })
  it('has no lot where the rod is another', () => {
    const full = aTicket({ hoursOut: 2, lot: { makersLot: '4711', hoursAllowed: 4 } })
    expect(read({ diameterMm: inches(3 / 32) }, full).ticket).toMatchObject({ hoursOut: 2 })
    expect(read({ diameterMm: inches(3 / 32) }, full).ticket.lot).toBeUndefined()
  })
  it.each([
    ['rung', { rung: '  ' }],
    ['booth', { booth: '2.5' }],
    ['booth', { booth: '0' }],
    ['arcForce', { arcForce: '101' }],
    ['arcForce', { arcForce: 'half' }],
    ['hoursOut', { hoursOut: '-1' }],
    ['beads', { beads: '' }],
    ['beads', { beads: '61' }],
  ] as const)('says what is wrong at %s, and at no other field: %j', (field, change) =>
    expect(Object.keys(read(change).errors)).toEqual([field]),
  )
  it('asks no beads of a joint', () => {
    expect(read({ beads: '' }, aTicket(), false)).toMatchObject({ beadCount: 1, errors: {} })
    expect(ticketFormOf(aJoint()).beads).toBe('6')
  })
})
