import { electrodeOf, type Polarity } from '../trade'

export interface PolarityCheck {
  readonly fits: boolean
  /** What the rod runs on, the usual one first. */
  readonly runsOn: readonly Polarity[]
  /** What a first bead looks, sounds and feels like with this polarity. */
  readonly looks: readonly string[]
}

const NEGATIVE_LOOKS = [
  'The bead sits high and narrow and does not dig in',
  'The arc is harsh and wanders; coarse spatter beside the bead',
  'Slag is welded in at the toes and will not lift',
]
const POSITIVE_LOOKS = [
  'It digs deeper and runs hotter than it should: thin plate burns through',
  'The puddle is hard to keep narrow',
]
const AC_LOOKS = [
  'The arc goes out as the current turns over: it stutters and will not stay lit',
  'The rod sticks, and pinholes follow each relight',
]
const RIGHT_LOOKS = ['The arc is steady and the toes wet in']

/**
 * What a polarity does to a rod: the fault to rule out first when a first bead will not dig in. Source: common
 * practice;
 * DCEP is the deeper one for covered electrodes (AWS Welding Handbook, from memory, check your copy).
 * @throws RangeError for a rod that is not kept
 * @example polarityCheck('E6010', 'DCEN').fits // false
 */
export function polarityCheck(classification: string, polarity: Polarity): PolarityCheck {
  const { currents } = electrodeOf(classification)
  const fits = currents.includes(polarity)
  if (fits)
    return {
      fits,
      runsOn: currents,
      looks:
        polarity === 'DCEN'
          ? [...RIGHT_LOOKS, 'Shallower than on electrode positive: it suits thin sheet']
          : RIGHT_LOOKS,
    }
  const looks = polarity === 'DCEN' ? NEGATIVE_LOOKS : polarity === 'DCEP' ? POSITIVE_LOOKS : AC_LOOKS
  return { fits, runsOn: currents, looks }
}
