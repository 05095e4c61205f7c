import { array, boolean, number, object, string } from 'yup'
import { CLEANED, FELT, MOST_PASSES, PASS_ROLES } from '../core/coupon'
import { CLAMPS, SURFACES } from '../core/setup'
import { ELECTRODES, FILLER_RODS, FILLER_SIZES, ROD_SIZES } from '../core/trade'
import { across, amperes, key, millimetres, oneOf, timeOfDay, uuid } from './fields'

const logSchema = object({
  by: uuid().optional(),
  cleaned: string()
    .strict()
    .optional()
    .oneOf([...CLEANED], '${path} is no way of cleaning that is kept'),
  felt: string()
    .strict()
    .optional()
    .oneOf([...FELT], `\${path} is one of ${FELT.join(', ')}`),
  interpassC: number().strict().optional().min(-30, '${path} is at least −30 °C').max(600, '${path} is at most 600 °C'),
  started: timeOfDay().optional(),
  ended: timeOfDay().optional(),
})
  .exact()
  .default(undefined)
  .optional()

const near = (sizes: readonly number[], value: number | undefined) =>
  sizes.some(size => Math.abs(size - (value ?? 0)) < 0.01)

/** A pass of a joint: what was run, and how it was set. */
export const passSchema = across(
  object({
    id: key(),
    face: oneOf(['face', 'far side'] as const, 'a side'),
    layer: number().strict().required().integer().min(1, '${path} is 1 or more').max(MOST_PASSES),
    role: oneOf(PASS_ROLES, 'a role'),
    process: oneOf(['SMAW', 'GTAW'] as const, 'a process'),
    classification: string().strict().required('${path} is missing'),
    diameterMm: number().strict().required('${path} is missing'),
    currentA: amperes(),
    polarity: oneOf(['DCEP', 'DCEN', 'AC'] as const, 'a polarity'),
    travel: oneOf(['left to right', 'right to left', 'up', 'down'] as const, 'a direction'),
    log: logSchema,
  }).exact(),
  ({ process, classification, diameterMm }) => {
    const [rods, sizes] =
      process === 'GTAW' ? [FILLER_RODS, FILLER_SIZES] : [ELECTRODES, ROD_SIZES.map(size => size.diameterMm)]
    if (!rods.some(row => row.classification === classification))
      return { path: 'classification', message: 'classification is not a rod of this process' }
    return near(sizes, diameterMm) ? null : { path: 'diameterMm', message: 'diameterMm is no size that is kept' }
  },
)

export const passesSchema = array(passSchema.required())
  .strict()
  .optional()
  .min(1, 'A joint has at least one pass')
  .max(MOST_PASSES, `A joint has at most ${MOST_PASSES} passes`)

const gapSchema = object({ leftMm: opening(), rightMm: opening() }).exact()
function opening() {
  return millimetres().required('${path} is missing').min(0, '${path} is 0 or more').max(20, '${path} is at most 20 mm')
}
const angle = (low: number) =>
  number().strict().min(low, `\${path} is at least ${low}°`).max(60, '${path} is at most 60°')

/** How a joint was put together. */
export const fitUpSchema = object({
  bare: gapSchema.required(),
  afterFirstTack: gapSchema.nullable().defined(),
  afterSecondTack: gapSchema.nullable().defined(),
  misalignmentMm: opening(),
  presetDegrees: angle(0).required(),
  leftDegrees: angle(-60).nullable().defined(),
  bevelDegrees: object({ left: angle(0).required(), right: angle(0).required() })
    .exact()
    .nullable()
    .defined(),
  landMm: millimetres().nullable().defined().min(0, '${path} is 0 or more').max(20, '${path} is at most 20 mm'),
  tacks: array(
    object({
      atMm: millimetres().required().min(0, '${path} lies off the seam'),
      lengthMm: millimetres().required().moreThan(0, '${path} is more than 0').max(100, '${path} is at most 100 mm'),
      feathered: boolean().strict().required(),
    }).exact(),
  )
    .strict()
    .required()
    .max(24, 'At most 24 tacks'),
  surface: string()
    .strict()
    .nullable()
    .defined()
    .oneOf([null, ...SURFACES], `\${path} is ${SURFACES.join(' or ')}`),
  clamp: string()
    .strict()
    .nullable()
    .defined()
    .oneOf([null, ...CLAMPS], `\${path} is one of ${CLAMPS.join('; ')}`),
})
  .exact()
  .default(undefined)
  .optional()
