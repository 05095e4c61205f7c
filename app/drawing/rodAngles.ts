import type { Joint, RodAngles } from '~~/core/setup'
import type { PadPosition, Travel } from '~~/core/trade'

/** What a line of the picture is, so that screen and paper may each draw it their way. */
export type ShapeKind = 'plate' | 'bead' | 'rod' | 'core' | 'square' | 'sweep' | 'travel'

export interface Shape {
  readonly kind: ShapeKind
  readonly d: string
}

/** One view of rod and plate in a box of 120 by 100, y down. */
export interface View {
  readonly caption: string
  readonly angle: string
  readonly shapes: readonly Shape[]
}

export interface DrawnAngles {
  readonly angles: RodAngles
  readonly joint: Joint
  readonly position: PadPosition
  readonly travel: Travel
  readonly hand: 'right' | 'left'
}

type Point = readonly [x: number, y: number]
type Turn = (point: Point) => Point

const CENTRE: Point = [60, 58]
const ROD = 46
const radians = (degrees: number) => (degrees * Math.PI) / 180
const two = (value: number) => Math.round(value * 100) / 100

/** A path in the plate's own frame (x along, y out of the plate) turned to how it stands in the shop. */
function path(points: readonly Point[], turn: Turn, closed = false): string {
  return (
    points
      .map((point, index) => {
        const [x, y] = turn(point)
        return `${index === 0 ? 'M' : 'L'}${two(CENTRE[0] + x)} ${two(CENTRE[1] + y)}`
      })
      .join(' ') + (closed ? ' Z' : '')
  )
}

const FLAT: Turn = ([x, y]) => [x, -y]
const FLAT_MIRRORED: Turn = ([x, y]) => [-x, -y]
const CEILING: Turn = ([x, y]) => [x, y - 16]
const CEILING_MIRRORED: Turn = ([x, y]) => [-x, y - 16]
const WALL_UP: Turn = ([x, y]) => [y - 22, -x - 8]
const WALL_DOWN: Turn = ([x, y]) => [y - 22, x - 8]
const WALL: Turn = ([x, y]) => [y - 22, -x - 8]

function sideTurn({ position, travel, hand }: DrawnAngles): Turn {
  if (position === '3G') return mirrorFor(hand, travel === 'down' ? WALL_DOWN : WALL_UP)
  const backward = travel === 'right to left'
  if (position === '4G') return backward ? CEILING_MIRRORED : CEILING
  return backward ? FLAT_MIRRORED : FLAT
}

/** A left-hander stands on the other side of an upright plate. */
const mirrorFor = (hand: 'right' | 'left', turn: Turn): Turn =>
  hand === 'left'
    ? point => {
        const [x, y] = turn(point)
        return [-x, y]
      }
    : turn

function endTurn({ position, joint, hand }: DrawnAngles): Turn {
  if (position === '4G') return CEILING
  if (position === '2G' && joint !== 'T' && joint !== 'lap' && joint !== 'outside corner') return mirrorFor(hand, WALL)
  return mirrorFor(hand, FLAT)
}

/** A rod with its tip at a point, leaning by some degrees from the plate's normal toward +x. */
function rodShapes(tip: Point, fromNormal: number, turn: Turn): Shape[] {
  const [dx, dy] = [Math.sin(radians(fromNormal)), Math.cos(radians(fromNormal))]
  const at = (along: number, across: number): Point => [
    tip[0] + along * dx + across * dy,
    tip[1] + along * dy - across * dx,
  ]
  return [
    { kind: 'rod', d: path([at(1, -2.6), at(ROD - 9, -2.6), at(ROD - 9, 2.6), at(1, 2.6)], turn, true) },
    { kind: 'core', d: path([at(ROD - 9, 0), at(ROD, 0)], turn) },
  ]
}

