import type { WayId } from './ways'

/**
 * Choices as they were kept when their words were their ids, with the id that each has now. Rules that were saved so,
 * by the school or in a file, are lifted when they are read. The table is closed: no later words belong in it.
 */
const EARLIER: Partial<Readonly<Record<WayId, Readonly<Record<string, string>>>>> = {
  lighting: {
    'a short hooked touch, part tap, part scratch': 'hooked touch',
    'scratch like a match': 'scratch',
  },
  lightingGap: {
    'a little over the working arc': 'working arc',
    'up to 1/4 to 1/2 in for beginners': 'wide',
  },
  touching: {
    'a faint touch now and then is right': 'faint',
    'drag rods and tight E7018 may rest': 'may rest',
  },
  manipulation: {
    'straight drag flat, slight weave vertical': 'drag and weave',
    'stringers only': 'stringers',
    'loops or steps': 'loops',
  },
  rootPass: {
    'drag tight, whip only if the keyhole grows': 'drag',
    'whip throughout': 'whip',
    'two-pass root on backing': 'two passes',
  },
  restart: {
    'strike ahead, carry back, round the crater, off': 'ahead',
    'strike in the crater': 'in the crater',
    'strike on the finished bead': 'on the bead',
  },
  endOfRun: {
    'pause, fill, break': 'fill',
    'stop an inch short and weld in from the end': 'weld in',
    'wrap round, tie-ins at corners': 'wrap round',
  },
  firstBead: {
    'run it a little faster': 'faster',
    'lay it flat, then turn the plate': 'flat',
  },
  horizontalAim: {
    'just above the last toe, about 1/32 in': 'above the toe',
  },
  teeAim: {
    'three angles for three beads': 'by bead',
    'a little to the plate that takes more heat': 'to the thick',
  },
  tacks: {
    'two, 1/2 in, feathered': 'two',
    'as small as hold': 'small',
    'as big as will not crack': 'big',
  },
  cleaning: {
    'brush every bead, wheel before a test': 'brush',
    'wheel every bead': 'wheel',
  },
  cooling: {
    'quench practice plates': 'quench',
    'air cool always': 'air',
  },
  reading: {
    'after chipping, beside a hot and a cold bead': 'chipped',
    'called from the puddle, before chipping': 'puddle',
  },
  stubUse: {
    'to the stub length; beginners may stop early and keep the rest': 'stub length',
    'to the printing, always': 'printing',
    'a fresh rod whenever in doubt': 'fresh rod',
  },
  stubDays: {
    'yes, for restarts': 'yes',
  },
  machines: {
    'DC only': 'DC',
  },
  rutile: {
    'general purpose, either way': 'either way',
    'downhill sheet rod only': 'downhill',
  },
  arcStrikes: {
    'counted on practice, none on tests': 'on practice',
    'none, ever': 'never',
  },
  order: {
    '1, 2, 3, 4': 'by number',
    '1, 2, 4, 3': 'overhead first',
    'joints before out-of-position pads': 'joints first',
  },
  testJoint: {
    'practised at any time': 'any time',
    'once its rung is open': 'on its rung',
  },
  movingUp: {
    'good coupons in a row': 'in a row',
    'instructor’s eye': 'by eye',
    'a statistical rule': 'by statistics',
  },
  cautions: {
    'said to the class': 'to the class',
    'each student says they were read': 'by each student',
  },
  queueOrder: {
    'not read today first': 'unread first',
    'longest wait first': 'longest wait',
  },
  angleWords: {
    'from square, drag or push': 'from square',
    'rod to the plate': 'to the plate',
  },
}

/**
 * The ways of a set of rules with each choice by its id; a choice that is no earlier one stays as it is.
 * @example liftWays({ cooling: 'air cool always' }) // { cooling: 'air' }
 */
export const liftWays = <W extends object>(ways: W): W =>
  Object.fromEntries(
    Object.entries(ways).map(([id, choice]) => [id, EARLIER[id as WayId]?.[choice as string] ?? choice]),
  ) as W
