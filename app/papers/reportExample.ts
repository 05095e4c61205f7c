import type { ReportRow } from '~~/contract/progress'

/** One student’s line of a report: the example that tests start from. */
export const aRow = (): ReportRow => ({
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
})
