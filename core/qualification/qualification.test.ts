import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { inches } from '../units'
import { ALL_WELDED, bendVerdict, CODE_FAMILIES, covers, daysUntil, diameterQualified, familyOfCode, fewestTests, fillersQualified, FORMERS, formerFor, isOver, isUnder, isWithin, keptUntil, positionsQualified, positionsTogether, printed, qualifies, RETESTS, sayQualified, sayRange, sizeIn, specimenCounts, specimenPlan, testedAgainBy, testFaults, thicknessQualified, type FamilyId, type Opening, type TestPosition, type TestTaken, type Wanted } from '.'

/** Each row names its table; all from memory of the published codes. */
const fillers = (depositMm: number, classification = 'E7018', layers = 4) => [{ classification, depositMm, layers, root: true }]
const plate = (family: FamilyId, position: TestPosition, thicknessMm = inches(3 / 8), more: Partial<TestTaken> = {}): TestTaken => ({
  family, form: 'plate', weld: position.includes('F') ? 'fillet' : 'groove', position, thicknessMm, outsideMm: null, backing: true,
  progression: position.startsWith('3') ? 'up' : null, fillers: fillers(thicknessMm), unit: 'in', ...more,
})
const pipe = (family: FamilyId, position: TestPosition, outsideIn: number, wallIn: number, more: Partial<TestTaken> = {}): TestTaken => ({
  family, form: 'pipe', weld: position.includes('F') ? 'fillet' : 'groove', position, thicknessMm: inches(wallIn), outsideMm: inches(outsideIn), backing: false,
  progression: /^(5|6)/.test(position) ? 'up' : null, fillers: fillers(inches(wallIn)), unit: 'in', ...more,
})
const letters = (list: readonly string[]) => list.join('')

describe('positions, structural code: plate tests (Table 4.10, 2015)', () => {
  it.each([['1G', 'F', 'FH', 'F'], ['2G', 'FH', 'FH', 'FH'], ['3G', 'FHV', 'FHV', 'FHV'], ['4G', 'FO', 'FHO', 'FO'], ['1F', '', 'F', ''], ['2F', '', 'FH', ''], ['3F', '', 'FHV', ''], ['4F', '', 'FHO', '']] as const)(
    '%s', (position, groove, fillet, pipeGroove) => {
      const row = positionsQualified('structural', { form: 'plate', position, progression: 'up' })!
      expect([letters(row.plateGroove), letters(row.fillet), letters(row.pipeGroove)]).toEqual([groove, fillet, pipeGroove])
    })
})
describe('positions, structural code: pipe tests (Table 9.13, 2015)', () => {
  it.each([['1G', 'F', 'FH'], ['2G', 'FH', 'FH'], ['5G', 'FVO', 'FVO'], ['6G', 'FHVO', 'FHVO'], ['6GR', 'FHVO', 'FHVO'], ['2FR', '', 'FH'], ['4F', '', 'FHO'], ['5F', '', 'FHVO']] as const)('%s', (position, groove, fillet) => {
    const row = positionsQualified('structural', { form: 'pipe', position, progression: 'up' })!
    expect([letters(row.pipeGroove), letters(row.plateGroove), letters(row.fillet)]).toEqual([groove, groove, fillet])
  })
})
describe('positions, pressure code (QW-461.9)', () => {
  it.each([['plate', '1G', 'F', 'F', 'F'], ['plate', '2G', 'FH', 'FH', 'FH'], ['plate', '3G', 'FV', 'F', 'FHV'], ['plate', '4G', 'FO', 'F', 'FHO'], ['pipe', '1G', 'F', 'F', 'F'], ['pipe', '2G', 'FH', 'FH', 'FH'], ['pipe', '5G', 'FVO', 'FVO', 'FHVO'], ['pipe', '6G', 'FHVO', 'FHVO', 'FHVO']] as const)(
    '%s %s', (form, position, groove, onPipe, fillet) => {
      const row = positionsQualified('pressure', { form, position, progression: 'up' })!
      expect([letters(row.plateGroove), letters(row.pipeGroove), letters(row.fillet)]).toEqual([groove, onPipe, fillet])
    })
})
describe('positions, ISO 9606-1 (Tables 9 and 10)', () => {
  it.each([['plate', '1G', null, 'F'], ['plate', '2G', null, 'FH'], ['plate', '3G', 'up', 'FV'], ['plate', '3G', 'down', 'V'], ['plate', '4G', null, 'FHO'], ['pipe', '5G', 'up', 'FVO'], ['pipe', '6G', 'up', 'FHVO'], ['pipe', '6G', 'down', 'FHVO']] as const)('%s %s %s covers butt welds %s, and no fillet', (form, position, progression, groove) => {
    const row = positionsQualified('ISO', { form, position, progression })!
    expect([letters(row.plateGroove), letters(row.fillet)]).toEqual([groove, ''])
  })
})
describe('positions together', () => {
  const two = (form: 'plate' | 'pipe', a: TestPosition, b: TestPosition) => [a, b].map(position => ({ form, weld: 'groove' as const, position, progression: /^(3|5|6)/.test(position) ? 'up' as const : null }))
  it.each([['structural', 'plate', '3G', '4G', 'FHVO', 'FHVO'], ['pressure', 'plate', '3G', '4G', 'FVO', 'FHVO'], ['structural', 'pipe', '2G', '5G', 'FHVO', 'FHVO'], ['pressure', 'pipe', '2G', '5G', 'FHVO', 'FHVO'], ['ISO', 'pipe', '2G', '5G', 'FHVO', '']] as const)('%s %s %s and %s', (family, form, a, b, groove, fillet) => {
    const together = positionsTogether(family, two(form, a, b))
    expect([letters(together.plateGroove), letters(together.fillet)]).toEqual([groove, fillet])
  })
  it('a 3G plate gives a horizontal groove in the structural code and not in the pressure code', () => {
    expect(positionsQualified('structural', { form: 'plate', position: '3G', progression: 'up' })!.plateGroove).toContain('H')
    expect(positionsQualified('pressure', { form: 'plate', position: '3G', progression: 'up' })!.plateGroove).not.toContain('H')
  })
})

