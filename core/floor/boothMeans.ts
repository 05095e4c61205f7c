import { isFixedPipe, runAs, type PadPosition, type PieceKind, type Polarity, type PositionId } from '../trade'

/** How a piece lies in a booth. */
export const PLATE_LIES: readonly PadPosition[] = ['1G', '2G', '3G', '4G']

/** What a booth is good for, where it is not good for everything. */
export interface BoothMeans {
  /** How its table or arm holds a plate. */
  readonly lies: readonly PadPosition[]
  readonly pipeStand: boolean
  readonly ac: boolean
  /** The most that its machine gives, A; null where it is enough for every rod. */
  readonly mostA: number | null
}

/** A booth of which nothing is said is good for everything. */
export const ALL_MEANS: BoothMeans = { lies: PLATE_LIES, pipeStand: true, ac: true, mostA: null }

/** What a coupon asks of its booth; current in A. */
export interface BoothNeed {
  readonly piece: PieceKind
  readonly position: PositionId
  readonly currentA: number
  readonly polarity: Polarity
}

const LIE_NAMES: Readonly<Record<PadPosition, string>> = {
  '1G': 'flat',
  '2G': 'horizontal',
  '3G': 'vertical',
  '4G': 'overhead',
}
export const nameOfLie = (lie: PadPosition): string => LIE_NAMES[lie]

/** Pieces that are set in a stand: a butt joint in pipe. A short pipe on a plate is clamped like a plate. */
const inStand = (piece: PieceKind) => piece === 'pipe butt'

/**
 * Why a coupon cannot be run in a booth, in words that follow its number; empty where it can.
 * @example boothLacks({ ...ALL_MEANS, ac: false }, { ...need, polarity: 'AC' }) // 'has no AC'
 */
export function boothLacks(means: BoothMeans, { piece, position, currentA, polarity }: BoothNeed): string {
  if (inStand(piece) && !means.pipeStand) return 'has no pipe stand'
  const lie = isFixedPipe(position) ? null : runAs(position)
  if (!inStand(piece) && lie && !means.lies.includes(lie)) return `does not hold a plate ${nameOfLie(lie)}`
  if (polarity === 'AC' && !means.ac) return 'has no AC'
  if (means.mostA !== null && currentA > means.mostA) return `gives no more than ${means.mostA} A`
  return ''
}
