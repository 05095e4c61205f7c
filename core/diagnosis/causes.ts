import type { SignId } from './signTable'

export type CauseId =
  | 'current high'
  | 'current low'
  | 'arc long'
  | 'arc short'
  | 'travel fast'
  | 'travel slow'
  | 'work angle'
  | 'work angle high'
  | 'edge melts'
  | 'travel angle'
  | 'upright rod'
  | 'polarity'
  | 'damp rod'
  | 'dirty plate'
  | 'not cleaned'
  | 'plate hot'
  | 'strike'
  | 'too long in crater'
  | 'too short in crater'
  | 'crater left'
  | 'bracing'
  | 'unsteady feed'
  | 'aim'
  | 'off the joint'
  | 'no pause'
  | 'arc blow'
  | 'whip'
  | 'gap wide'
  | 'gap tight'
  | 'ends'
  | 'rod unfit'
  | 'bead thin'
  | 'bare tip'
  | 'clamp'
  | 'draught'
  | 'arc force'
  | 'valley narrow'
  | 'hurried last'
  | 'first bead slow'
  | 'out of line'
  | 'out of level'
  | 'weave wide'
  | 'root far out'
  | 'blunt tack'

/**
 * A cause: how common it is before anything is seen, the chance that it shows each sign when it is at work, and
 * what to change.
 * Source: bead shapes and what they say, common practice, as manuals agree; the figures are rough on purpose and
 * adapt to the school.
 */
export interface Cause {
  readonly id: CauseId
  readonly name: string
  readonly prior: number
  readonly shows: Readonly<Partial<Record<SignId, number>>>
  readonly change: string
  readonly drill: string
}

