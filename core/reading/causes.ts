import type { SignId } from './signs'

export type CauseId =
  | 'current high' | 'current low' | 'arc long' | 'arc short' | 'travel fast' | 'travel slow' | 'work angle' | 'travel angle'
  | 'polarity' | 'damp rod' | 'not cleaned' | 'plate hot' | 'strike' | 'too long in crater' | 'too short in crater' | 'crater left'
  | 'bracing' | 'aim' | 'ends' | 'rod unfit'

/**
 * A cause, how common it is before anything is seen, how much likelier each sign is when it is at work (1: tells nothing),
 * and what to change. Source of priors and ratios: common practice, rough on purpose.
 */
export interface Cause {
  readonly id: CauseId
  readonly name: string
  readonly prior: number
  readonly speaks: Readonly<Partial<Record<SignId, number>>>
  readonly change: string
  readonly drill: string
}

export const CAUSES: readonly Cause[] = [
  { id: 'arc long', name: 'Arc too long', prior: 0.14, speaks: { 'undercut both': 3, 'undercut upper': 2, 'porosity everywhere': 4, 'spatter': 5, 'rough ripples': 4, 'width uneven': 4, 'wide': 3, 'sag': 2, 'start pinholes': 2, 'restart dirty': 1.5 }, change: 'Close the arc to no more than the rod’s core', drill: 'one bead, listening: smooth, not crackling' },
  { id: 'current high', name: 'Current too high', prior: 0.08, speaks: { 'current high': 8, 'current low': 0.2, 'plate thin': 2, 'undercut both': 4, 'undercut upper': 2.5, 'spatter': 2.5, 'wide': 3, 'rough ripples': 2.5, 'burn-through': 8, 'sag': 2, 'too low': 2 }, change: 'Turn the current down', drill: 'three beads: hot, cold, between' },
  { id: 'current low', name: 'Current too low', prior: 0.09, speaks: { 'current low': 8, 'current high': 0.2, 'too high': 4, 'narrow': 3, 'overlap any': 2.5, 'overlap lower': 2, 'start stuck': 4, 'slag between': 2.5, 'no fusion': 5, 'sag': 1.5 }, change: 'Turn the current up', drill: 'three beads: hot, cold, between' },
  { id: 'arc short', name: 'Arc too short', prior: 0.04, speaks: { 'too high': 2, 'start stuck': 3, 'slag between': 1.5, 'width uneven': 1.3 }, change: 'Lift slightly, so that the rod does not stub', drill: 'one bead, no sticking' },
  { id: 'travel fast', name: 'Travel too fast', prior: 0.07, speaks: { 'narrow': 5, 'undercut both': 2.5, 'too low': 4, 'rough ripples': 2, 'no fusion': 2 }, change: 'Slow down until the puddle is the target width', drill: 'two beads to a soapstone line, against the clock' },
  { id: 'travel slow', name: 'Travel too slow', prior: 0.07, speaks: { 'wide': 4, 'too high': 3, 'overlap any': 4, 'overlap lower': 3.5, 'sag': 3, 'burn-through': 3 }, change: 'Travel faster; keep the rod at the front of the puddle', drill: 'two beads to a soapstone line, against the clock' },
  { id: 'work angle', name: 'Work angle off', prior: 0.06, speaks: { 'undercut upper': 6, 'overlap lower': 3.5, 'sag': 3, 'no fusion': 2, 'lap off': 1.5 }, change: 'Tip the rod 5 to 10 degrees toward the side that is eaten', drill: 'one dry run, one bead, same angle' },
  { id: 'travel angle', name: 'Rod laid over too far', prior: 0.08, speaks: { 'overlap any': 1.8, 'undercut both': 1.5, 'porosity everywhere': 1.8, 'slag between': 2.5, 'too high': 2, 'sag': 2, 'rough ripples': 2 }, change: 'Lean the rod 10 to 15 degrees, no more', drill: 'one bead with a protractor set beside it' },
  { id: 'polarity', name: 'Wrong polarity', prior: 0.01, speaks: { 'wrong polarity': 60, 'spatter': 2, 'narrow': 1.5, 'too high': 2, 'no fusion': 2 }, change: 'Set the polarity for this rod before anything else', drill: 'one bead after the change' },
  { id: 'damp rod', name: 'Damp or chipped rod', prior: 0.03, speaks: { 'rod exposed': 6, 'porosity everywhere': 5, 'porosity at starts': 2.5, 'start pinholes': 3, 'restart dirty': 1.8, 'crack in crater': 1.5 }, change: 'Take a fresh, dry rod', drill: 'one bead with a new rod' },
  { id: 'not cleaned', name: 'Not cleaned between beads', prior: 0.06, speaks: { 'slag between': 6, 'restart dirty': 5, 'porosity everywhere': 1.3 }, change: 'Chip and brush every bead and every crater', drill: 'one bead, brushed bright, before the next' },
  { id: 'plate hot', name: 'Plate too hot', prior: 0.04, speaks: { 'plate thin': 3, 'growing': 12, 'wide': 1.5, 'undercut both': 1.3, 'sag': 1.5, 'burn-through': 2 }, change: 'Let the plate cool between beads', drill: 'the same pad, cooled after every bead' },
  { id: 'strike', name: 'Strike', prior: 0.06, speaks: { 'stray strike': 8, 'start poor': 6, 'start stuck': 2.5, 'start pinholes': 3, 'porosity at starts': 3.5 }, change: 'Strike ahead in the line, shorten at once, run over the strike', drill: 'ten starts, an inch each' },
  { id: 'too long in crater', name: 'Too long in the crater', prior: 0.06, speaks: { 'restart high': 12, 'restart off line': 1.3 }, change: 'At each restart, once round the crater and go', drill: 'a strip of eight restarts on stubs' },
  { id: 'too short in crater', name: 'Left the crater too soon', prior: 0.06, speaks: { 'restart low': 12, 'restart off line': 1.3 }, change: 'Go round the crater to its full width before you move off', drill: 'a strip of eight restarts on stubs' },
  { id: 'crater left', name: 'Broke off too fast', prior: 0.05, speaks: { 'crater': 9, 'crack in crater': 8, 'ends low': 2 }, change: 'Pause and back over the crater before you break', drill: 'six short beads, every crater full' },
  { id: 'bracing', name: 'Reach and bracing', prior: 0.08, speaks: { 'crooked': 8, 'width uneven': 2.5, 'restart off line': 4, 'lap off': 2.5 }, change: 'Brace both arms and dry-run the whole line first', drill: 'one bead to a soapstone line' },
  { id: 'aim', name: 'Aim at the last toe', prior: 0.05, speaks: { 'lap off': 9, 'crooked': 2, 'slag between': 1.5 }, change: 'Aim at the toe of the last bead', drill: 'four lapped beads' },
  { id: 'rod unfit', name: 'Rod not made for the position', prior: 0.01, speaks: { 'rod unfit': 60, 'sag': 2, 'overlap any': 1.5 }, change: 'Take a rod that is made for this position', drill: 'one bead with it' },
  { id: 'ends', name: 'Ends not built up', prior: 0.05, speaks: { 'ends low': 10 }, change: 'Begin at the very edge and wrap over the far one', drill: 'a pad with both edges square' },
]
