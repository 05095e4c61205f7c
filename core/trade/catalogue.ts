import { DISCONTINUITIES, type Discontinuity, type DiscontinuityId } from './discontinuities'

/** One line of the catalogue of what can be wrong with a weld. */
export interface CatalogueRow {
  readonly term: string
  readonly iso6520: string | null
  /** How it goes on a coupon. */
  readonly given: string
  readonly measured: string
  readonly where: string
  readonly looksLike: string
  /** The mark it is drawn as; null where a graded try, a reading or the fit-up record says it. */
  readonly mark: { readonly flaw: DiscontinuityId; readonly form?: string } | null
}

const GIVEN: Readonly<Record<Discontinuity['givenAs'], string>> = {
  point: 'at a place',
  span: 'along the bead, from and to',
  bead: 'the whole bead',
}
const WHERE: Readonly<Record<Discontinuity['on'], string>> = {
  face: 'face',
  root: 'root side',
  both: 'face and root side',
}

function rowsOf(row: Discontinuity): readonly CatalogueRow[] {
  const shared = {
    given: GIVEN[row.givenAs] + (row.sided ? ', upper or lower toe' : ''),
    measured: row.measured ?? 'light, plain or bad',
    where: WHERE[row.on],
  }
  const plain: CatalogueRow = {
    ...shared,
    term: row.name,
    iso6520: row.iso6520,
    looksLike: row.looksLike,
    mark: { flaw: row.id },
  }
  if (!row.forms) return [plain]
  return row.forms.map(form => ({
    ...shared,
    term: `${row.name}, ${form.id}`,
    iso6520: form.iso6520,
    looksLike: form.looksLike,
    mark: { flaw: row.id, form: form.id },
  }))
}

const graded = (
  term: string,
  iso6520: string,
  given: string,
  measured: string,
  looksLike: string,
  where = 'face',
): CatalogueRow => ({ term, iso6520, given, measured, where, looksLike, mark: null })

/** What is not a mark of its own: a graded try, a gauge reading, or a line of the fit-up record. */
const OTHERS: readonly CatalogueRow[] = [
  graded(
    'Crater, underfilled',
    '2025',
    'an end, graded',
    'sound, workable or poor',
    'a dish where the arc was broken off',
  ),
  graded(
    'Poor restart',
    '517',
    'a restart, graded',
    'high, low, wide, narrow, off line, not clean',
    'a lump or a dip where a rod was changed',
  ),
  graded('Excess convexity', '503', 'a reading on a fillet', 'height', 'a fillet that bulges'),
  graded('Uneven legs', '512', 'two readings on a fillet', 'leg 1, leg 2', 'one leg longer than the other'),
  graded('Throat too thin', '5213', 'a reading on a fillet', 'throat', 'a fillet drawn in'),
  graded('Linear misalignment', '507', 'fit-up record', 'offset', 'one plate stands above the other', 'piece'),
  graded('Angular misalignment', '508', 'fit-up record', 'angle', 'the plates have pulled up out of line', 'piece'),
]

/**
 * Everything the app knows to be wrong with a weld. Terms: AWS A3.0. Numbers: ISO 6520-1:2007. From memory, check
 * your copy.
 */
export const CATALOGUE: readonly CatalogueRow[] = [...DISCONTINUITIES.flatMap(rowsOf), ...OTHERS]
