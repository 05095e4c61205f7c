import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces'
import { recordDay, spokenDay } from '~~/core/calendar'
import { describeMark, describePiece, describeRod, isFlaw, isGauge, type CouponDocument } from '~~/core/coupon'
import { sayPicture } from '~~/core/picture'
import { BEAD_CARDS, nameOfCard } from '~~/core/readingRoom'
import { STUB_CLASSES, type Stubs } from '~~/core/rodRoom'
import type { LengthUnit } from '~~/core/units'
import type { PersonExport } from '~~/contract/personData'
import { makePdf } from '~/composables/makePdf'
import { dayOf, wallTime } from '~/composables/shopClock'
import { paperFact, paperHead, paperTable, QUIET } from './paperParts'

/** What the readers of this file need beside it: how lengths are said, and what the school calls its rungs. */
export interface PersonHead {
  readonly unit: LengthUnit
  readonly rungName: (rungId: string) => string
}

const moment = (at: string) => `${recordDay(dayOf(at))}, ${wallTime(at)}`

const stubsSaid = (stubs: Stubs | null) =>
  STUB_CLASSES.flatMap(({ id, name }) => (stubs?.[id] ? [`${stubs[id]} stubs ${name}`] : [])).join(', ')

/** A part of it that may be empty: then it says so, as what is not kept is told too. */
const part = (name: string, content: readonly Content[]): Content[] => [
  paperHead(name),
  ...(content.length > 0 ? content : [{ text: 'Nothing is kept.', color: QUIET }]),
]
const rowsOf = (
  name: string,
  widths: (string | number)[],
  heads: readonly string[],
  body: readonly (readonly string[])[],
): Content[] => part(name, body.length > 0 ? [paperTable(widths, heads, body)] : [])

/** One coupon as it was read: its ticket, what was marked, what was said. */
function couponRead(
  { document: coupon, version, savedBy, savedAt }: PersonExport['coupons'][number],
  unit: LengthUnit,
): Content {
  const { ticket, notes, nextRun, overrule } = coupon
  const head = [
    recordDay(coupon.classDay),
    ticket.rung,
    describePiece(coupon.piece, unit),
    ticket.position,
    describeRod(ticket),
    `${ticket.currentA} A ${ticket.polarity}`,
  ]
  const lines = [
    ...findings(coupon, unit),
    ...(nextRun ? [`Told: ${nextRun}`] : []),
    ...(overrule ? [`Verdict by hand: ${overrule.verdict}, ${overrule.reason}`] : []),
    ...(notes ? [`Notes: ${notes}`] : []),
  ]
  return {
    margin: [0, 4, 0, 6],
    stack: [
      { text: head.join(' · '), bold: true },
      { text: lines.length > 0 ? lines.join('; ') : 'Nothing against it.' },
      { text: `Version ${version}, saved by ${savedBy}, ${moment(savedAt)}`, color: QUIET, fontSize: 8 },
    ],
  }
}

/** A picture of a coupon, or that its file is lost. */
const pictureSeen = (picture: PersonExport['pictures'][number]): Content => ({
  margin: [0, 4, 0, 6],
  unbreakable: true,
  stack: [
    { text: `${sayPicture(picture)}, taken by ${picture.by}, ${moment(picture.takenAt)}` },
    picture.data === null
      ? { text: 'Its file is lost.', color: QUIET }
      : { image: `data:image/jpeg;base64,${picture.data}`, fit: [300, 220] },
  ],
})

const CARD_NAMES: ReadonlyMap<string, string> = new Map(BEAD_CARDS.map(id => [id, nameOfCard(id)]))

/** Cards that have gone since are called by what they were kept as. */
const cardName = (id: string) => CARD_NAMES.get(id) ?? id

/** What was found on it, in words; tries that were sound are counted. */
function findings(coupon: CouponDocument, unit: LengthUnit): string[] {
  const { marks } = coupon
  const found = marks.filter(mark => isFlaw(mark) || isGauge(mark) || mark.degree !== 'sound')
  const sound = marks.length - found.length
  return [
    ...(sound > 0 ? [`${sound} starts, restarts and ends sound`] : []),
    ...found.map(mark => describeMark(coupon, mark, unit)),
  ]
}

