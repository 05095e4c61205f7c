import { readdirSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isSchema, ValidationError, type Schema, type SchemaDescription } from 'yup'
import { shapeFault } from '../../server/http/shapeFault'

const CONTRACT = new URL('../../contract/', import.meta.url)
const modules = await Promise.all(
  readdirSync(CONTRACT)
    .filter(file => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map(async file => [file, (await import(new URL(file, CONTRACT).href)) as Record<string, unknown>] as const),
)
const schemas = modules.flatMap(([file, exported]) =>
  Object.entries(exported)
    .filter((one): one is [string, Schema] => isSchema(one[1]))
    .map(([name, schema]) => [`${file} ${name}`, schema] as const),
)

/** Anything that JSON can say, the kinds that a check may take for another among it. */
const anything: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom(null, true, 0, -1, 1.5, 1e308, '', '18:00', '2026-09-14', [], {}, [null], [[]], { length: 3 }),
  fc.jsonValue({ maxDepth: 2 }),
)

/** Values whose fields are those of a schema, each right, of a wrong type, or left out. */
function near(description: SchemaDescription): fc.Arbitrary<unknown> {
  const { fields, innerType, type } = description as SchemaDescription & {
    fields?: Record<string, SchemaDescription>
    innerType?: SchemaDescription
  }
  const { oneOf } = description
  if (fields) {
    const record = Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, near(field)]))
    return fc.oneof(
      { weight: 8, arbitrary: fc.record(record, { requiredKeys: [] }) },
      { weight: 1, arbitrary: anything },
    )
  }
  if (innerType) return fc.oneof(fc.array(near(innerType), { maxLength: 4 }), anything)
  const right: Record<string, fc.Arbitrary<unknown>> = {
    string: fc.constantFrom('18:00', '2026-09-14', 'x', 'student', '0190a0b0-0000-7000-8000-000000000000'),
    number: fc.constantFrom(0, 1, 2, 3.2, 100),
    boolean: fc.boolean(),
  }
  return fc.oneof(right[type] ?? anything, anything, oneOf?.length ? fc.constantFrom(...oneOf) : anything)
}

const describeSchema = (schema: Schema): SchemaDescription => {
  try {
    return schema.describe({ value: {} }) as SchemaDescription
  } catch {
    return { type: 'mixed' } as SchemaDescription
  }
}

describe('a body of any types is taken or refused in words, and brings no check down', () => {
  it('finds the schemas of the contract', () => expect(schemas.length).toBeGreaterThan(40))
  it.each(schemas)('%s', async (_, schema) => {
    await fc.assert(
      fc.asyncProperty(near(describeSchema(schema)), async value => {
        fc.pre(shapeFault(value) === null)
        const error = await schema.validate(value, { abortEarly: false }).then(
          () => null,
          (thrown: unknown) => thrown,
        )
        expect(error === null || ValidationError.isError(error), String(error)).toBe(true)
      }),
      { numRuns: 100 },
    )
  })
})
