import { expect, it } from 'vitest'
import { aDay, aPipe, aStudent, aWanted } from '~~/core/dayPlan/example'
import { planSlips, slipsDocument } from './planSlips'

const wanted = aDay([
  aStudent('anna', 1, [aWanted('flat pad', 1), aPipe('pipe 6G', 1)]),
  aStudent('ben', 2, [aWanted('restart strip', 1, { rods: [] })]),
])
const line = (studentId: string, rungId: string, booth: number, from: number, minutes = 45) => ({
  ...{ studentId, rungId, nth: 1, booth, from, minutes, pinned: false },
})
const of = { from: '18:00', nameOf: (id: string) => id.toUpperCase(), sectionId: 'sec', origin: 'http://shop.local' }

it('has a slip for each coupon, booth by booth in their order, whose code opens that rung on the Bench', () => {
  const lines = [
    line('ben', 'restart strip', 2, 15),
    line('anna', 'pipe 6G', 4, 60, 90),
    line('anna', 'flat pad', 1, 0),
  ]
  expect(planSlips(wanted, lines, of)).toEqual([
    {
      student: 'ANNA',
      booth: 1,
      time: '18:00–18:45',
      coupon: 'flat pad',
      rods: '5 × E7018 1/8 in',
      address: 'http://shop.local/bench?section=sec&student=anna&rung=flat+pad',
    },
    expect.objectContaining({ student: 'BEN', booth: 2, time: '18:15–19:00', rods: 'stubs' }),
    expect.objectContaining({ student: 'ANNA', booth: 4, time: '19:00–20:30', rods: '3 × E6010 1/8 in' }),
  ])
})
it('leaves out a line of somebody who is not there, and fills the last row of the sheet', () => {
  const lines = [line('cara', 'flat pad', 3, 0), line('anna', 'flat pad', 1, 0)]
  const slips = planSlips(wanted, lines, of)
  expect(slips).toHaveLength(1)
  const [sheet] = slipsDocument(slips, 'Slips').content as unknown as [{ table: { body: unknown[][] } }]
  expect(sheet.table.body.map(row => row.length)).toEqual([3])
})
