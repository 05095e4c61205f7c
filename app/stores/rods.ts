import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import {
  exposureOf,
  handfulsOf,
  hoursAllowed,
  isPast,
  lotName,
  type Exposure,
  type Handful,
  type RodLot,
  type SaidOfRods,
} from '~~/core/rodRoom'
import type { Ticket } from '~~/core/coupon'
import type { OvenReadingSave, RodLotSave, RodRoom } from '~~/contract/rodRoom'
import { useHouseRules } from './houseRules'
import { request } from './request'

/** A handful with its lot, and its clock where it has one. */
export interface DrawnRods extends Handful {
  readonly lot: RodLot
  /** How long such rods may be out, h, and how they stand; null for rods without a clock. */
  readonly hours: number | null
  readonly exposure: Exposure | null
}

const NOTHING: RodRoom = { now: '', lots: [], stock: {}, movements: [], names: {}, ovens: [] }
const NOTHING_SAID: Omit<SaidOfRods, 'lotId' | 'kind'> = {
  count: 0,
  handfulId: null,
  studentId: null,
  booth: null,
  stubs: null,
  why: '',
}

/** A ticket that says of which lot its rods are, and for how long they have been out: to a tenth of an hour. */
export const ofRods = (ticket: Ticket, { lot, hours, exposure }: DrawnRods): Ticket => ({
  ...ticket,
  ...(exposure &&
    hours !== null && {
      hoursOut: Math.round(10 * exposure.usedHours) / 10,
      lot: { makersLot: lot.makersLot, hoursAllowed: hours },
    }),
})

/** The rod room: lots, what there is of each, and who has what in the hand. */
export const useRods = defineStore('rods', () => {
  const houseRules = useHouseRules()
  const room = shallowRef<RodRoom>(NOTHING)
  const loaded = ref(false)
  /** By how much the server's clock is ahead of this device's, ms. */
  let aheadMs = 0

  async function load(): Promise<void> {
    room.value = await request<RodRoom>('GET', '/api/rods')
    aheadMs = Date.parse(room.value.now) - Date.now()
    loaded.value = true
  }

  /** @throws RequestFailure with the field that is wrong */
  async function keepLot(id: string | null, lot: RodLotSave): Promise<void> {
    await request('PUT', `/api/rod-lots/${id ?? uuid()}`, lot)
    await load()
  }

  /**
   * Writes a line into the book. @param id of the line: made once for what a person does, so that a second try is the
   * same line
   * @throws RequestFailure with the field that is wrong, or 409 with why it cannot be
   */
  async function write(id: string, said: Pick<SaidOfRods, 'lotId' | 'kind'> & Partial<SaidOfRods>): Promise<void> {
    try {
      await request('PUT', `/api/rod-movements/${id}`, { ...NOTHING_SAID, ...said })
    } finally {
      await load().catch(() => {})
    }
  }

  async function noteOven(reading: OvenReadingSave): Promise<void> {
    await request('PUT', `/api/oven-readings/${uuid()}`, reading)
    await load()
  }

  /**
   * Handfuls that are in a hand, or lie apart in the oven, as they stand at a moment.
   * @param moment by this device's clock
   */
  function drawnAt(moment: Date): DrawnRods[] {
    const now = new Date(moment.getTime() + aheadMs)
    const lots = new Map(room.value.lots.map(lot => [lot.id, lot]))
    return handfulsOf(room.value.movements).flatMap(handful => {
      const lot = lots.get(handful.lotId)
      if (!lot) return []
      const hours = hoursAllowed(lot, houseRules.current.rules.exposureHours)
      return [{ ...handful, lot, hours, exposure: hours === null ? null : exposureOf(handful.events, hours, now) }]
    })
  }

  /** What a student has in the hand of a rod, drawn last; null where nobody wrote that any was drawn. */
  const inHand = (
    studentId: string,
    { classification, diameterMm }: Pick<RodLot, 'classification' | 'diameterMm'>,
    now: Date,
  ): DrawnRods | null =>
    drawnAt(now).findLast(
      one =>
        one.studentId === studentId &&
        one.out > 0 &&
        one.lot.classification === classification &&
        Math.abs(one.lot.diameterMm - diameterMm) < 0.01,
    ) ?? null

  /** What a student has in the hand that is past its hours, in words; empty where nothing is. */
  function outOfDate(studentId: string, now: Date): string {
    const late = drawnAt(now).find(
      one => one.studentId === studentId && one.out > 0 && one.exposure && isPast(one.exposure),
    )
    return late ? `${lotName(late.lot)} is past its hours: draw fresh rods first` : ''
  }

  return { room, loaded, load, keepLot, write, noteOven, drawnAt, inHand, outOfDate }
})
