import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { inches } from '../units'
import { pipe, plate, used } from './exampleTests'
import {
  ALL_WELDED,
  covers,
  designationOf,
  diameterQualified,
  fewestTests,
  fillersQualified,
  ISO_9606,
  isOfUse,
  isOver,
  isUnder,
  isWithin,
  meets,
  PIPELINE,
  positionsQualified,
  positionsTogether,
  PRESSURE,
  printed,
  qualifies,
  sayQualified,
  sayPrintedRange,
  saySizeTest,
  SHIPPED_BOOKS,
  shippedBook,
  sizeIn,
  STRUCTURAL,
  takenWith,
  testFaults,
  testPieceOf,
  testPieces,
  thicknessQualified,
  type CodeBook,
  type TestPosition,
  type TestTaken,
  type Wanted,
} from '.'
import { couponOf, needsOf, NOBODY } from '../welderTest'

/** Each row names its table; all from memory of the published codes. */
const letters = (list: readonly string[]) => list.join('')

describe('positions, structural code: plate tests (AWS D1.1 Table 4.10, 2015)', () => {
  it.each([
    ['1G', 'F', 'FH', 'F'],
    ['2G', 'FH', 'FH', 'FH'],
    ['3G', 'FHV', 'FHV', 'FHV'],
    ['4G', 'FO', 'FHO', 'FO'],
    ['1F', '', 'F', ''],
    ['2F', '', 'FH', ''],
    ['3F', '', 'FHV', ''],
    ['4F', '', 'FHO', ''],
  ] as const)('%s', (position, groove, fillet, pipeGroove) => {
    const row = positionsQualified(STRUCTURAL, plate(position))!
    expect([letters(row.plateGroove), letters(row.fillet), letters(row.pipeGroove)]).toEqual([
      groove,
      fillet,
      pipeGroove,
    ])
  })
})
describe('positions, structural code: pipe tests (AWS D1.1 Table 9.13, 2015)', () => {
  it.each([
    ['1G', 'F', 'FH'],
    ['2G', 'FH', 'FH'],
    ['5G', 'FVO', 'FVO'],
    ['6G', 'FHVO', 'FHVO'],
    ['6GR', 'FHVO', 'FHVO'],
    ['1F', '', 'F'],
    ['2F', '', 'FH'],
    ['2FR', '', 'FH'],
    ['4F', '', 'FHO'],
    ['5F', '', 'FHVO'],
  ] as const)('%s', (position, groove, fillet) => {
    const row = positionsQualified(STRUCTURAL, pipe(position, 6.625, 0.28))!
    expect([letters(row.pipeGroove), letters(row.plateGroove), letters(row.fillet)]).toEqual([groove, groove, fillet])
  })
})
describe('positions, pressure code (ASME IX QW-461.9)', () => {
  const on = (form: 'plate' | 'pipe', position: TestPosition) =>
    positionsQualified(PRESSURE, form === 'plate' ? plate(position) : pipe(position, 6.625, 0.28))!
  it.each([
    ['plate', '1G', 'F', 'F', 'F'],
    ['plate', '2G', 'FH', 'FH', 'FH'],
    ['plate', '3G', 'FV', 'F', 'FHV'],
    ['plate', '4G', 'FO', 'F', 'FHO'],
    ['plate', '1F', '', '', 'F'],
    ['plate', '2F', '', '', 'FH'],
    ['plate', '3F', '', '', 'FHV'],
    ['plate', '4F', '', '', 'FHO'],
    ['pipe', '1G', 'F', 'F', 'F'],
    ['pipe', '2G', 'FH', 'FH', 'FH'],
    ['pipe', '5G', 'FVO', 'FVO', 'FHVO'],
    ['pipe', '6G', 'FHVO', 'FHVO', 'FHVO'],
    ['pipe', '1F', '', '', 'F'],
    ['pipe', '2F', '', '', 'FH'],
    ['pipe', '2FR', '', '', 'FH'],
    ['pipe', '4F', '', '', 'FHO'],
    ['pipe', '5F', '', '', 'FHVO'],
  ] as const)('%s %s', (form, position, groove, onPipe, fillet) => {
    const row = on(form, position)
    expect([letters(row.plateGroove), letters(row.pipeGroove), letters(row.fillet)]).toEqual([groove, onPipe, fillet])
  })
})
describe('positions, ISO 9606-1 (Tables 9 and 10)', () => {
  const on = (form: 'plate' | 'pipe', position: TestPosition, progression: 'up' | 'down' | null) =>
    positionsQualified(ISO_9606, { form, position, progression })!
  it.each([
    ['plate', '1G', null, 'F', ''],
    ['plate', '2G', null, 'FH', ''],
    ['plate', '3G', 'up', 'FV', ''],
    ['plate', '3G', 'down', 'V', ''],
    ['plate', '4G', null, 'FHO', ''],
    ['pipe', '5G', 'up', 'FVO', ''],
    ['pipe', '6G', 'up', 'FHVO', ''],
    ['pipe', '6G', 'down', 'FHVO', ''],
    ['plate', '2F', null, '', 'FH'],
    ['plate', '3F', 'up', '', 'FHV'],
    ['plate', '4F', null, '', 'FHO'],
    ['pipe', '5F', 'up', '', 'FHVO'],
  ] as const)('%s %s %s covers butt welds %s, fillets %s', (form, position, progression, groove, fillet) => {
    const row = on(form, position, progression)
    expect([letters(row.plateGroove), letters(row.fillet)]).toEqual([groove, fillet])
  })
})
describe('positions together', () => {
  it.each([
    [STRUCTURAL, 'plate', ['3G', '4G'], 'FHVO', 'FHVO'],
    [PRESSURE, 'plate', ['3G', '4G'], 'FVO', 'FHVO'],
    [PRESSURE, 'plate', ['2G', '3G', '4G'], 'FHVO', 'FHVO'],
    [STRUCTURAL, 'plate', ['3F', '4F'], '', 'FHVO'],
    [STRUCTURAL, 'pipe', ['2G', '5G'], 'FHVO', 'FHVO'],
    [PRESSURE, 'pipe', ['2G', '5G'], 'FHVO', 'FHVO'],
    [ISO_9606, 'pipe', ['2G', '5G'], 'FHVO', ''],
  ] as const)('$0.name %s %s: grooves %s, fillets %s', (book, form, positions, groove, fillet) => {
    const together = positionsTogether(
      book,
      positions.map(position => (form === 'plate' ? plate(position) : pipe(position, 6.625, 0.28))),
    )
    expect([letters(together.plateGroove), letters(together.fillet)]).toEqual([groove, fillet])
  })
  it('a 3G plate gives a horizontal groove by the structural code and not by the pressure code', () => {
    expect(positionsQualified(STRUCTURAL, plate('3G'))!.plateGroove).toContain('H')
    expect(positionsQualified(PRESSURE, plate('3G'))!.plateGroove).not.toContain('H')
  })
})

