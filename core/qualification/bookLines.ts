import {
  ALL_WELDED,
  REMEMBERED,
  SPECIMEN_KINDS,
  type Clause,
  type CodeBook,
  type Coverage,
  type PositionRow,
  type RangeRow,
  type SpecimenKind,
  type Welded,
} from './codeBook'
import type { Bound, Printed, SizeTest } from './printedSize'

/** What a line of a book holds. */
export type BookValue =
  | { readonly is: 'size'; readonly in: number; readonly mm: number }
  | { readonly is: 'number'; readonly value: number }
  | { readonly is: 'positions'; readonly letters: readonly Welded[] }
  | { readonly is: 'specimens'; readonly kinds: readonly SpecimenKind[] }
  | { readonly is: 'words'; readonly words: string }

/**
 * One figure or statement of a book that a school may correct: where it stands, what it is called, its value and
 * its row's clause.
 */
export interface BookLine {
  readonly path: string
  readonly group: string
  readonly name: string
  readonly value: BookValue
  /** Where the clause stands; several figures of one row share it. */
  readonly row: string
  readonly source: Clause
}

const COLUMNS: readonly (readonly [keyof Coverage, string])[] = [
  ['plateGroove', 'grooves in plate'],
  ['pipeGroove', 'grooves in pipe'],
  ['fillet', 'fillets'],
]
const BOUNDS = [
  ['from', 'from'],
  ['over', 'over'],
  ['below', 'under'],
  ['upTo', 'to'],
] as const

const size = ({ in: inch, mm }: Printed): BookValue => ({ is: 'size', in: inch, mm })

/**
 * Every figure and statement of a book that can be corrected, in the order of the book.
 * @example bookLines(STRUCTURAL).find(line => line.path === 'bend.single')!.value // { is: 'size', in: 0.125, mm: 3 }
 */
