import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import type { CodeBook } from '~~/core/qualification'
import { specimensOf, type WelderTest } from '~~/core/welderTest'
import { makePdf } from '~/composables/makePdf'

const A_ROW = 3

/**
 * A label for each specimen, three in a row, to print and stick, or to stamp by: welder's stamp, number, kind,
 * position.
 */
export function labelsDocument(welderTest: WelderTest, book: CodeBook, student: string): TDocumentDefinitions {
  const labels = specimensOf(welderTest, book).map((specimen, n): Content => ({
    stack: [
      {
        columns: [
          { text: welderTest.stamp || '– – –', bold: true, fontSize: 20 },
          { text: String(n + 1), bold: true, fontSize: 24, alignment: 'right' },
        ],
      },
      { text: specimen.kind, bold: true, fontSize: 12 },
      { text: student },
      { text: `${welderTest.pieceName}` },
      { text: `${book.name} · ${welderTest.testDay}`, color: '#4c585f' },
    ],
    margin: [8, 6, 8, 6],
  }))
  const rows = Array.from({ length: Math.ceil(labels.length / A_ROW) }, (_, n) =>
    [...labels.slice(n * A_ROW, n * A_ROW + A_ROW), ...Array<Content>(A_ROW).fill({ text: '' })].slice(0, A_ROW),
  )
  return {
    pageSize: 'A4',
    pageMargins: [30, 30, 30, 30],
    defaultStyle: { fontSize: 9 },
    info: { title: `Specimen labels, ${student}` },
    content: [
      {
        table: { widths: ['*', '*', '*'], body: rows },
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

export const labelsPdf = (welderTest: WelderTest, book: CodeBook, student: string): Promise<Blob> =>
  makePdf(labelsDocument(welderTest, book, student))