describe('thickness', () => {
  const mm = { unit: 'mm' as const }
  it.each([
    // AWS D1.1 Table 4.11 (2015), and 9.14 for pipe; at and just beyond each boundary, in both units.
    ['3/8 plate', STRUCTURAL, plate('3G'), '1/8 to 3/4 in'],
    ['just under 1 in', STRUCTURAL, plate('3G', inches(0.999)), '1/8 to 1.998 in'],
    ['1 in plate', STRUCTURAL, plate('3G', inches(1)), '1/8 in and over'],
    ['10 mm plate', STRUCTURAL, plate('3G', 10, mm), '3 to 20 mm'],
    ['24.9 mm plate', STRUCTURAL, plate('3G', 24.9, mm), '3 to 49.8 mm'],
    ['25 mm plate', STRUCTURAL, plate('3G', 25, mm), '3 mm and over'],
    ['NPS 2 Sch 80', STRUCTURAL, pipe('6G', 2.375, 0.218), '1/8 to 3/4 in'],
    ['NPS 6 Sch 80: a wall over 3/8', STRUCTURAL, pipe('6G', 6.625, 0.432), '3/16 in and over'],
    ['a wall of just 3/8', STRUCTURAL, pipe('6G', 6.625, 0.375), '1/8 to 3/4 in'],
    ['4 in at the boundary', STRUCTURAL, pipe('6G', 4, 0.5), '1/8 to 3/4 in'],
    ['just over 4 in', STRUCTURAL, pipe('6G', 4.01, 0.5), '3/16 in and over'],
    ['a fillet', STRUCTURAL, plate('3F', inches(1 / 2)), '1/8 in and over'],
    // ASME IX QW-452.1(b): twice the deposit; no limit from 1/2 in (13 mm) in three layers.
    ['deposit 3/8', PRESSURE, plate('3G'), 'up to 3/4 in'],
    [
      'deposit 1/2 in, three layers',
      PRESSURE,
      plate('3G', inches(1 / 2), { fillers: used(inches(1 / 2), 'E7018', 3) }),
      'any',
    ],
    [
      'deposit 1/2 in, two layers',
      PRESSURE,
      plate('3G', inches(1 / 2), { fillers: used(inches(1 / 2), 'E7018', 2) }),
      'up to 1 in',
    ],
    ['12.9 mm', PRESSURE, plate('3G', 12.9, mm), 'up to 25.8 mm'],
    ['13 mm', PRESSURE, plate('3G', 13, mm), 'any'],
    // ISO 9606-1 Tables 6 and 8.
    ['s 1', ISO_9606, plate('3G', 1, mm), '1 to 3 mm'],
    ['s 2', ISO_9606, plate('3G', 2, mm), '2 to 4 mm'],
    ['s 3', ISO_9606, plate('3G', 3, mm), '3 to 6 mm'],
    ['s 11.9', ISO_9606, plate('3G', 11.9, mm), '3 to 23.8 mm'],
    ['s 12', ISO_9606, plate('3G', 12, mm), '3 mm and over'],
    ['s 12 in two layers', ISO_9606, plate('3G', 12, { ...mm, fillers: used(12, 'E7018', 2) }), '3 to 24 mm'],
    ['in an inch house, read in mm all the same', ISO_9606, plate('3G', inches(3 / 8)), '3 to 19 mm'],
    ['fillet t 2.5', ISO_9606, plate('3F', 2.5, mm), '2.5 to 5 mm'],
    ['fillet t 12', ISO_9606, plate('3F', 12, mm), '3 mm and over'],
    // API 1104 6.2.2: wall groups.
    ['0.187', PIPELINE, pipe('6G', 6.625, 0.187), 'up to 0.188 in'],
    ['0.188', PIPELINE, pipe('6G', 6.625, 0.188), '0.188 to 3/4 in'],
    ['0.75', PIPELINE, pipe('6G', 8.625, 0.75), '0.188 to 3/4 in'],
    ['0.751', PIPELINE, pipe('6G', 8.625, 0.751), '3/4 in and over'],
  ] as const)('%s', (_, book, test, says) =>
    expect(sayPrintedRange(thicknessQualified(book, test)[0]!.range)).toBe(says),
  )
  it('a plate under 3/8 in is no standard test of the structural code', () => {
    expect(() => thicknessQualified(STRUCTURAL, plate('3G', inches(1 / 4)))).toThrow(
      'no standard test of this thickness: 3/8 in or more is wanted',
    )
    expect(() => thicknessQualified(STRUCTURAL, plate('3G', 9, { unit: 'mm' }))).toThrow('10 mm or more')
  })
  it.each([9.5, inches(3 / 8), 10])('a plate sold as 3/8 in or 10 mm is one in a metric school too: %d mm', mmThick => {
    const [found] = thicknessQualified(STRUCTURAL, plate('3G', mmThick, { unit: 'mm' }))
    expect(found!.range.least).toBe(3)
    expect(found!.range.most).toBeCloseTo(2 * mmThick, 9)
  })
  it('what is a tenth thinner than it is sold as is not', () => {
    expect(() => thicknessQualified(STRUCTURAL, plate('3G', 9.4, { unit: 'mm' }))).toThrow('10 mm or more')
    expect(() => thicknessQualified(STRUCTURAL, plate('3G', inches(0.374)))).toThrow('3/8 in or more')
  })
  it('each filler earns by its own deposit by the pressure code (QW-306)', () => {
    const both = pipe('6G', 6.625, 0.432, {
      fillers: [
        { classification: 'ER70S-2', depositMm: inches(0.125), layers: 1, root: true },
        { classification: 'E7018', depositMm: inches(0.307), layers: 3, root: false },
      ],
    })
    expect(thicknessQualified(PRESSURE, both).map(row => [row.filler, sayPrintedRange(row.range)])).toEqual([
      ['ER70S-2', 'up to 1/4 in'],
      ['E7018', 'up to 0.614 in'],
    ])
  })
})

