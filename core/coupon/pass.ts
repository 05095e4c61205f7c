import type { Polarity, Process, Travel } from '../trade'

/** Which side of a piece is looked at. The root is seen where it is open; the far side is the second one welded. */
export type Face = 'face' | 'far side' | 'root'

export type PassRole = 'root' | 'hot' | 'fill' | 'cap' | 'single'
export const PASS_ROLES: readonly PassRole[] = ['root', 'hot', 'fill', 'cap', 'single']

/** More passes than this are not kept of one joint: 2 in of plate takes about 35 with 1/8 in rods. */
export const MOST_PASSES = 40

/** How the metal was cleaned before the next pass. */
export const CLEANED = ['brush', '1/8 in grinding disc', '1/4 in grinding disc', 'flap disc', 'not cleaned'] as const
/** How hot the piece was when the pass was begun, by hand; a thermometer's figure may stand beside it. */
export const FELT = ['cold', 'warm', 'too hot to touch'] as const

/** What is kept of how a pass was run; every part of it is optional on practice. */
export interface PassLog {
  /** Who welded it, when it was not the coupon's own student. */
  readonly by?: string
  readonly cleaned?: (typeof CLEANED)[number]
  readonly felt?: (typeof FELT)[number]
  readonly interpassC?: number
  /** Clock time of the class day, `18:05`. */
  readonly started?: string
  readonly ended?: string
}

/** One run along a joint, with what it was set to. Current A, diameter mm. */
export interface Pass {
  readonly id: string
  readonly face: Exclude<Face, 'root'>
  /** From 1, on its own face. */
  readonly layer: number
  readonly role: PassRole
  readonly process: Process
  /** A covered electrode, or for GTAW a bare rod. */
  readonly classification: string
  readonly diameterMm: number
  readonly currentA: number
  readonly polarity: Polarity
  readonly travel: Travel
  readonly log?: PassLog
}
