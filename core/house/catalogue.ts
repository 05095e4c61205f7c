import { CURRENCIES, inches } from '../units'
import { DEFAULT_HOUSE_RULES, PICTURE_PX, type HouseRules } from './houseRules'
import { WAYS } from './ways'

/** What a number of the rules is a number of. Shares are kept 0 to 1 and shown in per cent. */
export type Quantity =
  'length' | 'share' | 'percent' | 'degrees' | 'amperes' | 'hours' | 'days' | 'coupons' | 'core diameters' | 'pixels'

export type RuleGroup =
  | 'The bead'
  | 'Restarts and ends'
  | 'Grooves'
  | 'Undercut'
  | 'Angles and arc'
  | 'Current'
  | 'Moving up'
  | 'Pictures'
  | 'Ways'

interface LineBase {
  /** Where the value stands in the rules: `pass.starts`. */
  readonly path: string
  readonly group: RuleGroup
  readonly name: string
  readonly why: string
}

interface NumberBase extends LineBase {
  readonly quantity: Quantity
  readonly lowest: number
  readonly highest: number
}

/** What may be chosen: the id that is kept, and what it says. */
export interface RuleChoice {
  readonly id: string
  readonly says: string
}

/** One line of the house rules: what it is, why it matters, and what it may hold. */
export type RuleLine =
  | (LineBase & { readonly kind: 'choice'; readonly choices: readonly RuleChoice[] })
  | (NumberBase & { readonly kind: 'number' })
  | (NumberBase & { readonly kind: 'between' })

const choice = (
  path: string,
  group: RuleGroup,
  name: string,
  why: string,
  choices: Readonly<Record<string, string>>,
): RuleLine => ({
  kind: 'choice',
  path,
  group,
  name,
  why,
  choices: Object.entries(choices).map(([id, says]) => ({ id, says })),
})
const number = (
  path: string,
  group: RuleGroup,
  name: string,
  quantity: Quantity,
  lowest: number,
  highest: number,
  why: string,
): RuleLine => ({ kind: 'number', path, group, name, quantity, lowest, highest, why })
const between = (
  path: string,
  group: RuleGroup,
  name: string,
  quantity: Quantity,
  lowest: number,
  highest: number,
  why: string,
): RuleLine => ({ kind: 'between', path, group, name, quantity, lowest, highest, why })

/** Bead width has two schools; each has lines of its own, and only those of the school that is chosen apply. */
const WIDTH_LINES: Readonly<Record<HouseRules['beadWidth']['by'], readonly RuleLine[]>> = {
  'core diameter': [
    number(
      'beadWidth.low',
      'The bead',
      'Narrowest bead',
      'core diameters',
      1,
      6,
      'Narrower, the puddle was not let out to its width.',
    ),
    number('beadWidth.high', 'The bead', 'Widest bead', 'core diameters', 1, 6, 'Wider is a weave, or too slow.'),
  ],
  'length': [
    number(
      'beadWidth.lowMm',
      'The bead',
      'Narrowest bead',
      'length',
      inches(1 / 8),
      inches(3 / 2),
      'Narrower, the puddle was not let out to its width.',
    ),
    number(
      'beadWidth.highMm',
      'The bead',
      'Widest bead',
      'length',
      inches(1 / 8),
      inches(3 / 2),
      'Wider is a weave, or too slow.',
    ),
  ],
}

/**
 * Every line but those of bead width, in the order in which they are shown. Source: common practice, except where a
 * line says otherwise.
 */
