import { expect, it } from 'vitest'
import Papa from 'papaparse'
import type { ReportRow } from '~~/contract/progress'
import { arcHours, ratesInWords, reportCsv, sayWelded } from './reportLines'

const ROW: ReportRow = {
  student: {
    id: 's',
    name: '=Isolde "Iz" Brack, née Orme',
    hand: 'left',
    sectionId: 'x',
    startDate: '2026-09-01',
    booth: 3,
    active: true,
  } as ReportRow['student'],
  days: 12,
  boothMinutes: 2055,
  firstDay: '2026-09-02',
  lastDay: '2026-10-05',
  coupons: 31,
  weldedMm: 30_480,
  signedOff: [
    { rung: 'flat pad', by: 'Tobias', at: '2026-09-20T18:00:00Z' },
    { rung: 'restart strip', by: 'Tobias', at: '2026-09-21T18:00:00Z' },
  ],
  current: 'horizontal pad',
  rates: [
    { element: 'Restarts', rate: 0.74, coupons: 20 },
    { element: 'Tie-ins', rate: 0.99, coupons: 2 },
  ],
}

it('the spreadsheet reads back as it was, and no name becomes a formula', () => {
  const [line] = Papa.parse<Record<string, string>>(reportCsv([ROW], 'in'), { header: true }).data
  expect(line).toMatchObject({
    'Student': '\'=Isolde "Iz" Brack, née Orme',
    'Class days': '12',
    'In the booth, h': '34.5',
    'Welded, ft': '100',
    'Arc time reckoned, h': '2.5',
    'Rungs signed off': 'flat pad; restart strip',
    'Working on': 'horizontal pad',
    'Restarts': 'mostly sound',
    'Tie-ins': 'too little to say',
  })
})
it('tells lengths in the school’s unit, and rates in words', () => {
  expect([sayWelded(30_480, 'in'), sayWelded(30_480, 'mm'), arcHours(30_480)]).toEqual(['100 ft', '30 m', 2.5])
  expect(ratesInWords(ROW)[0]).toEqual({ element: 'Restarts', words: 'mostly sound' })
})
