import type { Content } from 'pdfmake/interfaces'

/** Words that stand beside what matters: dark enough on white paper. */
export const QUIET = '#4c585f'

/** A heading on a page of a PDF. */
export const paperHead = (text: string): Content => ({ text, bold: true, fontSize: 12, margin: [0, 12, 0, 3] })

/** What is said of one thing: its name, and how it is. */
export const paperFact = (name: string, value: string): Content => ({
  columns: [
    { text: name, width: 150, color: QUIET },
    { text: value, bold: true },
  ],
  margin: [0, 2, 0, 2],
})

/** A table whose head stands again on every page. */
export const paperTable = (
  widths: (string | number)[],
  heads: readonly string[],
  body: readonly (readonly string[])[],
): Content => ({
  layout: 'lightHorizontalLines',
  table: {
    headerRows: 1,
    widths,
    body: [heads.map(text => ({ text, color: QUIET, fontSize: 8.5 })), ...body.map(row => row.map(text => ({ text })))],
  },
})

/** A drawing or a picture on paper, and what is said under it. */
export interface PaperPicture {
  readonly svg: string
  readonly says: string
}

/** Drawings two in a row, none parted from its words. */
export const paperPictures = (pictures: readonly PaperPicture[]): Content => ({
  layout: 'noBorders',
  table: {
    widths: ['50%', '50%'],
    dontBreakRows: true,
    body: Array.from({ length: Math.ceil(pictures.length / 2) }, (_, row) =>
      [0, 1].map(column => {
        const one = pictures[2 * row + column]
        return one
          ? {
              stack: [
                { svg: one.svg, fit: [232, 156] },
                { text: one.says, fontSize: 9, margin: [0, 3, 0, 6] },
              ],
            }
          : { text: '' }
      }),
    ),
  },
})