const LINES: readonly RuleLine[] = [
  choice(
    'unit',
    'The bead',
    'Rulers and screens',
    'What the school’s rulers are marked in; the record is kept in millimetres either way.',
    { in: 'in', mm: 'mm' },
  ),
  choice(
    'currency',
    'The bead',
    'Prices are in',
    'What rods cost is said in it; no price is changed by it.',
    Object.fromEntries(CURRENCIES.map(currency => [currency, currency])),
  ),
  choice(
    'beadWidth.by',
    'The bead',
    'Bead width is given',
    'Strict stringers follow the rod; one width for all small rods is easier to see.',
    { 'core diameter': 'core diameter', 'length': 'length' },
  ),
  number(
    'widthEvenMm',
    'The bead',
    'Even in width within',
    'length',
    inches(1 / 32),
    inches(3 / 8),
    'A width that pulses is an arc that is chased.',
  ),
  between(
    'heightMm',
    'The bead',
    'Height of a pad bead',
    'length',
    inches(1 / 32),
    inches(3 / 8),
    'Higher is cold or slow; lower is fast.',
  ),
  between(
    'overlap',
    'The bead',
    'Overlap on the last bead',
    'share',
    0.1,
    0.8,
    'Too little leaves a valley for slag; too much lays bead on bead.',
  ),
  number(
    'straight.offMm',
    'The bead',
    'Straight within',
    'length',
    inches(1 / 32),
    inches(3 / 8),
    'Every later bead copies the first.',
  ),
  number(
    'straight.perMm',
    'The bead',
    'measured over',
    'length',
    inches(1),
    inches(24),
    'The length over which straightness is held.',
  ),
  number(
    'restartWithin.heightMm',
    'Restarts and ends',
    'Sound restart: height within',
    'length',
    inches(1 / 32),
    inches(1 / 4),
    'A lump says too long in the crater; a dip, too short.',
  ),
  number(
    'restartWithin.widthMm',
    'Restarts and ends',
    'Sound restart: width within',
    'length',
    inches(1 / 32),
    inches(1 / 4),
    'The crater is filled to its full width before moving off.',
  ),
  number(
    'restartWithin.lineMm',
    'Restarts and ends',
    'Sound restart: line within',
    'length',
    inches(1 / 32),
    inches(1 / 4),
    'A step sideways is seen for the life of the weld.',
  ),
  number(
    'endWithinMm',
    'Restarts and ends',
    'Ends at full height within',
    'length',
    inches(1 / 32),
    inches(1),
    'Begin at the very edge and wrap over the far one.',
  ),
  number(
    'stubMm',
    'Restarts and ends',
    'Stub left of a rod',
    'length',
    inches(1 / 2),
    inches(8),
    'It sets how far a rod runs, and where restarts fall.',
  ),
  number(
    'stopUnderMm',
    'Grooves',
    'Fill stops under flush by',
    'length',
    0,
    inches(1 / 4),
    'It leaves the bevel edges to steer the cap by.',
  ),
  number(
    'capBeyondMm',
    'Grooves',
    'Cap beyond each edge, at most',
    'length',
    0,
    inches(1 / 4),
    'Wider wastes rod and hides undercut.',
  ),
  between(
    'reinforcementMm',
    'Grooves',
    'Height of the cap',
    'length',
    0,
    inches(1 / 4),
    'The structural code’s limit on a welder’s coupon is 1/8 in (from memory, check your copy).',
  ),
  number(
    'undercutDepthMm',
    'Undercut',
    'Deepest accepted',
    'length',
    0,
    inches(1 / 8),
    'The structural code’s limit on a welder’s coupon is 1/32 in (from memory, check your copy).',
  ),
  number(
    'undercutShare',
    'Undercut',
    'Most of the welded length',
    'share',
    0,
    1,
    'Shallow undercut is summed; past this share the coupon is run again.',
  ),
  between(
    'dragFlatDegrees',
    'Angles and arc',
    'Drag, flat and horizontal',
    'degrees',
    0,
    45,
    'Too little and slag runs ahead; too much and the bead crowns.',
  ),
  between(
    'upHorizontalDegrees',
    'Angles and arc',
    'Horizontal: rod points up',
    'degrees',
    0,
    45,
    'Holds the upper toe against the sag.',
  ),
  between(
    'pushVerticalDegrees',
    'Angles and arc',
    'Push, vertical up',
    'degrees',
    0,
    30,
    'More than 10 lengthens the arc and humps the bead.',
  ),
  between(
    'dragOverheadDegrees',
    'Angles and arc',
    'Drag, overhead',
    'degrees',
    0,
    30,
    'Straight in, or nearly: laid over, the bead hangs.',
  ),
  between(
    'dragFilletDegrees',
    'Angles and arc',
    'Drag, fillets',
    'degrees',
    0,
    45,
    'Rutile rods are leaned more, 20 to 30.',
  ),
  number(
    'arcCores',
    'Angles and arc',
    'Longest arc',
    'core diameters',
    0.25,
    2,
    'A long arc is not hotter: volts rise, the puddle widens, penetration falls.',
  ),
  between(
    'arcForcePercent',
    'Angles and arc',
    'Arc force',
    'percent',
    0,
    100,
    'Higher for those who hold a very tight arc; lower for a soft one.',
  ),
  between(
    'arcForceTightPercent',
    'Angles and arc',
    'Arc force, overhead and for a very tight arc',
    'percent',
    0,
    100,
    'Keeps a rod that is pushed in from sticking. A cellulosic rod may be run anywhere from mid-scale up to here.',
  ),
  between(
    'arcForceScale',
    'Angles and arc',
    'Arc force that the machines have',
    'percent',
    0,
    100,
    'Where a machine has no such knob, both ends are what it is fixed at.',
  ),
  between(
    'verticalUnderFlatA',
    'Current',
    'Vertical up, under flat by',
    'amperes',
    0,
    60,
    'Gravity pulls a hot puddle down.',
  ),
  between(
    'overheadUnderFlatA',
    'Current',
    'Overhead, under flat by',
    'amperes',
    0,
    60,
    'Too low to hold a tight arc is what makes it hang.',
  ),
  number(
    'exposureHours',
    'Current',
    'Low-hydrogen rods out of the oven',
    'hours',
    0.5,
    12,
    'AWS D1.1 and A5.1 annex: 4 h, with suffix R 9 h (from memory, check your copy).',
  ),
  number(
    'rodsLastDays',
    'Current',
    'Rods in store are to last',
    'days',
    7,
    182,
    'As long as it takes from an order to the delivery, and some. Under what is likely to be burnt in it, buy.',
  ),
  number(
    'clampDays',
    'Current',
    'Clamp meter held to each machine every',
    'days',
    30,
    730,
    'A panel drifts. IEC 60974-14 has equipment validated once a year (from memory, check your copy).',
  ),
  number('pass.starts', 'Moving up', 'Sound starts', 'share', 0, 1, 'Of all the starts of a coupon.'),
  number('pass.restarts', 'Moving up', 'Sound restarts', 'share', 0, 1, 'Of all the restarts of a coupon.'),
  number('pass.tieIns', 'Moving up', 'Sound tie-ins', 'share', 0, 1, 'Of all the tie-ins of a coupon.'),
  number('pass.run', 'Moving up', 'Sound bead', 'share', 0, 1, 'Of the length welded.'),
  number('pass.ends', 'Moving up', 'Sound ends', 'share', 0, 1, 'Of all the ends of a coupon.'),
  number('pass.toes', 'Moving up', 'Toes wetted in', 'share', 0, 1, 'Of the length of both toes.'),
  number(
    'goodInARow',
    'Moving up',
    'Good coupons in a row',
    'coupons',
    1,
    20,
    'Before a rung is signed off, where the rung has no rule of its own.',
  ),
  number(
    'halfLifeDays',
    'Moving up',
    'Work counts half after',
    'days',
    7,
    365,
    'Recent coupons say more about a hand than old ones.',
  ),
  number(
    'sameDrillDays',
    'Moving up',
    'Same drill at most',
    'days',
    1,
    10,
    'In a row; then something else is proposed.',
  ),
  number(
    'targetOdds',
    'Moving up',
    'Odds wanted before a test',
    'share',
    0.5,
    0.99,
    'Of simulated attempts at the test piece that would go well.',
  ),
  number(
    'pictureLongestPx',
    'Pictures',
    'Longest side of a picture',
    'pixels',
    PICTURE_PX.least,
    PICTURE_PX.most,
    'A coupon’s picture is kept no larger: 1600 show a tenth of a millimetre on 6 in, in about half a megabyte.',
  ),
  ...Object.entries(WAYS).map(([id, way]) => choice(`ways.${id}`, 'Ways', way.name, way.why, way.choices)),
]