describe('diameters', () => {
  const mm = (outside: number) => pipe('6G', outside / 25.4, 0.1, { unit: 'mm' })
  it.each([
    // AWS D1.1 Table 9.14: small pipe; half the outside diameter, at least 4 in.
    ['NPS 2', STRUCTURAL, pipe('6G', 2.375, 0.218), '3/4 to 4 in'],
    ['4 in', STRUCTURAL, pipe('6G', 4, 0.3), '3/4 to 4 in'],
    ['NPS 6', STRUCTURAL, pipe('6G', 6.625, 0.432), '4 in and over'],
    ['12 3/4', STRUCTURAL, pipe('6G', 12.75, 0.5), '6 3/8 in and over'],
    // ASME IX QW-452.3.
    ['under 1 in', PRESSURE, pipe('6G', 0.84, 0.147), '0.84 in and over'],
    ['1 in', PRESSURE, pipe('6G', 1, 0.15), '1 in and over'],
    ['NPS 2', PRESSURE, pipe('6G', 2.375, 0.218), '1 in and over'],
    ['2 7/8 in', PRESSURE, pipe('6G', 2.875, 0.276), '2 7/8 in and over'],
    ['plate', PRESSURE, plate('3G'), '2 7/8 in and over'],
    // ISO 9606-1 Table 7.
    ['D 25', ISO_9606, mm(25), '25 to 50 mm'],
    ['D 25.1', ISO_9606, mm(25.1), '25 mm and over'],
    ['D 60', ISO_9606, mm(60), '30 mm and over'],
    ['D 40', ISO_9606, mm(40), '25 mm and over'],
    ['plate', ISO_9606, plate('3G', 10, { unit: 'mm' }), '500 mm and over'],
    // API 1104 6.2.2: groups.
    ['2.374', PIPELINE, pipe('6G', 2.374, 0.2), 'up to 2 3/8 in'],
    ['2.375', PIPELINE, pipe('6G', 2.375, 0.2), '2 3/8 to 12 3/4 in'],
    ['12.75', PIPELINE, pipe('6G', 12.75, 0.2), '2 3/8 to 12 3/4 in'],
    ['14', PIPELINE, pipe('6G', 14, 0.2), '12 3/4 in and over'],
    ['a plate gives large pipe only', STRUCTURAL, plate('3G'), '24 in and over'],
  ] as const)('%s', (_, book, test, says) => expect(sayPrintedRange(diameterQualified(book, test).range!)).toBe(says))
})

