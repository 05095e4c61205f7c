import { expose } from 'comlink'
import { stripOf, type Bead, type Piece } from '~~/core/coupon'
import {
  beadEdges,
  findScaleCard,
  imageHead,
  layPicture,
  pictureAlone,
  spanOf,
  type BeadSeen,
  type PictureLies,
  type Pixels,
  type ScaleCardSeen,
} from '~~/core/picture'

/** A picture as it is kept: JPEG, with nothing in it but the picture. */
export interface KeptPicture {
  readonly jpeg: Blob
  readonly widthPx: number
  readonly heightPx: number
}

/** A picture laid out to scale: the part of the strip it covers, mm, and its image. */
export interface LaidPicture {
  readonly image: Blob
  readonly fromMm: number
  readonly toMm: number
  readonly widthMm: number
}

/** How finely a picture is laid out: a tenth of a millimetre is more than a chipped weld shows. */
const PX_PER_MM = 8
/** On paper half of that is seen. */
const PX_PER_MM_ON_PAPER = 5
const QUALITY = 0.85

function canvas(width: number, height: number): [OffscreenCanvas, OffscreenCanvasRenderingContext2D] {
  const made = new OffscreenCanvas(width, height)
  const context = made.getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('This browser cannot draw pictures beside the page.')
  return [made, context]
}

/**
 * Opens what a camera wrote, scales it, and writes it anew: where and with what it was taken stays behind.
 * @throws Error in words for a person
 */
async function shrink(file: Blob, longestPx: number): Promise<KeptPicture> {
  const head = imageHead(new Uint8Array(await file.arrayBuffer()))
  const share = Math.min(1, longestPx / Math.max(head.widthPx, head.heightPx))
  // A camera that was turned says so in the file: the browser turns it, and its sides may be the other way round.
  const opened = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => {
    throw new Error('That picture cannot be opened: its file is broken. Take it again.')
  })
  const [widthPx, heightPx] = [opened.width, opened.height].map(side => Math.max(1, Math.round(side * share))) as [
    number,
    number,
  ]
  const [drawn, context] = canvas(widthPx, heightPx)
  context.imageSmoothingQuality = 'high'
  // What was clear in the file lies on white.
  context.fillStyle = '#fff'
  context.fillRect(0, 0, widthPx, heightPx)
  context.drawImage(opened, 0, 0, widthPx, heightPx)
  opened.close()
  const written = await drawn.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
  const alone = pictureAlone(new Uint8Array(await written.arrayBuffer()))
  return { jpeg: new Blob([alone], { type: 'image/jpeg' }), widthPx, heightPx }
}

async function pixelsOf(jpeg: Blob): Promise<Pixels> {
  const opened = await createImageBitmap(jpeg)
  const [, context] = canvas(opened.width, opened.height)
  context.drawImage(opened, 0, 0)
  const { data } = context.getImageData(0, 0, opened.width, opened.height)
  const picture = { data, width: opened.width, height: opened.height }
  opened.close()
  return picture
}

const layOut = async (jpeg: Blob, piece: Piece, lies: PictureLies, pxPerMm: number): Promise<Pixels> =>
  layPicture(await pixelsOf(jpeg), { piece, lies }, pxPerMm)

/** The printed scale card on a picture; null where none is seen whole. */
const findCard = async (jpeg: Blob): Promise<ScaleCardSeen | null> => findScaleCard(await pixelsOf(jpeg))

/** For a screen it is clear where the picture shows nothing; for paper it is white there, coarser and compressed. */
async function lay(jpeg: Blob, piece: Piece, lies: PictureLies, on: 'screen' | 'paper'): Promise<LaidPicture> {
  const laid = await layOut(jpeg, piece, lies, on === 'paper' ? PX_PER_MM_ON_PAPER : PX_PER_MM)
  const [drawn, over] = canvas(laid.width, laid.height)
  over.putImageData(new ImageData(new Uint8ClampedArray(laid.data), laid.width, laid.height), 0, 0)
  if (on === 'paper') {
    over.globalCompositeOperation = 'destination-over'
    over.fillStyle = '#fff'
    over.fillRect(0, 0, laid.width, laid.height)
  }
  return {
    image: await drawn.convertToBlob(on === 'paper' ? { type: 'image/jpeg', quality: QUALITY } : { type: 'image/png' }),
    ...spanOf(piece, lies.quarter),
    widthMm: stripOf(piece).widthMm,
  }
}

/** What the picture shows of a bead; its places are those of the whole strip. Null where too little of it is seen. */
async function see(jpeg: Blob, piece: Piece, lies: PictureLies, bead: Bead): Promise<BeadSeen | null> {
  const { fromMm, toMm } = spanOf(piece, lies.quarter)
  const sought = {
    fromMm: Math.max(bead.fromMm, fromMm) - fromMm,
    toMm: Math.min(bead.toMm, toMm) - fromMm,
    middleMm: stripOf(piece).widthMm - bead.offsetMm,
    widthMm: bead.widthMm,
  }
  const seen = beadEdges(await layOut(jpeg, piece, lies, PX_PER_MM), PX_PER_MM, sought)
  return seen && { ...seen, toes: seen.toes.map(toe => ({ ...toe, atMm: toe.atMm + fromMm })) }
}

const work = { shrink, findCard, lay, see }
export type PictureWork = typeof work
expose(work)
