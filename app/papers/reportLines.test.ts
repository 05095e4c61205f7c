import { expect, it } from 'vitest'
import Papa from 'papaparse'
import { aRow } from './reportExample'
import { arcHours, ratesInWords, reportCsv, sayWelded } from './reportLines'

const ROW = aRow()

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