/** The line of comparison and the arc swept from it to the rod. */
function sweepShapes(tip: Point, fromDegrees: number, toDegrees: number, turn: Turn): Shape[] {
  const at = (degrees: number, radius: number): Point => [
    tip[0] + radius * Math.sin(radians(degrees)),
    tip[1] + radius * Math.cos(radians(degrees)),
  ]
  const steps = Array.from({ length: 9 }, (_, n) => at(fromDegrees + ((toDegrees - fromDegrees) * n) / 8, 33))
  return [
    { kind: 'square', d: path([tip, at(fromDegrees, 40)], turn) },
    ...(Math.abs(toDegrees - fromDegrees) > 0.5 ? [{ kind: 'sweep', d: path(steps, turn) } as const] : []),
  ]
}

/** Along the weld: which way it travels and how far the rod leans. */
function sideView(wanted: DrawnAngles): View {
  const { low, high, lean } = wanted.angles.travel
  const turn = sideTurn(wanted)
  const degrees = ((low + high) / 2) * (lean === 'drag' ? 1 : -1)
  const tip: Point = [6, 4]
  return {
    caption: wanted.position === '2G' ? 'from above' : 'from the side',
    angle: high === 0 ? 'straight in' : `${lean} ${low === high ? low : `${low}–${high}`}°`,
    shapes: [
      {
        kind: 'plate',
        d: path(
          [
            [-46, 0],
            [46, 0],
            [46, -10],
            [-46, -10],
          ],
          turn,
          true,
        ),
      },
      {
        kind: 'bead',
        d: path(
          [
            [-46, 0],
            [-46, 5],
            [-6, 5],
            [2, 4],
            [7, 0],
          ],
          turn,
          true,
        ),
      },
      ...sweepShapes(tip, 0, degrees, turn),
      ...rodShapes(tip, degrees, turn),
      {
        kind: 'travel',
        d: path(
          [
            [-16, -17],
            [18, -17],
          ],
          turn,
        ),
      },
      {
        kind: 'travel',
        d: path(
          [
            [13, -13.5],
            [19, -17],
            [13, -20.5],
          ],
          turn,
        ),
      },
    ],
  }
}

type Piece = readonly (readonly Point[])[]

const V_PLATES: Piece = [
  [
    [-46, 0],
    [-12, 0],
    [-3, -16],
    [-46, -16],
  ],
  [
    [46, 0],
    [12, 0],
    [3, -16],
    [46, -16],
  ],
]
/** Plates, weld, and where the rod's tip stands, across the joint. */
const SECTIONS: Readonly<
  Record<Joint, { readonly plates: Piece; readonly bead: readonly Point[]; readonly tip: Point }>
> = {
  'pad': {
    plates: [
      [
        [-46, 0],
        [46, 0],
        [46, -10],
        [-46, -10],
      ],
    ],
    bead: [
      [-8, 0],
      [-5, 3.2],
      [0, 4.4],
      [5, 3.2],
      [8, 0],
    ],
    tip: [0, 5],
  },
  'square butt': {
    plates: [
      [
        [-46, 0],
        [-1, 0],
        [-1, -10],
        [-46, -10],
      ],
      [
        [46, 0],
        [1, 0],
        [1, -10],
        [46, -10],
      ],
    ],
    bead: [
      [-7, 0],
      [-4, 2.6],
      [0, 3.4],
      [4, 2.6],
      [7, 0],
    ],
    tip: [0, 4],
  },
  'T': {
    plates: [
      [
        [-30, 0],
        [46, 0],
        [46, -9],
        [-30, -9],
      ],
      [
        [-9, 0],
        [0, 0],
        [0, 46],
        [-9, 46],
      ],
    ],
    bead: [
      [0, 0],
      [12, 0],
      [0, 12],
    ],
    tip: [6.5, 6.5],
  },
  'lap': {
    plates: [
      [
        [-20, 0],
        [46, 0],
        [46, -9],
        [-20, -9],
      ],
      [
        [-46, 0],
        [0, 0],
        [0, 9],
        [-46, 9],
      ],
    ],
    bead: [
      [0, 0],
      [10, 0],
      [0, 9],
    ],
    tip: [5.5, 5],
  },
  'edge': {
    plates: [
      [
        [-10, 0],
        [-0.5, 0],
        [-0.5, -24],
        [-10, -24],
      ],
      [
        [10, 0],
        [0.5, 0],
        [0.5, -24],
        [10, -24],
      ],
    ],
    bead: [
      [-8, 0],
      [-4, 2.6],
      [0, 3.4],
      [4, 2.6],
      [8, 0],
    ],
    tip: [0, 4],
  },
  'outside corner': {
    plates: [
      [
        [-46, 0],
        [-9, 0],
        [-9, -9],
        [-46, -9],
      ],
      [
        [-9, -9],
        [0, -9],
        [0, -38],
        [-9, -38],
      ],
    ],
    bead: [
      [-9, 0],
      [-3, 0],
      [0, -3],
      [0, -9],
      [-9, -9],
    ],
    tip: [-2, -2],
  },
  'V, backing': {
    plates: [
      ...V_PLATES,
      [
        [-18, -16],
        [18, -16],
        [18, -21],
        [-18, -21],
      ],
    ],
    bead: [
      [-5.5, -11.5],
      [0, -12.5],
      [5.5, -11.5],
      [3, -16],
      [-3, -16],
    ],
    tip: [0, -10],
  },
  'V, open root': {
    plates: V_PLATES,
    bead: [
      [-5, -12.5],
      [0, -13.5],
      [5, -12.5],
      [3, -16],
      [0, -18],
      [-3, -16],
    ],
    tip: [0, -11],
  },
}

