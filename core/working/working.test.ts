import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { inches } from '../units'
import { parseInput, SHEETS, sheetOf, unitOf, writeInput, type Sheet, type SheetInput, type SheetValues } from '.'

/** The values a sheet opens with. */
const startValues = (sheet: Sheet): SheetValues =>
  Object.fromEntries(sheet.inputs.map(input => [input.id, input.start]))
const results = (id: string, change: SheetValues = {}, unit: 'in' | 'mm' = 'in') => {
  const sheet = sheetOf(id)
  return Object.fromEntries(
    sheet.work({ ...startValues(sheet), ...change }, unit).map(line => [line.name, line.result]),
  )
}
const inputOf = (sheet: string, id: string): SheetInput => sheetOf(sheet).inputs.find(input => input.id === id)!

describe('worked values', () => {
  // 25 V, 125 A, 6 in/min: 31,250 J/in (AWS D1.1, ASME IX QW-409.1); 0.8 of it in the ISO form.
  it('heat input', () =>
    expect(results('heat-input')).toEqual({
      'Arc energy, AWS and ASME': '31.3 kJ/in (1.23 kJ/mm)',
      'Heat input, ISO': '0.98 kJ/mm',
    }))
  // Common practice: 200 A at 40 % is 80 A.
  it('remote, both ways', () =>
    expect(results('remote', { wanted: 80 })).toEqual({ 'At the arc': '80 A', 'For 80 A': '40 % of the remote' }))
  it('a remote that cannot reach', () =>
    expect(results('remote', { limit: 80, wanted: 125 })['For 125 A']).toBe('panel up to 125 A'))
  // Common practice: 70 to the plate is 20 drag.
  it('angle, both ways', () =>
    expect(results('travel-angle', { square: 20, plate: 70 })).toEqual({
      'drag 20°': '70° to the plate',
      '70° to the plate': 'drag 20°',
    }))
  it('stub loss: 2 of 14 in, 5 of 14 in', () => {
    expect(results('stub-loss')['Thrown away']).toBe('14 %')
    expect(results('stub-loss', { stub: inches(5) })['Thrown away']).toBe('36 %')
  })
  // Handbook fillet table: 1/4 in flat, 0.106 lb a foot; D1.1 least fillet 3/16 in for 3/8 plate (from memory).
  it('fillet', () =>
    expect(results('fillet', { convexity: 0 })).toMatchObject({
      'Weight': '0.11 lb',
      'Area': '0.0313 in²',
      'Throat': '0.177 in',
      'Face': '0.354 in',
      'Least leg for this plate': '3/16 in (5 mm)',
    }))
  it('lap: twice, and five times with an inch at least', () => {
    expect(results('lap')).toEqual({ 'Practice': '3/4 in', 'Structural code': '1 7/8 in' })
    expect(results('lap', { thinner: inches(1 / 8) })['Structural code']).toBe('1 in')
  })
  // V of 3/8 in, gap 1/8, land 3/32, 60°: 0.315 lb a foot flush, 0.379 crowned (arithmetic).
  it('groove', () => expect(results('groove')).toMatchObject({ 'Weight': '0.38 lb', 'Area flush': '0.0925 in²' }))
  // 6 in Sch 80, 1/8, 3/32, 75°: 2.8156 in³, 0.957 lb crowned, 21.8 rods of 1/8 E7018 (arithmetic).
  it('pipe joint', () =>
    expect(results('pipe-joint')).toMatchObject({
      'With the crown': '0.96 lb',
      'If all of it were E7018 · 1/8': '21.8 rods',
    }))
  it('carbon equivalent', () =>
    expect(results('carbon-equivalent')).toEqual({
      'CE, IIW': '0.435',
      'CE, structural code’s annex': '0.485',
      'Pcm': '0.274',
      'CET': '0.326',
    }))
  it('preheat warns of a cold plate', () => {
    const sheet = sheetOf('preheat')
    expect(results('preheat', { steel: 'A: SMAW, not low hydrogen' })).toMatchObject({
      'Least preheat and interpass': '150 °F (65 °C)',
      'Now': 'warm it by 45 °C (81 °F)',
    })
    expect(
      sheet.work(
        { ...startValues(sheet), plate: inches(1 / 2), steel: 'B: low-hydrogen SMAW, common steels' },
        'in',
      )[0]!.note,
    ).toContain('70 °F')
  })
  it('lens shade', () =>
    expect(results('lens-shade')).toEqual({ 'Never lighter than': 'shade 8', 'Begin with': 'shade 10' }))
  // A quarter of a 14 in E7018 · 1/8 a minute: about 60 s of arc, 6 in of bead at 6 in/min (makers' data, arithmetic).
  it('run-out', () =>
    expect(results('run-out')).toMatchObject({
      'Arc time of a rod': '1 min',
      'Run-out': '6 in',
      'On the joint': '2 rods, 1 restart',
    }))
  it('says when a current lies outside the table', () => {
    const note = (current: number) =>
      sheetOf('deposition').work({ ...startValues(sheetOf('deposition')), current }, 'in')[0]!.note
    expect(note(100)).toContain('120 to 160 A')
    expect(note(130)).toBeUndefined()
  })
})