export const CAUSES: readonly Cause[] = [
  {
    id: 'arc long',
    name: 'Arc too long',
    prior: 0.13,
    shows: {
      'undercut both': 0.5,
      'undercut upper': 0.25,
      'undercut lower': 0.25,
      'porosity everywhere': 0.4,
      'spatter': 0.75,
      'rough ripples': 0.05,
      'width uneven': 0.4,
      'wide': 0.6,
      'sag': 0.12,
      'start pinholes': 0.15,
      'restart pinholes': 0.08,
      'root concave': 0.25,
      'arc fluttered': 0.75,
    },
    change: 'Close the arc to no more than the rod’s core',
    drill: 'one bead, listening: smooth, not crackling',
  },
  {
    id: 'current high',
    name: 'Current too high',
    prior: 0.07,
    shows: {
      'back burnt': 0.45,
      'tip swollen': 0.15,
      'undercut both': 0.6,
      'undercut upper': 0.25,
      'undercut lower': 0.25,
      'spatter': 0.4,
      'wide': 0.8,
      'rough ripples': 0.65,
      'burn-through': 0.3,
      'sag': 0.15,
      'too low': 0.25,
      'root heavy': 0.3,
      'root concave': 0.2,
      'rod glows': 0.7,
      'puddle churns': 0.6,
    },
    change: 'Turn the current down',
    drill: 'three beads: hot, cold, between',
  },
  {
    id: 'current low',
    name: 'Current too low',
    prior: 0.07,
    shows: {
      'sparks in front': 0.3,
      'slag locked': 0.25,
      'back cold': 0.4,
      'too high': 0.65,
      'narrow': 0.7,
      'overlap any': 0.2,
      'overlap lower': 0.15,
      'overlap upper': 0.1,
      'start stuck': 0.5,
      'slag between': 0.3,
      'no fusion': 0.3,
      'sag': 0.15,
      'root not through': 0.35,
      'arc goes out': 0.7,
      'rod sticks': 0.45,
      'puddle sluggish': 0.6,
    },
    change: 'Turn the current up',
    drill: 'three beads: hot, cold, between',
  },
  {
    id: 'arc short',
    name: 'Arc too short',
    prior: 0.04,
    shows: {
      'too high': 0.5,
      'width uneven': 0.45,
      'slag between': 0.3,
      'porosity everywhere': 0.25,
      'start stuck': 0.3,
      'rod sticks': 0.75,
      'arc goes out': 0.25,
      'narrow': 0.35,
    },
    change: 'Lift slightly, so that the rod does not stub',
    drill: 'one bead, no sticking',
  },
  {
    id: 'travel fast',
    name: 'Travel too fast',
    prior: 0.07,
    shows: {
      'rod went far': 0.5,
      'back cold': 0.3,
      'narrow': 0.75,
      'undercut both': 0.5,
      'too low': 0.6,
      'rough ripples': 0.35,
      'no fusion': 0.12,
      'root not through': 0.2,
    },
    change: 'Slow down until the puddle is the target width',
    drill: 'two beads to a soapstone line, against the clock',
  },
  {
    id: 'travel slow',
    name: 'Travel too slow',
    prior: 0.07,
    shows: {
      'rod went short': 0.5,
      'back burnt': 0.35,
      'wide': 0.75,
      'too high': 0.45,
      'overlap any': 0.6,
      'overlap lower': 0.4,
      'overlap upper': 0.15,
      'sag': 0.2,
      'burn-through': 0.15,
      'root heavy': 0.2,
      'slag ran ahead': 0.2,
    },
    change: 'Travel faster; keep the rod at the front of the puddle',
    drill: 'two beads to a soapstone line, against the clock',
  },
  {
    id: 'work angle',
    name: 'Work angle off',
    prior: 0.05,
    shows: {
      'undercut upper': 0.75,
      'overlap lower': 0.3,
      'sag': 0.3,
      'uneven legs': 0.45,
      'no fusion': 0.1,
      'lap off': 0.08,
    },
    change: 'Tip the rod 5 to 10 degrees toward the toe that is undercut',
    drill: 'one dry run, one bead, same angle',
  },
  {
    id: 'work angle high',
    name: 'Rod points up too far',
    prior: 0.02,
    shows: { 'undercut lower': 0.65, 'overlap upper': 0.3, 'uneven legs': 0.45, 'no fusion': 0.1, 'lap off': 0.08 },
    change: 'Back toward square with the rod',
    drill: 'one dry run, one bead, same angle',
  },
  {
    id: 'edge melts',
    name: 'Aimed at the edge',
    prior: 0.06,
    shows: {
      'undercut upper': 0.65,
      'burn-through': 0.2,
      'too low': 0.15,
      'uneven legs': 0.3,
      'edge melted': 0.85,
    },
    change: 'Aim lower, at the plate whose edge is not in the joint: an edge melts before the middle',
    drill: 'one bead, the edge left standing from end to end',
  },
  {
    id: 'travel angle',
    name: 'Rod laid over too far',
    prior: 0.08,
    shows: {
      'slag locked': 0.15,
      'overlap any': 0.3,
      'undercut both': 0.3,
      'porosity everywhere': 0.25,
      'slag between': 0.2,
      'too high': 0.4,
      'sag': 0.35,
      'rough ripples': 0.15,
    },
    change: 'Lean the rod 10 to 15 degrees, no more',
    drill: 'one dry run, one bead, same lean',
  },
  {
    id: 'upright rod',
    name: 'Rod too upright, or pushed',
    prior: 0.03,
    shows: { 'slag ran ahead': 0.7, 'slag between': 0.25, 'no fusion': 0.1 },
    change: 'Drag the rod 10 to 15 degrees',
    drill: 'one dry run, one bead, same lean',
  },
  {
    id: 'polarity',
    name: 'Wrong polarity',
    prior: 0.006,
    shows: { 'spatter': 0.35, 'narrow': 0.3, 'too high': 0.4, 'no fusion': 0.35, 'rough ripples': 0.25 },
    change: 'Set the polarity for this rod before anything else',
    drill: 'one bead after the change',
  },
  {
    id: 'damp rod',
    name: 'Damp or chipped rod',
    prior: 0.04,
    shows: {
      'tip swollen': 0.5,
      'porosity everywhere': 0.55,
      'porosity at starts': 0.4,
      'start pinholes': 0.5,
      'restart pinholes': 0.12,
      'crack in crater': 0.04,
      'crack along': 0.05,
      'one wall': 0.15,
    },
    change: 'Take a fresh, dry rod',
    drill: 'one bead with a new rod',
  },
  {
    id: 'dirty plate',
    name: 'Plate not clean',
    prior: 0.02,
    shows: { 'plate dirty': 0.9, 'porosity everywhere': 0.45, 'spatter': 0.15, 'start poor': 0.1 },
    change: 'Grind to bright metal and buff',
    drill: 'one bead on bright plate',
  },
  {
    id: 'not cleaned',
    name: 'Not cleaned between beads',
    prior: 0.06,
    shows: { 'slag between': 0.8, 'restart slag': 0.5, 'no fusion': 0.06 },
    change: 'Chip and brush every bead and every crater',
    drill: 'one bead, brushed bright, before the next',
  },
  {
    id: 'plate hot',
    name: 'Plate too hot',
    prior: 0.04,
    shows: {
      'chipped red': 0.15,
      'back burnt': 0.35,
      'growing': 0.8,
      'wide': 0.4,
      'undercut both': 0.4,
      'undercut upper': 0.45,
      'sag': 0.2,
      'burn-through': 0.15,
      'slag runny': 0.3,
      'spatter': 0.3,
      'rough ripples': 0.2,
      'too low': 0.2,
    },
    change: 'Let the plate cool between beads',
    drill: 'the same pad, cooled after every bead',
  },
  {
    id: 'strike',
    name: 'Strike',
    prior: 0.07,
    shows: {
      'stray strike': 0.6,
      'start poor': 0.55,
      'start stuck': 0.25,
      'start pinholes': 0.25,
      'porosity at starts': 0.35,
    },
    change: 'Strike ahead in the line, shorten at once, run over the strike',
    drill: 'ten starts, an inch each',
  },
  {
    id: 'too long in crater',
    name: 'Too long in the crater',
    prior: 0.08,
    shows: { 'restart high': 0.75, 'restart off line': 0.05 },
    change: 'At each restart, once round the crater and go',
    drill: 'a strip of eight restarts on stubs',
  },
  {
    id: 'too short in crater',
    name: 'Left the crater too soon',
    prior: 0.08,
    shows: { 'restart low': 0.75, 'restart off line': 0.05 },
    change: 'Go round the crater to its full width before you move off',
    drill: 'a strip of eight restarts on stubs',
  },
  {
    id: 'crater left',
    name: 'Broke off too fast',
    prior: 0.06,
    shows: { 'crater': 0.7, 'crack in crater': 0.15, 'ends low': 0.1 },
    change: 'Pause and back over the crater before you break',
    drill: 'six short beads, every crater full',
  },
  {
    id: 'bracing',
    name: 'Reach and bracing',
    prior: 0.07,
    shows: {
      'crooked': 0.8,
      'width uneven': 0.2,
      'restart off line': 0.3,
      'lap off': 0.15,
      'runs off level': 0.12,
    },
    change: 'Brace both arms and dry-run the whole line first',
    drill: 'one bead to a soapstone line',
  },
  {
    id: 'unsteady feed',
    name: 'Rod not fed evenly',
    prior: 0.09,
    shows: { 'width uneven': 0.7, 'rough ripples': 0.12 },
    change: 'Feed the rod in steadily as it burns; eyes on the puddle',
    drill: 'one bead with the free hand steadying the rod',
  },
  {
    id: 'aim',
    name: 'Aim at the last toe',
    prior: 0.05,
    shows: { 'lap off': 0.65, 'slag between': 0.06, 'crooked': 0.08 },
    change: 'Aim at the toe of the last bead',
    drill: 'four lapped beads',
  },
  {
    id: 'off the joint',
    name: 'Aimed off the joint',
    prior: 0.03,
    shows: { 'one wall': 0.6, 'puddle one side': 0.75, 'uneven legs': 0.4 },
    change: 'Aim to the colder side, and wait for the puddle',
    drill: 'one bead to a soapstone line in the joint',
  },
  {
    id: 'no pause',
    name: 'No pause at the toes',
    prior: 0.04,
    shows: {
      'undercut both': 0.45,
      'undercut upper': 0.2,
      'undercut lower': 0.2,
      'too high': 0.15,
      'root concave': 0.1,
    },
    change: 'Pause at each toe and go quickly across',
    drill: 'one weave, counting at the toes',
  },
  {
    id: 'arc blow',
    name: 'Arc blow',
    prior: 0.02,
    shows: {
      'arc wanders': 0.9,
      'undercut upper': 0.1,
      'undercut lower': 0.1,
      'one wall': 0.2,
      'ends low': 0.15,
      'burn-through': 0.12,
      'porosity everywhere': 0.06,
    },
    change: 'Move the clamp and weld away from it, with a short arc',
    drill: 'one bead after the clamp is moved',
  },
  {
    id: 'whip',
    name: 'Whip out of step',
    prior: 0.015,
    shows: { 'whip sideways': 0.45, 'ripples off step': 0.8, 'rough ripples': 0.2 },
    change: 'Step back half a ripple, no more and no less',
    drill: 'one whipped bead to a count',
  },
  {
    id: 'gap wide',
    name: 'Gap wide or land thin',
    prior: 0.03,
    shows: { 'root heavy': 0.6, 'burn-through': 0.25, 'keyhole grew': 0.8, 'root concave': 0.3 },
    change: 'Step out and back, tighter; fit the next one up to the gauge',
    drill: 'one root with the gap gauged at both ends',
  },
  {
    id: 'gap tight',
    name: 'Gap tight or land heavy',
    prior: 0.05,
    shows: { 'sparks in front': 0.6, 'root not through': 0.65, 'root concave': 0.1, 'keyhole closed': 0.8 },
    change: 'Gauge the gap, push 10 to 15 degrees; 5 A more if the land is right',
    drill: 'one root with the gap gauged at both ends',
  },
  {
    id: 'ends',
    name: 'Ends not built up',
    prior: 0.05,
    shows: { 'ends low': 0.7 },
    change: 'Begin at the very edge and wrap over the far one',
    drill: 'a pad with both edges square',
  },
  {
    id: 'rod unfit',
    name: 'Rod not made for the position',
    prior: 0.004,
    shows: { 'sag': 0.6, 'overlap any': 0.3, 'too high': 0.3 },
    change: 'Take a rod that is made for this position',
    drill: 'one bead with it',
  },
  {
    id: 'bead thin',
    name: 'Bead too thin for what holds it',
    prior: 0.008,
    shows: { 'crack along': 0.6 },
    change: 'Start over: cut the crack out, preheat as the code book says, and lay a heavier first bead',
    drill: 'one heavier first bead on a warm joint',
  },
  {
    id: 'bare tip',
    name: 'Struck on a bare or dirty tip',
    prior: 0.03,
    shows: {
      'tip swollen': 0.3,
      'rod lit again': 0.85,
      'restart pinholes': 0.45,
      'start pinholes': 0.4,
      'porosity at starts': 0.35,
    },
    change: 'Clean the tip of the stub or take a new rod; strike ahead and run over it',
    drill: 'six restarts on stubs, each tip cleaned',
  },
  {
    id: 'clamp',
    name: 'Work clamp poor or far off',
    prior: 0.01,
    shows: { 'start stuck': 0.3, 'arc goes out': 0.5, 'arc wanders': 0.25 },
    change: 'Clean the work clamp and put it near the weld',
    drill: 'ten starts after the clamp is moved',
  },
  {
    id: 'draught',
    name: 'Draught at the arc',
    prior: 0.01,
    shows: { 'porosity everywhere': 0.5 },
    change: 'Screen the arc from the draught: curtain shut, fan turned away',
    drill: 'one bead behind a screen',
  },
  {
    id: 'arc force',
    name: 'Arc force not set for this rod',
    prior: 0.01,
    shows: { 'rod sticks': 0.4, 'start stuck': 0.25, 'spatter': 0.25, 'too high': 0.1 },
    change: 'Arc force to mid-scale: up where the rod sticks, down where it digs and spits',
    drill: 'one bead after the change',
  },
  {
    id: 'valley narrow',
    name: 'No valley left for the next bead',
    prior: 0.02,
    shows: { 'slag locked': 0.45, 'slag between': 0.5, 'no fusion': 0.15, 'lap off': 0.15 },
    change: 'Place each bead with the next in mind: leave room to reach the bottom of its valley',
    drill: 'three lapped beads, each placed for the one after it',
  },
  {
    id: 'hurried last',
    name: 'Hurry on the last bead',
    prior: 0.06,
    shows: { 'undercut upper': 0.45, 'undercut both': 0.3, 'too low': 0.35, 'narrow': 0.35, 'lap off': 0.2 },
    change: 'The last bead slower, and watch its upper toe: it has no valley to fill',
    drill: 'one more bead on the same pad, as the last',
  },
  {
    id: 'first bead slow',
    name: 'First bead run too slowly',
    prior: 0.06,
    shows: {
      'rod went short': 0.25,
      'overlap lower': 0.5,
      'overlap any': 0.35,
      'sag': 0.45,
      'too high': 0.35,
      'wide': 0.35,
    },
    change: 'The first bead faster: nothing under it holds it up',
    drill: 'three first beads, each on bare plate',
  },
  {
    id: 'out of line',
    name: 'Edges out of line',
    prior: 0.01,
    shows: { 'root not through': 0.4, 'one wall': 0.3, 'root heavy': 0.1 },
    change: 'Line the edges up before you tack, and gauge them again after the second tack',
    drill: 'one root with the edges gauged at both ends',
  },
  {
    id: 'out of level',
    name: 'Plate out of level',
    prior: 0.03,
    shows: { 'runs off level': 0.85, 'crooked': 0.4 },
    change: 'Level the line before you strike, and raise the elbow over the last part',
    drill: 'one bead to a levelled soapstone line',
  },
  {
    id: 'weave wide',
    name: 'Weave too wide',
    prior: 0.02,
    shows: {
      'wide': 0.65,
      'undercut both': 0.25,
      'width uneven': 0.25,
      'slag between': 0.2,
      'sag': 0.2,
      'porosity everywhere': 0.1,
    },
    change: 'Keep the weave narrower; lay two beads where one is not enough',
    drill: 'two lapped stringers where the weave was',
  },
  {
    id: 'root far out',
    name: 'Rod held too far out of the gap',
    prior: 0.03,
    shows: { 'sparks in front': 0.5, 'root concave': 0.5, 'root not through': 0.15, 'keyhole closed': 0.25 },
    change: 'Push the rod into the gap with a tight arc, and keep it there',
    drill: 'one root, listening for the arc on the far side',
  },
  {
    id: 'blunt tack',
    name: 'Tack not feathered',
    prior: 0.01,
    shows: { 'root not through': 0.5, 'root heavy': 0.15, 'no fusion': 0.15, 'keyhole closed': 0.4 },
    change: 'Grind both ends of each tack thin before you weld into it',
    drill: 'one root over feathered tacks',
  },
]

/**
 * The cause with this id.
 * @throws RangeError when there is none
 * @example causeOf('arc long').name // 'Arc too long'
 */
export function causeOf(id: string): Cause {
  const found = CAUSES.find(cause => cause.id === id)
  if (!found) throw new RangeError(`No cause "${id}"`)
  return found
}
