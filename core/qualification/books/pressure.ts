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

const POSITIONS = from('QW-461.9')
const DEPOSIT = from('QW-452.1(b)')
const DIAMETER = from('QW-452.3')
const SPECIMENS = from('QW-452.1(a)')
const STRIP = from('QW-462', 'check before it decides')
const FILLERS = from('QW-433')
const FILLET = from('QW-452.4 to QW-452.6', 'check before it decides')
const ALL = 'FHVO'
const THREE_QUARTERS = printed(3 / 4, 19)

/**
 * Boiler and pressure vessels. Goes by what each filler deposited, and gives no figure for undercut or
 * reinforcement. Source: ASME BPVC Section IX, from memory, check your copy.
 */
export const PRESSURE: CodeBook = {
  id: 'pressure',
  family: 'pressure',
  name: 'ASME IX',
  edition: '2013 to 2023',
  unit: 'as the house',
  criteriaId: 'ix visual',
  positions: [
    position(
      'plate',
      '1G',
      { plateGroove: 'F', pipeGroove: 'F', fillet: 'F' },
      from('QW-461.9', 'check before it decides'),
    ),
    position('plate', '2G', { plateGroove: 'FH', pipeGroove: 'FH', fillet: 'FH' }, POSITIONS),
    position('plate', '3G', { plateGroove: 'FV', pipeGroove: 'F', fillet: 'FHV' }, POSITIONS),
    position('plate', '4G', { plateGroove: 'FO', pipeGroove: 'F', fillet: 'FHO' }, POSITIONS),
    position('plate', '1F', { fillet: 'F' }, POSITIONS),
    position('plate', '2F', { fillet: 'FH' }, POSITIONS),
    position('plate', '3F', { fillet: 'FHV' }, POSITIONS),
    position('plate', '4F', { fillet: 'FHO' }, POSITIONS),
    position('pipe', '1G', { plateGroove: 'F', pipeGroove: 'F', fillet: 'F' }, POSITIONS),
    position('pipe', '2G', { plateGroove: 'FH', pipeGroove: 'FH', fillet: 'FH' }, POSITIONS),
    position('pipe', '5G', { plateGroove: 'FVO', pipeGroove: 'FVO', fillet: ALL }, POSITIONS),
    position('pipe', '6G', { plateGroove: ALL, pipeGroove: ALL, fillet: ALL }, POSITIONS),
    position('pipe', '1F', { fillet: 'F' }, POSITIONS),
    position('pipe', '2F', { fillet: 'FH' }, POSITIONS),
    position('pipe', '2FR', { fillet: 'FH' }, POSITIONS),
    position('pipe', '4F', { fillet: 'FHO' }, POSITIONS),
    position('pipe', '5F', { fillet: ALL }, POSITIONS),
  ],
  together: [
    together('plate', ['3G', '4G'], { plateGroove: 'FVO', pipeGroove: 'F', fillet: ALL }, POSITIONS),
    together('plate', ['2G', '3G', '4G'], { plateGroove: ALL, pipeGroove: 'FH', fillet: ALL }, POSITIONS),
    together('plate', ['3F', '4F'], { fillet: ALL }, POSITIONS),
    together('pipe', ['2G', '5G'], { plateGroove: ALL, pipeGroove: ALL, fillet: ALL }, POSITIONS),
  ],
  plateAsPipe: { ...printed(24, 610), ...from('QW-461.9') },
  thicknessOf: 'deposit',
  thickness: [
    sizes({ weld: 'fillet', says: 'fillet material' }, FILLET),
    sizes({ when: { from: printed(1 / 2, 13) }, layers: 3, says: 'the most that is to be welded' }, DEPOSIT),
    sizes({ most: { times: 2 } }, DEPOSIT),
  ],
  diameters: [
    sizes(
      {
        form: 'plate',
        least: { size: printed(2.875, 73) },
        says: 'in the positions of the pipe column; over 24 in (610 mm) as plate',
      },
      from('QW-461.9, QW-303'),
    ),
    sizes(
      { form: 'pipe', when: { below: printed(1, 25) }, least: { times: 1 }, says: 'the size welded and over' },
      DIAMETER,
    ),
    sizes({ form: 'pipe', when: { below: printed(2.875, 73) }, least: { size: printed(1, 25) } }, DIAMETER),
    sizes({ form: 'pipe', least: { size: printed(2.875, 73) } }, DIAMETER),
  ],
  fillers: {
    grouping: 'F-number',
    rows: [
      filler('F1', 'with', 'F1', '', FILLERS),
      filler('F1', 'without', 'F1', 'F1', FILLERS),
      filler('F2', 'with', 'F2 F1', '', FILLERS),
      filler('F2', 'without', 'F2 F1', 'F2', FILLERS),
      filler('F3', 'with', 'F3 F2 F1', '', FILLERS),
      filler('F3', 'without', 'F3 F2 F1', 'F3', FILLERS),
      filler('F4', 'with', 'F4 F3 F2 F1', '', FILLERS),
      filler('F4', 'without', 'F4 F3 F2 F1', 'F4', FILLERS),
      filler('F5', 'with', 'F5 F1', '', from('QW-433', 'check before it decides')),
      filler('F5', 'without', 'F5 F1', 'F5', from('QW-433', 'check before it decides')),
      filler('F6', 'with', 'F6', '', from('QW-433', 'check before it decides')),
      filler('F6', 'without', 'F6', 'F6', from('QW-433', 'check before it decides')),
    ],
  },
  backing: {
    with: 'with backing, or welded from both sides',
    without: 'with backing and without',
    ...from('QW-402.4'),
  },
  progression: { says: 'up and down are tested apart, the cap left out', ...from('QW-405.3') },
  specimens: [
    {
      form: 'any',
      weld: 'fillet',
      round: null,
      wall: {},
      outside: {},
      kinds: ['fillet break', 'macro'],
      ...from('QW-452.5', 'check before it decides'),
    },
    {
      form: 'any',
      weld: 'groove',
      round: true,
      wall: { from: THREE_QUARTERS },
      outside: {},
      kinds: FOUR_SIDES,
      ...SPECIMENS,
    },
    { form: 'any', weld: 'groove', round: true, wall: {}, outside: {}, kinds: ROUND_FACE_AND_ROOT, ...SPECIMENS },
    {
      form: 'any',
      weld: 'groove',
      round: false,
      wall: { from: THREE_QUARTERS },
      outside: {},
      kinds: TWO_SIDES,
      ...SPECIMENS,
    },
    { form: 'any', weld: 'groove', round: false, wall: {}, outside: {}, kinds: FACE_AND_ROOT, ...SPECIMENS },
  ],
  strips: [
    { kinds: ['side'], outside: {}, width: printed(3 / 8, 10), ...STRIP },
    { kinds: ['face', 'root'], outside: { below: printed(2, 50) }, width: printed(3 / 8, 10), ...STRIP },
    { kinds: ['face', 'root'], outside: { upTo: printed(4, 100) }, width: printed(3 / 4, 19), ...STRIP },
    { kinds: ['face', 'root'], outside: {}, width: printed(1.5, 38), ...STRIP },
    { kinds: ['fillet break'], outside: {}, width: printed(4, 100), ...STRIP },
    { kinds: ['macro'], outside: {}, width: printed(1, 25), ...STRIP },
  ],
  bend: {
    single: printed(1 / 8, 3),
    singleReached: true,
    halfWall: false,
    sum: null,
    counted: printed(0, 0),
    countedReached: false,
    corner: null,
    cornerReached: true,
    cornerBeyond: 'fails',
    ...from('QW-163'),
  },
  formers: [{ upToMpa: null, reached: true, plunger: printed(1.5, 38.1), ...from('QW-466.1, P-1 steels') }],
  radiograph: {
    says: 'In place of bends. Plate: 6 in (150 mm); pipe: the whole way round.',
    ...from('QW-302.2, QW-304', 'check before it decides'),
  },
  byHand: {
    'fillet break': {
      says:
        'No cracks, root fused; inclusions and pores sum to no more than 3/8 in (10 mm), or 10 % of the quarter on ' +
        'pipe.',
      ...from('QW-182'),
    },
    'macro': {
      says:
        'Fused, no cracks, a line at the root to 1/32 in (0.8 mm), concavity or convexity to 1/16 in (1.5 mm), ' +
        'legs within 1/8 in (3 mm) of each other.',
      ...from('QW-184'),
    },
    'radiograph': {
      says:
        'No crack, incomplete fusion or penetration; slag to 1/8 in (3 mm) in walls to 3/8 in, a third of thicker ' +
        'ones; rounded to a fifth of the wall, at most 1/8 in.',
      ...from('QW-191.1.2.2'),
    },
  },
  retest: {
    pieces: 2,
    atOnce: 'two consecutive coupons for each position that failed, and all pass; a visual failure by visual first',
    afterTraining: 'one new full test',
    ...from('QW-321'),
  },
  continuity: {
    months: 6,
    orMore: true,
    confirmed: false,
    again: null,
    says: 'lapses when the process is not used for six months or more',
    ...from('QW-322.1(a)'),
  },
}