/** All that is kept about one student, to be read by that person: the same as the file for programs, in words. */
export function personDocument(person: PersonExport, { unit, rungName }: PersonHead): TDocumentDefinitions {
  const { student } = person
  return {
    pageSize: 'A4',
    pageMargins: [56, 56, 56, 48],
    defaultStyle: { fontSize: 9.5 },
    info: { title: `All that is kept about ${student.name}` },
    footer: (page, pages) => ({
      text: `${person.school}: all that is kept about ${student.name}, ${recordDay(dayOf(person.made))}. Page ${page} of ${pages}`,
      fontSize: 8,
      color: QUIET,
      margin: [56, 12, 56, 0],
    }),
    content: [
      { text: person.school, color: QUIET },
      { text: student.name, fontSize: 22, bold: true },
      {
        text: `All that is kept, ${moment(person.made)}. The same stands in the file for programs, with every earlier version.`,
        margin: [0, 0, 0, 10],
      },
      paperFact('Section', student.section),
      paperFact('Since', recordDay(student.startDate)),
      paperFact('Hand', student.hand),
      paperFact('Booth', student.booth === null ? 'none' : String(student.booth)),
      paperFact('At the school', student.active ? 'yes' : 'has left'),
      ...consentFacts(person.guardianConsent),
      ...part(
        `Coupons, ${person.coupons.length}`,
        person.coupons.map(coupon => couponRead(coupon, unit)),
      ),
      ...part(`Pictures of coupons, ${person.pictures.length}`, person.pictures.map(pictureSeen)),
      ...rowsOf(
        'Tests',
        [90, '*', 60, 60],
        ['Day', 'Piece', 'Visual', 'Specimens'],
        person.tests.map(({ document: test }) => [
          recordDay(test.testDay),
          `${test.pieceName}, ${test.ticket.position}`,
          test.visual?.outcome ?? 'not yet',
          String(Object.keys(test.results).length),
        ]),
      ),
      ...rowsOf(
        'Signed off',
        ['*', 110, 120, '*'],
        ['Rung', 'By', 'When', 'Why'],
        person.signOffs.map(one => [
          rungName(one.rungId),
          one.by,
          moment(one.at),
          one.takenBackAt ? `taken back ${moment(one.takenBackAt)}` : one.why,
        ]),
      ),
      ...rowsOf(
        'Here and away',
        [90, 50, 50, '*', 90],
        ['Day', 'Came', 'Left', 'Why', 'Noted by'],
        person.attendance.map(one => [
          spokenDay(one.classDay),
          one.absent ? 'absent' : (one.came ?? ''),
          one.left ?? '',
          one.why,
          one.by,
        ]),
      ),
      ...rowsOf(
        'Cautions read',
        [110, 100, '*'],
        ['When', 'Said by', 'Caution'],
        person.cautionsRead.map(one => [moment(one.at), one.by, one.says]),
      ),
      ...rowsOf(
        'Kept alive',
        [90, 90, '*', '*'],
        ['Day', 'Process', 'How', 'Witness'],
        person.processUses.map(one => [recordDay(one.usedOn), one.process, one.kind, one.witness]),
      ),
      ...rowsOf(
        'Rods',
        [120, 60, 60, 40, '*'],
        ['When', 'Rod', 'What', 'Rods', 'Stubs, why'],
        person.rods.map(one => [
          moment(one.at),
          one.classification,
          one.what,
          String(one.rods),
          [stubsSaid(one.stubs), one.why].filter(Boolean).join('; '),
        ]),
      ),
      ...rowsOf(
        'Planned',
        [90, '*', 50, 110],
        ['Day', 'Rung', 'Booth', 'From the start of the class'],
        person.planned.map(one => [
          recordDay(one.classDay),
          rungName(one.rungId),
          String(one.booth),
          `${one.from} to ${one.from + one.minutes} min`,
        ]),
      ),
      ...rowsOf(
        'Remarks left by staff',
        ['*', 110, 120],
        ['Remark', 'By', 'When'],
        person.remarks.map(one => [one.says, one.by, moment(one.at)]),
      ),
      ...rowsOf(
        'Own readings of coupons',
        [120, '*', '*'],
        ['When', 'Coupon', 'What was found'],
        person.blindReadings.map(one => [
          moment(one.madeAt),
          `${one.document.ticket.rung}, ${spokenDay(one.document.classDay)}`,
          findings(one.document, unit).join('; '),
        ]),
      ),
      ...rowsOf(
        'Answers in the reading room',
        [120, '*', '*'],
        ['When', 'Shown', 'Said to be'],
        person.beadAnswers.map(one => [moment(one.answeredAt), cardName(one.card), cardName(one.saidCause)]),
      ),
      ...rowsOf(
        'Who saw or changed what',
        [120, 110, '*'],
        ['When', 'Who', 'What'],
        person.trail.map(one => [moment(one.at), one.who, one.did]),
      ),
      {
        text: 'A school’s training record. It certifies nothing.',
        fontSize: 8,
        color: QUIET,
        margin: [0, 16, 0, 0],
      },
    ],
  }
}

const consentFacts = (consent: PersonExport['guardianConsent']): Content[] =>
  consent
    ? [
        paperFact('Of age on', recordDay(consent.ofAgeOn)),
        paperFact(
          'A guardian agreed',
          consent.givenOn === null ? 'not yet' : `${recordDay(consent.givenOn)}, ${consent.givenBy}`,
        ),
      ]
    : []

export const personPdf = (person: PersonExport, head: PersonHead): Promise<Blob> =>
  makePdf(personDocument(person, head))
