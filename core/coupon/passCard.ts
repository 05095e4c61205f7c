import { electrodeOf, GTAW_ROOT, runAs, type Polarity } from '../trade'
import type { HouseRules } from '../house'
import { onPanel, sayWindow, startCurrent, type Joint, type CardPass, type SetUpCase } from '../setup'
import type { Bead, CouponDocument, Ticket } from './document'
import type { Pass } from './pass'
import { hasGroove, showsRoot, thicknessOf, type Piece } from './piece'

const CARD_JOINTS: Readonly<Partial<Record<Piece['kind'], Joint>>> = {
  'square butt': 'square butt',
  'lap': 'lap',
  'T': 'T',
  'outside corner': 'outside corner',
  'edge': 'edge',
  'pipe to plate': 'T',
  'saddle': 'T',
}

/** The joint whose card a piece is set up by. */
export function cardJoint(piece: Piece): Joint {
  if (hasGroove(piece)) return showsRoot(piece) ? 'V, open root' : 'V, backing'
  return CARD_JOINTS[piece.kind] ?? 'pad'
}

function cardPass(piece: Piece, { role, layer }: Pick<Pass, 'role' | 'layer'>): CardPass {
  if (cardJoint(piece) === 'T') return (['first', 'second', 'third'] as const)[Math.min(layer, 3) - 1]!
  if (!hasGroove(piece)) return 'bead'
  if (role === 'hot') return showsRoot(piece) ? 'hot' : 'fill'
  return role === 'single' ? 'fill' : role
}

/** The make that was said is of the ticket's own rod. */
const makeOf = ({ make, classification, diameterMm }: Ticket, run: Pick<Ticket, 'classification' | 'diameterMm'>) =>
  make && run.classification === classification && run.diameterMm === diameterMm ? { make } : {}

/** What the settings card is asked for a pass of a coupon. */
export function cardCase({ piece, ticket }: Pick<CouponDocument, 'piece' | 'ticket'>, pass: Pass): SetUpCase {
  const { classification, diameterMm, travel, polarity } = pass
  return {
    ...makeOf(ticket, pass),
    classification,
    diameterMm,
    travel,
    polarity,
    position: runAs(ticket.position),
    joint: cardJoint(piece),
    pass: cardPass(piece, pass),
    thicknessMm: thicknessOf(piece),
    rods: ticket.rods,
  }
}

/**
 * What settings cards a coupon is welded by: a pad by one, a joint by one for each of its passes that is set otherwise.
 * What is run with a bare rod has no such card.
 * @example cardCases(openRoot).map(one => one.pass) // ['root', 'hot', 'fill', 'cap']
 */
export function cardCases(document: Pick<CouponDocument, 'piece' | 'ticket' | 'passes'>): SetUpCase[] {
  const { piece, ticket, passes } = document
  if (!passes) {
    const { classification, diameterMm, travel, polarity, rods } = ticket
    const rod = { ...makeOf(ticket, ticket), classification, diameterMm, travel, polarity, rods }
    return [{ ...rod, position: runAs(ticket.position), joint: 'pad', pass: 'bead', thicknessMm: thicknessOf(piece) }]
  }
  const cases = passes.filter(pass => pass.process === 'SMAW').map(pass => cardCase({ piece, ticket }, pass))
  return cases.filter((one, n) => !cases.slice(0, n).some(before => isSameCard(before, one)))
}
const isSameCard = (one: SetUpCase, other: SetUpCase) =>
  one.classification === other.classification && one.diameterMm === other.diameterMm && one.pass === other.pass

/**
 * The current that the card gives for a pass, with its window, A, as the panel of that machine has to show them.
 * Source: house rules, common practice, or AWS A5.1's annex; GTAW common practice.
 */
export function cardCurrent(
  document: Pick<CouponDocument, 'piece' | 'ticket'>,
  pass: Pass,
  rules: HouseRules,
): { startA: number; lowA: number; highA: number } {
  const { panelOffsetA = 0 } = document.ticket
  const { startA, ...window } = cardAtTheArc(document, pass, rules)
  return { startA: startA - panelOffsetA, ...onPanel(window, panelOffsetA) }
}

function cardAtTheArc(document: Pick<CouponDocument, 'piece' | 'ticket'>, pass: Pass, rules: HouseRules) {
  if (pass.process === 'GTAW') return { startA: GTAW_ROOT.currentA, lowA: GTAW_ROOT.lowA, highA: GTAW_ROOT.highA }
  const { startA, window } = startCurrent(cardCase(document, pass), rules)
  return { startA, lowA: window.lowA, highA: window.highA }
}

/** Something of a pass that stands outside its card; the text is for people. */
export interface PassRemark {
  readonly finding: 'current high' | 'current low' | 'wrong polarity' | 'not cleaned'
  readonly text: string
}

/**
 * What of a pass stands outside its card; empty when all of it fits.
 * @example passRemarks(document, { ...root, currentA: 110 }, rules) // [{ finding: 'current high', text: '25 A over
 *   75–85 A' }]
 */
export function passRemarks(
  document: Pick<CouponDocument, 'piece' | 'ticket'>,
  pass: Pass,
  rules: HouseRules,
): PassRemark[] {
  const { lowA, highA } = cardCurrent(document, pass, rules)
  const said = sayWindow({ lowA, highA }, document.ticket.panelOffsetA)
  const currents: readonly Polarity[] =
    pass.process === 'GTAW' ? [GTAW_ROOT.polarity] : electrodeOf(pass.classification).currents
  const remarks: PassRemark[] = []
  if (pass.currentA > highA) remarks.push({ finding: 'current high', text: `${pass.currentA - highA} A over ${said}` })
  if (pass.currentA < lowA) remarks.push({ finding: 'current low', text: `${lowA - pass.currentA} A under ${said}` })
  if (!currents.includes(pass.polarity))
    remarks.push({
      finding: 'wrong polarity',
      text: `${pass.process === 'GTAW' ? 'GTAW on steel' : pass.classification} runs on ${currents.join(' or ')}`,
    })
  if (pass.log?.cleaned === 'not cleaned') remarks.push({ finding: 'not cleaned', text: 'not cleaned before the next' })
  return remarks
}

/** The pass a lane is of; null on a plate. */
export function passOf({ passes }: Pick<CouponDocument, 'passes'>, bead: Pick<Bead, 'passId'>): Pass | null {
  return passes?.find(pass => pass.id === bead.passId) ?? null
}
