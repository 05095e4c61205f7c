import type { KeyRow } from './keyTable'

/** What the hand does alike wherever a coupon is read. */
export type HandAct =
  | 'over'
  | 'under'
  | 'forward'
  | 'back'
  | 'far forward'
  | 'far back'
  | 'mark forward'
  | 'mark back'
  | 'sound'
  | 'workable'
  | 'poor'
  | 'mark before'
  | 'mark after'
  | 'shorten'
  | 'stretch'
  | 'shorten more'
  | 'stretch more'
  | 'toe'
  | 'take off'
  | 'undo'
  | 'redo'
  | 'view'

/** What is the page's own to do. */
export type PageAct =
  | 'next'
  | 'save'
  | 'choose'
  | 'take up'
  | 'ticket'
  | 'bead less'
  | 'bead more'
  | 'codes'
  | 'told'
  | 'done'
  | 'yes'
  | 'no'
  | 'pass'
  | 'fit-up'
  | 'more marks'
  | 'time'
  | 'keys'

/** What a key of the Bench does. */
export type BenchAct = HandAct | PageAct

interface BenchKey extends KeyRow<BenchAct> {
  /** What it does in a blind reading; null where it belongs to the one who answers for the coupon. */
  readonly blind: string | null
}

const row = (
  shown: string,
  says: string,
  acts: Readonly<Record<string, BenchAct>>,
  blind: string | null = says,
): BenchKey => ({ shown, says, acts, blind })
const own = (shown: string, says: string, acts: Readonly<Record<string, BenchAct>>) => row(shown, says, acts, null)

/**
 * The keys of the Bench. Arrows are named by where they lead: a bead over or under, forward or back along it; an
 * upright plate turns them with it.
 */
export const BENCH_KEYS: readonly BenchKey[] = [
  own('N', 'next coupon', { N: 'next' }),
  row('Enter', 'save, next coupon', { Enter: 'save' }, 'hand it in'),
  own('/', 'another student; this coupon waits', { '/': 'choose' }),
  own('`', 'take up the parked coupon that has waited longest', { '`': 'take up' }),
  own('I', 'change the ticket', { I: 'ticket' }),
  row('↑ / ↓', 'choose a bead, or a pass', {
    'Over': 'over',
    'Under': 'under',
    'Shift Over': 'over',
    'Shift Under': 'under',
  }),
  row('← / →', 'along it by 1/8 in; with Shift by 1/2', {
    'Forward': 'forward',
    'Back': 'back',
    'Shift Forward': 'far forward',
    'Shift Back': 'far back',
  }),
  row('a letter', 'drop that mark at the cursor; again: its next fault or kind', {}),
  row('1 / 2 / 3', 'how bad: sound, workable, poor; light, plain, bad', { 1: 'sound', 2: 'workable', 3: 'poor' }),
  row(', / .', 'mark before, mark after', { ',': 'mark before', '.': 'mark after' }),
  row('[ / ]', 'shorten or stretch a span; with Shift by 1/2 in', {
    '[': 'shorten',
    ']': 'stretch',
    '{': 'shorten more',
    '}': 'stretch more',
  }),
  row('Ctrl ← / →', 'move the mark', { 'Ctrl Forward': 'mark forward', 'Ctrl Back': 'mark back' }),
  row('Y', 'which toe', { Y: 'toe' }),
  row('Delete', 'take the mark off', { Delete: 'take off', Backspace: 'take off' }),
  row('Ctrl Z', 'undo; with Shift redo', { 'Ctrl Z': 'undo', 'Ctrl Shift Z': 'redo', 'Ctrl Y': 'redo' }),
  own('- / +', 'fewer or more beads; a pass less or more', { '-': 'bead less', '+': 'bead more', '=': 'bead more' }),
  row('0', 'one pass, all passes', { 0: 'view' }),
  own('7', 'hold it against codes', { 7: 'codes' }),
  row('6', 'what the student says', { 6: 'told' }, 'what you saw and heard'),
  own('8 / 9', 'yes, no: what was asked', { 8: 'yes', 9: 'no' }),
  own('4', 'was it done, what was told last: yes, no', { 4: 'done' }),
  own(';', 'log the pass', { ';': 'pass' }),
  own("'", 'fit-up', { "'": 'fit-up' }),
  row('X', 'more marks', { X: 'more marks' }),
  own('Space', 'strike, break: time the bead', { ' ': 'time' }),
]

/** The keys of a blind reading, which is handed in; a tablet has no rail that would open its help. */
export const BLIND_KEYS: readonly BenchKey[] = [
  ...BENCH_KEYS.flatMap(key => (key.blind === null ? [] : [{ ...key, says: key.blind }])),
  row('?', 'these keys', { '?': 'keys' }),
]

type Arrow = 'Over' | 'Under' | 'Forward' | 'Back'
const LYING: Readonly<Record<string, Arrow>> = {
  ArrowRight: 'Forward',
  ArrowLeft: 'Back',
  ArrowUp: 'Over',
  ArrowDown: 'Under',
}
const STANDING: Readonly<Record<string, Arrow>> = {
  ArrowUp: 'Forward',
  ArrowDown: 'Back',
  ArrowRight: 'Over',
  ArrowLeft: 'Under',
}

/** Where an arrow leads on a coupon that lies, or stands upright; null for any other key. */
export function arrowOf(
  { key, ctrlKey, metaKey, shiftKey }: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey'>,
  upright: boolean,
): string | null {
  const arrow = (upright ? STANDING : LYING)[key]
  if (!arrow) return null
  return `${ctrlKey || metaKey ? 'Ctrl ' : shiftKey ? 'Shift ' : ''}${arrow}`
}
