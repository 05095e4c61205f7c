import { describe, expect, it } from 'vitest'
import { DISCONTINUITIES, ELECTRODES, decodeClassification, discontinuityOf, electrodeOf, positionOf, rodSizeOf } from '.'

describe('classification, as AWS A5.1/A5.1M:2012 builds it (from memory)', () => {
  it('reads E7018-1 H4R part by part', () => {
    const read = decodeClassification('e7018-1 h4r')
    expect(read.tensileKsi).toBe(70)
    expect(read.positionDigit).toBe(1)
    expect(read.electrode.classification).toBe('E7018')
    expect(read.suffixes).toEqual(['-1', 'H4', 'R'])
  })

  it('knows H16 from H1 and M', () => expect(decodeClassification('E7018M H16').suffixes).toEqual(['M', 'H16']))

  it.each([['7018', /starts with E/], ['E9018', /strength/], ['E7038', /position digit/], ['E7019', /covering/], ['E7018 H5', /suffix/]])('says which part of %s is wrong', (text, part) => {
    expect(() => decodeClassification(text)).toThrow(part)
  })
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
