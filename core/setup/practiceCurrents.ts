import type { PadPosition, Polarity, Travel } from '../trade'
import { burnsAs, rodSizeOf } from '../trade'
import type { Joint, CardPass } from './joint'

/** What is to be welded, as far as the current depends on it. */
export interface CurrentCase {
  readonly classification: string
  readonly diameterMm: number
  /** As printed on the box. */
  readonly make?: string
  readonly position: PadPosition
  readonly joint: Joint
  readonly pass: CardPass
  readonly travel?: Travel
  readonly polarity?: Polarity
  /** Plate, mm. */
  readonly thicknessMm?: number
}

/** A current that schools run: a start and a window, A, for a rod under the conditions that are named. */
export interface PracticeCurrent {
  readonly startA: number
  readonly lowA: number
  readonly highA: number
  /** Where it is run, in words. */
  readonly where: string
  /** It is stated for thin plate: nothing more comes off for that. */
  readonly onThin?: true
}

interface Row extends PracticeCurrent {
  /** Class and size; several where they run alike. */
  readonly rod: string | readonly string[]
  readonly position?: PadPosition
  readonly positions?: readonly PadPosition[]
  readonly joints?: readonly Joint[]
  readonly passes?: readonly CardPass[]
  readonly travel?: Travel
  readonly polarity?: Polarity
  /** Only for plates up to this, or from this on, mm. */
  readonly upToMm?: number
  readonly fromMm?: number
}

/** Source: common practice. Rutile rods of 2.5 and 3.2 mm are kept as 3/32 and 1/8 in. */
const ROWS: readonly Row[] = [
  { rod: 'E7018 3/32', position: '1G', startA: 90, lowA: 85, highA: 95, where: 'flat' },
  { rod: 'E7018 3/32', position: '2G', startA: 90, lowA: 80, highA: 95, where: 'horizontal' },
  { rod: 'E7018 3/32', position: '3G', startA: 80, lowA: 75, highA: 90, where: 'vertical up' },
  { rod: 'E7018 3/32', position: '4G', startA: 95, lowA: 85, highA: 100, where: 'overhead' },
  {
    rod: 'E7018 3/32',
    upToMm: 3.2,
    position: '1G',
    startA: 80,
    lowA: 75,
    highA: 85,
    where: '1/8 in plate',
    onThin: true,
  },
  { rod: 'E7018 1/8', position: '1G', startA: 125, lowA: 110, highA: 150, where: 'flat' },
  { rod: 'E7018 1/8', position: '2G', startA: 125, lowA: 110, highA: 135, where: 'horizontal' },
  { rod: 'E7018 1/8', position: '3G', startA: 110, lowA: 100, highA: 115, where: 'vertical up' },
  { rod: 'E7018 1/8', position: '4G', startA: 125, lowA: 110, highA: 140, where: 'overhead' },
  { rod: 'E7018 5/32', position: '3G', startA: 130, lowA: 125, highA: 140, where: 'vertical up' },
  {
    rod: ['E6010 1/8', 'E6011 1/8'],
    joints: ['V, open root'],
    passes: ['root'],
    startA: 80,
    lowA: 75,
    highA: 85,
    where: 'open root',
  },
  {
    rod: ['E6010 1/8', 'E6011 1/8'],
    joints: ['V, open root'],
    passes: ['hot'],
    startA: 90,
    lowA: 80,
    highA: 95,
    where: 'hot pass, 5 to 10 A over the root',
  },
  {
    rod: 'E6010 5/32',
    joints: ['V, open root'],
    passes: ['root'],
    travel: 'up',
    startA: 95,
    lowA: 85,
    highA: 110,
    where: 'open root, uphill',
  },
  {
    rod: 'E6010 5/32',
    joints: ['V, open root'],
    passes: ['hot'],
    travel: 'up',
    startA: 105,
    lowA: 90,
    highA: 120,
    where: 'hot pass, 5 to 10 A over the root',
  },
  // By the core: as many amperes a millimetre as the 1/8 in rod takes in the same root.
  {
    rod: 'E6010 3/32',
    joints: ['V, open root'],
    passes: ['root'],
    startA: 60,
    lowA: 55,
    highA: 65,
    where: 'open root',
  },
  {
    rod: 'E6010 3/32',
    joints: ['V, open root'],
    passes: ['hot'],
    startA: 65,
    lowA: 60,
    highA: 75,
    where: 'hot pass, 5 to 10 A over the root',
  },
  {
    rod: 'E6010 3/32',
    joints: ['pad', 'square butt', 'T', 'lap', 'outside corner'],
    position: '3G',
    travel: 'down',
    upToMm: 6,
    onThin: true,
    startA: 80,
    lowA: 75,
    highA: 85,
    where: 'vertical down on thin plate',
  },
  { rod: 'E6013 1/8', position: '1G', startA: 115, lowA: 110, highA: 130, where: 'flat on DC' },
  { rod: 'E6013 1/8', position: '1G', polarity: 'AC', startA: 130, lowA: 115, highA: 140, where: 'flat on AC' },
  {
    rod: 'E6013 1/8',
    position: '3G',
    travel: 'up',
    startA: 105,
    lowA: 100,
    highA: 115,
    where: 'vertical up, 5 to 10 A under flat',
  },
  {
    rod: 'E6013 1/8',
    position: '3G',
    travel: 'down',
    startA: 120,
    lowA: 115,
    highA: 130,
    where: 'vertical down, 5 to 10 A over flat',
  },
  {
    rod: 'E6013 3/32',
    position: '1G',
    joints: ['square butt', 'pad'],
    startA: 80,
    lowA: 75,
    highA: 90,
    where: 'flat butt on 5 mm plate',
  },
  {
    rod: 'E6013 3/32',
    positions: ['1G', '2G'],
    joints: ['T', 'lap'],
    passes: ['first', 'bead'],
    fromMm: 10,
    startA: 100,
    lowA: 90,
    highA: 105,
    where: 'first bead of a fillet on 12 mm plate',
  },
  {
    rod: 'E6013 3/32',
    positions: ['1G', '2G'],
    joints: ['T'],
    passes: ['second', 'third'],
    fromMm: 10,
    startA: 90,
    lowA: 85,
    highA: 95,
    where: 'second and third bead of a fillet on 12 mm plate',
  },
  {
    rod: 'E308L-16 3/32',
    position: '1G',
    joints: ['square butt', 'pad'],
    upToMm: 3,
    onThin: true,
    startA: 55,
    lowA: 50,
    highA: 65,
    where: '2.5 mm stainless sheet',
  },
  {
    rod: 'E6013 3/32',
    position: '3G',
    travel: 'up',
    startA: 80,
    lowA: 75,
    highA: 85,
    where: 'vertical up on 12 mm plate',
  },
]

