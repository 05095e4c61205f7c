import type { CouponDocument, Ticket } from '~~/core/coupon'
import { electrodeOf } from '~~/core/trade'

type Typed<T> = { -readonly [Field in keyof T]: T[Field] }

/** A ticket as it is typed. */
export interface TicketForm extends Typed<Omit<Ticket, 'booth' | 'hoursOut' | 'make' | 'arcForcePercent'>> {
  booth: string
  hoursOut: string
  make: string
  arcForce: string
  beads: string
}

const written = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value))
/** What a joint has if it becomes a pad. */
const USUAL_BEADS = 6

/** The ticket of a coupon, to be typed over. */
export const ticketFormOf = ({ ticket, beads, passes }: CouponDocument): TicketForm => ({
  ...ticket,
  booth: written(ticket.booth),
  hoursOut: written(ticket.hoursOut),
  make: ticket.make ?? '',
  arcForce: written(ticket.arcForcePercent),
  beads: String(passes ? USUAL_BEADS : beads.length),
})

export interface TicketRead {
  readonly ticket: Ticket
  readonly beadCount: number
  /** By field, in plain words; empty where all can be read. */
  readonly errors: Readonly<Record<string, string>>
}

interface Beside {
  /** As it was: the lot of its rods goes on as long as the rod is of it. */
  readonly before: Ticket
  readonly rungId: string | undefined
  readonly panelOffsetA: number | undefined
  readonly isPlate: boolean
}

/** The ticket that was typed, with what cannot be read of it. */
export function readTicket(form: TicketForm, { before, rungId, panelOffsetA, isPlate }: Beside): TicketRead {
  const errors: Record<string, string> = {}
  const between = (field: string, text: string, low: number, high: number, says: string, whole = false): number => {
    const value = Number(text)
    if (text.trim() === '' || !(value >= low && value <= high) || (whole && !Number.isInteger(value)))
      errors[field] = says
    return value
  }
  const rung = form.rung.trim()
  if (!rung) errors.rung = 'Name the rung, like “horizontal pad”'
  const { position, classification, diameterMm, rods, polarity, hand, travel } = form
  const make = form.make.trim().slice(0, 40)
  const isSaid = (text: string) => text.trim() !== ''
  const hasClock = electrodeOf(classification).family === 'low hydrogen'
  const sameRod = classification === before.classification && diameterMm === before.diameterMm
  const ticket: Ticket = {
    rung: rung.slice(0, 80),
    ...(rungId ? { rungId } : {}),
    ...{ position, classification, diameterMm, rods, polarity, hand, travel },
    ...(make ? { make } : {}),
    currentA: Math.round(form.currentA),
    booth: isSaid(form.booth)
      ? between('booth', form.booth, 1, 999, 'A whole number of a booth, 1 to 999', true)
      : null,
    ...(panelOffsetA ? { panelOffsetA } : {}),
    ...(isSaid(form.arcForce) && {
      arcForcePercent: between('arcForce', form.arcForce, 0, 100, 'Percent, 0 to 100'),
    }),
    ...(isSaid(form.hoursOut) &&
      hasClock && {
        hoursOut: between('hoursOut', form.hoursOut, 0, 1000, 'Hours, 0 to 1000'),
        ...(before.lot && sameRod && { lot: before.lot }),
      }),
  }
  const beadCount = isPlate ? between('beads', form.beads, 1, 60, 'A whole number of beads, 1 to 60', true) : 1
  return { ticket, beadCount, errors }
}