/** The lines that apply to a set of rules, in the order in which they are shown. */
export function rulesCatalogue(rules: HouseRules): RuleLine[] {
  return LINES.flatMap(line => (line.path === 'beadWidth.by' ? [line, ...WIDTH_LINES[rules.beadWidth.by]] : [line]))
}

type Tree = Readonly<Record<string, unknown>>

/**
 * The value at a line's path.
 * @example ruleAt(DEFAULT_HOUSE_RULES, 'pass.starts') // 0.8
 */
export function ruleAt(rules: HouseRules, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Tree)[key], rules)
}

/** Both schools of bead width, as one becomes the other: the small rods' usual figures. Common practice. */
const WIDTH_SCHOOLS: Readonly<Record<HouseRules['beadWidth']['by'], HouseRules['beadWidth']>> = {
  'core diameter': DEFAULT_HOUSE_RULES.beadWidth,
  'length': { by: 'length', lowMm: inches(1 / 4), highMm: inches(3 / 8) },
}

/**
 * The rules with another value at a path. Choosing the other school of bead width brings that school's figures.
 * @example writeRule(rules, 'overlap', { low: 0.5, high: 0.6 }).overlap.low // 0.5
 */
export function writeRule(rules: HouseRules, path: string, value: unknown): HouseRules {
  if (path === 'beadWidth.by') return { ...rules, beadWidth: WIDTH_SCHOOLS[value as HouseRules['beadWidth']['by']] }
  const [key, inner] = path.split('.') as [keyof HouseRules, string | undefined]
  return { ...rules, [key]: inner === undefined ? value : { ...(rules[key] as Tree), [inner]: value } }
}

/**
 * The lines on which a school departs from the default, or from other rules; its own current windows apart.
 * @example departures(DEFAULT_HOUSE_RULES) // []
 */
export function departures(rules: HouseRules, from: HouseRules = DEFAULT_HOUSE_RULES): RuleLine[] {
  return rulesCatalogue(rules).filter(
    line => JSON.stringify(ruleAt(rules, line.path)) !== JSON.stringify(ruleAt(from, line.path)),
  )
}
