import type { Content, ContentCanvas, TDocumentDefinitions } from 'pdfmake/interfaces'
import { SCALE_CARD } from '~~/core/picture'
import { MM_PER_INCH } from '~~/core/units'
import { makePdf } from '~/composables/makePdf'
import { QUIET } from './paperParts'

const points = (mm: number) => (72 * mm) / MM_PER_INCH
/** From the card's edge to the middle of its upper left target, mm. */
const [LEFT, TOP] = [
  (SCALE_CARD.widthMm - Math.max(...SCALE_CARD.targets.map(target => target.x))) / 2,
  (SCALE_CARD.heightMm - Math.max(...SCALE_CARD.targets.map(target => target.y))) / 2,
]

function card(): ContentCanvas {
  const circle = (x: number, y: number, diameterMm: number, color: string) => ({
    type: 'ellipse' as const,
    ...{ x: points(LEFT + x), y: points(TOP + y), r1: points(diameterMm / 2), r2: points(diameterMm / 2), color },
  })
  return {
    canvas: [
      {
        ...{ type: 'rect', x: 0, y: 0, w: points(SCALE_CARD.widthMm), h: points(SCALE_CARD.heightMm) },
        lineWidth: 0.4,
        lineColor: '#9aa3a8',
      },
      ...SCALE_CARD.targets.flatMap(({ x, y }) => [
        circle(x, y, SCALE_CARD.ringMm, '#000'),
        circle(x, y, SCALE_CARD.ringInsideMm, '#fff'),
        circle(x, y, SCALE_CARD.dotMm, '#000'),
      ]),
    ],
  }
}

/** Two scale cards to cut out, to their true size, and how they are used. */
export const scaleCardDocument = (): TDocumentDefinitions => ({
  pageSize: 'A4',
  pageMargins: [56, 56, 56, 48],
  defaultStyle: { fontSize: 10.5, lineHeight: 1.2 },
  info: { title: 'Scale card' },
  content: [
    { text: 'Scale card', fontSize: 20, bold: true, margin: [0, 0, 0, 6] },
    {
      ul: [
        'Print at full size, not fitted to the page. Measure: 3 in from the middle of one corner ring to the next along the long edge, 2 in along the short one.',
        'Cut it out along its line and glue it to a scrap of plate, so that it lies flat.',
        'Lay it beside the cold coupon, level with its upper face: on steel of the same thickness. Not on hot steel.',
        'Take the picture with the coupon and all five rings in it. Then only corners A and B have to be set.',
      ],
      margin: [0, 0, 0, 18],
    },
    card(),
    { text: ' ', margin: [0, 12, 0, 0] },
    card(),
    { text: 'A card is for plates. A pipe is measured by its known diameter.', color: QUIET, margin: [0, 18, 0, 0] },
  ] as Content[],
})

export const scaleCardPdf = (): Promise<Blob> => makePdf(scaleCardDocument())