describe('thickness', () => {
  const rangeOf = (test: TestTaken) => sayRange(thicknessQualified(test)[0]!.range)
  // Structural, Table 4.11 (2015) and 9.14 for pipe.
  it.each([
    ['3/8 plate', plate('structural', '3G'), '1/8 to 3/4 in'], ['just under 1 in', plate('structural', '3G', inches(0.999)), '1/8 to 1.998 in'], ['1 in plate', plate('structural', '3G', inches(1)), '1/8 in and over'],
    ['10 mm plate, in millimetres', plate('structural', '3G', 10, { unit: 'mm' }), '3 to 20 mm'], ['25 mm plate', plate('structural', '3G', 25, { unit: 'mm' }), '3 mm and over'],
    ['NPS 2 Sch 80', pipe('structural', '6G', 2.375, 0.218), '1/8 to 3/4 in'], ['NPS 6 Sch 80: a wall over 3/8', pipe('structural', '6G', 6.625, 0.432), '3/16 in and over'], ['NPS 6 Sch 40', pipe('structural', '6G', 6.625, 0.28), '1/8 to 3/4 in'],
    ['4 in at the boundary', pipe('structural', '6G', 4, 0.5), '1/8 to 3/4 in'],
    // Pressure, QW-452.1(b): twice the deposit; no limit from 1/2 in (13 mm) in three layers.
    ['deposit 3/8', plate('pressure', '3G'), 'up to 3/4 in'], ['deposit 1/2 in three layers', plate('pressure', '3G', inches(1 / 2), { fillers: fillers(inches(1 / 2), 'E7018', 3) }), 'any'],
    ['deposit 1/2 in two layers', plate('pressure', '3G', inches(1 / 2), { fillers: fillers(inches(1 / 2), 'E7018', 2) }), 'up to 1 in'], ['12.9 mm', plate('pressure', '3G', 12.9, { unit: 'mm', fillers: fillers(12.9) }), 'up to 25.8 mm'],
    // ISO 9606-1 Table 6.
    ['s 2', plate('ISO', '3G', 2, { unit: 'mm', fillers: fillers(2) }), '2 to 4 mm'], ['s 1', plate('ISO', '3G', 1, { unit: 'mm', fillers: fillers(1) }), '1 to 3 mm'], ['s 3', plate('ISO', '3G', 3, { unit: 'mm', fillers: fillers(3) }), '3 to 6 mm'], ['s 11.9', plate('ISO', '3G', 11.9, { unit: 'mm', fillers: fillers(11.9) }), '3 to 23.8 mm'], ['s 12', plate('ISO', '3G', 12, { unit: 'mm', fillers: fillers(12) }), '3 mm and over'],
  ] as const)('%s', (_, test, says) => expect(rangeOf(test)).toBe(says))
  it('a plate under 3/8 in is no standard test of the structural code', () => expect(() => thicknessQualified(plate('structural', '3G', inches(1 / 4)))).toThrow(/no standard test/))
  it('each filler earns by its own deposit in the pressure code', () => {
    const both = pipe('pressure', '6G', 6.625, 0.432, { fillers: [{ classification: 'E6010', depositMm: inches(0.125), layers: 1, root: true }, { classification: 'E7018', depositMm: inches(0.307), layers: 3, root: false }] })
    expect(thicknessQualified(both).map(row => [row.filler, sayRange(row.range)])).toEqual([['E6010', 'up to 1/4 in'], ['E7018', 'up to 0.614 in']])
  })
})