export function bookLines(book: CodeBook): BookLine[] {
  const lines: BookLine[] = []
  const add = (group: string, row: string, source: Clause, field: string, name: string, value: BookValue) =>
    lines.push({
      path: `${row}.${field}`,
      group,
      name,
      value,
      row,
      source: { clause: source.clause, remembered: source.remembered },
    })

  book.positions.forEach((one, n) =>
    COLUMNS.forEach(([column, says]) => {
      if (column === 'fillet' || !one.position.includes('F'))
        add('Positions', `positions.${n}`, one, column, `${placeOf(one)}: ${says}`, {
          is: 'positions',
          letters: one[column],
        })
    }),
  )
  book.together.forEach((one, n) =>
    COLUMNS.forEach(([column, says]) =>
      add('Positions', `together.${n}`, one, column, `${one.form} ${one.positions.join(' and ')}: ${says}`, {
        is: 'positions',
        letters: one[column],
      }),
    ),
  )
  const ranges = (group: string, key: 'thickness' | 'diameters') =>
    book[key].forEach((one, n) => {
      const row = `${key}.${n}`
      tests(one.when).forEach(([bound, word, limit]) =>
        add(group, row, one, `when.${bound}`, `${rowName(one, n)}: coupons ${word}`, size(limit)),
      )
      tests(one.outside).forEach(([bound, word, limit]) =>
        add(group, row, one, `outside.${bound}`, `${rowName(one, n)}: outside ${word}`, size(limit)),
      )
      if (one.layers > 0)
        add(group, row, one, 'layers', `${rowName(one, n)}: layers, at least`, { is: 'number', value: one.layers })
      bounds('least', one.least).forEach(([field, says, value]) =>
        add(group, row, one, field, `${rowName(one, n)}: ${says}`, value),
      )
      bounds('most', one.most).forEach(([field, says, value]) =>
        add(group, row, one, field, `${rowName(one, n)}: ${says}`, value),
      )
    })
  ranges('Thickness', 'thickness')
  ranges('Diameter', 'diameters')
  if (book.plateAsPipe)
    add('Diameter', 'plateAsPipe', book.plateAsPipe, '', 'pipe counts as plate over', size(book.plateAsPipe))
  book.specimens.forEach((one, n) => {
    const row = `specimens.${n}`
    const name = `${one.form === 'any' ? '' : `${one.form} `}${one.weld}${one.round === true ? ', 5G and 6G' : ''} ${n + 1}`
    tests(one.wall).forEach(([bound, word, limit]) =>
      add('Specimens', row, one, `wall.${bound}`, `${name}: wall ${word}`, size(limit)),
    )
    tests(one.outside).forEach(([bound, word, limit]) =>
      add('Specimens', row, one, `outside.${bound}`, `${name}: outside ${word}`, size(limit)),
    )
    add('Specimens', row, one, 'kinds', `${name}: are cut`, { is: 'specimens', kinds: one.kinds })
  })
  book.strips.forEach((one, n) => {
    tests(one.outside).forEach(([bound, word, limit]) =>
      add(
        'Specimens',
        `strips.${n}`,
        one,
        `outside.${bound}`,
        `width of ${one.kinds.join(', ')} ${n + 1}: outside ${word}`,
        size(limit),
      ),
    )
    add('Specimens', `strips.${n}`, one, 'width', `width of ${one.kinds.join(', ')} ${n + 1}`, size(one.width))
  })
  const { bend } = book
  add('Bends', 'bend', bend, 'single', 'longest opening', size(bend.single))
  if (bend.sum) add('Bends', 'bend', bend, 'sum', 'openings summed', size(bend.sum))
  if (bend.sum) add('Bends', 'bend', bend, 'counted', 'counted in the sum from', size(bend.counted))
  if (bend.corner)
    add('Bends', 'bend', bend, 'corner', 'at a corner, with no slag or lack of fusion', size(bend.corner))
  book.formers.forEach((one, n) => {
    if (one.upToMpa !== null)
      add('Bends', `formers.${n}`, one, 'upToMpa', `former ${n + 1}: yield strength to, MPa`, {
        is: 'number',
        value: one.upToMpa,
      })
    add('Bends', `formers.${n}`, one, 'plunger', `former ${n + 1}: plunger`, size(one.plunger))
  })
  const words = (group: string, row: string, source: Clause, field: string, name: string, text: string) =>
    add(group, row, source, field, name, { is: 'words', words: text })
  if (book.radiograph)
    words('By hand', 'radiograph', book.radiograph, 'says', 'radiograph in place of specimens', book.radiograph.says)
  for (const [kind, one] of Object.entries(book.byHand)) words('By hand', `byHand.${kind}`, one, 'says', kind, one.says)
  words('Other variables', 'backing', book.backing, 'with', 'tested with backing', book.backing.with)
  words('Other variables', 'backing', book.backing, 'without', 'tested without', book.backing.without)
  words('Other variables', 'progression', book.progression, 'says', 'up and down', book.progression.says)
  if (book.retest.pieces !== null)
    add('After it', 'retest', book.retest, 'pieces', 'retest at once: pieces', {
      is: 'number',
      value: book.retest.pieces,
    })
  words('After it', 'retest', book.retest, 'atOnce', 'retest at once', book.retest.atOnce)
  words('After it', 'retest', book.retest, 'afterTraining', 'retest after training', book.retest.afterTraining)
  add('After it', 'continuity', book.continuity, 'months', 'stands without use: months', {
    is: 'number',
    value: book.continuity.months,
  })
  if (book.continuity.again !== null)
    add('After it', 'continuity', book.continuity, 'again', 'tested again after: years', {
      is: 'number',
      value: book.continuity.again,
    })
  words('After it', 'continuity', book.continuity, 'says', 'what keeps it alive', book.continuity.says)
  return lines.map(line => (line.path.endsWith('.') ? { ...line, path: line.path.slice(0, -1) } : line))
}

const placeOf = ({ form, position, progression }: PositionRow) =>
  `${form} ${position}${progression ? ` ${progression}` : ''}`
const rowName = ({ form, weld }: RangeRow, n: number) =>
  `${[form, weld].filter(word => word !== 'any').join(' ') || 'any'} ${n + 1}`
const tests = (test: SizeTest) =>
  BOUNDS.flatMap(([bound, word]) => (test[bound] ? [[bound, word, test[bound]] as const] : []))
const bounds = (end: 'least' | 'most', bound: Bound): (readonly [field: string, says: string, value: BookValue])[] => [
  ...(bound?.size ? [[`${end}.size`, `qualifies ${end === 'least' ? 'from' : 'to'}`, size(bound.size)] as const] : []),
  ...(bound?.times
    ? [
        [
          `${end}.times`,
          `qualifies ${end === 'least' ? 'from' : 'to'}, times its own`,
          { is: 'number', value: bound.times } as const,
        ] as const,
      ]
    : []),
]

