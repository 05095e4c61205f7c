import { inches } from '../units'

/**
 * What can be wrong with a practice bead, and how it is marked.
 * Terms: AWS A3.0. Numbers: ISO 6520-1:2007. Both from memory, check your copy.
 */
export type DiscontinuityId =
  | 'crack'
  | 'porosity'
  | 'slag'
  | 'incomplete fusion'
  | 'undercut'
  | 'overlap'
  | 'melt-through'
  | 'excess weld metal'
  | 'underfill'
  | 'sagging'
  | 'irregular width'
  | 'irregular surface'
  | 'arc strike'
  | 'spatter'
  | 'lap'
  | 'crooked'
  | 'incomplete penetration'
  | 'root concavity'
  | 'excess penetration'
  | 'tool mark'

/** A kind within a discontinuity, with a number of its own. */
export interface Form {
  readonly id: string
  readonly iso6520: string
  readonly looksLike: string
}

export interface Discontinuity {
  readonly id: DiscontinuityId
  readonly name: string
  readonly iso6520: string | null
  readonly givenAs: 'point' | 'span' | 'bead'
  /** A span that is mostly the whole bead: a new one is laid over all of it, and shortened. */
  readonly beginsWhole?: true
  /** Toe on which it may sit; only for what has a side. */
  readonly sided: boolean
  /** What the size of each degree (light, plain, bad) means, mm; null where it has none. */
  readonly degreeSizesMm: readonly [number, number, number] | null
  readonly measured: 'depth' | 'diameter' | 'length' | 'height' | 'offset' | null
  /** Only on the face, only on the root side, or on both. */
  readonly on: 'face' | 'root' | 'both'
  /** What it takes away from on the face: sound bead or toe, or what is counted for itself. */
  readonly spoils: 'run' | 'toes' | 'width' | 'overlap' | 'straightness' | 'clean-up' | 'strikes' | 'root'
  /** Whether a bend opens at it: it does not bridge as pores do. Common practice. */
  readonly opensInBend: boolean
  /** What an instructor sees, in one line. */
  readonly looksLike: string
  /** Its kinds, the commonest first; absent where it has none. */
  readonly forms?: readonly Form[]
}

const CRACKS: readonly Form[] = [
  { id: 'crater', iso6520: '104', looksLike: 'a star or a line in the crater' },
  { id: 'longitudinal', iso6520: '101', looksLike: 'along the bead' },
  { id: 'transverse', iso6520: '102', looksLike: 'across the bead' },
]
const PORES: readonly Form[] = [
  { id: 'single', iso6520: '2017', looksLike: 'one pinhole in the face' },
  { id: 'scattered', iso6520: '2012', looksLike: 'pinholes here and there' },
  { id: 'cluster', iso6520: '2013', looksLike: 'a nest of pinholes' },
  { id: 'linear', iso6520: '2014', looksLike: 'pinholes in a row along the bead' },
]
const TOOL_MARKS: readonly Form[] = [
  { id: 'grinding', iso6520: '604', looksLike: 'a dish or scratches left by the wheel' },
  { id: 'chipping', iso6520: '605', looksLike: 'a nick left by the hammer or chisel' },
  { id: 'torn surface', iso6520: '603', looksLike: 'metal torn where something was broken off' },
]

const in32 = (n: number) => inches(n / 32)