describe('diameters', () => {
  it.each([
    // Structural, Table 9.14: small pipe; half the outside diameter, at least 4 in.
    ['structural NPS 2', pipe('structural', '6G', 2.375, 0.218), '3/4 to 4 in'], ['structural NPS 6', pipe('structural', '6G', 6.625, 0.432), '4 in and over'], ['structural 12 3/4', pipe('structural', '6G', 12.75, 0.5), '6 3/8 in and over'],
    // Pressure, QW-452.3.
    ['under 1 in', pipe('pressure', '6G', 0.84, 0.147), '0.84 in and over'], ['1 in', pipe('pressure', '6G', 1, 0.15), '1 in and over'], ['NPS 2', pipe('pressure', '6G', 2.375, 0.218), '1 in and over'], ['2 7/8 in', pipe('pressure', '6G', 2.875, 0.276), '2 7/8 in and over'],
    // ISO 9606-1 Table 7.
    ['D 25', pipe('ISO', '6G', 25 / 25.4, 0.1, { unit: 'mm' }), '25 to 50 mm'], ['D 60', pipe('ISO', '6G', 60 / 25.4, 0.15, { unit: 'mm' }), '30 mm and over'], ['D 40', pipe('ISO', '6G', 40 / 25.4, 0.15, { unit: 'mm' }), '25 mm and over'],
    // Pipeline, 6.2.2: groups.
    ['2.374', pipe('pipeline', '6G', 2.374, 0.2), 'up to 2 3/8 in'], ['2.375', pipe('pipeline', '6G', 2.375, 0.2), '2 3/8 to 12 3/4 in'],
  ] as const)('%s', (_, test, says) => expect(sayRange(diameterQualified(test).range!)).toBe(says))
  it('a plate gives large pipe only', () => expect(sayRange(diameterQualified(plate('structural', '3G')).range!)).toBe('24 in and over'))
})

describe('fillers', () => {
  it('F4 covers F3 to F1 in the structural code; with backing only, if so tested', () => {
    expect(fillersQualified(plate('structural', '3G'))).toMatchObject({ groups: 'F4 and lower', openRoot: [] })
    expect(fillersQualified(plate('structural', '3G')).withBacking).toEqual(expect.arrayContaining(['E6010', 'E6013', 'E7018', 'E7024']))
  })
  it('E6010 open root and E7018 fill earn no open-root E7018 in the pressure code (QW-433)', () => {
    const both = pipe('pressure', '6G', 6.625, 0.432, { fillers: [{ classification: 'E6010', depositMm: 3, layers: 1, root: true }, { classification: 'E7018', depositMm: inches(0.432) - 3, layers: 3, root: false }] })
    const { openRoot, withBacking } = fillersQualified(both)
    expect([openRoot.includes('E6010'), openRoot.includes('E7018'), withBacking.includes('E7018')]).toEqual([true, false, true])
  })
  it('ISO: a cellulosic test covers cellulosic only, a basic one the rutile group too, the open root its own covering', () => {
    expect(fillersQualified(pipe('ISO', '6G', 6, 0.4, { fillers: fillers(inches(0.4), 'E6010') })).withBacking).not.toContain('E7018')
    expect(fillersQualified(pipe('ISO', '6G', 6, 0.4)).withBacking).toEqual(expect.arrayContaining(['E7018', 'E6013']))
    expect(fillersQualified(pipe('ISO', '6G', 6, 0.4)).openRoot).not.toContain('E6013')
  })
})