const KEPT: Readonly<Record<BookValue['is'], (value: BookValue, before: unknown) => unknown>> = {
  size: (value, before) => ({ ...(before as object), in: (value as Printed).in, mm: (value as Printed).mm }),
  number: value => (value as { value: number }).value,
  positions: value => {
    const { letters } = value as { letters: readonly Welded[] }
    return ALL_WELDED.filter(letter => letters.includes(letter))
  },
  specimens: value => (value as { kinds: readonly SpecimenKind[] }).kinds,
  words: value => (value as { words: string }).words,
}

/** The book with one line's value in place of what stood there. */
export const withLine = (book: CodeBook, { path }: Pick<BookLine, 'path'>, value: BookValue): CodeBook =>
  setAt(book, path.split('.'), before => KEPT[value.is](value, before)) as CodeBook

/** The book with the clause of a row, and how sure it is, in place of what stood there. */
export const withClause = (book: CodeBook, { row }: Pick<BookLine, 'row'>, { clause, remembered }: Clause): CodeBook =>
  setAt(book, row.split('.'), before => ({ ...(before as object), clause, remembered })) as CodeBook

function setAt(whole: unknown, [key, ...rest]: readonly string[], change: (before: unknown) => unknown): unknown {
  if (key === undefined) return change(whole)
  if (Array.isArray(whole)) return whole.map((one, n) => (String(n) === key ? setAt(one, rest, change) : one))
  const before = whole as Record<string, unknown>
  return { ...before, [key]: setAt(before[key], rest, change) }
}

const MOST_WORDS = 400
const MOST_CLAUSE = 160

/**
 * What is wrong with a school's copy, by the path of its line; it has the lines of the shipped book of its family,
 * no more and no less.
 * @param shipped the book that it is a copy of
 * @returns none when it can be kept
 */
export function bookFaults(book: CodeBook, shipped: CodeBook): { readonly path: string; readonly message: string }[] {
  if (!sameShape(book, shipped))
    return [{ path: '', message: `This is no copy of ${shipped.name}: it has other lines` }]
  const faults: { path: string; message: string }[] = []
  for (const { path, name, value, row, source } of bookLines(book)) {
    const say = (message: string) => faults.push({ path, message: `${name}: ${message}` })
    if (value.is === 'size' && !(value.in >= 0 && value.in <= 200 && value.mm >= 0 && value.mm <= 5000))
      say('a length of 0 to 200 in, and 0 to 5000 mm')
    if (value.is === 'number' && !(value.value > 0 && value.value <= 2000)) say('a number over 0, at most 2000')
    if (value.is === 'specimens' && !areKinds(value.kinds)) say(`1 to 20 of ${SPECIMEN_KINDS.join(', ')}`)
    if (value.is === 'words' && !isText(value.words, MOST_WORDS)) say(`some words, at most ${MOST_WORDS} characters`)
    if (!isText(source.clause, MOST_CLAUSE))
      faults.push({ path: `${row}.clause`, message: `${name}: name the clause, in at most ${MOST_CLAUSE} characters` })
    if (!REMEMBERED.includes(source.remembered))
      faults.push({ path: `${row}.remembered`, message: `${name}: how sure it is: ${REMEMBERED.join(', ')}` })
  }
  return faults
}

/** What comes from outside may be anything. */
const isText = (value: unknown, most: number) =>
  typeof value === 'string' && value.trim() !== '' && value.length <= most
const areKinds = (value: unknown) =>
  Array.isArray(value) &&
  value.length > 0 &&
  value.length <= 20 &&
  value.every(kind => SPECIMEN_KINDS.includes(kind as SpecimenKind))

/** Whether two books differ in nothing but the values of their lines, their clauses and what they are called. */
function sameShape(book: CodeBook, shipped: CodeBook): boolean {
  try {
    const filled = bookLines(shipped).reduce((made, line) => {
      const own = bookLines(book).find(one => one.path === line.path)
      return own ? withClause(withLine(made, own, own.value), own, own.source) : made
    }, shipped)
    const plain = ({ id: _, name: _name, edition: _edition, criteriaId: _criteria, ...rest }: CodeBook) => sorted(rest)
    return JSON.stringify(plain(filled)) === JSON.stringify(plain(book))
  } catch {
    return false
  }
}

/** The same data with the keys of every object in one order. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([key, one]) => [key, sorted(one)]),
  )
}
