/** A matter on which good welders differ: what each school does, the default first, and why it matters. */
export interface Way {
  readonly name: string
  readonly why: string
  readonly choices: readonly string[]
}

/** Source: common practice; the order of the choices says which is the default, not which is right. */
export const WAYS = {
  lighting: {
    name: 'Lighting the arc',
    why: 'A tap sticks, a scratch strays; each school cures the one it fears more.',
    choices: ['a short hooked touch, part tap, part scratch', 'tap', 'scratch like a match'],
  },
  lightingGap: {
    name: 'Gap while lighting',
    why: 'A wide gap lights easily and leaves pinholes.',
    choices: ['a little over the working arc', 'up to 1/4 to 1/2 in for beginners'],
  },
  touching: {
    name: 'Touching the plate',
    why: 'A touch tells that the arc is tight; too much of it traps slag.',
    choices: ['a faint touch now and then is right', 'never', 'drag rods and tight E7018 may rest'],
  },
  manipulation: {
    name: 'Manipulation',
    why: 'Some tests insist on stringers; a weave holds a vertical puddle up.',
    choices: ['straight drag flat, slight weave vertical', 'stringers only', 'loops or steps'],
  },
  rootPass: {
    name: 'Root pass',
    why: 'Whipping cools the keyhole; dragging keeps slag behind it.',
    choices: ['drag tight, whip only if the keyhole grows', 'whip throughout', 'two-pass root on backing'],
  },
  restart: {
    name: 'Restart',
    why: 'What is struck ahead is melted over; what is struck on the bead stays.',
    choices: ['strike ahead, carry back, round the crater, off', 'strike in the crater', 'strike on the finished bead'],
  },
  endOfRun: {
    name: 'End of a run',
    why: 'A crater left low cracks.',
    choices: ['pause, fill, break', 'stop an inch short and weld in from the end', 'wrap round, tie-ins at corners'],
  },
  firstBead: {
    name: 'First bead out of position',
    why: 'Nothing yet holds it up.',
    choices: ['run it a little faster', 'lay it flat, then turn the plate'],
  },
  horizontalAim: {
    name: 'Horizontal aim',
    why: 'The bead sags on to what is under it.',
    choices: ['just above the last toe, about 1/32 in', 'on the toe'],
  },
  teeAim: {
    name: 'T-joint aim',
    why: 'Heat goes where the rod points.',
    choices: ['three angles for three beads', 'bisect', 'a little to the plate that takes more heat'],
  },
  tacks: {
    name: 'Tacks',
    why: 'A big tack holds; a small one is easier to run into.',
    choices: ['two, 1/2 in, feathered', 'as small as hold', 'as big as will not crack'],
  },
  cleaning: {
    name: 'Cleaning',
    why: 'What is not brushed is welded in.',
    choices: ['brush every bead, wheel before a test', 'wheel every bead'],
  },
  cooling: {
    name: 'Cooling',
    why: 'A hot plate runs like more current; quenching saves waiting and hardens.',
    choices: ['quench practice plates', 'air cool always'],
  },
  reading: {
    name: 'Reading a bead',
    why: 'Say what is under the slag before it is chipped, or after.',
    choices: ['after chipping, beside a hot and a cold bead', 'called from the puddle, before chipping'],
  },
  stubUse: {
    name: 'How far a rod is burnt',
    why: 'Rod is money; a short rod is harder to hold.',
    choices: [
      'to the stub length; beginners may stop early and keep the rest',
      'to the printing, always',
      'a fresh rod whenever in doubt',
    ],
  },
  stubDays: {
    name: 'Stub days',
    why: 'Only stubs, so that restarts cannot be avoided.',
    choices: ['yes, for restarts', 'never'],
  },
  machines: {
    name: 'Machines',
    why: 'A rod that wants AC cannot be run on DC machines.',
    choices: ['DC only', 'DC and AC'],
  },
  firstRod: {
    name: 'First rod',
    why: 'What a beginner strikes first shapes the arc length they hold.',
    choices: ['E7018', 'E6013'],
  },
  rutile: {
    name: 'E6013',
    why: 'Made to run downhill; many shops run it every way.',
    choices: ['general purpose, either way', 'downhill sheet rod only'],
  },
  arcStrikes: {
    name: 'Strikes outside the joint',
    why: 'Each is a hard spot where a crack can begin.',
    choices: ['counted on practice, none on tests', 'none, ever'],
  },
  order: {
    name: 'Order of positions',
    why: 'What comes next when a pad is signed off.',
    choices: ['1, 2, 3, 4', '1, 2, 4, 3', 'joints before out-of-position pads'],
  },
  testJoint: {
    name: 'The test’s own joint',
    why: 'It brings a student on toward that test most; some schools keep it until the ladder comes to it.',
    choices: ['practised at any time', 'once its rung is open'],
  },
  movingUp: {
    name: 'Moving up',
    why: 'Who says that a rung is learned.',
    choices: ['good coupons in a row', 'instructor’s eye', 'a statistical rule'],
  },
  cautions: {
    name: 'Cautions',
    why: 'A student’s own word that a caution was read, asked once for each text, and again when the text changes.',
    choices: ['said to the class', 'each student says they were read'],
  },
  queueOrder: {
    name: 'Order of the queue',
    why: 'Whose coupon is read next, when several wait.',
    choices: ['not read today first', 'longest wait first'],
  },
  angleWords: {
    name: 'Words for angles',
    why: '20 degrees of drag and 70 to the plate are the same rod.',
    choices: ['from square, drag or push', 'rod to the plate'],
  },
} as const satisfies Record<string, Way>

export type WayId = keyof typeof WAYS
export type Ways = { readonly [id in WayId]: (typeof WAYS)[id]['choices'][number] }

/** The first choice of every way. */
export const DEFAULT_WAYS = Object.fromEntries(Object.entries(WAYS).map(([id, way]) => [id, way.choices[0]])) as Ways
