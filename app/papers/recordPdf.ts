import { recordDay } from '~~/core/calendar'
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import {
  designationOf,
  qualifies,
  sayPrinted,
  sayQualified,
  unitFor,
  WHO_DECIDES,
  type CodeBook,
  saySize,
} from '~~/core/qualification'
import {
  formerFor,
  holdPointsOf,
  isBend,
  minutesRun,
  specimensOf,
  specimenVerdict,
  testStanding,
  type WelderTest,
} from '~~/core/welderTest'
import { formatFraction, formatLength } from '~~/core/units'
import { makePdf } from '~/composables/makePdf'
import { dayOf, wallTime } from '~/composables/shopClock'
import { paperHead, paperPictures, paperTable, QUIET, type PaperPicture } from './paperParts'

export interface RecordHead {
  readonly school: string
  readonly student: string
  /** The drawing of the piece with its specimens, as SVG; none when it could not be had. */
  readonly drawing: string | null
  readonly pictures: readonly PaperPicture[]
}

/** What the test was, beside the range it qualifies: positions, thickness, diameter, fillers, backing, way. */
function actualBesideQualified(welderTest: WelderTest, book: CodeBook): string[][] {
  const { test } = welderTest
  const { lot, hoursOut } = welderTest.ticket
  const said = sayQualified(qualifies(book, [test]))
  const of = (about: (typeof said)[number]['about']) =>
    said
      .filter(row => row.about === about)
      .map(row => row.text)
      .join('; ') || 'none'
  const unit = unitFor(book, test)
  const fillers = test.fillers
    .map(({ classification, depositMm, layers, root }) =>
      [
        `${classification} ${formatLength(depositMm, unit)}`,
        `${layers} ${layers === 1 ? 'layer' : 'layers'}`,
        ...(root ? ['root'] : []),
      ].join(', '),
    )
    .join('; ')
  return [
    ['Position', `${test.position}, ${test.form}, ${test.weld}`, of('positions')],
    ['Thickness', formatLength(test.thicknessMm, unit), of('thickness')],
    ['Outside diameter', test.outsideMm === null ? 'plate' : formatLength(test.outsideMm, unit), of('diameter')],
    ['Fillers', fillers, of('fillers')],
    ...(lot
      ? [['Lot', `${lot.makersLot}, ${hoursOut ?? 0} h out of ${lot.hoursAllowed} when called in date`, '']]
      : []),
    ['Backing', test.backing ? 'with backing' : 'open root', of('backing')],
    ['Progression', test.progression ?? 'none', test.progression ? of('progression') : 'as the positions'],
  ]
}

/** How long it took, who witnessed which pass, and why the clock stood. */
function sayRun(welderTest: WelderTest): string {
  const { startedAt, endedAt, holds, stops } = welderTest
  const witnessed = holdPointsOf(welderTest).map(point => `${point} ${holds[point]?.by ?? '–'}`)
  return [
    `On the clock ${Math.round(minutesRun(welderTest, endedAt ?? startedAt ?? ''))} min`,
    `witnessed: ${witnessed.join(', ')}`,
    ...stops.map(stop => `stopped ${wallTime(stop.from)}, ${stop.why}`),
  ].join('; ')
}

function sayVisual({ visual }: WelderTest): string {
  if (!visual) return 'Not done'
  const { outcome, by, at, failed, why } = visual
  const found = [...failed, why].filter(Boolean).join('. ')
  return `${outcome === 'passes' ? 'Passed' : 'Not passed'}, ${by}, ${recordDay(dayOf(at))}. ${found}`
}

/**
 * A school's record of a test, on paper: what was tested beside what it qualifies, how it came out, and lines for
 * the pen.
 */
