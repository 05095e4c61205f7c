import { dayOf } from '~/composables/shopClock'
import { recordDay, spokenDay } from '~~/core/calendar'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { LengthUnit } from '~~/core/units'
import type { ReportRow } from '~~/contract/progress'
import { makePdf } from '~/composables/makePdf'
import { paperFact, paperPictures, QUIET, type PaperPicture } from './paperParts'
import { arcHours, boothHours, ratesInWords, sayWelded } from './reportLines'

const day = (classDay: string | null) => (classDay === null ? 'none yet' : recordDay(classDay))

/** One student's page: for a parent, an employer, or a sponsor. */
function pageOf({ row, beside }: ReportPage, { school, section, unit }: ReportHead, first: boolean): Content {
  return {
    ...(first ? {} : { pageBreak: 'before' as const }),
    stack: [
      { text: school, color: QUIET },
      { text: row.student.name, fontSize: 22, bold: true },
      { text: `Progress in ${section}`, margin: [0, 0, 0, 14] },
      paperFact('Class days', `${row.days}, about ${boothHours(row.boothMinutes)} h in the booth`),
      paperFact('First and last', `${day(row.firstDay)}, ${day(row.lastDay)}`),
      paperFact('Coupons read', String(row.coupons)),
      paperFact('Bead welded', `${sayWelded(row.weldedMm, unit)}, about ${arcHours(row.weldedMm)} h of arc`),
      paperFact('Working on', row.current ?? 'every rung is signed off'),
      { text: 'How the work is, of late', bold: true, fontSize: 13, margin: [0, 16, 0, 4] },
      ...ratesInWords(row).map(({ element, words }) => paperFact(element, words)),
      ...(beside
        ? [
            { text: `First and latest ${beside.rung}`, bold: true, fontSize: 13, margin: [0, 16, 0, 6] } as Content,
            paperPictures(beside.coupons),
          ]
        : []),
      { text: 'Signed off', bold: true, fontSize: 13, margin: [0, 16, 0, 4] },
      ...(row.signedOff.length === 0
        ? [{ text: 'Nothing yet.' }]
        : [
            {
              layout: 'lightHorizontalLines',
              table: {
                widths: ['*', 120, 90],
                body: [
                  ['Rung', 'By', 'On'].map(text => ({ text, color: QUIET })),
                  ...row.signedOff.map(one => [one.rung, one.by, spokenDay(dayOf(one.at))]),
                ],
              },
            },
          ]),
      {
        text: 'A school’s training record. It certifies nothing. Arc time is reckoned from the length of bead at 8 in a minute.',
        fontSize: 8,
        color: QUIET,
        margin: [0, 20, 0, 0],
      },
    ],
  }
}

export interface ReportHead {
  readonly school: string
  readonly section: string
  readonly unit: LengthUnit
}

/** What is told of one student: the figures, and the first coupon of a rung beside the latest where there are two. */
export interface ReportPage {
  readonly row: ReportRow
  readonly beside: { readonly rung: string; readonly coupons: readonly PaperPicture[] } | null
}

/** A page for each student. */
export function reportDocument(pages: readonly ReportPage[], head: ReportHead): TDocumentDefinitions {
  return {
    pageSize: 'A4',
    pageMargins: [56, 56, 56, 48],
    defaultStyle: { fontSize: 10.5 },
    info: { title: `Progress, ${head.section}` },
    content: pages.map((page, n) => pageOf(page, head, n === 0)),
  }
}

export const reportPdf = (pages: readonly ReportPage[], head: ReportHead): Promise<Blob> =>
  makePdf(reportDocument(pages, head))
