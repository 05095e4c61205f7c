/** Something seen, heard or asked that speaks for or against causes. */
export type SignId =
  | 'undercut upper'
  | 'undercut lower'
  | 'undercut both'
  | 'overlap lower'
  | 'overlap upper'
  | 'overlap any'
  | 'porosity at starts'
  | 'porosity everywhere'
  | 'slag between'
  | 'crack in crater'
  | 'crack along'
  | 'crater'
  | 'restart high'
  | 'restart low'
  | 'restart off line'
  | 'restart slag'
  | 'restart pinholes'
  | 'start stuck'
  | 'start pinholes'
  | 'start poor'
  | 'crooked'
  | 'width uneven'
  | 'wide'
  | 'narrow'
  | 'rough ripples'
  | 'too high'
  | 'too low'
  | 'sag'
  | 'spatter'
  | 'stray strike'
  | 'lap off'
  | 'growing'
  | 'burn-through'
  | 'no fusion'
  | 'ends low'
  | 'one wall'
  | 'uneven legs'
  | 'root not through'
  | 'root heavy'
  | 'root concave'
  | 'rod glows'
  | 'arc fluttered'
  | 'arc goes out'
  | 'rod sticks'
  | 'arc wanders'
  | 'slag ran ahead'
  | 'slag runny'
  | 'puddle one side'
  | 'puddle churns'
  | 'puddle sluggish'
  | 'keyhole grew'
  | 'keyhole closed'
  | 'ripples off step'
  | 'edge melted'
  | 'runs off level'
  | 'sparks in front'
  | 'slag locked'
  | 'chipped red'
  | 'tip swollen'
  | 'rod lit again'
  | 'plate dirty'
  | 'rod went far'
  | 'rod went short'
  | 'back cold'
  | 'back burnt'
  | 'whip sideways'

/** Where a sign is looked for: on every coupon, only on some, or only when the student is asked. */
export type LookedFor =
  'always' | 'starts' | 'restarts' | 'ends' | 'laps' | 'widths' | 'legs' | 'rows' | 'joints' | 'root' | 'asked'

export interface SignRow {
  readonly id: SignId
  /** What it is, in a line. */
  readonly says: string
  readonly lookedFor: LookedFor
  /** How often it is seen with none of the causes at work: a slip. Common practice. */
  readonly leak: number
  /** How much it matters that it goes away. */
  readonly weight: number
  /** The question that finds it out; null where it is seen on the coupon alone. */
  readonly ask: string | null
}

const row = (
  id: SignId,
  says: string,
  lookedFor: LookedFor,
  leak: number,
  weight = 1,
  ask: string | null = null,
): SignRow => ({ id, says, lookedFor, leak, weight, ask })

/** What is only told matters too: a change that stops it is worth something. Less than what shows. */
const TOLD = 0.6