// ISO 9606-1 5.3: rotated pipe from 75 mm in PA, PB, PC and PD, as far as the test covers the position.
describe('rotated pipe, ISO', () => {
  const says = (position: TestPosition, more: Partial<TestTaken> = {}) =>
    diameterQualified(ISO_9606, plate(position, 10, { unit: 'mm', ...more })).says
  it.each([
    ['1G', 'fixed pipe; rotated from 75 mm in PA'],
    ['2G', 'fixed pipe; rotated from 75 mm in PA, PC'],
    ['3G', 'fixed pipe; rotated from 75 mm in PA'],
    ['4G', 'fixed pipe; rotated from 75 mm in PA, PC'],
    ['2F', 'fixed pipe; rotated from 75 mm in PA, PB'],
    ['4F', 'fixed pipe; rotated from 75 mm in PA, PB, PD'],
  ] as const)('a plate in %s: %s', (position, said) => expect(says(position)).toBe(said))
  it('none from a plate welded down, which covers no position in which pipe is turned', () =>
    expect(says('3G', { progression: 'down' })).toBe('fixed pipe'))
})

describe('fillers', () => {
  const both = pipe('6G', 6.625, 0.432, {
    fillers: [
      { classification: 'E6010', depositMm: 3, layers: 1, root: true },
      { classification: 'E7018', depositMm: inches(0.432) - 3, layers: 3, root: false },
    ],
  })
  it('F4 covers F3 to F1 by the structural code; with backing only, if so tested (Table 4.13)', () => {
    expect(fillersQualified(STRUCTURAL, plate('3G'))).toMatchObject({ groups: 'F4, F3, F2, F1', openRoot: [] })
    expect(fillersQualified(STRUCTURAL, plate('3G')).withBacking).toEqual(
      expect.arrayContaining(['E6010', 'E6013', 'E7018', 'E7024']),
    )
  })
  it('E6010 open root and E7018 fill earn no open-root E7018 by the pressure code (QW-433)', () => {
    const { openRoot, withBacking } = fillersQualified(PRESSURE, both)
    expect([
      openRoot.includes('E6010'),
      openRoot.includes('E7018'),
      openRoot.includes('E6013'),
      withBacking.includes('E7018'),
    ]).toEqual([true, false, false, true])
  })
  it.each([
    ['E6010', ['E6010', 'E6011', 'E7010-P1', 'E8010-P1']],
    ['E6013', ['E6012', 'E6013', 'E7014', 'E7024']],
    ['E7018', ['E6012', 'E6013', 'E7014', 'E7016', 'E7018', 'E7018-1', 'E7018M', 'E7024', 'E8018-C3']],
    ['E308L-16', ['E308L-16']],
  ])('ISO: %s covers its covering, and basic the rutile ones too (5.6)', (classification, covered) =>
    expect(
      fillersQualified(ISO_9606, pipe('6G', 6, 0.4, { fillers: used(inches(0.4), classification) })).withBacking,
    ).toEqual(covered),
  )
  it('ISO: an open root covers its own covering only', () =>
    expect(fillersQualified(ISO_9606, pipe('6G', 6, 0.4)).openRoot).toEqual([
      'E7016',
      'E7018',
      'E7018-1',
      'E7018M',
      'E8018-C3',
    ]))
  // API 1104 6.2.2: groups 1 and 2 cover each other, group 3 itself.
  it.each([
    ['E6010', ['E6010', 'E6011', 'E7010-P1', 'E8010-P1']],
    ['E8010-P1', ['E6010', 'E6011', 'E7010-P1', 'E8010-P1']],
    ['E7018', ['E7016', 'E7018', 'E7018-1', 'E7018M', 'E8018-C3']],
  ])('pipeline: %s covers its group', (classification, covered) => {
    const { openRoot, groups } = fillersQualified(
      PIPELINE,
      pipe('6G', 6, 0.4, { fillers: used(inches(0.4), classification) }),
    )
    expect(openRoot).toEqual(covered)
    expect(groups).toMatch(/^G\d(, G\d)?$/)
  })
  it('stainless is covered by stainless alone, by every book', () => {
    for (const book of [STRUCTURAL, PRESSURE, ISO_9606, PIPELINE]) {
      const { withBacking } = fillersQualified(book, pipe('6G', 6, 0.4))
      expect(withBacking).not.toContain('E308L-16')
    }
    const stainless = pipe('6G', 6, 0.4, { fillers: used(inches(0.4), 'E308L-16') })
    expect(fillersQualified(PRESSURE, stainless).withBacking).toEqual(['E7024', 'E308L-16'])
  })
  it('a bare wire is a group of its own, and rods of no group of a book cover nothing', () => {
    expect(fillersQualified(PRESSURE, pipe('6G', 6, 0.4, { fillers: used(inches(0.4), 'ER70S-2') })).openRoot).toEqual([
      'ER70S-2',
      'ER70S-3',
      'ER70S-6',
    ])
    expect(fillersQualified(PIPELINE, pipe('6G', 6, 0.4, { fillers: used(inches(0.4), 'E6013') }))).toMatchObject({
      groups: 'none of this book',
      withBacking: [],
    })
  })
})

