/**
 * A matter on which good welders differ: what each school does, the default first, and why it matters. A choice is
 * kept and compared by its id; what it says is for people.
 */
export interface Way {
  readonly name: string
  readonly why: string
  readonly choices: Readonly<Record<string, string>>
}

/** Source: common practice; the order of the choices says which is the default, not which is right. */
export const WAYS = {
  lighting: {
    name: 'Lighting the arc',
    why: 'A tap sticks, a scratch strays; each school cures the one it fears more.',
    choices: {
      'hooked touch': 'a short hooked touch, part tap, part scratch',
      'tap': 'tap',
      'scratch': 'scratch like a match',
    },
  },
  lightingGap: {
    name: 'Gap while lighting',
    why: 'A wide gap lights easily and leaves pinholes.',
    choices: {
      'working arc': 'a little over the working arc',
      'wide': 'up to 1/4 to 1/2 in for beginners',
    },
  },
  touching: {
    name: 'Touching the plate',
    why: 'A touch tells that the arc is tight; too much of it traps slag.',
    choices: {
      'faint': 'a faint touch now and then is right',
      'never': 'never',
      'may rest': 'drag rods and tight E7018 may rest',
    },
  },
  manipulation: {
    name: 'Manipulation',
    why: 'Some tests insist on stringers; a weave holds a vertical puddle up.',
    choices: {
      'drag and weave': 'straight drag flat, slight weave vertical',
      'stringers': 'stringers only',
      'loops': 'loops or steps',
    },
  },
  rootPass: {
    name: 'Root pass',
    why: 'Whipping cools the keyhole; dragging keeps slag behind it.',
    choices: {
      'drag': 'drag tight, whip only if the keyhole grows',
      'whip': 'whip throughout',
      'two passes': 'two-pass root on backing',
    },
  },
  restart: {
    name: 'Restart',
    why: 'What is struck ahead is melted over; what is struck on the bead stays.',
    choices: {
      'ahead': 'strike ahead, carry back, round the crater, off',
      'in the crater': 'strike in the crater',
      'on the bead': 'strike on the finished bead',
    },
  },
  endOfRun: {
    name: 'End of a run',
    why: 'A crater left low cracks.',
    choices: {
      'fill': 'pause, fill, break',
      'weld in': 'stop an inch short and weld in from the end',
      'wrap round': 'wrap round, tie-ins at corners',
    },
  },
  firstBead: {
    name: 'First bead out of position',
    why: 'Nothing yet holds it up.',
    choices: {
      faster: 'run it a little faster',
      flat: 'lay it flat, then turn the plate',
    },
  },
  horizontalAim: {
    name: 'Horizontal aim',
    why: 'The bead sags on to what is under it.',
    choices: {
      'above the toe': 'just above the last toe, about 1/32 in',
      'on the toe': 'on the toe',
    },
  },
  teeAim: {
    name: 'T-joint aim',
    why: 'Heat goes where the rod points.',
    choices: {
      'by bead': 'three angles for three beads',
      'bisect': 'bisect',
      'to the thick': 'a little to the plate that takes more heat',
    },
  },
  tacks: {
    name: 'Tacks',
    why: 'A big tack holds; a small one is easier to run into.',
    choices: {
      two: 'two, 1/2 in, feathered',
      small: 'as small as hold',
      big: 'as big as will not crack',
    },
  },
  cleaning: {
    name: 'Cleaning',
    why: 'What is not brushed is welded in.',
    choices: {
      brush: 'brush every bead, wheel before a test',
      wheel: 'wheel every bead',
    },
  },
  cooling: {
    name: 'Cooling',
    why: 'A hot plate runs like more current; quenching saves waiting and hardens.',
    choices: {
      quench: 'quench practice plates',
      air: 'air cool always',
    },
  },
  reading: {
    name: 'Reading a bead',
    why: 'Say what is under the slag before it is chipped, or after.',
    choices: {
      chipped: 'after chipping, beside a hot and a cold bead',
      puddle: 'called from the puddle, before chipping',
    },
  },
  stubUse: {
    name: 'How far a rod is burnt',
    why: 'Rod is money; a short rod is harder to hold.',
    choices: {
      'stub length': 'to the stub length; beginners may stop early and keep the rest',
      'printing': 'to the printing, always',
      'fresh rod': 'a fresh rod whenever in doubt',
    },
  },
  stubDays: {
    name: 'Stub days',
    why: 'Only stubs, so that restarts cannot be avoided.',
    choices: {
      yes: 'yes, for restarts',
      never: 'never',
    },
  },
  machines: {
    name: 'Machines',
    why: 'A rod that wants AC cannot be run on DC machines.',
    choices: {
      'DC': 'DC only',
      'DC and AC': 'DC and AC',
    },
  },
  firstRod: {
    name: 'First rod',
    why: 'What a beginner strikes first shapes the arc length they hold.',
    choices: {
      E7018: 'E7018',
      E6013: 'E6013',
    },
  },
  rutile: {
    name: 'E6013',
    why: 'Made to run downhill; many shops run it every way.',
    choices: {
      'either way': 'general purpose, either way',
      'downhill': 'downhill sheet rod only',
    },
  },
  arcStrikes: {
    name: 'Strikes outside the joint',
    why: 'Each is a hard spot where a crack can begin.',
    choices: {
      'on practice': 'counted on practice, none on tests',
      'never': 'none, ever',
    },
  },
  order: {
    name: 'Order of positions',
    why: 'What comes next when a pad is signed off.',
    choices: {
      'by number': '1, 2, 3, 4',
      'overhead first': '1, 2, 4, 3',
      'joints first': 'joints before out-of-position pads',
    },
  },
  testJoint: {
    name: 'The test’s own joint',
    why: 'It brings a student on toward that test most; some schools keep it until the ladder comes to it.',
    choices: {
      'any time': 'practised at any time',
      'on its rung': 'once its rung is open',
    },
  },
  movingUp: {
    name: 'Moving up',
    why: 'Who says that a rung is learned.',
    choices: {
      'in a row': 'good coupons in a row',
      'by eye': 'instructor’s eye',
      'by statistics': 'a statistical rule',
    },
  },
  cautions: {
    name: 'Cautions',
    why: 'A student’s own word that a caution was read, asked once for each text, and again when the text changes.',
    choices: {
      'to the class': 'said to the class',
      'by each student': 'each student says they were read',
    },
  },
  queueOrder: {
    name: 'Order of the queue',
    why: 'Whose coupon is read next, when several wait.',
    choices: {
      'unread first': 'not read today first',
      'longest wait': 'longest wait first',
    },
  },
  angleWords: {
    name: 'Words for angles',
    why: '20 degrees of drag and 70 to the plate are the same rod.',
    choices: {
      'from square': 'from square, drag or push',
      'to the plate': 'rod to the plate',
    },
  },
} as const satisfies Record<string, Way>

export type WayId = keyof typeof WAYS
export type Ways = { readonly [id in WayId]: keyof (typeof WAYS)[id]['choices'] }

/** The first choice of every way. */
export const DEFAULT_WAYS = Object.fromEntries(
  Object.entries(WAYS).map(([id, way]) => [id, Object.keys(way.choices)[0]]),
) as Ways

/**
 * What is done in a matter, in words.
 * @example sayWay(DEFAULT_WAYS, 'cooling') // 'quench practice plates'
 */
export function sayWay(ways: Ways, id: WayId): string {
  const choices: Way['choices'] = WAYS[id].choices
  return choices[ways[id]]!
}