/** Source: bead shapes and what they say, common practice. */
export const SIGNS: readonly SignRow[] = [
  row('undercut both', 'undercut on both toes', 'always', 0.05, 1.5),
  row('undercut upper', 'undercut on the upper toe', 'always', 0.03, 1.5),
  row('undercut lower', 'undercut on the lower toe', 'always', 0.03, 1.5),
  row('overlap any', 'rolled over at the toes', 'always', 0.03, 1.5),
  row('overlap lower', 'rolled over on the lower toe', 'always', 0.02, 1.5),
  row('overlap upper', 'rolled over on the upper toe', 'always', 0.02, 1.5),
  row('porosity everywhere', 'pinholes all along', 'always', 0.03, 1.5),
  row('porosity at starts', 'pinholes at starts only', 'always', 0.03),
  row('slag between', 'slag left between beads', 'always', 0.04, 1.2),
  row('crack in crater', 'a crack in a crater', 'always', 0.003, 3),
  row('crack along', 'a crack along or across the bead', 'always', 0.002, 4),
  row('crooked', 'crooked beads', 'always', 0.05),
  row('width uneven', 'width pulses', 'always', 0.05),
  row('rough ripples', 'rough or pointed ripples', 'always', 0.03),
  row('too high', 'beads too high', 'always', 0.04),
  row('too low', 'beads too low', 'always', 0.03),
  row('sag', 'metal sags or hangs', 'always', 0.03),
  row('spatter', 'much spatter', 'always', 0.03, 0.7),
  row('stray strike', 'stray strikes', 'always', 0.04, 0.8),
  row('burn-through', 'burnt through', 'always', 0.003, 2),
  row('no fusion', 'not fused', 'always', 0.01, 2),
  row('start stuck', 'starts that stuck', 'starts', 0.04, 0.8),
  row('start pinholes', 'pinholes in starts', 'starts', 0.03, 0.8),
  row('start poor', 'lumps at starts', 'starts', 0.05, 0.8),
  row('restart high', 'lumps at restarts', 'restarts', 0.05, 1.5),
  row('restart low', 'dips or gaps at restarts', 'restarts', 0.05, 1.5),
  row('restart off line', 'restarts off line', 'restarts', 0.04),
  row('restart slag', 'slag in restarts', 'restarts', 0.03),
  row('restart pinholes', 'pinholes in restarts', 'restarts', 0.03),
  row('crater', 'craters not filled', 'ends', 0.05),
  row('ends low', 'ends not built up', 'ends', 0.04),
  row('lap off', 'laps between beads off', 'laps', 0.05),
  row('growing', 'grows from bead to bead', 'rows', 0.03),
  row('wide', 'beads wide', 'widths', 0.06, 0.8, 'Is the bead wider than it should be?'),
  row('narrow', 'beads narrow', 'widths', 0.06, 0.8, 'Is the bead narrower than it should be?'),
  row('one wall', 'one wall not fused', 'joints', 0.02, 2),
  row('uneven legs', 'one leg longer than the other', 'legs', 0.05),
  row('root not through', 'root not through', 'root', 0.05, 2),
  row('root heavy', 'too much through the root', 'root', 0.04),
  row('root concave', 'root drawn in', 'root', 0.05),
  row('rod glows', 'the rod reddened', 'asked', 0.01, TOLD, 'Did the rod glow before it was used up?'),
  row('arc fluttered', 'a noisy, fluttering arc', 'asked', 0.03, TOLD, 'Was the arc noisy and fluttering?'),
  row('arc goes out', 'the arc went out', 'asked', 0.02, TOLD, 'Did the arc go out on its own?'),
  row(
    'rod sticks',
    'the rod stubbed or stuck along the bead',
    'asked',
    0.03,
    TOLD,
    'Did the rod stub or stick along the bead?',
  ),
  row('arc wanders', 'the arc wandered', 'asked', 0.01, TOLD, 'Did the arc wander to one side?'),
  row('slag ran ahead', 'slag ran ahead of the puddle', 'asked', 0.03, TOLD, 'Did the slag run ahead of the puddle?'),
  row('slag runny', 'slag stayed liquid', 'asked', 0.04, TOLD, 'Did the slag stay liquid for long?'),
  row('puddle one side', 'the puddle sat on one plate', 'asked', 0.02, TOLD, 'Did the puddle sit on one plate only?'),
  row('puddle churns', 'the puddle churned', 'asked', 0.02, TOLD, 'Did the puddle churn and stay liquid?'),
  row(
    'puddle sluggish',
    'the puddle trailed and was slow to wet',
    'asked',
    0.03,
    TOLD,
    'Did the puddle trail the rod, slow to wet the sides?',
  ),
  row('keyhole grew', 'the keyhole grew', 'asked', 0.02, TOLD, 'Did the keyhole grow?'),
  row('keyhole closed', 'the keyhole closed', 'asked', 0.03, TOLD, 'Did the keyhole close?'),
  row(
    'ripples off step',
    'whipped ripples too close or too far apart',
    'asked',
    0.02,
    TOLD,
    'Are the whipped ripples too close, or too far apart?',
  ),
  row('edge melted', 'the edge of the plate melted away', 'asked', 0.02, TOLD, 'Did the edge of the plate melt away?'),
  row(
    'runs off level',
    'beads run off level, all one way',
    'asked',
    0.02,
    TOLD,
    'Do the beads run off level, all the same way?',
  ),
  row(
    'sparks in front',
    'sparks came out in front of the root',
    'asked',
    0.04,
    TOLD,
    'Did the sparks come out in front, and not through the root?',
  ),
  row('slag locked', 'slag hard to lift', 'asked', 0.12, 0.3, 'Was the slag hard to lift?'),
  row('chipped red', 'chipped while it glowed', 'asked', 0.06, 0.3, 'Was it chipped while it still glowed?'),
  row(
    'tip swollen',
    'the tip of the rod swollen, cracked or discoloured',
    'asked',
    0.03,
    0.3,
    'Was the tip of the rod swollen, cracked or discoloured?',
  ),
  row('rod lit again', 'a used rod was lit again', 'asked', 0.15, 0.3, 'Was a used rod lit again?'),
  row(
    'plate dirty',
    'rust, paint, oil or scale under the bead',
    'asked',
    0.05,
    TOLD,
    'Was there rust, paint, oil or scale where it ran?',
  ),
  row('rod went far', 'a rod ran further than foreseen', 'asked', 0.05, 0.3, 'Did a rod run further than foreseen?'),
  row('rod went short', 'a rod ended sooner than foreseen', 'asked', 0.05, 0.3, 'Did a rod end sooner than foreseen?'),
  row('back cold', 'no heat colour on the back', 'asked', 0.08, 0.3, 'Is the back without heat colour?'),
  row('back burnt', 'the back blued wide or scaled', 'asked', 0.05, 0.3, 'Is the back blued wide, or scaled?'),
  row('whip sideways', 'the whip went out to the side', 'asked', 0.04, 0.3, 'Did the whip go out to the side?'),
]

/** The row of a sign. @throws RangeError when there is none */
export function signOf(id: string): SignRow {
  const found = SIGNS.find(sign => sign.id === id)
  if (!found) throw new RangeError(`No sign "${id}"`)
  return found
}