describe('what is impossible is refused, with why', () => {
  it.each([
    ['a pipe position on plate', plate('6G', inches(3 / 8), { progression: 'up' }), 'position', /position of pipe/],
    ['a fillet position on a groove', { ...plate('3F'), weld: 'groove' as const }, 'position', /position of fillets/],
    ['a plate position on pipe', pipe('4G', 6, 0.3), 'position', /position of plate/],
    ['a wall thicker than the pipe', pipe('6G', 2.375, 1.2), 'thicknessMm', /half of the outside/],
    ['a pipe with no diameter', { ...pipe('6G', 2.375, 0.2), outsideMm: null }, 'outsideMm', /outside diameter/],
    ['a plate with one', plate('2G', 10, { outsideMm: 60 }), 'outsideMm', /no diameter/],
    [
      'deposits that do not add up',
      plate('3G', inches(3 / 8), { fillers: used(3) }),
      'fillers',
      /adds up to the thickness/,
    ],
    ['no filler', plate('3G', inches(3 / 8), { fillers: [] }), 'fillers', /At least one/],
    ['3G with no way', { ...plate('3G'), progression: null }, 'progression', /Up or down/],
    ['2G with a way', plate('2G', inches(3 / 8), { progression: 'up' }), 'progression', /no up or down/],
    ['no thickness', plate('2G', 0), 'thicknessMm', /over nothing/],
  ] as const)('%s', (_, test, path, message) => {
    expect(testFaults(test).find(fault => fault.path === path)?.message).toMatch(message)
    expect(() => qualifies(STRUCTURAL, [test])).toThrow()
  })
  it('a test that the book does not know', () =>
    expect(() => qualifies(PIPELINE, [plate('3G')])).toThrow('API 1104 has no 3G test on plate'))
  it('names the books there are', () =>
    expect(() => shippedBook('moon')).toThrow(/structural, pressure, ISO, pipeline/))
})

