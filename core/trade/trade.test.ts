import { describe, expect, it } from 'vitest'
import { cautionsFor, DISCONTINUITIES, ELECTRODES, discontinuityOf, electrodeOf, positionOf, readClassification, rodSizeOf } from '.'

describe('classification, as AWS A5.1/A5.1M:2012 builds it (from memory)', () => {
  it('reads E7018-1 H4R part by part', () => {
    const read = readClassification('e7018-1 h4r')
    expect(read.ok).toBe(true)
    expect(read.parts.map(part => part.text)).toEqual(['E', '70', '1', '8', '-1', 'H4', 'R'])
    expect(read.parts[1]!.means).toContain('70 ksi (490 MPa)')
    expect(read.parts[3]!.means).toContain('iron powder')
    expect(read.electrode?.classification).toBe('E7018')
  })
  it('knows H16 from H1, and M', () => expect(readClassification('E7018M H16').parts.slice(4).map(part => part.text)).toEqual(['M', 'H16']))
  it('reads a class that is not kept here', () => expect(readClassification('E7028')).toMatchObject({ ok: true, electrode: null }))

  // ISO 2560-B beside A5.1, from memory.
  it.each([['E6010', 'E4310'], ['E6013', 'E4313'], ['E7014', 'E4914'], ['E7018', 'E4918'], ['E7024', 'E4924']])('%s is %s in ISO 2560-B', (aws, iso) => {
    expect(readClassification(aws).iso2560B).toBe(iso)
  })

  it.each([
    ['7018', '', /starts with E/], ['E9018', '90', /60 or 70/], ['E7038', '3', /1, 2 or 4/], ['E7019', '9', /No covering 19/],
    ['E7018 H5', 'H5', /suffix/], ['E6013 H4', 'H4', /E6013 has no H4/], ['E7024R', 'R', /E7024 has no R/],
    ['E308L-16', 'E308L-16', /A5.4/], ['rod', 'rod', /like E7018/],
  ])('says which part of %s is wrong', (text, part, wrong) => {
    const bad = readClassification(text).parts.filter(one => one.wrong !== null)
    expect(bad[0]!.text).toBe(part)
    expect(bad[0]!.wrong).toMatch(wrong)
    expect(readClassification(text)).toMatchObject({ ok: false, electrode: null, iso2560B: null })
  })
})

it('gives the cautions of a position after those that always hold', () => {
  const always = cautionsFor([])
  expect(always.every(caution => caution.topic === 'always')).toBe(true)
  expect(cautionsFor(['overhead', 'stubs']).length).toBe(always.length + 3)
})

// Table 1 of A5.1/A5.1M:2012 and the F-numbers of AWS D1.1 and ASME IX QW-432, from memory.
it.each([
  ['E6010', ['DCEP'], 3], ['E6011', ['AC', 'DCEP'], 3], ['E6012', ['AC', 'DCEN'], 2], ['E6013', ['AC', 'DCEP', 'DCEN'], 2],
  ['E7014', ['AC', 'DCEP', 'DCEN'], 2], ['E7016', ['AC', 'DCEP'], 4], ['E7018', ['AC', 'DCEP'], 4], ['E7024', ['AC', 'DCEP', 'DCEN'], 1],
])('%s runs on %s and is in F%d', (classification, currents, fNumber) => {
  const electrode = electrodeOf(classification as string)
  expect([...electrode.currents].sort()).toEqual([...currents as string[]].sort())
  expect(electrode.fNumber).toBe(fNumber)
})

it('keeps E7024 out of everything but flat on a pad', () => {
  expect(electrodeOf('E7024').positions).toEqual(['1G'])
  expect(ELECTRODES.filter(row => row.classification !== 'E7024').every(row => row.positions.length === 4)).toBe(true)
})

// ISO 6520-1:2007, from memory.
it.each([['crack', '100'], ['undercut', '5011'], ['overlap', '506'], ['porosity', '2017'], ['slag', '301'], ['incomplete fusion', '401'], ['arc strike', '601'], ['spatter', '602']])('%s is ISO 6520-1 %s', (id, number) => {
  expect(discontinuityOf(id).iso6520).toBe(number)
})

it('names each discontinuity once', () => expect(new Set(DISCONTINUITIES.map(row => row.name)).size).toBe(DISCONTINUITIES.length))

it('refuses what it does not keep, and says what it keeps', () => {
  expect(() => positionOf('5G')).toThrow(/1G, 2G, 3G, 4G/)
  expect(() => rodSizeOf(3)).toThrow(/1\/8 in/)
  expect(() => electrodeOf('E7010')).toThrow(/E6010/)
  expect(() => discontinuityOf('rust')).toThrow(/rust/)
})