/** How many conditions a row names: of two that fit, the closer one is meant. */
const closeness = (row: Row) =>
  [row.position ?? row.positions, row.joints, row.passes, row.travel, row.polarity, row.upToMm ?? row.fromMm].filter(
    condition => condition !== undefined,
  ).length

function fits(row: Row, wanted: CurrentCase): boolean {
  return (
    [row.rod].flat().includes(`${burnsAs(wanted.classification)} ${rodSizeOf(wanted.diameterMm).soldFor}`) &&
    (row.position === undefined || row.position === wanted.position) &&
    (row.positions === undefined || row.positions.includes(wanted.position)) &&
    (row.joints === undefined || row.joints.includes(wanted.joint)) &&
    (row.passes === undefined || row.passes.includes(wanted.pass)) &&
    (row.travel === undefined || row.travel === wanted.travel) &&
    (row.polarity === undefined || row.polarity === wanted.polarity) &&
    (row.upToMm === undefined || (wanted.thicknessMm !== undefined && wanted.thicknessMm <= row.upToMm)) &&
    (row.fromMm === undefined || wanted.thicknessMm === undefined || wanted.thicknessMm >= row.fromMm)
  )
}

/**
 * What schools run for a case; the row that names most of its conditions. Null when practice names none.
 * @example practiceOf({ classification: 'E6010', diameterMm: 3.175, position: '3G', joint: 'V, open root', pass:
 *   'root' }).startA // 80
 */
export function practiceOf(wanted: CurrentCase): PracticeCurrent | null {
  return ROWS.filter(row => fits(row, wanted)).sort((a, b) => closeness(b) - closeness(a))[0] ?? null
}
