import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { beyondTable } from '~~/core/deposit'
import type { HouseRules } from '~~/core/house'
import { makePdf } from '~/composables/makePdf'
import { rodAngleViews, viewSvg } from '~/drawing/rodAngles'
import type { BoothCard } from './boothCards'
import { cardFacts } from './cardFacts'
import { QUIET } from './paperParts'

/** A6 upright, in points; four of them make an A4 sheet. */
const A6 = { width: 297.64, height: 420.94 }
const A_SHEET = 4

const lines = (title: string, texts: readonly string[]): Content => ({
  stack: [
    { text: title, bold: true, fontSize: 8.5, margin: [0, 0, 0, 1] },
    ...texts.map(text => ({ text: `– ${text}`, fontSize: 8, lineHeight: 1.08 })),
  ],
  margin: [0, 4, 0, 0],
})

function cardContent({ student, booth, rod, wanted, card, hand, address }: BoothCard, rules: HouseRules): Content {
  const views = rodAngleViews({
    angles: card.angles,
    joint: wanted.joint,
    position: wanted.position,
    travel: wanted.travel,
    hand,
  })
  const { window, published } = card.current
  return {
    margin: [16, 14, 16, 0],
    stack: [
      {
        columns: [
          {
            stack: [
              { text: booth === null ? student : `Booth ${booth} · ${student}`, fontSize: 10, color: QUIET },
              { text: rod, fontSize: 17, bold: true },
              { text: card.title, fontSize: 10 },
            ],
            width: '*',
          },
          { qr: address, fit: 58, width: 60, alignment: 'right' },
        ],
      },
      {
        columns: [
          {
            text: [
              { text: `${card.current.startA}`, fontSize: 34, bold: true },
              { text: ` A  ${card.polarity}`, fontSize: 13, bold: true },
            ],
            width: '*',
          },
          {
            text: `here ${window.lowA}–${window.highA} A\npublished ${published.lowA}–${published.highA} A`,
            fontSize: 8,
            color: QUIET,
            alignment: 'right',
            margin: [0, 12, 0, 0],
            width: 92,
          },
        ],
      },
      {
        columns: views.map(view => ({
          stack: [
            { svg: viewSvg(view), width: 108, alignment: 'center' as const },
            { text: `${view.angle}, ${view.caption}`, fontSize: 8, alignment: 'center' as const },
          ],
        })),
      },
      {
        margin: [0, 5, 0, 0],
        layout: 'noBorders',
        table: {
          widths: [62, '*'],
          body: cardFacts(card, rules)
            .slice(1)
            .map(fact => [
              { text: fact.name, fontSize: 8.5, color: QUIET, margin: [0, -1.6, 0, -1.6] },
              { text: fact.value, fontSize: 8.5, bold: true, margin: [0, -1.6, 0, -1.6] },
            ]),
        },
      },
      lines('Watch', card.watch.slice(0, 2)),
      lines(
        'Take care',
        [...card.cautions]
          .reverse()
          .slice(0, 2)
          .map(caution => caution.text),
      ),
      {
        text: `${window.source.name === published.source.name ? '' : `${window.source.name}; `}${published.source.name}, from memory, check your copy. ${beyondTable(card.rate) ? `${beyondTable(card.rate)}. ` : ''}The maker’s instructions and local rules come first.`,
        fontSize: 6,
        color: QUIET,
        margin: [0, 5, 0, 0],
      },
    ],
  }
}

const blank: Content = { text: '' }

/** The sheet to print: A4, four A6 cards each, with a line to cut along. */
export function cardSheets(cards: readonly BoothCard[], rules: HouseRules): TDocumentDefinitions {
  const pages = Array.from({ length: Math.ceil(cards.length / A_SHEET) }, (_, n) =>
    cards.slice(n * A_SHEET, (n + 1) * A_SHEET),
  )
  return {
    pageSize: 'A4',
    pageMargins: [0, 0, 0, 0],
    info: { title: 'Settings cards' },
    content: pages.map((page, index): Content => {
      const cells = Array.from({ length: A_SHEET }, (_, n) => (page[n] ? cardContent(page[n], rules) : blank))
      return {
        ...(index > 0 ? { pageBreak: 'before' as const } : {}),
        table: {
          widths: [A6.width - 0.5, A6.width - 0.5],
          heights: A6.height - 1,
          dontBreakRows: true,
          body: [
            [cells[0]!, cells[1]!],
            [cells[2]!, cells[3]!],
          ],
        },
        layout: {
          hLineWidth: line => (line === 1 ? 0.4 : 0),
          vLineWidth: line => (line === 1 ? 0.4 : 0),
          hLineColor: () => '#9aa5ab',
          vLineColor: () => '#9aa5ab',
          hLineStyle: () => ({ dash: { length: 3 } }),
          vLineStyle: () => ({ dash: { length: 3 } }),
          paddingLeft: () => 0,
          paddingRight: () => 0,
          paddingTop: () => 0,
          paddingBottom: () => 0,
        },
      }
    }),
  }
}

/** The cards as a PDF. */
export const cardsPdf = (cards: readonly BoothCard[], rules: HouseRules): Promise<Blob> =>
  makePdf(cardSheets(cards, rules))