/** What there is to be known of each: the compiler asks for all of it, of one more as of these. */
const ROWS: Readonly<Record<DiscontinuityId, Omit<Discontinuity, 'id'>>> = {
  'undercut': {
    spoils: 'toes',
    opensInBend: false,
    name: 'Undercut',
    iso6520: '5011',
    givenAs: 'span',
    sided: true,
    measured: 'depth',
    degreeSizesMm: [in32(0.5), in32(1), in32(2)],
    on: 'both',
    looksLike: 'a groove melted beside the toe, not filled',
  },
  'overlap': {
    spoils: 'toes',
    opensInBend: false,
    name: 'Overlap',
    iso6520: '506',
    givenAs: 'span',
    sided: true,
    measured: 'length',
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'metal rolled over the toe, not fused',
  },
  'porosity': {
    spoils: 'run',
    opensInBend: false,
    name: 'Porosity',
    iso6520: '2017',
    givenAs: 'point',
    sided: false,
    measured: 'diameter',
    degreeSizesMm: [in32(1), in32(2), in32(3)],
    on: 'both',
    looksLike: 'pinholes',
    forms: PORES,
  },
  'slag': {
    spoils: 'run',
    opensInBend: true,
    name: 'Slag',
    iso6520: '301',
    givenAs: 'span',
    sided: false,
    measured: 'length',
    degreeSizesMm: null,
    on: 'both',
    looksLike: 'slag left in the toe or the restart',
  },
  'incomplete fusion': {
    spoils: 'run',
    opensInBend: true,
    name: 'Incomplete fusion',
    iso6520: '401',
    givenAs: 'span',
    sided: true,
    measured: 'length',
    degreeSizesMm: null,
    on: 'both',
    looksLike: 'a dark line where bead did not wet plate or bead',
  },
  'crack': {
    spoils: 'run',
    opensInBend: true,
    name: 'Crack',
    iso6520: '100',
    givenAs: 'span',
    sided: false,
    measured: 'length',
    degreeSizesMm: null,
    on: 'both',
    looksLike: 'a sharp line, often in a crater',
    forms: CRACKS,
  },
  'lap': {
    spoils: 'overlap',
    opensInBend: false,
    name: 'Lap between beads',
    iso6520: null,
    givenAs: 'bead',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'laid too far over the last bead, or a groove left between',
  },
  'crooked': {
    spoils: 'straightness',
    opensInBend: false,
    name: 'Crooked',
    iso6520: null,
    givenAs: 'bead',
    sided: false,
    measured: 'offset',
    degreeSizesMm: [in32(2), in32(4), in32(6)],
    on: 'face',
    looksLike: 'wanders off the line',
  },
  'irregular width': {
    spoils: 'width',
    opensInBend: false,
    name: 'Uneven width',
    iso6520: '513',
    givenAs: 'bead',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'thick and thin along the bead',
  },
  'irregular surface': {
    spoils: 'run',
    opensInBend: false,
    name: 'Rough ripples',
    iso6520: '514',
    givenAs: 'bead',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'coarse, pointed or uneven ripples',
  },
  'excess weld metal': {
    spoils: 'run',
    opensInBend: false,
    name: 'Too high',
    iso6520: '502',
    givenAs: 'span',
    beginsWhole: true,
    sided: false,
    measured: 'height',
    degreeSizesMm: [in32(5), in32(6), in32(8)],
    on: 'face',
    looksLike: 'ropey or humped',
  },
  'underfill': {
    spoils: 'run',
    opensInBend: false,
    name: 'Too low',
    iso6520: '511',
    givenAs: 'bead',
    sided: false,
    measured: 'depth',
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'thin and flat',
  },
  'sagging': {
    spoils: 'run',
    opensInBend: false,
    name: 'Sag',
    iso6520: '509',
    givenAs: 'span',
    sided: true,
    measured: 'depth',
    degreeSizesMm: [in32(2), in32(4), in32(6)],
    on: 'face',
    looksLike: 'metal hanging or run down',
  },
  'melt-through': {
    spoils: 'run',
    opensInBend: false,
    name: 'Burn-through',
    iso6520: '510',
    givenAs: 'point',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'both',
    looksLike: 'a hole through the plate',
  },
  'arc strike': {
    spoils: 'strikes',
    opensInBend: false,
    name: 'Stray strike',
    iso6520: '601',
    givenAs: 'point',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'struck off the bead and not melted over',
  },
  'spatter': {
    spoils: 'clean-up',
    opensInBend: false,
    name: 'Spatter',
    iso6520: '602',
    givenAs: 'bead',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'face',
    looksLike: 'drops stuck to the plate',
  },
  'tool mark': {
    spoils: 'run',
    opensInBend: false,
    name: 'Tool mark',
    iso6520: '604',
    givenAs: 'point',
    sided: false,
    measured: null,
    degreeSizesMm: null,
    on: 'both',
    looksLike: 'ground, chipped or torn into the surface',
    forms: TOOL_MARKS,
  },
  'incomplete penetration': {
    spoils: 'root',
    opensInBend: false,
    name: 'Incomplete penetration',
    iso6520: '4021',
    givenAs: 'span',
    sided: false,
    measured: 'length',
    degreeSizesMm: null,
    on: 'root',
    looksLike: 'an edge of the land still to be seen from the root side',
  },
  'root concavity': {
    spoils: 'root',
    opensInBend: false,
    name: 'Root concavity',
    iso6520: '515',
    givenAs: 'span',
    sided: false,
    measured: 'depth',
    degreeSizesMm: [in32(1), in32(3), in32(4)],
    on: 'root',
    looksLike: 'the root drawn in, under the plate',
  },
  'excess penetration': {
    spoils: 'root',
    opensInBend: false,
    name: 'Too much through',
    iso6520: '504',
    givenAs: 'span',
    sided: false,
    measured: 'height',
    degreeSizesMm: [in32(3), in32(5), in32(8)],
    on: 'root',
    looksLike: 'metal hanging through the root',
  },
}

export const DISCONTINUITIES: readonly Discontinuity[] = (
  Object.entries(ROWS) as [DiscontinuityId, Omit<Discontinuity, 'id'>][]
).map(([id, row]) => ({ id, ...row }))

/**
 * The discontinuity with this id.
 * @throws RangeError naming the id
 * @example discontinuityOf('undercut').iso6520 // '5011'
 */
export function discontinuityOf(id: string): Discontinuity {
  const found = DISCONTINUITIES.find(row => row.id === id)
  if (!found) throw new RangeError(`No discontinuity "${id}"`)
  return found
}

/**
 * The number of a discontinuity by ISO 6520-1, of its form where one is named.
 * @example iso6520Of('crack', 'crater') // '104'
 */
export function iso6520Of(id: DiscontinuityId, form?: string): string | null {
  const row = discontinuityOf(id)
  return row.forms?.find(one => one.id === form)?.iso6520 ?? row.iso6520
}
