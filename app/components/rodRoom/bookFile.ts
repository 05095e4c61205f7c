import { v5, v7 } from 'uuid'
import { ValidationError } from 'yup'
import { rodBookImportSchema, type BookLineListed } from '~~/contract/rodRoom'
import { lotName, type MovementKind, type RodLot, type StubClass } from '~~/core/rodRoom'
import { BOOK_COLUMNS, KIND_NAMES, STUB_COLUMNS, type BookColumn } from '~/papers/bookColumns'
import { classOf, diameterOf, isCalled, listRows, wholeOf, type ListRow } from './rodList'

/** A line of a list of what happened to rods: as it will be sent, in words, and what is wrong with it. */
export interface BookLine {
  readonly line: BookLineListed
  readonly says: string
  readonly errors: readonly string[]
}

/** What a list is read against. */
interface Known {
  readonly lots: readonly RodLot[]
  readonly students: readonly { readonly id: string; readonly name: string }[]
  readonly now: Date
}

type Column = BookColumn | StubClass
const COLUMNS: Readonly<Record<Column, readonly string[]>> = {
  ...BOOK_COLUMNS,
  ...(Object.fromEntries(STUB_COLUMNS.map(({ id, names }) => [id, names])) as Record<StubClass, string[]>),
}

const DAY = /^\d{4}-\d{2}-\d{2}$/
const ID = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/
const NOWHERE = '01900000-0000-7000-8000-000000000000'

/** A moment as a list has it: a day is taken at noon, and today at once. Null where it is none. */
function momentOf(written: string, now: Date): string | null {
  const at = new Date(DAY.test(written) ? `${written}T12:00:00Z` : written.replace(' ', 'T'))
  if (Number.isNaN(at.getTime())) return null
  return DAY.test(written) && at > now && now.toISOString().startsWith(written) ? now.toISOString() : at.toISOString()
}

/** The same line of the same list again has the same number: it comes in once. */
const idOf = (text: string, at: string) => v7({ msecs: Date.parse(at), random: v5(text, NOWHERE, new Uint8Array(16)) })

const kindOf = (written: string) =>
  (Object.keys(KIND_NAMES) as MovementKind[]).find(kind => KIND_NAMES[kind].includes(written.toLowerCase())) ?? null

/** What is about a handful, and not about a lot. */
const OF_HANDFUL: readonly MovementKind[] = ['returned', 're-dried']

/**
 * A list of what happened to rods, as our own book goes out or as a rod room kept it: when, what, which lot, how many,
 * who. What comes back belongs to what that student drew of the lot last. Null where its first line names no column of
 * a book.
 */
export function readBook(text: string, known: Known): BookLine[] | null {
  const listed = listRows<Column>(text, COLUMNS, 'kind')
  if (!listed) return null
  const told = new Map<string, number>()
  const drawn = new Map<string, string>()
  return listed.map(of => {
    const { lot, errors } = lotOf(of, known.lots)
    const kind = kindOf(of('kind'))
    const at = momentOf(of('at'), known.now)
    const student = known.students.find(one => one.name.toLowerCase() === of('who').toLowerCase()) ?? null
    const hand = `${lot?.id} ${student?.id ?? ''} ${of('booth')}`
    const text = `${at} ${kind} ${of('rods')} ${hand}`
    told.set(text, (told.get(text) ?? 0) + 1)
    const id = ID.test(of('line')) ? of('line') : idOf(`${text} ${told.get(text)}`, at ?? known.now.toISOString())
    const handful = of('handful') || (kind && OF_HANDFUL.includes(kind) ? (drawn.get(hand) ?? '') : '')
    if (kind === 'issued' && !handful) drawn.set(hand, id)
    const line: BookLineListed = {
      id,
      at: at ?? '',
      lotId: lot?.id ?? NOWHERE,
      kind: kind ?? 'issued',
      count: Math.abs(wholeOf(of('rods'), 0)),
      handfulId: ID.test(handful) ? handful : null,
      studentId: student?.id ?? null,
      booth: of('booth') === '' ? null : Number(of('booth')),
      stubs: stubsOf(of),
      why: of('why'),
    }
    const faults = [
      ...errors,
      ...(kind
        ? []
        : [
            `what: “${of('kind')}” is none of ${Object.values(KIND_NAMES)
              .map(([ours]) => ours)
              .join(', ')}`,
          ]),
      ...(at ? [] : ['when is a date like 2026-09-14']),
      ...(of('who') === '' || student ? [] : [`who: nobody here is called ${of('who')}`]),
      ...(kind && OF_HANDFUL.includes(kind) && !handful ? ['No rods of that lot are drawn before it on the list'] : []),
    ]
    return {
      line,
      says: [at?.slice(0, 10), KIND_NAMES[line.kind][0], line.count, lot && lotName(lot), student?.name]
        .filter(part => part !== null && part !== undefined)
        .join(' · '),
      errors: faults.length > 0 ? faults : faultsOf(line),
    }
  })
}

/** The lot that a line names; its size may be left out where that leaves no doubt. */
function lotOf(of: ListRow<Column>, lots: readonly RodLot[]): { lot: RodLot | null; errors: string[] } {
  const classification = classOf(of('classification'))
  const makersLot = of('makersLot')
  const found = lots.filter(lot =>
    of('size') === ''
      ? isCalled(lot, { classification, makersLot, diameterMm: lot.diameterMm })
      : isCalled(lot, { classification, makersLot, diameterMm: diameterOf(of('size')) }),
  )
  if (found.length === 1) return { lot: found[0]!, errors: [] }
  const called = [classification, of('size'), `lot ${makersLot}`].filter(Boolean).join(' ')
  return {
    lot: null,
    errors: [found.length > 1 ? `${called}: of which size?` : `${called} is not kept: take it in first`],
  }
}

function stubsOf(of: ListRow<Column>): BookLineListed['stubs'] {
  const counted = STUB_COLUMNS.filter(({ id }) => of(id) !== '').map(({ id }) => [id, Number(of(id))] as const)
  return counted.length > 0 ? Object.fromEntries(counted) : null
}

/** What the server would refuse, as its columns are called. */
function faultsOf(line: BookLineListed): string[] {
  try {
    rodBookImportSchema.validateSync({ lines: [line] }, { abortEarly: false })
    return []
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return error.errors.map(message => message.replace(/^lines\[0\]\.count/, 'rods').replace(/^lines\[0\]\./, ''))
  }
}
