import { expect, it } from 'vitest'
import { putMark } from '~~/core/coupon'
import { aCoupon, aFlaw, EXAMPLE_STUDENT } from '~~/core/coupon/example'
import { aJpeg } from '~~/core/picture/exampleJpeg'
import type { PersonExport } from '~~/contract/personData'
import { passedExample } from '~~/core/welderTest/example'
import { personDocument } from './personPdf'

const AT = '2026-11-02T18:00:00.000Z'
const kept = { id: 'k', version: 2, savedAt: AT, savedBy: 'Maren Holt', before: [] }
const coupon = { ...putMark(aCoupon(), aFlaw()), nextRun: 'Close the arc', notes: 'left glove wears through' }
const nothing: PersonExport = {
  format: 'fusilis-person',
  version: 1,
  school: 'Gannet Quay Trades Hall',
  made: AT,
  student: {
    id: EXAMPLE_STUDENT,
    name: 'Isolde Brack',
    hand: 'left',
    sectionId: 's',
    section: 'Evening A',
    startDate: '2026-09-07',
    booth: 3,
    active: true,
  },
  coupons: [],
  tests: [],
  pictures: [],
  blindReadings: [],
  beadAnswers: [],
  signOffs: [],
  processUses: [],
  attendance: [],
  cautionsRead: [],
  guardianConsent: null,
  rods: [],
  planned: [],
  remarks: [],
  trail: [],
}
const picture: PersonExport['pictures'][number] = {
  ...{ id: 'p', couponId: 'k', studentId: EXAMPLE_STUDENT, side: 'face', state: 'slag off', lies: null },
  ...{
    widthPx: 400,
    heightPx: 300,
    takenAt: AT,
    by: 'Tobias Lund',
    data: btoa(String.fromCharCode(...aJpeg(400, 300))),
  },
}
const everything: PersonExport = {
  ...nothing,
  coupons: [{ ...kept, document: coupon }],
  tests: [{ ...kept, document: passedExample() }],
  pictures: [picture, { ...picture, side: 'root', data: null }],
  blindReadings: [{ id: 'b', couponId: 'k', stage: 'marks', madeAt: AT, document: coupon }],
  beadAnswers: [{ card: 'arc long', saidCause: 'right', saidChange: 'right', answeredAt: AT }],
  signOffs: [{ rungId: 'flat pad', stood: '', why: '', by: 'Tobias Lund', at: AT, takenBackAt: null }],
  processUses: [{ process: 'SMAW', kind: 'practice', usedOn: '2026-11-01', witness: 'Maren Holt' }],
  attendance: [{ classDay: '2026-10-05', came: null, left: null, absent: true, why: 'ill', by: 'Tobias Lund', at: AT }],
  cautionsRead: [{ says: 'Head out of the plume; draw the fume away.', by: 'Isolde Brack', at: AT }],
  guardianConsent: { ofAgeOn: '2027-03-01', givenOn: null, givenBy: '' },
  rods: [
    { classification: 'E7018', what: 'returned', rods: 2, stubs: { 'to 2': 6 }, why: '', by: 'Tobias Lund', at: AT },
  ],
  planned: [{ classDay: '2026-11-02', rungId: 'flat pad', booth: 4, from: 60, minutes: 30 }],
  remarks: [{ says: 'wants to see restarts again', by: 'Maren Holt', at: AT }],
  trail: [{ at: AT, who: 'Maren Holt', did: 'looked at a record' }],
}
const words = (person: PersonExport) =>
  JSON.stringify(personDocument(person, { unit: 'in', rungName: id => (id === 'flat pad' ? 'Pad, flat' : id) }).content)

it('says in words all that the file for programs holds', () => {
  const text = words(everything)
  for (const said of [
    'Isolde Brack',
    'Evening A',
    'undercut from',
    'Told: Close the arc',
    'left glove wears through',
    'saved by Maren Holt',
    'Pad, flat',
    'absent',
    'ill',
    'SMAW',
    '6 stubs up to 2 in',
    '60 to 90 min',
    'wants to see restarts again',
    'Arc too long',
    'Nothing wrong',
    'looked at a record',
    '1 March 2027',
    'not yet',
    'Face, slag off, taken by Tobias Lund',
    'Its file is lost',
    'data:image/jpeg;base64,',
    'certifies nothing',
  ])
    expect(text).toContain(said)
  expect(text).not.toContain('Nothing is kept')
})

it('says of each part where nothing is kept, none left out', () => {
  const parts = Object.values(nothing).filter(Array.isArray).length
  expect(words(nothing).match(/Nothing is kept/g)).toHaveLength(parts)
})
