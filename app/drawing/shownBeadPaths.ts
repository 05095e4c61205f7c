import type { ShownBead, Station } from '~~/core/simulate'

type Side = 'upper' | 'lower'
const SIDES: readonly Side[] = ['upper', 'lower']
const way = (side: Side) => (side === 'upper' ? -1 : 1)
const line = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], n) => `${n === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join(' ')

/**
 * Where the edge of the metal runs, from above: half the width, and what is rolled over beyond it. `y` is the
 * bead's line.
 */
const edge = (station: Station, side: Side, y: number) =>
  y -
  station.strayMm +
  way(side) * (station.widthMm / 2 + station.overlapMm[side] + (side === 'lower' ? station.sag * 0.5 : 0))

/** A bead's ends are round: it is this much narrower at the tip. */
function taper(bead: ShownBead, { atMm, widthMm }: Station): number {
  const fromEnd = Math.min(atMm, bead.lengthMm - atMm)
  return fromEnd >= widthMm / 2 ? 1 : Math.sqrt(Math.max(0, 1 - (1 - fromEnd / (widthMm / 2)) ** 2))
}

/** The outline of the bead from above. */
export function outline(bead: ShownBead, y: number): string {
  const at = (side: Side) =>
    bead.stations.map((station): [number, number] => {
      const middle = y - station.strayMm
      return [station.atMm, middle + (edge(station, side, y) - middle) * taper(bead, station)]
    })
  return `${line([...at('upper'), ...at('lower').reverse()])} Z`
}

/** A ripple bowed back by this share of its width is plainly pointed. */
const POINTED = { from: 0.3, to: 0.62 }

/** Every ripple from above: its toes on the edges, its middle back toward the start; the longer, the more pointed. */
export function ripples(bead: ShownBead, y: number): string {
  return bead.ripples
    .map(({ atMm, bowMm }) => {
      const station = nearest(bead, atMm)
      const [upper, lower] = [edge(station, 'upper', y), edge(station, 'lower', y)]
      const middle = (upper + lower) / 2 + station.sag * station.widthMm * 0.3
      const sharp = Math.min(1, Math.max(0, (bowMm / station.widthMm - POINTED.from) / (POINTED.to - POINTED.from)))
      const pull = atMm - bowMm * (1 - 0.35 * sharp)
      const at = (x: number, across: number) => `${x.toFixed(2)} ${across.toFixed(2)}`
      const toward = (from: number) => middle + (from - middle) * (0.72 - 0.12 * sharp)
      const down = `Q ${at(pull, toward(upper))} ${at(atMm - bowMm, middle)}`
      return `M${at(atMm, upper)} ${down} Q ${at(pull, toward(lower))} ${at(atMm, lower)}`
    })
    .join(' ')
}

/** Undercut thinner than this is not seen, mm. */
const SEEN_MM = 0.12

/** The grooves eaten beside the toes, from above, as wide as they are deep. */
export function undercut(bead: ShownBead, y: number): string {
  return SIDES.flatMap(side =>
    stretches(bead, station => station.undercutMm[side] > SEEN_MM).map(stations => {
      const toe = stations.map((station): [number, number] => [station.atMm, edge(station, side, y)])
      const out = stations
        .map((station): [number, number] => [
          station.atMm,
          edge(station, side, y) + way(side) * (0.25 + 0.9 * station.undercutMm[side]),
        ])
        .reverse()
      return `${line([...toe, ...out])} Z`
    }),
  ).join(' ')
}

/** The fold where metal lies over the plate and is not joined to it, from above. */
export function folds(bead: ShownBead, y: number): string {
  return SIDES.flatMap(side =>
    stretches(bead, station => station.overlapMm[side] > SEEN_MM).map(stations =>
      line(
        stations.map((station): [number, number] => [
          station.atMm,
          edge(station, side, y) - way(side) * (station.overlapMm[side] + 0.3),
        ]),
      ),
    ),
  ).join(' ')
}

/** Slag left along a toe, from above. */
export function slag(bead: ShownBead, y: number): string {
  return bead.slag
    .map(({ fromMm, toMm, side }) =>
      line(
        bead.stations
          .filter(({ atMm }) => atMm >= fromMm && atMm <= toMm)
          .map((station): [number, number] => [
            station.atMm,
            edge(station, side, y) - way(side) * (0.2 + 0.25 * Math.sin(station.atMm)),
          ]),
      ),
    )
    .join(' ')
}

/** The bead from the side, standing on the plate at `y`. @param times how much higher than to scale */
export function sideView(bead: ShownBead, y: number, times: number): string {
  const top = bead.stations.map((station): [number, number] => [
    station.atMm,
    y - station.heightMm * times * taper(bead, station),
  ])
  return `${line([[0, y], ...top, [bead.lengthMm, y]])} Z`
}

/**
 * The bead cut through, on a plate whose face is at 0; across runs to the right, up is the crown, the upper toe is
 * on the left.
 */
export function section(station: Station, plateMm: number, halfMm: number): string {
  const half = station.widthMm / 2
  const toe = (side: Side): [number, number][] => {
    const [x, depth, lap] = [way(side) * half, station.undercutMm[side], station.overlapMm[side]]
    if (depth > SEEN_MM)
      return [
        [x + way(side) * (0.5 + 0.8 * depth), 0],
        [x + way(side) * 0.25 * depth, depth],
        [x, -0.1],
      ]
    if (lap > 2 * SEEN_MM)
      return [
        [x, 0],
        [x + way(side) * lap * 0.7, -0.12],
        [x + way(side) * lap, -0.4 * station.heightMm * 0.5],
      ]
    return [[x, 0]]
  }
  const crown = Array.from({ length: 31 }, (_, n): [number, number] => {
    const u = -1 + (2 * n) / 30
    return [u * half, -station.heightMm * (1 - Math.abs(u) ** 2.4) * (1 + station.sag * u)]
  }).slice(1, -1)
  const top = [...toe('upper'), ...crown, ...toe('lower').reverse()]
  return `${line([[-halfMm, plateMm], [-halfMm, 0], ...top, [halfMm, 0], [halfMm, plateMm]])} Z`
}

export function nearest(bead: ShownBead, atMm: number): Station {
  return bead.stations[
    Math.min(
      bead.stations.length - 1,
      Math.max(0, Math.round(atMm / (bead.stations[1]!.atMm - bead.stations[0]!.atMm))),
    )
  ]!
}

/** Runs of neighbouring stations where something shows. */
function stretches(bead: ShownBead, shows: (station: Station) => boolean): Station[][] {
  const found: Station[][] = []
  let open = false
  for (const station of bead.stations) {
    const now = shows(station) && taper(bead, station) === 1
    if (now && !open) found.push([])
    if (now) found.at(-1)!.push(station)
    open = now
  }
  return found.filter(stations => stations.length > 1)
}