describe('every sheet', () => {
  it.each(SHEETS.map(sheet => [sheet.name, sheet] as [string, Sheet]))(
    '%s opens on values of its own ranges, works in both units, and names a source',
    (_, sheet) => {
      expect(sheet.sources.length).toBeGreaterThan(0)
      for (const unit of ['in', 'mm'] as const) {
        for (const input of sheet.inputs)
          expect(parseInput(input, writeInput(input, input.start, unit), unit).value).toSatisfy(
            (value: number | string) =>
              typeof value === 'string' ? value === input.start : Math.abs(value - Number(input.start)) < 0.2,
          )
        for (const line of sheet.work(startValues(sheet), unit))
          expect(`${line.result}${line.working}`).not.toMatch(/NaN|Infinity|undefined/)
      }
    },
  )
  it('works, or says why not, wherever its inputs may lie', () => {
    const anywhere = (sheet: Sheet) =>
      fc.record(
        Object.fromEntries(
          sheet.inputs.map(input => [
            input.id,
            input.kind === 'choice'
              ? fc.constantFrom(...input.choices)
              : fc.double({ min: input.lowest, max: input.highest, noNaN: true }),
          ]),
        ),
      )
    for (const sheet of SHEETS) {
      fc.assert(
        fc.property(anywhere(sheet), values => {
          try {
            for (const line of sheet.work(values as SheetValues, 'in'))
              expect(line.result).not.toMatch(/NaN|Infinity|undefined/)
          } catch (error) {
            expect(error).toBeInstanceOf(RangeError)
          }
        }),
        { numRuns: 40 },
      )
    }
  })
  it('is found by its id, or the ids are named', () => expect(() => sheetOf('nothing')).toThrow(/heat-input/))
})

describe('parseInput', () => {
  it.each([
    ['heat-input', 'current', '0', '10 to 500 A'],
    ['heat-input', 'current', '0 A', '10 to 500 A'],
    ['preheat', 'now', '-5', '0 to 400 °C'],
    ['fillet', 'convexity', '200 %', '0 to 25 %'],
    ['heat-input', 'travel', '0', '1 in/min to 40 in/min'],
    ['heat-input', 'volts', 'loud', '“loud” is not a number: from 10 to 50 V'],
    ['preheat', 'now', 'warm', 'is not a number: from 0 to 400 °C'],
    ['heat-input', 'travel', '', 'from 1 in/min'],
    ['fillet', 'leg', '9 in', '1/16 to 1 9/16 in'],
    ['deposition', 'rod', 'E9999', 'Choose from'],
  ])('%s %s refuses “%s” and says the range', (sheet, id, text, range) =>
    expect(() => parseInput(inputOf(sheet, id), text, 'in')).toThrow(range),
  )

  it('takes either unit, with or without it', () => {
    const travel = inputOf('heat-input', 'travel')
    expect(parseInput(travel, '6', 'in').value).toBeCloseTo(152.4, 9)
    expect(parseInput(travel, '152.4 mm/min', 'in').value).toBeCloseTo(152.4, 9)
    expect(parseInput(travel, '6 in/min', 'mm').value).toBeCloseTo(152.4, 9)
    expect(parseInput(travel, '6', 'in').said).toBe('6 in/min (152 mm/min)')
    expect(parseInput(inputOf('preheat', 'now'), '68 F', 'in').value).toBeCloseTo(20, 9)
    expect(parseInput(inputOf('preheat', 'now'), '20 °C', 'in').said).toBe('20 °C (68 °F)')
    expect(parseInput(inputOf('heat-input', 'current'), '125 A', 'in').value).toBe(125)
  })
  it('writes what it reads', () => {
    expect(writeInput(inputOf('fillet', 'leg'), inches(3 / 8), 'in')).toBe('3/8')
    expect(writeInput(inputOf('fillet', 'leg'), inches(3 / 8), 'mm')).toBe('9.52')
    expect(unitOf('speed', 'mm')).toBe('mm/min')
    expect(unitOf('amperes', 'in')).toBe('A')
  })
})