export function recordDocument(
  welderTest: WelderTest,
  book: CodeBook,
  { school, student, drawing, pictures }: RecordHead,
): TDocumentDefinitions {
  const standing = testStanding(welderTest, book)
  const unit = unitFor(book, welderTest.test)
  const specimens = specimensOf(welderTest, book)
  const results = specimens.map((specimen, n) => {
    const verdict = specimenVerdict(welderTest, specimen, book)
    const result = welderTest.results[specimen.id]
    const openings = (result?.openings ?? [])
      .map(opening => `${saySize(opening.length, unit)} ${unit} ${opening.kind}${opening.corner ? ', corner' : ''}`)
      .join('; ')
    return [
      `${n + 1}`,
      specimen.kind,
      formatLength(specimen.toMm - specimen.fromMm, unit),
      openings || result?.note || (result ? 'nothing open' : ''),
      verdict ? `${verdict.outcome}${verdict.outcome === 'passes' ? '' : ` (${verdict.clause})`}` : 'not done',
      result ? `${result.by}, ${recordDay(dayOf(result.at))}` : '',
    ]
  })
  const designation = designationOf(book, welderTest.test)
  const passed = standing.state === 'passed'
  const outcome = passed ? 'Passed' : standing.state === 'failed' ? 'Not passed' : 'Not finished'
  return {
    pageSize: 'A4',
    pageMargins: [46, 34, 46, 44],
    defaultStyle: { fontSize: 9.5, lineHeight: 1.15 },
    info: { title: `School test record, ${student}` },
    footer: (page, pages) => ({
      text: `A school’s test record, and not a certificate. ${WHO_DECIDES} Page ${page} of ${pages}`,
      fontSize: 7.5,
      color: QUIET,
      margin: [46, 14, 46, 0],
    }),
    content: [
      { text: school, color: QUIET },
      {
        columns: [
          { text: 'School test record', fontSize: 20, bold: true },
          { text: outcome, fontSize: 16, bold: true, alignment: 'right' },
        ],
      },
      {
        text: `${student} · ${welderTest.pieceName} · ${recordDay(welderTest.testDay)} · stamp ${welderTest.stamp || 'none'}`,
        margin: [0, 2, 0, 0],
      },
      {
        text: [`${book.name}, ${book.edition}; from memory, to be checked against the code in force.`, designation]
          .filter(Boolean)
          .join(' '),
        color: QUIET,
      },
      { text: standing.reasons.join('. '), margin: [0, 4, 0, 0] },
      // A test that was not passed qualifies nothing: the column is not there to be misread.
      paperHead(passed ? 'As tested, and what it qualifies' : 'As tested'),
      passed
        ? paperTable([78, 150, '*'], ['Variable', 'Actual', 'Range'], actualBesideQualified(welderTest, book))
        : paperTable(
            [78, '*'],
            ['Variable', 'Actual'],
            actualBesideQualified(welderTest, book).map(([variable, actual]) => [variable!, actual!]),
          ),
      paperHead('Passes'),
      paperTable(
        [20, 50, 90, 55, 60, '*'],
        ['', 'Pass', 'Filler', 'Current', 'Polarity', 'Run'],
        welderTest.passes.map((pass, n) => {
          const run = welderTest.runs[pass.id]
          return [
            `${n + 1}`,
            pass.role,
            `${pass.classification} ${formatFraction(pass.diameterMm, 32)} in`,
            `${pass.currentA} A`,
            pass.polarity,
            run ? `${wallTime(run.from)} to ${run.to ? wallTime(run.to) : '…'}` : '',
          ]
        }),
      ),
      {
        text: sayRun(welderTest),
        margin: [0, 4, 0, 0],
      },
      paperHead('Visual'),
      {
        text: sayVisual(welderTest),
      },
      paperHead('Specimens'),
      ...(specimens.some(one => isBend(one.kind))
        ? [
            {
              text: `Bends over a plunger of ${sayPrinted(formerFor(book, welderTest.yieldMpa).plunger, unit)}, for ${welderTest.yieldMpa} MPa yield.`,
              color: QUIET,
              margin: [0, 0, 0, 3],
            } as Content,
          ]
        : []),
      paperTable([16, 62, 48, '*', 110, 110], ['', 'Kind', 'Width', 'Seen', 'Outcome', 'By'], results),
      ...(drawing ? [{ svg: drawing, fit: [500, 150], alignment: 'center', margin: [0, 6, 0, 0] } as Content] : []),
      ...(pictures.length > 0 ? [paperHead('The coupon as it was read'), paperPictures(pictures)] : []),
      ...(welderTest.notes ? [paperHead('Notes'), { text: welderTest.notes }] : []),
      {
        columns: ['Welder', 'Witness', 'Instructor'].map(who => ({
          stack: [
            { canvas: [{ type: 'line', x1: 0, y1: 28, x2: 150, y2: 28, lineWidth: 0.7 }] },
            { text: `${who}, date`, fontSize: 8, color: QUIET, margin: [0, 3, 0, 0] },
          ],
        })),
        columnGap: 18,
        margin: [0, 6, 0, 0],
        unbreakable: true,
      },
    ] as Content[],
  }
}

export const recordPdf = (welderTest: WelderTest, book: CodeBook, of: RecordHead): Promise<Blob> =>
  makePdf(recordDocument(welderTest, book, of))
