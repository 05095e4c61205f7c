import { describe, expect, it } from 'vitest'
import {
  cautionsFor,
  DISCONTINUITIES,
  ELECTRODES,
  discontinuityOf,
  electrodeOf,
  isFixedPipe,
  localPositionAt,
  localPositions,
  PIECES,
  pieceOf,
  positionOf,
  POSITIONS,
  positionsFor,
  quadrantAt,
  parseClassification,
  runAs,
  sayClock,
  rodSizeOf,
} from '.'

describe('classification, as AWS A5.1/A5.1M:2012 builds it (from memory)', () => {
  it('reads E7018-1 H4R part by part', () => {
    const read = parseClassification('e7018-1 h4r')
    expect(read.ok).toBe(true)
    expect(read.parts.map(part => part.text)).toEqual(['E', '70', '1', '8', '-1', 'H4', 'R'])
    expect(read.parts[1]!.means).toContain('70 ksi (490 MPa)')
    expect(read.parts[3]!.means).toContain('iron powder')
    expect(read.electrode?.classification).toBe('E7018-1')
    expect(parseClassification('E7016-1 H4').electrode?.classification).toBe('E7016')
    expect(parseClassification('E7018 H4R').electrode?.classification).toBe('E7018')
  })
  it('knows H16 from H1, and M', () =>
    expect(
      parseClassification('E7018M H16')
        .parts.slice(4)
        .map(part => part.text),
    ).toEqual(['M', 'H16']))
  it('reads a class that is not kept here', () =>
    expect(parseClassification('E7028')).toMatchObject({ ok: true, electrode: null }))

  // ISO 2560-B beside A5.1, from memory.
  it.each([
    ['E6010', 'E4310'],
    ['E6013', 'E4313'],
    ['E7014', 'E4914'],
    ['E7018', 'E4918'],
    ['E7024', 'E4924'],
  ])('%s is %s in ISO 2560-B', (aws, iso) => {
    expect(parseClassification(aws).iso2560B).toBe(iso)
  })

  it.each([
    ['7018', '', /starts with E/],
    ['E9018', '90', /60 or 70/],
    ['E7038', '3', /1, 2 or 4/],
    ['E7019', '9', /No covering 19/],
    ['E7018 H5', 'H5', /suffix/],
    ['E6013 H4', 'H4', /E6013 has no H4/],
    ['E7024R', 'R', /E7024 has no R/],
    ['E308L-16', 'E308L-16', /A5.4/],
    ['rod', 'rod', /like E7018/],
  ])('says which part of %s is wrong', (text, part, wrong) => {
    const bad = parseClassification(text).parts.filter(one => one.wrong !== null)
    expect(bad[0]!.text).toBe(part)
    expect(bad[0]!.wrong).toMatch(wrong)
    expect(parseClassification(text)).toMatchObject({ ok: false, electrode: null, iso2560B: null })
  })
})

it('gives the cautions of a position after those that always hold', () => {
  const always = cautionsFor([])
  expect(always.every(caution => caution.topic === 'always')).toBe(true)
  expect(cautionsFor(['overhead', 'stubs']).length).toBe(always.length + 3)
})

// Table 1 of A5.1/A5.1M:2012 and the F-numbers of AWS D1.1 and ASME IX QW-432, from memory.
it.each([
  ['E6010', ['DCEP'], 3],
  ['E6011', ['AC', 'DCEP'], 3],
  ['E6012', ['AC', 'DCEN'], 2],
  ['E6013', ['AC', 'DCEP', 'DCEN'], 2],
  ['E7014', ['AC', 'DCEP', 'DCEN'], 2],
  ['E7016', ['AC', 'DCEP'], 4],
  ['E7018', ['AC', 'DCEP'], 4],
  ['E7024', ['AC', 'DCEP', 'DCEN'], 1],
])('%s runs on %s and is in F%d', (classification, currents, fNumber) => {
  const electrode = electrodeOf(classification as string)
  expect([...electrode.currents].sort()).toEqual([...(currents as string[])].sort())
  expect(electrode.fNumber).toBe(fNumber)
})

it('keeps E7024 to flat work and horizontal fillets', () => {
  expect(electrodeOf('E7024').positions).toEqual(['1G', '1F', '1FR', '2F', '2FR'])
  expect(
    ELECTRODES.filter(row => row.classification !== 'E7024').every(row => row.positions.length === POSITIONS.length),
  ).toBe(true)
})