describe('specimens', () => {
  const kinds = (test: TestTaken) => specimenCounts(test).kinds.join(' ')
  it.each([
    // Structural, Tables 4.11 and 9.14.
    ['3/8 plate', plate('structural', '3G'), 'face root'], ['1/2 plate', plate('structural', '3G', inches(1 / 2)), 'side side'], ['NPS 2, 6G', pipe('structural', '6G', 2.375, 0.218), 'root face root face'], ['NPS 2, 2G', pipe('structural', '2G', 2.375, 0.218), 'face root'],
    ['NPS 6 Sch 80, 6G', pipe('structural', '6G', 6.625, 0.432), 'side side side side'], ['fillet', plate('structural', '3F', inches(1 / 2)), 'fillet break macro'],
    // Pressure, QW-452.1(a).
    ['3/8 plate', plate('pressure', '3G'), 'face root'], ['3/4 plate', plate('pressure', '3G', inches(3 / 4)), 'side side'], ['6G', pipe('pressure', '6G', 6.625, 0.432), 'root face root face'],
    // Pipeline, Table 3.
    ['NPS 2', pipe('pipeline', '6G', 2.375, 0.218), 'nick-break nick-break root root'], ['4.5 in at the boundary', pipe('pipeline', '6G', 4.5, 0.337), 'nick-break nick-break root root'], ['6.625', pipe('pipeline', '6G', 6.625, 0.28), 'tensile tensile nick-break nick-break root root'],
    ['14 in', pipe('pipeline', '6G', 14, 0.375), 'tensile tensile tensile tensile nick-break nick-break nick-break nick-break root root face face'], ['14 in, heavy', pipe('pipeline', '6G', 14, 0.501), 'tensile tensile tensile tensile nick-break nick-break nick-break nick-break side side side side'],
  ] as const)('%s', (_, test, expected) => expect(kinds(test)).toBe(expected))
  it('lie inside the piece and not over each other; on a pipe at 45 degrees', () => {
    const on = specimenPlan(plate('structural', '3G'), inches(7)).specimens
    expect(on[0]!.fromMm).toBeGreaterThanOrEqual(inches(1))
    expect(on[1]!.fromMm).toBeGreaterThanOrEqual(on[0]!.toMm)
    expect(on[1]!.toMm).toBeLessThanOrEqual(inches(6))
    const round = specimenPlan(pipe('structural', '6G', 6.625, 0.28), 360).specimens
    expect(round.map(one => Math.round((one.fromMm + one.toMm) / 2))).toEqual([45, 135, 225, 315])
  })
  it('a piece that is too short is refused', () => expect(() => specimenPlan(plate('structural', '3G'), inches(4))).toThrow(/a longer piece/))
  // Structural, guided bend jig: A over t at 3/8 in is 4, 5 1/3, 6 2/3; at each boundary.
  it.each([[345, 4], [346, 16 / 3], [619, 16 / 3], [620, 20 / 3]])('%d MPa: former %d t', (mpa, times) => expect(formerFor(mpa).plungerIn / (3 / 8)).toBeCloseTo(times, 9))
  it('formers hold both printed values', () => expect(FORMERS.map(row => row.plungerMm)).toEqual([38.1, 50.8, 63.5]))
})

