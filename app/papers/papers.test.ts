import { describe, expect, it } from 'vitest'
import { ISO_9606, STRUCTURAL } from '~~/core/qualification'
import { continuityOf, type WelderTest } from '~~/core/welderTest'
import { passedExample } from '~~/core/welderTest/example'
import { labelsDocument } from './labelsPdf'
import { lapsesIcs } from './lapsesIcs'
import { pagesOf } from './pagesOf'
import { paperPictures } from './paperParts'
import { recordDocument } from './recordPdf'
import { aRow } from './reportExample'
import { reportDocument, type ReportPage } from './reportPdf'

const seen = { by: 'MH', at: '2026-11-02T18:00:00.000Z' }
const passed: WelderTest = {
  ...passedExample(),
  results: {
    ...passedExample().results,
    'face-1': {
      ...seen,
      openings: [{ length: 5 / 64, atMm: 4, corner: false, kind: 'slag', depth: null }],
      byHand: null,
      note: '',
    },
  },
}
/** All the words of a PDF's definition. */
const words = (of: unknown): string => JSON.stringify(of)

describe('the record on paper', () => {
  const of = { school: 'Gannet Quay Trades Hall', student: 'Isolde Brack', drawing: null, pictures: [] }
  it('puts what was tested beside what it qualifies, with every specimen, and calls itself a school’s record', () => {
    const text = words(recordDocument(passed, STRUCTURAL, of))
    for (const part of [
      'School test record',
      'Passed',
      'IB 3',
      '3/8 in',
      'Grooves in plate: flat, horizontal, vertical',
      '1/8 to 3/4 in',
      '5/64 in slag',
      'nothing open',
      'On the clock 70 min',
      'Welder, date',
    ])
      expect(text).toContain(part)
    expect(text).not.toMatch(/certified|qualified welder/i)
    const footer = recordDocument(passed, STRUCTURAL, of).footer as (page: number, pages: number) => { text: string }
    expect(footer(1, 2).text).toMatch(/not a certificate.*inspector decide.*Page 1 of 2/)
  })
  it('says fillers as everything else says lengths', () =>
    expect(words(recordDocument(passed, STRUCTURAL, of))).toMatch(/E7018 [\d/ ]+ in, \d+ layers?/))
  it('names the lot that was called in date, where rods were drawn by lot', () => {
    expect(words(recordDocument(passed, STRUCTURAL, of))).not.toContain('"Lot"')
    const ticket = { ...passed.ticket, hoursOut: 0.5, lot: { makersLot: 'GQ 70-2291', hoursAllowed: 4 } }
    expect(words(recordDocument({ ...passed, ticket }, STRUCTURAL, of))).toContain(
      'GQ 70-2291, 0.5 h out of 4 when called in date',
    )
  })
  it('a test that was not passed has no column of what it qualifies', () => {
    const text = words(recordDocument({ ...passed, results: {} }, STRUCTURAL, of))
    expect(text).toContain('As tested')
    expect(text).not.toMatch(/what it qualifies|"Range"|1\/8 to 3\/4 in/)
  })
  it('says why a test was not passed, and what is not done yet', () => {
    expect(
      words(
        recordDocument(
          {
            ...passed,
            results: {
              'face-1': {
                ...passed.results['face-1']!,
                openings: [{ length: 0.2, atMm: 4, corner: false, kind: 'slag', depth: null }],
              },
            },
          },
          STRUCTURAL,
          of,
        ),
      ),
    ).toMatch(/Not passed.*Slag over 1\/8 in/)
    expect(words(recordDocument({ ...passed, results: {} }, STRUCTURAL, of))).toMatch(/Not finished.*not done/)
  })
  it('gives the designation where the book has one', () =>
    expect(words(recordDocument({ ...passed, test: { ...passed.test, unit: 'mm' } }, ISO_9606, of))).toContain(
      'ISO 9606-1 111 P BW FM1 B s9.5 PF ss mb ml',
    ))
})

