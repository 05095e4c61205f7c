import { array, lazy, number, object, string, ValidationError, type Schema } from 'yup'
import {
  completeRules,
  DEFAULT_HOUSE_RULES,
  rulesCatalogue,
  sayQuantity,
  sayRange,
  writeRule,
  type HouseRules,
  type RuleLine,
} from '../core/house'
import { ELECTRODES, isMade, notMade, PAD_POSITIONS, ROD_SIZES } from '../core/trade'
import type { LengthUnit } from '../core/units'
import { across, capped, label } from './fields'
import type { FieldError } from './problem'

/** Most own windows: every rod in every size and position. */
const MOST_WINDOWS = 200

function numberOf(line: Extract<RuleLine, { quantity: unknown }>, unit: LengthUnit): Schema {
  const range = `${line.name}: ${sayRange(line, unit)}`
  const whole = line.quantity === 'coupons' || line.quantity === 'pixels'
  const schema = number().strict().typeError(range).required(range).min(line.lowest, range).max(line.highest, range)
  return whole ? schema.integer(`${line.name} is a whole number`) : schema
}

function schemaOf(line: RuleLine, unit: LengthUnit): Schema {
  if (line.kind === 'choice')
    return string()
      .strict()
      .required(`${line.name} is missing`)
      .oneOf(
        line.choices.map(({ id }) => id),
        `${line.name}: choose from ${sayRange(line, unit)}`,
      )
  if (line.kind === 'number') return numberOf(line, unit)
  return across(
    object({ low: numberOf(line, unit), high: numberOf(line, unit) })
      .exact()
      .required(`${line.name} is missing`),
    ({ low, high }) =>
      Number(low) > Number(high) ? { path: '', message: `${line.name}: the low end is not over the high one` } : null,
  )
}

const windowSchema = across(
  object({
    classification: string()
      .strict()
      .required()
      .oneOf(
        ELECTRODES.map(row => row.classification),
        'Choose a rod that is kept',
      ),
    make: label(40).optional(),
    diameterMm: number()
      .strict()
      .required()
      .test('size', 'Choose a size that is kept', value =>
        ROD_SIZES.some(size => Math.abs(size.diameterMm - (value ?? 0)) < 0.01),
      ),
    position: string()
      .strict()
      .required()
      .oneOf(
        PAD_POSITIONS.map(row => row.id),
        'Choose a position that is kept',
      ),
    lowA: number()
      .strict()
      .required()
      .integer()
      .min(10, 'A window begins at 10 A or more')
      .max(500, 'A window begins at 500 A at most'),
    highA: number().strict().required().integer().max(500, 'A window ends at 500 A at most'),
  }).exact(),
  ({ classification, diameterMm, lowA, highA }) => {
    if (!isMade(classification, diameterMm)) return { path: 'diameterMm', message: notMade(classification, diameterMm) }
    return highA > lowA ? null : { path: 'highA', message: 'A window ends over where it begins' }
  },
)

const windowsSchema = across(array(windowSchema.required()).strict().required('windows are missing'), rows => {
  const keys = rows.map(
    row => `${row.classification} ${row.make?.toLowerCase() ?? ''} ${row.diameterMm} ${row.position}`,
  )
  return new Set(keys).size < keys.length
    ? { path: '', message: 'Two windows are for the same rod, make, size and position' }
    : null
})

/** The shape of rules, line by line of the catalogue: a nested path is an object of its lines. */
function rulesShape(value: unknown): Schema {
  const rules = (value ?? {}) as Partial<HouseRules>
  const by = rules.beadWidth?.by === 'length' ? 'length' : 'core diameter'
  const unit = rules.unit === 'mm' ? 'mm' : 'in'
  const shape: Record<string, Schema | Record<string, Schema>> = {
    windows: capped(windowsSchema, MOST_WINDOWS, `At most ${MOST_WINDOWS} windows`) as unknown as Schema,
  }
  for (const line of rulesCatalogue(writeRule(DEFAULT_HOUSE_RULES, 'beadWidth.by', by))) {
    const [key, inner] = line.path.split('.') as [string, string | undefined]
    if (inner === undefined) shape[key] = schemaOf(line, unit)
    else shape[key] = { ...(shape[key] as Record<string, Schema> | undefined), [inner]: schemaOf(line, unit) }
  }
  return across(
    object(
      Object.fromEntries(
        Object.entries(shape).map(([key, schema]) => [
          key,
          isSchema(schema) ? schema : object(schema).exact().required(`${key} is missing`),
        ]),
      ),
    )
      .exact('${properties} does not belong in house rules')
      .required('The rules are missing'),
    checked => {
      const width = checked.beadWidth as HouseRules['beadWidth']
      if (width.by === 'length' ? width.lowMm <= width.highMm : width.low <= width.high) return null
      const [low, path] =
        width.by === 'length'
          ? [sayQuantity(width.lowMm, 'length', unit), 'beadWidth.highMm']
          : [sayQuantity(width.low, 'core diameters', unit), 'beadWidth.high']
      return { path, message: `Widest bead: not under the narrowest, ${low}` }
    },
  )
}

const isSchema = (value: Schema | Record<string, Schema>): value is Schema =>
  typeof (value as Schema).validate === 'function'

/** House rules as they cross the wire: every line present, inside its range, and nothing else. */
export const houseRulesSchema = lazy((value: unknown) => rulesShape(value) as Schema<HouseRules>)

/** The body of `POST /api/house-rules`: a new version over the one that was edited. */
export const rulesSaveSchema = object({
  baseVersion: number().strict().required('${path} is missing').integer().min(1),
  why: label(400),
  rules: houseRulesSchema,
}).exact()

/** What marks a file as house rules. */
const FORMAT = 'fusilis-house-rules'

/** House rules as an open file: JSON, lengths in millimetres. */
export function writeRulesFile(rules: HouseRules): string {
  return `${JSON.stringify({ format: FORMAT, formatVersion: 1, rules }, null, 2)}\n`
}

export type ParsedRulesFile = { readonly rules: HouseRules } | { readonly faults: readonly FieldError[] }

/**
 * Reads a file of house rules. Lines it lacks, from before they existed, get their default; anything wrong is named
 * line by line, and nothing is taken.
 */
export async function parseRulesFile(text: string): Promise<ParsedRulesFile> {
  let file: { format?: unknown; rules?: unknown }
  try {
    file = JSON.parse(text) as typeof file
  } catch {
    return { faults: [{ path: '', message: 'This file is not JSON' }] }
  }
  if (
    file === null ||
    typeof file !== 'object' ||
    file.format !== FORMAT ||
    typeof file.rules !== 'object' ||
    file.rules === null
  )
    return { faults: [{ path: 'format', message: 'This file does not hold house rules' }] }
  try {
    return {
      rules: (await houseRulesSchema.validate(completeRules(file.rules as Partial<HouseRules>), {
        abortEarly: false,
      })) as HouseRules,
    }
  } catch (error) {
    if (!(error instanceof ValidationError))
      return { faults: [{ path: '', message: 'This file does not hold house rules' }] }
    return {
      faults: (error.inner.length > 0 ? error.inner : [error]).map(one => ({
        path: one.path ?? '',
        message: one.message,
      })),
    }
  }
}