describe('bends', () => {
  const open = (length: number, more: Partial<Opening> = {}): Opening => ({ length, corner: false, from: null, ...more })
  const judged = (family: FamilyId, unit: 'in' | 'mm', ...openings: Opening[]) => bendVerdict(family, unit, openings, null).outcome
  it.each([
    ['structural', 'in', [open(1 / 8)], 'passes'], ['structural', 'in', [open(0.1251)], 'fails'], ['structural', 'mm', [open(3)], 'passes'], ['structural', 'mm', [open(3.1)], 'fails'],
    ['structural', 'in', [open(1 / 8), open(1 / 8), open(1 / 8)], 'passes'], ['structural', 'in', [open(1 / 8), open(1 / 8), open(1 / 8), open(0.04)], 'fails'], ['structural', 'in', [open(1 / 8), open(1 / 8), open(1 / 8), open(1 / 32)], 'passes'],
    ['structural', 'in', [open(1 / 4, { corner: true })], 'passes'], ['structural', 'in', [open(0.26, { corner: true })], 'another specimen'], ['structural', 'in', [open(0.15, { corner: true, from: 'slag' })], 'fails'], ['structural', 'in', [open(1 / 8, { corner: true, from: 'lack of fusion' })], 'passes'],
    ['pressure', 'in', [open(1 / 8), open(1 / 8), open(1 / 8), open(1 / 8)], 'passes'], ['pressure', 'in', [open(0.13)], 'fails'], ['pressure', 'in', [open(0.5, { corner: true })], 'passes'], ['pressure', 'in', [open(0.13, { corner: true, from: 'slag' })], 'fails'],
    ['ISO', 'mm', [open(2.9)], 'passes'], ['ISO', 'mm', [open(3)], 'fails'], ['ISO', 'mm', [open(2.5), open(2.5), open(2.5), open(2.5)], 'passes'], ['ISO', 'mm', [open(2.6), open(2.6), open(2.6), open(2.6)], 'fails'], ['ISO', 'mm', [open(0.9), open(2.5), open(2.5), open(2.5), open(2.5)], 'passes'],
    ['pipeline', 'in', [open(1 / 8)], 'passes'], ['pipeline', 'in', [open(0.13)], 'fails'], ['pipeline', 'in', [open(0.24, { corner: true })], 'passes'], ['pipeline', 'in', [open(0.25, { corner: true })], 'fails'],
  ] as const)('%s, %s: %j %s', (family, unit, openings, outcome) => expect(judged(family, unit, ...openings)).toBe(outcome))
  it('half a thin wall is the pipeline’s limit', () => {
    expect(bendVerdict('pipeline', 'in', [open(0.11)], 0.2).outcome).toBe('fails')
    expect(bendVerdict('pipeline', 'in', [open(0.1)], 0.2).outcome).toBe('passes')
  })
})

describe('dates', () => {
  it.each([
    ['structural', '2026-03-15', '2026-09-15'], ['pressure', '2026-03-15', '2026-09-14'], ['structural', '2026-08-31', '2027-02-28'], ['structural', '2027-08-31', '2028-02-29'], ['pressure', '2026-08-31', '2027-02-27'], ['ISO', '2026-02-28', '2026-08-28'],
    // Over both changes of the clock.
    ['structural', '2026-01-25', '2026-07-25'], ['structural', '2026-09-30', '2027-03-30'],
  ] as const)('%s, last used %s: stands to %s', (family, used, last) => expect(keptUntil(family, used).lastDay).toBe(last))
  it('counts days over the change of the clock', () => expect([daysUntil('2026-10-24', '2026-10-26'), daysUntil('2026-03-28', '2026-03-30'), daysUntil('2026-05-02', '2026-05-01')]).toEqual([2, 2, -1]))
  it('ISO tests stand three years', () => expect([testedAgainBy('2026-02-28'), testedAgainBy('2024-02-29')]).toEqual(['2029-02-28', '2027-02-28']))
})

describe('what is impossible is refused, with why', () => {
  it.each([
    ['a pipe position on plate', plate('structural', '6G', inches(3 / 8), { progression: 'up' }), 'position', /position of pipe/], ['a fillet position on a groove', { ...plate('structural', '3F'), weld: 'groove' as const }, 'position', /position of fillets/],
    ['a wall thicker than the pipe', pipe('structural', '6G', 2.375, 1.2), 'thicknessMm', /half of the outside/], ['a pipe with no diameter', { ...pipe('structural', '6G', 2.375, 0.2), outsideMm: null }, 'outsideMm', /outside diameter/],
    ['deposits that do not add up', plate('structural', '3G', inches(3 / 8), { fillers: fillers(3) }), 'fillers', /adds up to the thickness/], ['no filler', plate('structural', '3G', inches(3 / 8), { fillers: [] }), 'fillers', /At least one/], ['3G with no way', { ...plate('structural', '3G'), progression: null }, 'progression', /Up or down/],
    ['2G with a way', plate('structural', '2G', inches(3 / 8), { progression: 'up' }), 'progression', /no up or down/], ['no thickness', plate('structural', '2G', 0), 'thicknessMm', /over nothing/],
  ] as const)('%s', (_, test, path, message) => {
    expect(testFaults(test).find(fault => fault.path === path)?.message).toMatch(message)
    expect(() => qualifies([test])).toThrow()
  })
  it('tests of two families are not added up', () => expect(() => qualifies([plate('structural', '3G'), plate('pressure', '4G')])).toThrow(/one family/))
  it('names the families there are', () => expect(() => familyOfCode('moon')).toThrow(/structural, pressure, ISO, pipeline/))
})

