/** What calls for a caution. */
export type CautionTopic =
  | 'always'
  | 'overhead'
  | 'vertical'
  | 'low hydrogen'
  | 'stubs'
  | 'quench'
  | 'grinding'
  | 'polarity change'
  | 'drag downhill'
  | 'fixed pipe'
  | 'cutting'
  | 'bend press'
  | 'stainless'

export interface Caution {
  readonly topic: CautionTopic
  readonly text: string
}

/**
 * The usual cautions, each at the moment it matters. Source: common practice after ANSI Z49.1 and 29 CFR 1910
 * Subpart Q, from memory;
 * the maker's instructions, the safety data sheet, local rules and the school's own officer come first.
 */
export const CAUTIONS: readonly Caution[] = [
  { topic: 'always', text: 'Dry gloves, all skin covered, glasses on under the hood. Say “cover” before you strike.' },
  { topic: 'always', text: 'Head out of the plume; draw the fume away.' },
  {
    topic: 'always',
    text:
      'What burns is 35 ft (11 m) off or covered, an extinguisher stands by, and somebody watches for half an hour ' +
      'after the last arc (an hour where local rules say so).',
  },
  {
    topic: 'always',
    text:
      'Painted, plated, galvanised or oily metal is cleaned to bare steel first. Whoever has a pacemaker asks a ' +
      'doctor before welding.',
  },
  { topic: 'always', text: 'A stuck rod is let go at the holder, never pulled off bare-eyed with the hood up.' },
  {
    topic: 'always',
    text:
      'Sweat conducts: a wet glove is changed before the next rod, and no rod is changed with a bare hand. A holder ' +
      'with a cracked jaw or bare metal at its grip is out of use.',
  },
  {
    topic: 'stainless',
    text: 'Stainless fume holds chromium: extraction on, and the breathing protection that its data sheet asks for.',
  },
  {
    topic: 'overhead',
    text: 'Leather sleeves and cap. Nothing under the weld that can hold a drip: lap, bent elbow, folded glove.',
  },
  { topic: 'overhead', text: 'A coupon on two small tacks can fall: check the hold before you go under it.' },
  { topic: 'vertical', text: 'Stand aside of the fall of sparks and slag.' },
  { topic: 'low hydrogen', text: 'Rods come hot from the oven: gloves on, and nothing that burns beside the quiver.' },
  { topic: 'stubs', text: 'Hot stubs are a fire: into a metal bin, never the waste.' },
  {
    topic: 'quench',
    text: 'Stand back from steam. Never quench a closed or oily piece; dry it before it is clamped again.',
  },
  { topic: 'grinding', text: 'Guard on, a wheel rated for grinding, face shield; never a cut-off wheel on its side.' },
  { topic: 'polarity change', text: 'Machine off before the leads are changed over.' },
  { topic: 'fixed pipe', text: 'Your body goes under the work: sleeves, cap, collar shut; know where the drips fall.' },
  { topic: 'cutting', text: 'Guard on, the piece clamped, face shield; cut edges are sharp: handling gloves.' },
  { topic: 'bend press', text: 'Guards on the press, stand aside: a specimen can break and fly.' },
  { topic: 'drag downhill', text: 'Slag runs ahead downhill: keep the arc on its front, or it is welded in.' },
]

/**
 * The cautions for a set of topics, in the order they are kept.
 * @example cautionsFor(['overhead']).length // 8: six of them always
 */
export function cautionsFor(topics: readonly CautionTopic[]): Caution[] {
  return CAUTIONS.filter(caution => caution.topic === 'always' || topics.includes(caution.topic))
}