describe('in words', () => {
  it('3G and 4G plate, structural: each sentence with its clause', () => {
    const said = sayQualified(qualifies(STRUCTURAL, [plate('3G'), plate('4G')]))
    expect(said.map(row => row.text)).toEqual(
      expect.arrayContaining([
        'Grooves in plate: all positions',
        'Fillets: all positions',
        'Thickness: 1/8 to 3/4 in',
        'Backing: with backing, or backgouged',
        'Vertical up: up and down are tested apart',
      ]),
    )
    expect(said.every(row => row.clause.startsWith('AWS D1.1 '))).toBe(true)
    expect(new Set(said.map(row => row.text)).size).toBe(said.length)
  })
  it('one test without backing among several qualifies without', () => {
    const [backed, open] = [plate('3G'), plate('4G', undefined, { backing: false })]
    const without = qualifies(STRUCTURAL, [open]).backing
    expect(qualifies(STRUCTURAL, [backed]).backing).not.toBe(without)
    expect(qualifies(STRUCTURAL, [backed, open]).backing).toBe(without)
    expect(qualifies(STRUCTURAL, [open, backed]).backing).toBe(without)
  })
  it('is only as sure as the least sure line it rests on', () =>
    expect(sayQualified(qualifies(STRUCTURAL, [pipe('2G', 6.625, 0.28), pipe('5G', 6.625, 0.28)]))[0]).toMatchObject({
      text: 'Grooves in plate: all positions',
      remembered: 'check before it decides',
    }))
  it('a limit holds both printed values, and the unit picks one', () => {
    const limit = printed(3 / 8, 10)
    expect([
      isOver(sizeIn(9.8, 'mm'), limit),
      isOver(sizeIn(9.8, 'in'), limit),
      isOver(sizeIn(inches(3 / 8), 'in'), limit),
      isUnder(sizeIn(inches(3 / 8), 'in'), limit),
    ]).toEqual([false, true, false, false])
    expect(isWithin({ unit: 'in', value: 0.125 }, { unit: 'in', least: 1 / 8, most: null })).toBe(true)
    expect([
      sayPrintedRange({ unit: 'in', least: null, most: null }),
      saySizeTest({ over: limit, upTo: printed(1, 25) }, 'mm'),
    ]).toEqual(['any', 'over 10 mm to 25 mm'])
    expect([
      meets(null, {}),
      meets(null, { over: limit }),
      meets({ unit: 'in', value: 3 / 8 }, { upTo: limit }),
      meets({ unit: 'in', value: 3 / 8 }, { below: limit }),
    ]).toEqual([true, false, true, false])
  })
  it.each([
    // ISO 9606-1, clause 11 and its designation annex, from memory.
    [plate('3G', 10, { unit: 'mm' }), 'ISO 9606-1 111 P BW FM1 B s10 PF ss mb ml'],
    [
      pipe('6G', 60 / 25.4, 5.5 / 25.4, {
        fillers: [
          { classification: 'ER70S-2', depositMm: 2, layers: 1, root: true },
          { classification: 'E7018', depositMm: 3.5, layers: 2, root: false },
        ],
      }),
      'ISO 9606-1 141/111 T BW FM1 S/B s5.5(2/3.5) D60 H-L045 ss nb ml',
    ],
    [plate('2F', 12, { unit: 'mm', fillers: used(5, 'E6013', 1) }), 'ISO 9606-1 111 P FW FM1 R t12 PB sl'],
  ])('designates %#', (test, says) => {
    expect(designationOf(ISO_9606, test)).toBe(says)
    expect(designationOf(STRUCTURAL, test)).toBeNull()
  })
})

