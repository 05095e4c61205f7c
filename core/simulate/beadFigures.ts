import type { Technique } from './technique'

/** Two toes of a bead; the upper is the one higher up on the plate, or farther from the welder. */
export interface Toes {
  readonly upper: number
  readonly lower: number
}

/**
 * What a technique makes of a bead, before chance: shares of the right bead where 1 is right, else millimetres or
 * counts where 0 is right.
 */
export interface BeadFigures {
  /** Width and height, as shares of the right ones. */
  readonly width: number
  readonly height: number
  /** How far a ripple bows back from the travel, as a share of the width. */
  readonly bow: number
  /** Spacing of ripples, as a share of the right one. */
  readonly pitch: number
  /** How far the width swings along the bead, as a share of it. */
  readonly widthSwing: number
  /** How far the bead strays from its line, mm. */
  readonly strayMm: number
  readonly undercutMm: Toes
  readonly overlapMm: Toes
  /** How far the crown hangs to the lower side, as a share of half the width. */
  readonly sag: number
  /** Pores and drops of spatter in 100 mm, and pores at the start alone. */
  readonly pores: number
  readonly startPores: number
  readonly spatter: number
  /** Share of each toe with slag in it. */
  readonly slag: number
  /** How far the restart stands over the bead, mm; under it when less than 0. */
  readonly restartMm: number
  readonly startLumpMm: number
  readonly craterMm: number
  readonly strikes: number
}

/** The ripple of a right bead: bowed back by a third of its width. */
export const RIGHT_BOW = 0.34

/** Undercut shows where what eats the toe is more than the puddle fills, mm. */
const eaten = (amount: number) => Math.max(0, amount - 0.25) * 0.9

/**
 * The law of the shown bead. Metal is kept: width times height follows from melt rate over travel speed, and what
 * spreads the puddle makes the bead as
 * much flatter as wider. Source of the signs: bead shapes and what they say, common practice; the sizes are rough.
 * @param alongShare how far along the bead, 0 to 1: a plate that is not cooled is hotter toward the end
 * @param level run flat; a horizontal bead loses its upper toe to a rod that points down
 * @example beadFigures({ 'current high': 1 }, 0.5, true).width > 1 // and .height < 1
 */
export function beadFigures(technique: Technique, alongShare: number, level: boolean): BeadFigures {
  const off = (id: keyof Technique) => technique[id] ?? 0
  const heat = off('current high') - off('current low') + 1.5 * off('plate hot') * Math.max(0, alongShare - 0.35)
  const [hot, cold] = [Math.max(0, heat), Math.max(0, -heat)]
  const [fast, slow, long, short, lean] = [
    off('travel fast'),
    off('travel slow'),
    off('arc long'),
    off('arc short'),
    off('travel angle'),
  ]
  const area = (1 + 0.12 * heat) / Math.max(0.4, 1 + 0.6 * fast - 0.38 * slow)
  const spread = Math.exp(0.26 * heat + 0.24 * long - 0.14 * short - 0.05 * fast)
  const bothToes = eaten(0.6 * hot + 0.6 * long + 0.55 * fast + 0.45 * lean)
  const work = off('work angle')
  const rolled = Math.max(0, 0.9 * slow + 0.6 * lean + 0.25 * cold - 0.2)
  return {
    width: Math.sqrt(area) * spread,
    height: (Math.sqrt(area) / spread) * (1 + 0.3 * lean),
    bow: RIGHT_BOW * Math.max(0.3, 1 + 0.55 * hot + 0.75 * fast - 0.4 * cold - 0.3 * slow),
    pitch: Math.max(0.5, 1 + 0.35 * fast + 0.2 * hot - 0.2 * slow - 0.15 * cold),
    widthSwing: 0.02 + 0.2 * off('unsteady feed') + 0.09 * long + 0.07 * short + 0.02 * cold,
    strayMm: 0.15 + 1.9 * off('bracing'),
    undercutMm: { upper: bothToes + (level ? 0.4 : 0.9) * work, lower: bothToes },
    overlapMm: { upper: rolled, lower: rolled + (level ? 0 : 0.6) * work },
    sag: level ? 0 : Math.min(0.6, 0.06 + 0.4 * work + 0.12 * slow + 0.08 * hot),
    pores: 9 * off('damp rod') + 3.5 * Math.max(0, long - 0.5) + 2 * Math.max(0, lean - 0.5),
    startPores: 2 * off('strike'),
    spatter: 3 + 26 * long + 14 * hot,
    slag: Math.min(0.8, 0.5 * off('not cleaned') + 0.12 * cold + 0.1 * lean),
    restartMm: 1.7 * off('too long in crater') - 1.5 * off('too short in crater'),
    startLumpMm: 1.2 * off('strike'),
    craterMm: 0.3 + 1.5 * off('crater left'),
    strikes: 1.8 * off('strike'),
  }
}
