import type { CodeBook, SpecimenKind, SpecimenRow } from '../codeBook'
import { printed, type SizeTest } from '../printedSize'
import { filler, from, position, sizes } from './rows'

const SINGLE = from('6.2', 'check before it decides')
const GROUPS = from('6.2.2')
const TABLE_3 = from('6.5, Table 3')
const FILLERS = from('6.2.2, Table 1', 'check before it decides')
const SMALL = printed(2.375, 60.3)
const LARGE = printed(12.75, 323.9)
const FOUR_AND_A_HALF = printed(4.5, 114.3)
const HALF_INCH: SizeTest = { upTo: printed(0.5, 12.7) }

const kinds = (tensile: number, nick: number, root: number, face: number, side: number): SpecimenKind[] => [
  ...Array<SpecimenKind>(tensile).fill('tensile'),
  ...Array<SpecimenKind>(nick).fill('nick-break'),
  ...Array<SpecimenKind>(root).fill('root'),
  ...Array<SpecimenKind>(face).fill('face'),
  ...Array<SpecimenKind>(side).fill('side'),
]
const row = (wall: SizeTest, outside: SizeTest, found: readonly SpecimenKind[], source = TABLE_3): SpecimenRow => ({
  form: 'pipe',
  weld: 'groove',
  round: null,
  wall,
  outside,
  kinds: found,
  ...source,
})

/** Cross-country pipe, butt tests. Source: API 1104, from memory, check your copy. */
export const PIPELINE: CodeBook = {
  id: 'pipeline',
  family: 'pipeline',
  name: 'API 1104',
  edition: '21st, 2013',
  unit: 'as the house',
  criteriaId: '1104 visual',
  positions: [
    position('pipe', '2G', { plateGroove: 'FH', pipeGroove: 'FH', fillet: 'FH' }, SINGLE),
    position('pipe', '5G', { plateGroove: 'FVO', pipeGroove: 'FVO', fillet: 'FVO' }, SINGLE),
    position('pipe', '6G', { plateGroove: 'FHVO', pipeGroove: 'FHVO', fillet: 'FHVO' }, from('6.2')),
  ],
  together: [],
  plateAsPipe: null,
  thicknessOf: 'coupon',
  thickness: [
    sizes(
      { when: { below: printed(0.188, 4.8) }, most: { size: printed(0.188, 4.8) }, says: 'its group of walls' },
      GROUPS,
    ),
    sizes(
      {
        when: { upTo: printed(0.75, 19.1) },
        least: { size: printed(0.188, 4.8) },
        most: { size: printed(0.75, 19.1) },
        says: 'its group of walls',
      },
      GROUPS,
    ),
    sizes({ least: { size: printed(0.75, 19.1) }, says: 'its group of walls' }, GROUPS),
  ],
  diameters: [
    sizes({ form: 'pipe', when: { below: SMALL }, most: { size: SMALL }, says: 'its group of diameters' }, GROUPS),
    sizes(
      {
        form: 'pipe',
        when: { upTo: LARGE },
        least: { size: SMALL },
        most: { size: LARGE },
        says: 'its group of diameters',
      },
      GROUPS,
    ),
    sizes({ form: 'pipe', least: { size: LARGE }, says: 'its group of diameters' }, GROUPS),
  ],
  fillers: {
    grouping: 'pipeline group',
    rows: [
      filler('G1', 'any', 'G1 G2', 'G1 G2', FILLERS),
      filler('G2', 'any', 'G1 G2', 'G1 G2', FILLERS),
      filler('G3', 'any', 'G3', 'G3', FILLERS),
    ],
  },
  backing: { with: 'as tested, with backing', without: 'as tested, without', ...from('6.2.2') },
  progression: { says: 'up and down are tested apart', ...from('6.2.2') },
  specimens: [
    row(HALF_INCH, { below: SMALL }, kinds(0, 2, 2, 0, 0), from('6.5, Table 3', 'check before it decides')),
    row(HALF_INCH, { upTo: FOUR_AND_A_HALF }, kinds(0, 2, 2, 0, 0)),
    row(HALF_INCH, { upTo: LARGE }, kinds(2, 2, 2, 0, 0)),
    row(HALF_INCH, {}, kinds(4, 4, 2, 2, 0)),
    row({}, { upTo: FOUR_AND_A_HALF }, kinds(0, 2, 0, 0, 2), from('6.5, Table 3', 'check before it decides')),
    row({}, { upTo: LARGE }, kinds(2, 2, 0, 0, 2)),
    row({}, {}, kinds(4, 4, 0, 0, 4)),
  ],
  strips: [
    {
      kinds: ['face', 'root', 'side', 'nick-break', 'tensile'],
      outside: {},
      width: printed(1, 25),
      ...from('6.5', 'check before it decides'),
    },
  ],
  bend: {
    single: printed(1 / 8, 3.2),
    singleReached: true,
    halfWall: true,
    sum: null,
    counted: printed(0, 0),
    countedReached: false,
    corner: printed(1 / 4, 6.4),
    cornerReached: false,
    cornerBeyond: 'fails',
    ...from('5.6.4.3'),
  },
  formers: [
    { upToMpa: null, reached: true, plunger: printed(3.5, 90), ...from('5.6.4: plunger radius 1.75 in (45 mm)') },
  ],
  radiograph: { says: 'In place of the cut specimens for butt tests, by Section 9.', ...from('6.6') },
  byHand: {
    'nick-break': {
      says:
        'Through and fused; gas pockets to 1/16 in (1.6 mm), and 2 % of the face; slag to 1/32 in (0.8 mm) deep and ' +
        '1/8 in (3.2 mm) or half the wall long, 1/2 in (13 mm) of sound metal between.',
      ...from('5.6.3.3'),
    },
    'tensile': {
      says: 'Breaking in the weld, its face is held to the nick-break’s limits.',
      ...from('6.5.3', 'check before it decides'),
    },
    'radiograph': {
      says:
        'No cracks but shallow crater cracks to 5/32 in (4 mm); incomplete penetration and fusion to 1 in (25 mm), ' +
        'and in any 12 in (300 mm).',
      ...from('9.3', 'check before it decides'),
    },
  },
  retest: {
    pieces: 1,
    atOnce: 'one more chance, if both parties agree that the failure was beyond the welder’s control',
    afterTraining: 'with proof of further training',
    ...from('6.7'),
  },
  continuity: {
    months: 6,
    orMore: false,
    confirmed: false,
    again: null,
    says: 'six months by the federal pipeline rules, not by the standard itself',
    ...from('49 CFR 192, 195', 'check before it decides'),
  },
}
