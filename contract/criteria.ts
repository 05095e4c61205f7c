import { array, boolean, number, object, string, type Schema } from 'yup'
import { OBSERVED, SHIPPED_SETS, type CriteriaSet, type Limit } from '../core/criteria'
import { capped, choice, label, millimetres, oneOf } from './fields'

const amount = (what: string) =>
  number()
    .strict()
    .required('${path} is missing')
    .test('finite', `\${path} is ${what}, 0 to 1000`, value => value !== undefined && value >= 0 && value <= 1000)
const inch = () => amount('a number of inches')
const mm = () => amount('a number of millimetres')
const share = () =>
  number().strict().required('${path} is missing').min(0, '${path} is 0 or more').max(10, '${path} is at most 10')

const step = object({
  to: object({ in: inch(), mm: mm() }).exact().nullable().defined(),
  under: boolean().strict().required(),
  in: inch(),
  mm: mm(),
}).exact()

const LIMITS: Readonly<Record<Limit['is'], Schema>> = {
  'none': object({ is: oneOf(['none'], 'a limit') }).exact(),
  'at most': object({ is: oneOf(['at most'], 'a limit'), in: inch(), mm: mm() }).exact(),
  'at most a share': object({
    is: oneOf(['at most a share'], 'a limit'),
    of: oneOf(['thickness', 'width', 'throat'] as const, 'a size'),
    share: share(),
    plusMm: mm(),
    mostMm: millimetres().nullable().defined().min(0),
  }).exact(),
  'steps by width': object({
    is: oneOf(['steps by width'], 'a limit'),
    steps: array(step.required()).strict().required().min(1).max(6),
  }).exact(),
  'less of': object({ is: oneOf(['less of'], 'a limit'), share: share(), in: inch(), mm: mm() }).exact(),
}
const limitSchema = choice<Limit>('is', LIMITS, '${path} is no limit that is kept')

const criterionSchema = object({
  id: label(80),
  observed: oneOf(
    OBSERVED.map(row => row.id),
    'an observation',
  ),
  limit: limitSchema,
  appliesTo: object({
    weld: string<'groove' | 'fillet'>().strict().optional().oneOf(['groove', 'fillet'], '${path} is groove or fillet'),
    overMm: millimetres().optional().min(0),
    upToMm: millimetres().optional().min(0),
  })
    .exact()
    .required(),
  clause: label(120),
  certainty: oneOf(['published', 'common practice', 'from memory, check your copy'] as const, 'a grade of certainty'),
}).exact()

/** A school's own set: a copy of a shipped one, edited with the code book at hand. */
export interface SchoolCriteria extends CriteriaSet {
  /** The shipped set it takes the place of; null when it stands beside them. */
  readonly supersedes: string | null
  /** No longer offered; what was judged by it keeps it. */
  readonly retired: boolean
}

/** A school's set as the server keeps it. */
export interface SavedCriteria {
  readonly version: number
  readonly set: SchoolCriteria
  readonly savedAt: string
  readonly savedBy: string
  readonly why: string
}

/** The body of `PUT /api/criteria/:id`. `baseVersion` is the version that was edited, 0 for a new set. */
export const criteriaSaveSchema = object({
  baseVersion: number().strict().required('${path} is missing').integer().min(0),
  why: label(400),
  set: object({
    id: label(80),
    name: label(80),
    edition: label(80),
    supersedes: string()
      .strict()
      .nullable()
      .defined()
      .oneOf([null, ...SHIPPED_SETS.map(set => set.id)], '${path} is no shipped set'),
    retired: boolean().strict().required(),
    criteria: capped(
      array(criterionSchema.required())
        .strict()
        .required()
        .min(1, 'A set has at least one line')
        .test(
          'once',
          'Two lines have the same id',
          lines => new Set(lines?.map(line => line?.id)).size === (lines?.length ?? 0),
        ),
      60,
      'A set has at most 60 lines',
    ),
  })
    .exact()
    .required('${path} is missing'),
}).exact()