/** Across the weld: which way the rod points between the plates. */
function endView(wanted: DrawnAngles): View {
  const { joint, angles, position } = wanted
  const { plates, bead, tip } = SECTIONS[joint]
  const turn = endTurn(wanted)
  const { low, high, from, up } = angles.work
  const middle = (low + high) / 2
  const fromPlate = from === 'the lower plate'
  // From the lower plate, 90 degrees is the plate's own line; a rod that points up has its holder below its tip.
  const degrees = fromPlate ? 90 - middle : joint === 'outside corner' ? 45 : up ? -middle : 0
  const zero = fromPlate ? 90 : joint === 'outside corner' ? 45 : 0
  const range = low === high ? `${low}` : `${low}–${high}`
  return {
    caption: position === '3G' ? 'end view, from above' : 'end view',
    angle: fromPlate
      ? `${range}° from the ${position === '3G' ? 'side' : position === '4G' ? 'upper' : 'lower'} plate`
      : joint === 'outside corner'
        ? 'bisect'
        : up
          ? `points up ${range}°`
          : 'square to the plate',
    shapes: [
      ...plates.map((plate): Shape => ({ kind: 'plate', d: path(plate, turn, true) })),
      { kind: 'bead', d: path(bead, turn, true) },
      ...sweepShapes(tip, zero, degrees, turn),
      ...rodShapes(tip, degrees, turn),
    ],
  }
}

/**
 * Rod and plate in two small views, to angle, as they stand in the shop; mirrored for the other hand and the other
 * way of travel.
 */
export function rodAngleViews(wanted: DrawnAngles): readonly [side: View, end: View] {
  return [sideView(wanted), endView(wanted)]
}

const INK: Readonly<Record<ShapeKind, string>> = {
  plate: 'fill="#b9c2c6" stroke="#6d787e" stroke-width="0.8"',
  bead: 'fill="#6d787e" stroke="#3e4b53" stroke-width="0.8"',
  rod: 'fill="#e8dfd2" stroke="#3e4b53" stroke-width="0.9"',
  core: 'fill="none" stroke="#3e4b53" stroke-width="2.2"',
  square: 'fill="none" stroke="#3e4b53" stroke-width="0.8" stroke-dasharray="3 2.4"',
  sweep: 'fill="none" stroke="#8a4f12" stroke-width="1.6"',
  travel: 'fill="none" stroke="#8a4f12" stroke-width="1.8" stroke-linecap="round" stroke-linejoin="round"',
}

/** A view as an SVG of its own, in ink for paper. */
export function viewSvg({ shapes }: View): string {
  const paths = shapes.map(({ kind, d }) => `<path d="${d}" ${INK[kind]}/>`)
  return [
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 100" width="120" height="100">',
    ...paths,
    '</svg>',
  ].join('')
}
