import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import {
  bookLine,
  exposureOf,
  handfulsOf,
  hoursAllowed,
  isPast,
  lotName,
  movementFault,
  type Exposure,
  type Handful,
  type RodLot,
  type SaidOfRods,
} from '~~/core/rodRoom'
import type { Ticket } from '~~/core/coupon'
import type {
  OvenReadingSave,
  RodBookImport,
  RodLotSave,
  RodLotsImport,
  RodRoom,
  RodsAhead,
  RodsUsed,
} from '~~/contract/rodRoom'
import { useHouseRules } from './houseRules'
import type { Intent } from '~/sync/intents'
import { reach } from '~/sync/reach'
import { ovensWith, rodsWith } from '~/sync/withWhatWaits'
import { useOutbox } from './outbox'
import { usePeople } from './people'
import { request } from './request'
import { RequestFailure } from '~/sync/requestFailure'
import { useSession } from './session'

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

/** What was done, as the list of what waits says it. */
const KIND_WORDS: Readonly<Record<SaidOfRods['kind'], string>> = {
  'received': 'rods received',
  'issued': 'rods drawn',
  'returned': 'rods brought back',
  're-dried': 'rods re-dried',
  'binned': 'rods binned',
  'counted': 'rods counted',
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
  const outbox = useOutbox()
  const session = useSession()
  const people = usePeople()
  /** By how much the server's clock is ahead of this device's, ms. */
  let aheadMs = 0
  /** As the server told it last; what waits here to be sent stands on it. */
  const told = shallowRef<RodRoom>(NOTHING)
  const waiting = computed(() => outbox.left.filter(one => one.kind === 'rods') as readonly Intent<SaidOfRods>[])
  const room = computed(() => {
    const by = { by: session.me?.name ?? '', aheadMs }
    return {
      ...rodsWith(told.value, waiting.value, by),
      ovens: ovensWith(told.value.ovens, outbox.left, by),
    }
  })
  outbox.onSaved(intent => {
    if (intent.kind === 'rods' || intent.kind === 'oven reading') void load().catch(() => {})
  })
  const loaded = ref(false)
  async function load(): Promise<void> {
    told.value = await request<RodRoom>('GET', '/api/rods')
    // What was kept from before says nothing of the clock now.
    if (reach.away === null) aheadMs = Date.parse(told.value.now) - Date.now()
    loaded.value = true
  }

  /** What was used in the last weeks: the book, and the coupons that were run. */
  const used = () => request<RodsUsed>('GET', '/api/rods/used')

  /** What the school will use of each kind, for as long as its rods are to last. */
  const ahead = () => request<RodsAhead>('GET', '/api/rods/ahead')

  /** @throws RequestFailure with the field that is wrong */
  async function keepLot(id: string | null, lot: RodLotSave): Promise<void> {
    await request('PUT', `/api/rod-lots/${id ?? uuid()}`, lot)
    await load()
  }

  /** Takes in lots from a list, all or none. @throws RequestFailure with the field that is wrong */
  async function importLots(lots: RodLotsImport): Promise<void> {
    await request('POST', '/api/rod-lots/import', lots)
    await load()
  }

  /** Takes in what happened to rods, all or none. @throws RequestFailure with the line that is wrong */
  async function importBook(book: RodBookImport): Promise<void> {
    await request('POST', '/api/rod-movements/import', book)
    await load()
  }

  /**
   * Writes a line into the book, or keeps it here while the server is away.
   * @param id of the line: made once for what a person does, so that a second try is the same line
   * @throws RequestFailure with the field that is wrong, or 409 with why it cannot be
   */
  async function write(id: string, said: Pick<SaidOfRods, 'lotId' | 'kind'> & Partial<SaidOfRods>): Promise<void> {
    const body: SaidOfRods = { ...NOTHING_SAID, ...said }
    const lot = room.value.lots.find(one => one.id === body.lotId)
    refuseWhereAway(id, body, lot)
    const student = people.students.find(one => one.id === body.studentId)?.name ?? 'Rod room'
    const about = `${KIND_WORDS[body.kind]}${lot ? `, ${lotName(lot)}` : ''}`
    try {
      await outbox.send({ kind: 'rods', id, body, student, about })
    } finally {
      await load().catch(() => {})
    }
  }

  /** Without the server its own rule is held here, as far as the book is known: what cannot be is not kept to fail. */
  function refuseWhereAway(id: string, said: SaidOfRods, lot: RodLot | undefined): void {
    if (reach.away === null || !lot) return
    const book = room.value.movements.filter(line => line.lotId === lot.id)
    const now = new Date(Date.now() + aheadMs)
    const line = bookLine(id, said, book, { by: '', now, stock: room.value.stock[lot.id] ?? 0 })
    const why = movementFault(line, lot, book, { houseHours: houseRules.current.rules.exposureHours, now })
    if (why) throw new RequestFailure(409, `${why}.`)
  }

  async function noteOven(reading: OvenReadingSave): Promise<void> {
    await outbox.send({
      kind: 'oven reading',
      id: uuid(),
      body: reading,
      student: '',
      about: `${reading.oven} was read`,
    })
    await load().catch(() => {})
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

  /** What a student has in the hand of a rod, drawn last; null where it is not written that any was drawn. */
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

  return {
    room,
    loaded,
    load,
    used,
    ahead,
    keepLot,
    importLots,
    importBook,
    write,
    noteOven,
    drawnAt,
    inHand,
    outOfDate,
  }
})