describe('in words', () => {
  it('3G and 4G plate, structural: each sentence with its clause', () => {
    const said = sayQualified(qualifies([plate('structural', '3G'), plate('structural', '4G')]))
    expect(said.map(row => row.text)).toEqual(expect.arrayContaining(['Grooves in plate: all positions', 'Fillets: all positions', 'Thickness: 1/8 to 3/4 in', 'Backing: with backing or backgouging only', 'Vertical up']))
    expect(said.every(row => row.clause.startsWith('AWS D1.1 '))).toBe(true)
    expect(new Set(said.map(row => row.text)).size).toBe(said.length)
  })
  it('every family says what a retest takes', () => expect(CODE_FAMILIES.every(family => RETESTS[family.id].atOnce.length > 0)).toBe(true))
  it('a limit holds both printed values, and the unit picks one', () => {
    const limit = printed(3 / 8, 10)
    expect([isOver(sizeIn(9.8, 'mm'), limit), isOver(sizeIn(9.8, 'in'), limit), isOver(sizeIn(inches(3 / 8), 'in'), limit), isUnder(sizeIn(inches(3 / 8), 'in'), limit)]).toEqual([false, true, false, false])
    expect(isWithin({ unit: 'in', value: 0.125 }, { unit: 'in', least: 1 / 8, most: null })).toBe(true)
    expect(sayRange({ unit: 'in', least: null, most: null })).toBe('any')
  })
})

describe('the fewest tests', () => {
  const onPlate = (family: FamilyId): TestTaken[] => (['1G', '2G', '3G', '4G'] as const).map(position => plate(family, position))
  const wanted = (more: Partial<Wanted> = {}): Wanted => ({ family: 'structural', on: 'plate', grooves: ALL_WELDED, fillets: ALL_WELDED, thicknessMm: inches(1 / 2), outsideMm: null, openRoot: false, progression: 'up', ...more })
  it('all positions on plate: 3G and 4G in the structural code, a 2G more in the pressure code', () => {
    expect(fewestTests(wanted(), onPlate('structural')).map(set => set.map(test => test.position))).toEqual([['3G', '4G']])
    expect(fewestTests(wanted({ family: 'pressure' }), onPlate('pressure')).map(set => set.map(test => test.position))).toEqual([['2G', '3G', '4G']])
  })
  it('a 6G pipe alone covers everything', () => expect(fewestTests(wanted({ on: 'pipe', outsideMm: inches(6.625), thicknessMm: inches(0.432) }), [pipe('structural', '2G', 6.625, 0.432), pipe('structural', '5G', 6.625, 0.432), pipe('structural', '6G', 6.625, 0.432)])).toHaveLength(1))
  it('nothing covers a thickness that no piece earns', () => expect(fewestTests(wanted({ thicknessMm: inches(2) }), onPlate('structural'))).toEqual([]))
  it('agrees with looking at every set', () => {
    const pieces = [...onPlate('structural'), pipe('structural', '2G', 6.625, 0.432), pipe('structural', '5G', 6.625, 0.432), pipe('structural', '6G', 6.625, 0.432)]
    fc.assert(fc.property(fc.subarray([...ALL_WELDED], { minLength: 1 }), fc.subarray([...ALL_WELDED]), fc.subarray(pieces, { minLength: 1 }), (grooves, fillets, some) => {
      const aim = wanted({ grooves, fillets, thicknessMm: inches(1 / 2) })
      const found = fewestTests(aim, some)
      let best = Infinity
      for (let mask = 1; mask < 1 << some.length; mask++) {
        const set = some.filter((_, n) => mask & (1 << n))
        if (covers(set, aim) && set.length < best) best = set.length
      }
      expect(found[0]?.length ?? Infinity).toBe(best)
    }), { numRuns: 60 })
  })
})
