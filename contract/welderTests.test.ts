import { describe, expect, it } from 'vitest'
import type { ValidationError } from 'yup'
import { STRUCTURAL } from '../core/qualification'
import { aTest, passedExample } from '../core/welderTest/example'
import { bookSaveSchema } from './codeBooks'
import { callOffSchema, processUseSchema, welderTestSchema, welderTestSaveSchema } from './welderTests'

/** The path and words of what a schema refuses. */
async function refusal(
  schema: { validate: (value: unknown, options: object) => Promise<unknown> },
  value: unknown,
): Promise<string> {
  try {
    await schema.validate(value, { abortEarly: false })
    return ''
  } catch (error) {
    return (
      (error as ValidationError).inner.map(one => `${one.path}: ${one.message}`).join(' | ') ||
      `${(error as ValidationError).path}: ${(error as Error).message}`
    )
  }
}
const test = passedExample()

describe('a test crosses the wire', () => {
  it('whole, from plan to result', async () => {
    expect(await refusal(welderTestSchema, aTest())).toBe('')
    expect(await refusal(welderTestSchema, test)).toBe('')
    expect(await refusal(welderTestSaveSchema, { baseVersion: 0, document: test })).toBe('')
  })
  it.each([
    ['no student', { studentId: 'somebody' }, /studentId: .*not an id/],
    ['a day that is none', { testDay: '2026-02-30' }, /testDay: .*a date like/],
    ['no book', { book: undefined }, /book/],
    ['a book of no version', { book: { id: 'structural', version: -1 } }, /book\.version/],
    ['an unknown position', { test: { ...test.test, position: '9G' } }, /test\.position: .*choose from/],
    [
      'a filler nobody keeps',
      { test: { ...test.test, fillers: [{ ...test.test.fillers[0]!, classification: 'E9999' }] } },
      /fillers\[0\]\.classification: .*choose from/,
    ],
    [
      'a filler that left nothing',
      { test: { ...test.test, fillers: [{ ...test.test.fillers[0]!, depositMm: 0 }] } },
      /depositMm: .*over nothing/,
    ],
    [
      'half a layer',
      { test: { ...test.test, fillers: [{ ...test.test.fillers[0]!, layers: 1.5 }] } },
      /layers: .*whole number/,
    ],
    ['a steel of no strength', { yieldMpa: 20 }, /yieldMpa: .*at least 150/],
    ['odds over one', { odds: 1.2 }, /odds: .*at most 1/],
    ['a limit of no time', { limitMinutes: 1 }, /limitMinutes: .*at least 5/],
    ['a check left out', { checks: { 'piece stamped': true } }, /checks/],
    ['a hold by nobody', { holds: { ...test.holds, cap: { by: ' ', at: test.startedAt } } }, /holds\.cap\.by/],
    ['a moment that is none', { startedAt: 'noon' }, /startedAt: .*a moment/],
    ['a run with no beginning', { runs: { p1: { to: null } } }, /runs\.p1/],
    ['a run of a pass with no id', { runs: { 'a pass!': { from: test.startedAt, to: null } } }, /runs\.a pass!/],
    ['a stop with no reason', { stops: [{ from: test.startedAt, to: null, why: '' }] }, /stops\[0\]\.why/],
    ['an outcome nobody knows', { visual: { ...test.visual, outcome: 'maybe' } }, /visual\.outcome/],
    [
      'an opening of no length',
      {
        results: {
          'face-1': {
            ...test.results['face-1'],
            openings: [{ length: 0, atMm: 1, corner: false, kind: 'slag', depth: null }],
          },
        },
      },
      /results\.face-1: .*over nothing/,
    ],
    [
      'an opening of no kind',
      {
        results: {
          'face-1': {
            ...test.results['face-1'],
            openings: [{ length: 1, atMm: 1, corner: false, kind: 'hole', depth: null }],
          },
        },
      },
      /results\.face-1: .*kind of opening/,
    ],
    [
      'an opening deeper than the wall',
      {
        results: {
          'face-1': {
            ...test.results['face-1'],
            openings: [{ length: 1, atMm: 1, corner: false, kind: 'slag', depth: 1.5 }],
          },
        },
      },
      /results\.face-1: .*0 to 1/,
    ],
    ['a retest of nothing', { retest: { of: 'x', pieces: 2 } }, /retest\.of/],
    ['something that does not belong', { certified: true }, /certified|unspecified/],
  ] as const)('and is refused with %s', async (_, change, says) =>
    expect(await refusal(welderTestSchema, { ...test, ...change })).toMatch(says),
  )
})

describe('uses and calls off', () => {
  const use = { studentId: test.studentId, process: 'SMAW', kind: 'used', usedOn: '2026-11-20', witness: 'Tobias' }
  it.each([
    ['another process', { process: 'GMAW' }, /process: .*choose from/],
    ['no such kind', { kind: 'thought of' }, /kind: .*choose from/],
    ['a day that is none', { usedOn: '2026-13-01' }, /usedOn/],
    ['no witness', { witness: ' ' }, /witness: .*missing/],
  ] as const)('refuses %s', async (_, change, says) => {
    expect(await refusal(processUseSchema, use)).toBe('')
    expect(await refusal(processUseSchema, { ...use, ...change })).toMatch(says)
  })
  it('a plan is called off as it was seen', async () => {
    expect(await refusal(callOffSchema, { baseVersion: 2 })).toBe('')
    expect(await refusal(callOffSchema, {})).toMatch(/baseVersion: .*missing/)
    expect(await refusal(callOffSchema, { baseVersion: 0 })).toMatch(/baseVersion/)
  })
})

describe('a school’s code book crosses the wire', () => {
  const save = { baseVersion: 0, why: 'read', retired: false, book: { ...STRUCTURAL, name: 'Ours' } }
  it.each([
    ['as a copy', {}, /^$/],
    ['with no reason', { why: '' }, /why/],
    ['of no family', { book: { ...STRUCTURAL, family: 'moon' } }, /book: .*no family/],
    [
      'with a line more',
      { book: { ...STRUCTURAL, strips: [...STRUCTURAL.strips, STRUCTURAL.strips[0]] } },
      /book: .*no copy/,
    ],
    [
      'with a figure that cannot be',
      { book: { ...STRUCTURAL, bend: { ...STRUCTURAL.bend, single: { in: -1, mm: 3 } } } },
      /book\.bend\.single: .*a length of/,
    ],
    [
      'with text for a figure',
      { book: { ...STRUCTURAL, bend: { ...STRUCTURAL.bend, single: { in: '1/8', mm: 3 } } } },
      /book/,
    ],
    ['with a name too long', { book: { ...STRUCTURAL, name: 'x'.repeat(90) } }, /book\.name/],
    ['with nothing', { book: null }, /book/],
  ] as const)('%s', async (_, change, says) =>
    expect(await refusal(bookSaveSchema, { ...save, ...change })).toMatch(says),
  )
})