it('the record of a plate with two bends and its drawing ends on one page, the lines to sign on it', async () => {
  const drawing = '<svg viewBox="0 0 156 66"><rect width="156" height="66" fill="#ccc"/></svg>'
  const of = { school: 'Gannet Quay Trades Hall', student: 'Isolde Brack', drawing, pictures: [] }
  const pass = passed.passes[0]!
  const run = { from: '2026-11-02T18:10:00.000Z', to: '2026-11-02T18:14:00.000Z' }
  const passes = [0, 1, 2, 3].map(n => ({ ...pass, id: `p${n}` }))
  const runs = Object.fromEntries(passes.map(({ id }) => [id, run]))
  const kept = { ...passed, passes, runs } as WelderTest
  expect(await pagesOf(recordDocument(kept, STRUCTURAL, of))).toBe(1)
  // What does not fit goes on, and is not cut.
  const wide = { svg: drawing, says: 'Face, slag off' }
  expect(await pagesOf(recordDocument(kept, STRUCTURAL, { ...of, pictures: [wide, wide] }))).toBe(2)
})

describe('drawings on paper', () => {
  const drawn = (says: string) => ({ svg: `<svg viewBox="0 0 4 2"><title>${says}</title></svg>`, says })
  it('stand two in a row, each with its words, none parted from them by the end of a page', () => {
    const paper = paperPictures([drawn('Face, slag on'), drawn('Face, slag off'), drawn('Root side, slag off')])
    const { table } = paper as unknown as { table: { dontBreakRows: boolean; body: unknown[][] } }
    expect(table.dontBreakRows).toBe(true)
    expect(table.body.map(row => row.map(words))).toEqual([
      [expect.stringContaining('Face, slag on'), expect.stringContaining('Face, slag off')],
      [expect.stringContaining('Root side, slag off'), words({ text: '' })],
    ])
  })
  it('are on the test record where the coupon has pictures, and leave no empty heading where it has none', () => {
    const of = { school: 'Gannet Quay Trades Hall', student: 'Isolde Brack', drawing: null }
    expect(words(recordDocument(passed, STRUCTURAL, { ...of, pictures: [drawn('Face, slag off')] }))).toMatch(
      /The coupon as it was read.*Face, slag off/,
    )
    expect(words(recordDocument(passed, STRUCTURAL, { ...of, pictures: [] }))).not.toContain('as it was read')
  })
  it('show the first coupon of a rung beside the latest on a student’s page', () => {
    const coupons = [drawn('28 September: run it again'), drawn('20 November: move on')]
    const head = { school: 'Gannet Quay Trades Hall', section: 'Evening', unit: 'in' } as const
    const page = (beside: ReportPage['beside']) => words(reportDocument([{ row: aRow(), beside }], head).content)
    expect(page({ rung: '2F T', coupons })).toMatch(/First and latest 2F T.*28 September.*20 November: move on/)
    expect(page(null)).not.toContain('First and latest')
  })
})

it('a label for each specimen, with stamp and number, three in a row', () => {
  const [grid] = labelsDocument(passed, STRUCTURAL, 'Isolde Brack').content as unknown as [
    { table: { body: unknown[][] } },
  ]
  expect(grid.table.body).toHaveLength(1)
  expect(grid.table.body[0]).toHaveLength(3)
  expect(words(grid)).toMatch(/IB 3.*face.*IB 3.*root/)
})

describe('the calendar of what lapses', () => {
  const rows = continuityOf([{ book: STRUCTURAL, processes: ['SMAW'], testDay: '2026-08-31' }], [], '2026-11-25').map(
    row => ({ ...row, studentId: 's1', student: 'Isolde Brack' }),
  )
  it('is a whole day, the last on which it stands, with a reminder a month ahead', () => {
    const text = lapsesIcs(rows).replace(/\r\n[ \t]/g, '')
    expect(text).toMatch(/^BEGIN:VCALENDAR/)
    for (const line of [
      'UID:s1-structural-SMAW@fusilis',
      'DTSTART;VALUE=DATE:20270228',
      'DTEND;VALUE=DATE:20270301',
      'TRIGGER:-PT720H',
      'SUMMARY:Isolde Brack: SMAW by AWS D1.1 lapses after today',
    ])
      expect(text.split('\r\n')).toContain(line)
  })
  it('is an empty calendar where nothing lapses', () => expect(lapsesIcs([])).toContain('END:VCALENDAR'))
})
