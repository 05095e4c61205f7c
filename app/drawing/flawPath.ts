import type { Bead, FlawMark } from '~~/core/coupon'
import type { Placement } from './placement'

/** How a flaw is drawn on its bead, in the lying frame: a path, filled or stroked. */
export interface FlawShape {
  readonly d: string
  readonly filled: boolean
  readonly strokeMm: number
}

/**
 * Toes run at these offsets from a bead's centre line, as shares of its width; more offset is toward the upper
 * edge.
 */
const TOE = 0.46

/**
 * Draws a flaw as what it is, at its place and size. Wavy lines are made from the place alone, so they never
 * flicker.
 */
export function flawShape(flaw: FlawMark, bead: Bead, placement: Placement): FlawShape {
  const from = flaw.atMm
  const to = Math.max(flaw.toMm, flaw.atMm)
  const at = (share: number) => placement.across(bead.offsetMm + share * bead.widthMm)
  const toes = flaw.side === 'upper' ? [TOE] : flaw.side === 'lower' ? [-TOE] : [TOE, -TOE]
  const size = flaw.sizeMm ?? flaw.severity * 0.5
  switch (flaw.flaw) {
    case 'undercut':
      return {
        d: toes.map(toe => wave(from, to, at(toe), 0.3, 7)).join(' '),
        filled: false,
        strokeMm: 0.6 + Math.min(0.9, size * 0.45),
      }
    case 'overlap':
      return {
        d: toes.map(toe => bulge(from, to, at(toe), Math.sign(at(toe) - at(0)) * bead.widthMm * 0.2)).join(' '),
        filled: true,
        strokeMm: 0.3,
      }
    case 'incomplete fusion':
      return { d: toes.map(toe => `M${from} ${at(toe)} L${to} ${at(toe)}`).join(' '), filled: false, strokeMm: 0.9 }
    case 'slag':
      return { d: wave(from, to, at(-0.38), 0.7, 3), filled: false, strokeMm: 1.5 }
    case 'crack':
      return { d: crack(flaw, from, to, at(0), bead.widthMm), filled: false, strokeMm: 0.55 }
    case 'tool mark':
      return { d: toolMark(flaw.form, from, at(0)), filled: false, strokeMm: 0.6 }
    case 'porosity':
      if (flaw.form)
        return {
          d: pores(flaw.form, flaw.severity)
            .map(([dx, dy]) => dot(from + dx, at(0) + dy, Math.max(0.5, size / 2.6)))
            .join(' '),
          filled: true,
          strokeMm: 0,
        }
      return {
        d: [
          [0, 0],
          [1.9, 1.1],
          [-1.7, 1.3],
          [0.8, -1.9],
          [-1.2, -1.4],
        ]
          .slice(0, 1 + flaw.severity)
          .map(([dx, dy]) => dot(from + dx!, at(0) + dy!, Math.max(0.6, size / 2.4)))
          .join(' '),
        filled: true,
        strokeMm: 0,
      }
    case 'arc strike':
      return { d: burst(from, at(0.95), 1.8), filled: false, strokeMm: 0.6 }
    case 'melt-through':
      return { d: dot(from, at(0), bead.widthMm * 0.32), filled: true, strokeMm: 0 }
    case 'sagging':
      return {
        d: bulge(from, to, at(-TOE), Math.sign(at(-TOE) - at(0)) * bead.widthMm * 0.34),
        filled: true,
        strokeMm: 0.3,
      }
    case 'crooked':
      return { d: wave(from, to, at(0), 0.6 + size * 0.5, (to - from) / 3), filled: false, strokeMm: 0.8 }
    case 'lap':
      return {
        d: `M${from} ${at(-TOE)} L${to} ${at(-TOE)} ${ticks(from, to, at(-TOE), Math.sign(at(-TOE) - at(0)) * -1.6, 9)}`,
        filled: false,
        strokeMm: 0.6,
      }
    case 'irregular width':
      return {
        d: `${wave(from, to, at(TOE * 0.7), 1, 12)} ${wave(from, to, at(-TOE * 0.7), -1, 12)}`,
        filled: false,
        strokeMm: 0.6,
      }
    case 'irregular surface':
      return { d: zigzag(from, to, at(0), bead.widthMm * 0.22, 5), filled: false, strokeMm: 0.5 }
    case 'excess weld metal':
      return { d: ticks(from, to, at(0), -1.8, 8) + ticks(from, to, at(0), 1.8, 8), filled: false, strokeMm: 0.7 }
    case 'underfill':
      return {
        d: `M${from} ${at(0.14)} L${to} ${at(0.14)} M${from} ${at(-0.14)} L${to} ${at(-0.14)}`,
        filled: false,
        strokeMm: 0.5,
      }
    case 'incomplete penetration':
      return {
        d: `M${from} ${at(0.2)} H${to} M${from} ${at(-0.2)} H${to} ${ticks(from, to, at(0.2), at(-0.2) - at(0.2), 5)}`,
        filled: false,
        strokeMm: 0.45,
      }
    case 'root concavity':
      return { d: bulge(from, to, at(0.3), (at(-0.3) - at(0.3)) * 0.3), filled: false, strokeMm: 0.6 }
    case 'excess penetration':
      return { d: wave(from, to, at(0), bead.widthMm * 0.16, 5), filled: false, strokeMm: 1.1 }
    case 'spatter':
      return {
        d: Array.from({ length: 4 + 3 * flaw.severity }, (_, n) =>
          dot(
            from + ((n + 0.5) * (to - from)) / (4 + 3 * flaw.severity),
            at(n % 2 ? 0.42 : -0.36),
            0.5 + (n % 3) * 0.2,
          ),
        ).join(' '),
        filled: true,
        strokeMm: 0,
      }
  }
}

