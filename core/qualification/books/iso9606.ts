import type { CodeBook } from '../codeBook'
import { printed } from '../printedSize'
import {
  FACE_AND_ROOT,
  filler,
  FOUR_SIDES,
  from,
  position,
  ROUND_FACE_AND_ROOT,
  sizes,
  together,
  TWO_SIDES,
} from './rows'

const POSITIONS = from('5.8, Tables 9 and 10')
const UNSURE = from('5.8, Tables 9 and 10', 'check before it decides')
const DEPOSIT = from('5.7, Table 6')
const FILLERS = from('5.6, Tables 4 and 5', 'check before it decides')
const PIECES = from('6.4, Table 13: bends in place of a radiograph', 'check before it decides')
/** The standard gives millimetres alone; the other value is never used. */
const mm = (size: number) => printed(size / 25.4, size)

/**
 * Steel, fusion welding. Reads millimetres only; a butt weld does not cover fillets. Letters stand for PA (F), PB
 * and PC (H), PF and PG (V), PD and PE (O).
 * Source: ISO 9606-1:2012, from memory, check your copy.
 */
export const ISO_9606: CodeBook = {
  id: 'ISO',
  family: 'ISO',
  name: 'ISO 9606-1',
  edition: '2012',
  unit: 'mm',
  criteriaId: 'iso 9606',
  positions: [
    position('plate', '1G', { plateGroove: 'F', pipeGroove: 'F' }, POSITIONS),
    position('plate', '2G', { plateGroove: 'FH', pipeGroove: 'FH' }, POSITIONS),
    position('plate', '3G', { plateGroove: 'FV', pipeGroove: 'FV' }, POSITIONS, 'up'),
    position('plate', '3G', { plateGroove: 'V', pipeGroove: 'V' }, POSITIONS, 'down'),
    position('plate', '4G', { plateGroove: 'FHO', pipeGroove: 'FHO' }, POSITIONS),
    position('plate', '1F', { fillet: 'F' }, POSITIONS),
    position('plate', '2F', { fillet: 'FH' }, POSITIONS),
    position('plate', '3F', { fillet: 'FHV' }, POSITIONS, 'up'),
    position('plate', '3F', { fillet: 'V' }, POSITIONS, 'down'),
    position('plate', '4F', { fillet: 'FHO' }, UNSURE),
    position('pipe', '1G', { plateGroove: 'F', pipeGroove: 'F' }, POSITIONS),
    position('pipe', '2G', { plateGroove: 'FH', pipeGroove: 'FH' }, POSITIONS),
    position('pipe', '5G', { plateGroove: 'FVO', pipeGroove: 'FVO' }, POSITIONS, 'up'),
    position('pipe', '5G', { plateGroove: 'FVO', pipeGroove: 'FVO' }, UNSURE, 'down'),
    position('pipe', '6G', { plateGroove: 'FHVO', pipeGroove: 'FHVO' }, POSITIONS, 'up'),
    position('pipe', '6G', { plateGroove: 'FHVO', pipeGroove: 'FHVO' }, POSITIONS, 'down'),
    position('pipe', '2F', { fillet: 'FH' }, POSITIONS),
    position('pipe', '4F', { fillet: 'FHO' }, UNSURE),
    position('pipe', '5F', { fillet: 'FHVO' }, UNSURE, 'up'),
  ],
  together: [together('pipe', ['2G', '5G'], { plateGroove: 'FHVO', pipeGroove: 'FHVO' }, UNSURE)],
  plateAsPipe: null,
  thicknessOf: 'deposit',
  thickness: [
    sizes(
      {
        weld: 'fillet',
        when: { below: mm(3) },
        least: { times: 1 },
        most: { size: mm(3), times: 2 },
        says: 'fillet material',
      },
      from('5.7, Table 8'),
    ),
    sizes({ weld: 'fillet', least: { size: mm(3) }, says: 'fillet material' }, from('5.7, Table 8')),
    sizes({ when: { from: mm(12) }, layers: 3, least: { size: mm(3) } }, DEPOSIT),
    sizes({ when: { from: mm(3) }, least: { size: mm(3) }, most: { times: 2 } }, DEPOSIT),
    sizes({ least: { times: 1 }, most: { size: mm(3), times: 2 } }, DEPOSIT),
  ],
  diameters: [
    sizes(
      {
        form: 'plate',
        least: { size: mm(500) },
        says: 'fixed pipe',
        rotated: { from: mm(75), groove: { F: ['PA'], H: ['PC'] }, fillet: { F: ['PA'], H: ['PB'], O: ['PD'] } },
      },
      from('5.3'),
    ),
    sizes({ form: 'pipe', when: { upTo: mm(25) }, least: { times: 1 }, most: { times: 2 } }, from('5.7, Table 7')),
    sizes({ form: 'pipe', least: { size: mm(25), times: 0.5 }, says: 'and plate' }, from('5.7, Table 7')),
  ],
  fillers: {
    grouping: 'covering',
    rows: [
      filler('B', 'with', 'B R', '', FILLERS),
      filler('B', 'without', 'B R', 'B', FILLERS),
      filler('R', 'with', 'R', '', FILLERS),
      filler('R', 'without', 'R', 'R', FILLERS),
      filler('C', 'with', 'C', '', FILLERS),
      filler('C', 'without', 'C', 'C', FILLERS),
      filler('FM5-R', 'with', 'FM5-R', '', FILLERS),
      filler('FM5-R', 'without', 'FM5-R', 'FM5-R', FILLERS),
      filler('S', 'with', 'S', '', FILLERS),
      filler('S', 'without', 'S', 'S', FILLERS),
    ],
  },
  backing: {
    with: 'on backing (ss mb), or from both sides (bs)',
    without: 'without backing (ss nb), on backing, and from both sides',
    ...from('5.9, Table 11'),
  },
  progression: { says: 'up (PF, PH) and down (PG, PJ) are tested apart', ...from('5.8') },
  specimens: [
    {
      form: 'any',
      weld: 'fillet',
      round: null,
      wall: {},
      outside: {},
      kinds: ['fillet break'],
      ...from('6.4, Table 13'),
    },
    { form: 'any', weld: 'groove', round: true, wall: { from: mm(12) }, outside: {}, kinds: FOUR_SIDES, ...PIECES },
    { form: 'any', weld: 'groove', round: true, wall: {}, outside: {}, kinds: ROUND_FACE_AND_ROOT, ...PIECES },
    { form: 'any', weld: 'groove', round: false, wall: { from: mm(12) }, outside: {}, kinds: TWO_SIDES, ...PIECES },
    { form: 'any', weld: 'groove', round: false, wall: {}, outside: {}, kinds: FACE_AND_ROOT, ...PIECES },
  ],
  strips: [
    { kinds: ['side'], outside: {}, width: mm(10), ...from('ISO 5173', 'may be wrong') },
    { kinds: ['face', 'root'], outside: { upTo: mm(100) }, width: mm(20), ...from('ISO 5173', 'may be wrong') },
    { kinds: ['face', 'root'], outside: {}, width: mm(30), ...from('ISO 5173', 'may be wrong') },
    { kinds: ['fillet break'], outside: {}, width: mm(150), ...from('6.4') },
  ],
  bend: {
    single: mm(3),
    singleReached: false,
    halfWall: false,
    sum: mm(10),
    counted: mm(1),
    countedReached: true,
    corner: null,
    cornerReached: true,
    cornerBeyond: 'fails',
    ...from('6.5.4'),
  },
  formers: [
    {
      upToMpa: null,
      reached: true,
      plunger: mm(40),
      ...from('6.5.4: four times 10 mm, for steels of 20 % elongation', 'check before it decides'),
    },
  ],
  radiograph: { says: 'A radiograph, bends or fracture: one of them.', ...from('6.4, Table 13') },
  byHand: {
    'fillet break': {
      says: 'By ISO 5817 level B; level C for excess metal, convexity, penetration, throat too thick and undercut.',
      ...from('7'),
    },
    'radiograph': { says: 'By ISO 5817 level B; level C for excess metal, penetration and undercut.', ...from('7') },
  },
  retest: {
    pieces: 1,
    atOnce: 'one more test piece; if that fails, more training first',
    afterTraining: 'a new test',
    ...from('8', 'check before it decides'),
  },
  continuity: {
    months: 6,
    orMore: false,
    confirmed: true,
    again: 3,
    says: 'confirmed every six months by the employer or coordinator; tested again every three years, or as agreed',
    ...from('9.2, 9.3'),
  },
}