describe('the fewest tests', () => {
  const own = (test: TestTaken) => test
  const onPlate = (['1G', '2G', '3G', '4G'] as const).map(position => plate(position))
  const onPipe = (['2G', '5G', '6G'] as const).map(position => pipe(position, 6.625, 0.432))
  const wanted = (more: Partial<Wanted> = {}): Wanted => ({
    on: 'plate',
    grooves: ALL_WELDED,
    fillets: ALL_WELDED,
    thicknessMm: inches(1 / 2),
    outsideMm: null,
    openRoot: false,
    classification: 'E7018',
    progression: 'up',
    ...more,
  })
  const found = (book: CodeBook, aim: Wanted, pieces: readonly TestTaken[]) =>
    fewestTests(book, aim, pieces, own).map(set => set.map(test => test.position).join(' '))
  it('all positions on plate: 3G and 4G by the structural code, a 2G more by the pressure code, fillets apart by ISO', () => {
    expect(found(STRUCTURAL, wanted(), onPlate)).toEqual(['3G 4G'])
    expect(found(PRESSURE, wanted(), onPlate)).toEqual(['2G 3G 4G'])
    expect(found(ISO_9606, wanted(), onPlate)).toEqual([])
    expect(found(ISO_9606, wanted(), [...onPlate, plate('3F', 12), plate('4F', 12)])).toEqual(['3G 4G 3F 4F'])
  })
  it('a 6G pipe alone covers everything; so do 2G and 5G, but they are two', () => {
    const aim = wanted({ on: 'pipe', outsideMm: inches(6.625), thicknessMm: inches(0.432) })
    expect(found(STRUCTURAL, aim, onPipe)).toEqual(['6G'])
    expect(found(STRUCTURAL, aim, onPipe.slice(0, 2))).toEqual(['2G 5G'])
  })
  it('nothing covers what no piece earns: thickness, an open root, a rod, a way, a diameter', () => {
    for (const aim of [
      wanted({ thicknessMm: inches(2) }),
      wanted({ openRoot: true }),
      wanted({ classification: 'ER70S-2' }),
      wanted({ progression: 'down' }),
      wanted({ on: 'pipe', outsideMm: inches(6.625) }),
    ])
      expect(found(STRUCTURAL, aim, onPlate)).toEqual([])
  })
  it('over 24 in, the pressure code takes a plate test for pipe as for plate (QW-461.9)', () => {
    const aim = (outsideIn: number) => wanted({ on: 'pipe', grooves: ['V'], fillets: [], outsideMm: inches(outsideIn) })
    expect([found(PRESSURE, aim(24), onPlate), found(PRESSURE, aim(24.1), onPlate)]).toEqual([[], ['3G']])
  })
  it('agrees with looking at every set, in every book', () => {
    const pieces = [...onPlate, ...onPipe, plate('3F', 12), plate('4F', 12)]
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_BOOKS),
        fc.subarray([...ALL_WELDED], { minLength: 1 }),
        fc.subarray([...ALL_WELDED]),
        fc.subarray(pieces, { minLength: 1 }),
        (book, grooves, fillets, some) => {
          const aim = wanted({ grooves, fillets })
          let best = Infinity
          for (let mask = 1; mask < 1 << some.length; mask++) {
            const set = some.filter((_, n) => mask & (1 << n))
            if (set.length < best && set.every(test => isOfUse(book, test, aim)) && covers(book, set, aim))
              best = set.length
          }
          expect(fewestTests(book, aim, some, own)[0]?.length ?? Infinity).toBe(best > 4 ? Infinity : best)
        },
      ),
      { numRuns: 80 },
    )
  })
})

