import { hasGroove, isFilletPiece, thicknessOf, usualPiece, type Pass, type Piece } from '../coupon'
import { pipeOf, positionOf, type Travel } from '../trade'
import { inches, type LengthUnit } from '../units'
import type { TestPosition } from './testPlace'
import type { FillerUsed, TestTaken } from './testTaken'

/** A test piece as schools run it. */
export interface TestPiece {
  readonly id: string
  readonly name: string
  readonly position: TestPosition
  readonly travel: Travel
  readonly piece: Piece
  /** The rod that fills, and its core. */
  readonly classification: string
  readonly diameterMm: number
  /** Root and hot pass run with GTAW. */
  readonly gtawRoot: boolean
}

const EIGHTH = inches(1 / 8)
const SMALL_ROD = inches(3 / 32)

const piece = (
  id: string,
  name: string,
  position: TestPosition,
  made: Piece,
  diameterMm: number,
  gtawRoot = false,
): TestPiece => ({
  id,
  name,
  position,
  travel: positionOf(position).travel[0]!,
  piece: made,
  classification: 'E7018',
  diameterMm,
  gtawRoot,
})

/** Plates as the unit's codes print them: 3/8 in or 10 mm for limited thickness, 1 in or 25 mm for unlimited. */
const PLATES = {
  in: { thin: [inches(3 / 8), '3/8 in'], thick: [inches(1), '1 in'], fillet: [inches(1 / 2), '1/2 in'] },
  mm: { thin: [10, '10 mm'], thick: [25, '25 mm'], fillet: [12, '12 mm'] },
} as const

function platePiece(position: TestPosition, size: 'thin' | 'thick', open: boolean, unit: LengthUnit): TestPiece {
  const [thicknessMm, name] = PLATES[unit][size]
  const made = { ...usualPiece('plate groove', open), thicknessMm } as Piece
  return piece(
    `${open ? 'open-root' : size === 'thick' ? 'thick' : 'plate'}-${position.toLowerCase()}`,
    `${position} plate, ${name}, ${open ? 'open root' : 'backing'}`,
    position,
    made,
    EIGHTH,
  )
}

function filletPiece(position: TestPosition, unit: LengthUnit): TestPiece {
  const [thicknessMm, name] = PLATES[unit].fillet
  return piece(
    `fillet-${position.toLowerCase()}`,
    `${position} T fillet, ${name} plates`,
    position,
    { ...usualPiece('T'), thicknessMm, lengthMm: inches(9), legMm: inches(5 / 16) } as Piece,
    EIGHTH,
  )
}

function pipePiece(position: TestPosition, size: string, gtawRoot = false): TestPiece {
  const [nps, , schedule] = size.split(' ')
  const usual = size === '2 Sch 80' || size === '6 Sch 80'
  const id = `pipe-${nps}${usual ? '' : `-${schedule}`}-${position.toLowerCase()}${gtawRoot ? '-gtaw' : ''}`
  return piece(
    id,
    `${position} pipe, NPS ${size}${gtawRoot ? ', GTAW root' : ''}`,
    position,
    { ...usualPiece('pipe butt'), pipe: size } as Piece,
    Number(nps) <= 2 ? SMALL_ROD : EIGHTH,
    gtawRoot,
  )
}

/**
 * Test pieces that schools run, in plates as the unit prints them. Source: usual welder test pieces of the
 * structural and pressure codes, from memory,
 * check your copy; the code in force and the qualified inspector decide.
 */
export const testPieces = (unit: LengthUnit): readonly TestPiece[] => [
  ...(['2G', '3G', '4G'] as const).map(position => platePiece(position, 'thin', false, unit)),
  ...(['3G', '4G'] as const).map(position => platePiece(position, 'thin', true, unit)),
  pipePiece('2G', '2 Sch 80'),
  pipePiece('5G', '2 Sch 80'),
  pipePiece('6G', '2 Sch 80'),
  pipePiece('6G', '6 Sch 80'),
  pipePiece('2G', '6 Sch 80'),
  pipePiece('5G', '6 Sch 80'),
  pipePiece('6G', '6 Sch 120'),
  pipePiece('6G', '8 Sch 80'),
  pipePiece('6G', '2 Sch 80', true),
  pipePiece('6G', '6 Sch 80', true),
  ...(['2G', '3G', '4G'] as const).map(position => platePiece(position, 'thick', false, unit)),
  ...(['2F', '3F', '4F'] as const).map(position => filletPiece(position, unit)),
]

/** The test piece with this id. @throws RangeError when there is none */
export function testPieceOf(id: string, unit: LengthUnit = 'in'): TestPiece {
  const all = testPieces(unit)
  const found = all.find(one => one.id === id)
  if (!found) throw new RangeError(`No test piece "${id}"; there are ${all.map(one => one.id).join(', ')}`)
  return found
}

/**
 * A piece as a test that is taken with a number of passes. What each filler deposits is its share of the layers, as
 * planned: it is measured on the day.
 * @example takenWith(plate3G, passes, 'in').fillers[0].depositMm // 9.525
 */
export function takenWith(
  { piece: made, position, travel }: Pick<TestPiece, 'piece' | 'position' | 'travel'>,
  passes: readonly Pass[],
  unit: LengthUnit,
): TestTaken {
  const pipe = 'pipe' in made ? pipeOf(made.pipe) : null
  const thicknessMm = thicknessOf(made)
  return {
    form: pipe ? 'pipe' : 'plate',
    weld: isFilletPiece(made) ? 'fillet' : 'groove',
    position,
    thicknessMm,
    outsideMm: pipe?.outsideMm ?? null,
    backing: hasGroove(made) ? made.groove.backing : true,
    progression: travel === 'up' || travel === 'down' ? travel : null,
    fillers: fillersOf(passes, thicknessMm),
    unit,
  }
}

function fillersOf(passes: readonly Pass[], thicknessMm: number): FillerUsed[] {
  const layers = new Map<string, Set<number>>()
  for (const pass of passes)
    layers.set(pass.classification, (layers.get(pass.classification) ?? new Set()).add(pass.layer))
  const all = [...layers.values()].reduce((sum, own) => sum + own.size, 0)
  return [...layers].map(([classification, own]) => ({
    classification,
    layers: own.size,
    depositMm: (thicknessMm * own.size) / all,
    root: passes.some(
      pass => pass.classification === classification && (pass.role === 'root' || pass.role === 'single'),
    ),
  }))
}