function wave(from: number, to: number, y: number, height: number, period: number): string {
  const steps = Math.max(2, Math.round((to - from) / (period / 2)))
  const dx = (to - from) / steps
  return Array.from({ length: steps }, (_, n) => `q ${dx / 2} ${n % 2 ? height * 2 : -height * 2} ${dx} 0`).reduce(
    (d, part) => `${d} ${part}`,
    `M${from} ${y}`,
  )
}

function zigzag(from: number, to: number, y: number, height: number, period: number): string {
  const steps = Math.max(3, Math.round((to - from) / period))
  const dx = (to - from) / steps
  return Array.from(
    { length: steps },
    (_, n) => `L${from + dx * (n + 1)} ${y + (n === steps - 1 ? 0 : n % 2 ? height : -height)}`,
  ).reduce((d, part) => `${d} ${part}`, `M${from} ${y}`)
}

const bulge = (from: number, to: number, y: number, height: number) =>
  `M${from} ${y} Q ${(from + to) / 2} ${y + height * 2} ${to} ${y} Z`

const dot = (x: number, y: number, r: number) =>
  `M${x - r} ${y} a${r} ${r} 0 1 0 ${2 * r} 0 a${r} ${r} 0 1 0 ${-2 * r} 0`

const burst = (x: number, y: number, r: number) =>
  [0, 45, 90, 135]
    .map(degrees => {
      const [dx, dy] = [r * Math.cos((degrees * Math.PI) / 180), r * Math.sin((degrees * Math.PI) / 180)]
      return `M${x - dx} ${y - dy} L${x + dx} ${y + dy}`
    })
    .join(' ')

function ticks(from: number, to: number, y: number, height: number, every: number): string {
  const count = Math.max(2, Math.round((to - from) / every))
  return Array.from({ length: count }, (_, n) => `M${from + ((n + 0.5) * (to - from)) / count} ${y} v${height}`).join(
    ' ',
  )
}

/** Along the bead, across it, or a star where the arc broke off. */
function crack({ form }: FlawMark, from: number, to: number, y: number, widthMm: number): string {
  const middle = (from + to) / 2
  if (form === 'transverse')
    return `M${middle} ${y - widthMm * 0.46} l0.7 ${widthMm * 0.3} l-1.2 ${widthMm * 0.3} l0.8 ${widthMm * 0.32}`
  if (form === 'crater')
    return [20, 95, 150, 215, 300]
      .map(degrees => {
        const [dx, dy] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
        return `M${middle} ${y} l${dx * 1.1 - dy * 0.4} ${dy * 1.1 + dx * 0.4} l${dx * 1.3 + dy * 0.4} ${dy * 1.3 - dx * 0.4}`
      })
      .join(' ')
  return zigzag(from, to, y, 0.9, 1.6)
}

/** Where the pores of a form lie about their place, mm. */
function pores(form: string, severity: number): readonly (readonly [number, number])[] {
  if (form === 'single') return [[0, 0]]
  const count = 2 + 2 * severity
  if (form === 'linear')
    return Array.from({ length: count }, (_, n) => [(n - (count - 1) / 2) * 2.4, (n % 2) * 0.3] as const)
  const spread = form === 'cluster' ? 1.5 : 4.2
  return Array.from(
    { length: count },
    (_, n) =>
      [
        Math.cos(n * 2.4) * spread * Math.sqrt((n + 1) / count) * (form === 'cluster' ? 1 : 1.8),
        Math.sin(n * 2.4) * spread * Math.sqrt((n + 1) / count) * 0.6,
      ] as const,
  )
}

/** Scratches of a wheel, the nick of a chisel, or a torn edge. */
function toolMark(form: string | undefined, x: number, y: number): string {
  if (form === 'chipping') return `M${x - 1.8} ${y - 1.4} L${x + 0.2} ${y + 1.5} L${x + 1.6} ${y - 1}`
  if (form === 'torn surface')
    return `M${x - 2.2} ${y} l0.8 -1.5 l0.7 1.9 l0.9 -2 l0.6 2.2 l0.9 -1.2 M${x - 2.2} ${y + 1.4} h4.2`
  return [-1.5, -0.5, 0.5, 1.5].map(dy => `M${x - 2.4} ${y + dy + 0.5} L${x + 2.4} ${y + dy - 0.5}`).join(' ')
}