describe('what is planned', () => {
  const aim = (more: Partial<Wanted> = {}): Wanted => ({
    on: 'pipe',
    grooves: ALL_WELDED,
    fillets: [],
    thicknessMm: inches(0.432),
    outsideMm: inches(6.625),
    openRoot: true,
    classification: 'E6010',
    progression: 'up',
    ...more,
  })
  const six = pipe('6G', 6.625, 0.432, { fillers: used(inches(0.432), 'E6010') })
  it('a pipeline test is found for a cellulosic rod, and for a low-hydrogen one', () => {
    expect(fewestTests(PIPELINE, aim(), [six], test => test)).toEqual([[six]])
    const basic = pipe('6G', 6.625, 0.432)
    expect(fewestTests(PIPELINE, aim({ classification: 'E7018' }), [six, basic], test => test)).toEqual([[basic]])
  })
  it('where nothing is wanted nothing is offered', () =>
    expect(fewestTests(PIPELINE, aim({ grooves: [] }), [six], test => test)).toEqual([]))
})

describe('test pieces', () => {
  it.each(testPieces('in').map(piece => piece.id))(
    '%s can be taken by some book, with rods and arc time counted',
    id => {
      const piece = testPieceOf(id)
      const coupon = couponOf(piece, NOBODY, rules)
      const taken = takenWith(piece, coupon.passes!, 'in')
      expect(testFaults(taken)).toEqual([])
      expect(SHIPPED_BOOKS.some(book => positionsQualified(book, taken))).toBe(true)
      const needs = needsOf(coupon, rules)
      expect(needs.rods.reduce((sum, rod) => sum + rod.count, 0)).toBeGreaterThanOrEqual(
        coupon.passes!.filter(pass => pass.process === 'SMAW').length,
      )
      expect(needs.arcMinutes).toBeGreaterThan(1)
    },
  )
  it('plates are those that the unit’s codes print', () => {
    expect(
      takenWith(testPieceOf('plate-3g', 'mm'), couponOf(testPieceOf('plate-3g', 'mm'), NOBODY, rules).passes!, 'mm')
        .thicknessMm,
    ).toBe(10)
    expect(() => testPieceOf('moon')).toThrow(/there are plate-2g/)
  })
  it('an open root shares the wall between its rods by layers; a GTAW root leaves E6010 out', () => {
    const of = (id: string) =>
      takenWith(testPieceOf(id), couponOf(testPieceOf(id), NOBODY, rules).passes!, 'in').fillers.map(filler => [
        filler.classification,
        filler.root,
      ])
    expect(of('open-root-3g')).toEqual([
      ['E6010', true],
      ['E7018', false],
    ])
    expect(of('pipe-6-6g-gtaw')).toEqual([
      ['ER70S-2', true],
      ['E7018', false],
    ])
  })
})

it('a code book that is broken is not hidden: the search for what is of use says so', () => {
  const wanted: Wanted = {
    on: 'plate',
    grooves: ['F'],
    fillets: [],
    thicknessMm: inches(1 / 2),
    outsideMm: null,
    openRoot: false,
    classification: 'E7018',
    progression: 'up',
  }
  expect(isOfUse(STRUCTURAL, plate('3G'), wanted)).toBe(true)
  const broken = { ...STRUCTURAL, thickness: null } as unknown as CodeBook
  expect(() => isOfUse(broken, plate('3G'), wanted)).toThrow(TypeError)
})