// ISO 6520-1:2007, from memory.
it.each([
  ['crack', '100'],
  ['undercut', '5011'],
  ['overlap', '506'],
  ['porosity', '2017'],
  ['slag', '301'],
  ['incomplete fusion', '401'],
  ['arc strike', '601'],
  ['spatter', '602'],
])('%s is ISO 6520-1 %s', (id, number) => {
  expect(discontinuityOf(id).iso6520).toBe(number)
})

it('names each discontinuity once', () =>
  expect(new Set(DISCONTINUITIES.map(row => row.name)).size).toBe(DISCONTINUITIES.length))

it('refuses what it does not keep, and says what it keeps', () => {
  expect(() => positionOf('7G')).toThrow(/1G, 2G, 3G, 4G/)
  expect(() => rodSizeOf(3)).toThrow(/1\/8 in/)
  expect(() => electrodeOf('E7010')).toThrow(/E6010/)
  expect(() => discontinuityOf('rust')).toThrow(/rust/)
})

describe('positions', () => {
  // AWS A3.0 and ISO 6947, as the reference table pairs them (from memory).
  it.each([
    ['1G', 'PA'],
    ['1F', 'PA'],
    ['1FR', 'PA'],
    ['2F', 'PB'],
    ['2FR', 'PB'],
    ['2G', 'PC'],
    ['4F', 'PD'],
    ['4G', 'PE'],
    ['3G', 'PF'],
    ['3F', 'PF'],
    ['5G', 'PH'],
    ['5F', 'PH'],
    ['6G', 'H-L045'],
    ['6GR', ''],
  ])('%s is %s in ISO 6947', (aws, iso) => {
    expect(positionOf(aws).iso6947).toBe(iso)
  })
  it('each piece has those of its weld, and none has another’s', () => {
    expect(positionsFor('pad')).toEqual(['1G', '2G', '3G', '4G'])
    expect(positionsFor('pipe butt')).toEqual(['1G', '2G', '5G', '6G', '6GR'])
    expect(positionsFor('T')).toEqual(['1F', '2F', '3F', '4F'])
    expect(positionsFor('pipe to plate')).toEqual(['2F', '4F', '1FR', '2FR', '5F', '6F'])
    for (const { kind } of PIECES) expect(positionsFor(kind).length).toBeGreaterThan(0)
  })
  it('a fixed pipe is one that is welded up or down', () => {
    expect(POSITIONS.filter(position => isFixedPipe(position.id)).map(position => position.id)).toEqual([
      '5G',
      '6G',
      '6GR',
      '5F',
      '6F',
    ])
  })
  it('each is run as one a pad is run in', () =>
    expect(['2F', '2FR', '4F', '6G', '1FR'].map(id => runAs(positionOf(id).id))).toEqual([
      '2G',
      '2G',
      '4G',
      '3G',
      '1G',
    ]))
  it('refuses a piece that is not kept', () => expect(() => pieceOf('gate')).toThrow(/pipe butt/))
})

describe('round a pipe', () => {
  // Common practice: a welder in 5G is overhead at 6, vertical at 3 and 9, flat at 12.
  it.each([
    ['5G', 0, 'flat'],
    ['5G', 180, 'overhead'],
    ['5G', 90, 'vertical'],
    ['5G', 270, 'vertical'],
    ['5G', 359, 'flat'],
    ['6G', 0, 'horizontal'],
    ['6G', 180, 'overhead'],
    ['2G', 77, 'horizontal'],
    ['1G', 180, 'flat'],
    ['4F', 10, 'overhead'],
  ] as const)('%s at %i° is %s', (position, degrees, local) => {
    expect(localPositionAt(position, degrees)).toBe(local)
  })
  it('the arcs of every pipe position make one whole circle', () => {
    for (const { id } of POSITIONS.filter(position => position.on.some(kind => kind.startsWith('pipe')))) {
      const arcs = localPositions(id)
      expect([arcs[0]!.fromDegrees, arcs.at(-1)!.toDegrees]).toEqual([0, 360])
      arcs.slice(1).forEach((arc, n) => expect(arc.fromDegrees).toBe(arcs[n]!.toDegrees))
    }
    expect(() => localPositions('3G')).toThrow(/no position of pipe/)
  })
  it('a place is said by the clock, to the half hour', () => {
    expect([0, 90, 135, 180, 270, 352, 353, 360].map(sayClock)).toEqual([
      '12',
      '3',
      '4:30',
      '6',
      '9',
      '11:30',
      '12',
      '12',
    ])
  })
  it('a quarter begins at its border', () =>
    expect([0, 89, 90, 180, 270, 359, 360].map(quadrantAt)).toEqual([
      '12 to 3',
      '12 to 3',
      '3 to 6',
      '6 to 9',
      '9 to 12',
      '9 to 12',
      '12 to 3',
    ]))
})
