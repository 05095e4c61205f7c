import { boolean, number, object, string, type Schema } from 'yup'
import type { Piece } from '../core/coupon'
import { PIECES, pieceOf, PIPE_SIZES, type PieceKind } from '../core/trade'
import { choice, millimetres, oneOf } from './fields'

const long = () =>
  millimetres()
    .required('${path} is missing')
    .min(25, '${path} is at least 25 mm')
    .max(1000, '${path} is at most 1000 mm')
const thick = () =>
  millimetres().required('${path} is missing').min(1, '${path} is at least 1 mm').max(100, '${path} is at most 100 mm')
const gap = () =>
  millimetres().required('${path} is missing').min(0, '${path} is 0 mm or more').max(20, '${path} is at most 20 mm')
const leg = () =>
  millimetres().required('${path} is missing').min(2, '${path} is at least 2 mm').max(50, '${path} is at most 50 mm')
const pipe = () =>
  string()
    .strict()
    .required('${path} is missing')
    .oneOf(
      PIPE_SIZES.map(size => size.name),
      `\${path} is no pipe that is kept; choose from ${PIPE_SIZES.map(size => size.name).join(', ')}`,
    )

const plate = (kind: PieceKind) =>
  object({
    kind: oneOf([kind], 'a piece'),
    lengthMm: long(),
    widthMm: millimetres()
      .required('${path} is missing')
      .min(20, '${path} is at least 20 mm')
      .max(1000, '${path} is at most 1000 mm'),
    thicknessMm: thick(),
    everyMm: millimetres().optional().min(6, '${path} is at least 6 mm').max(300, '${path} is at most 300 mm'),
  }).exact()

const joint = (kind: PieceKind) =>
  object({
    kind: oneOf([kind], 'a piece'),
    lengthMm: long(),
    thicknessMm: thick(),
    gapMm: gap(),
    legMm:
      pieceOf(kind).work === 'fillet'
        ? leg()
        : millimetres().required().oneOf([0], '${path} is 0: this joint has no leg'),
    sides: number()
      .strict()
      .required()
      .oneOf(pieceOf(kind).twoSides ? [1, 2] : [1], '${path}: this joint is welded from one side'),
  }).exact()

const groove = object({
  shape: oneOf(['V', 'double V', 'U'] as const, 'a groove'),
  gapMm: gap(),
  landMm: gap(),
  includedDegrees: number()
    .strict()
    .required('${path} is missing')
    .min(10, '${path} is at least 10°')
    .max(120, '${path} is at most 120°'),
  backing: boolean().strict().required('${path} is missing'),
}).exact()

function schemaOf(kind: PieceKind): Schema {
  const { work } = pieceOf(kind)
  if (work === 'plate') return plate(kind)
  if (kind === 'plate groove')
    return object({
      kind: oneOf([kind], 'a piece'),
      lengthMm: long(),
      thicknessMm: thick(),
      groove: groove.required(),
    }).exact()
  if (kind === 'pipe butt')
    return object({ kind: oneOf([kind], 'a piece'), pipe: pipe(), groove: groove.required() }).exact()
  if (kind === 'pipe to plate' || kind === 'saddle')
    return object({ kind: oneOf([kind], 'a piece'), pipe: pipe(), legMm: leg() }).exact()
  return joint(kind)
}

const KINDS = PIECES.map(row => row.kind)

/** A piece, by its kind: each has its own sizes and no others. */
export const pieceSchema = choice<Piece>(
  'kind',
  Object.fromEntries(KINDS.map(kind => [kind, schemaOf(kind)])),
  `\${path} is no piece that is kept; choose from ${KINDS.join(', ')}`,
)
