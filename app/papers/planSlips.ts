import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { wallAfter } from '~~/core/calendar'
import { wantedOf, type PlanCase, type PlannedCoupon } from '~~/core/dayPlan'
import { kindOf } from '~~/core/rodRoom'
import { makePdf } from '~/composables/makePdf'
import { QUIET } from './paperParts'

/** A slip for one coupon of a day: who, where, when, what and with what; its code opens it on the Bench. */
export interface PlanSlip {
  readonly student: string
  readonly booth: number
  readonly time: string
  readonly coupon: string
  /** `4 × E7018 1/8 in`. */
  readonly rods: string
  readonly address: string
}

/**
 * The slips of a plan, booth by booth in the order in which they are run.
 * @param from when the class begins, as in `18:00`
 * @param origin where this school's Fusilis is reached, as in `http://shop.local:3000`
 */
export function planSlips(
  wanted: PlanCase,
  lines: readonly PlannedCoupon[],
  { from, nameOf, sectionId, origin }: SlipsOf,
): PlanSlip[] {
  return [...lines]
    .sort((a, b) => a.booth - b.booth || a.from - b.from)
    .flatMap(line => {
      const coupon = wantedOf(wanted, line)
      const query = new URLSearchParams({ section: sectionId, student: line.studentId, rung: line.rungId })
      return coupon
        ? [
            {
              student: nameOf(line.studentId),
              booth: line.booth,
              time: `${wallAfter(from, line.from)}–${wallAfter(from, line.from + line.minutes)}`,
              coupon: coupon.name,
              rods: coupon.rods.map(rod => `${rod.count} × ${kindOf(rod)}`).join(', ') || 'stubs',
              address: `${origin}/bench?${query}`,
            },
          ]
        : []
    })
}
export interface SlipsOf {
  readonly from: string
  readonly nameOf: (studentId: string) => string
  readonly sectionId: string
  readonly origin: string
}

const A_ROW = 3

const slipContent = ({ student, booth, time, coupon, rods, address }: PlanSlip): Content => ({
  columns: [
    {
      width: '*',
      stack: [
        { text: `Booth ${booth}`, bold: true, fontSize: 13 },
        { text: student, bold: true, fontSize: 11 },
        { text: coupon },
        { text: time },
        { text: rods, color: QUIET, fontSize: 8 },
      ],
    },
    { qr: address, fit: 62, width: 64, alignment: 'right' },
  ],
  margin: [8, 7, 8, 7],
})

/** Slips to cut apart, three in a row. */
export function slipsDocument(slips: readonly PlanSlip[], heading: string): TDocumentDefinitions {
  const cells = slips.map(slipContent)
  const rows = Array.from({ length: Math.ceil(cells.length / A_ROW) }, (_, n) =>
    [...cells.slice(n * A_ROW, n * A_ROW + A_ROW), ...Array<Content>(A_ROW).fill({ text: '' })].slice(0, A_ROW),
  )
  return {
    pageSize: 'A4',
    pageMargins: [30, 30, 30, 30],
    defaultStyle: { fontSize: 9 },
    info: { title: heading },
    content: [
      {
        table: { widths: ['*', '*', '*'], body: rows, dontBreakRows: true },
        layout: {
          hLineWidth: () => 0.5,
          vLineWidth: () => 0.5,
          hLineStyle: () => ({ dash: { length: 3 } }),
          vLineStyle: () => ({ dash: { length: 3 } }),
        },
      },
    ],
  }
}

export const slipsPdf = (slips: readonly PlanSlip[], heading: string): Promise<Blob> =>
  makePdf(slipsDocument(slips, heading))
