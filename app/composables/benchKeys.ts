import { useEventListener } from '@vueuse/core'
import { markKindsOn } from '~/components/bench/markKinds'
import { useBench } from '~/stores/bench'
import { LARGE_STEP, SMALL_STEP, useBenchActs } from './benchActs'
import { isTaken } from './pageKeys'

/** The keys of the Bench, for the page that shows them and the hand that uses them. */
export const BENCH_KEYS: readonly (readonly [string, string])[] = [
  ['N', 'next coupon'],
  ['Enter', 'save, next coupon'],
  ['/', 'another student; this coupon waits'],
  ['`', 'take up the parked coupon that has waited longest'],
  ['I', 'change the ticket'],
  ['↑ ↓', 'choose a bead, or a pass'],
  ['← →', 'along it by 1/8 in; with Shift by 1/2'],
  ['letter', 'drop that mark at the cursor; again: its next fault or kind'],
  ['1 2 3', 'how bad: sound, workable, poor; light, plain, bad'],
  [', .', 'mark before, mark after'],
  ['[ ]', 'shorten or stretch a span'],
  ['Ctrl ← →', 'move the mark'],
  ['Y', 'which toe'],
  ['Delete', 'take the mark off'],
  ['Ctrl Z', 'undo; with Shift redo'],
  ['- +', 'fewer or more beads; a pass less or more'],
  ['0', 'one pass, all passes'],
  ['7', 'hold it against codes'],
  ['6', 'what the student says'],
  ['8 9', 'yes, no: what was asked'],
  [';', 'log the pass'],
  ['’', 'fit-up'],
  ['X', 'more marks'],
  ['Space', 'strike, break: time the bead'],
  ['?', 'these keys'],
]

/** Keys that belong to whoever answers for the coupon. */
const NOT_BLIND = new Set(['N', '/', '`', 'I', '- +', '6', '7', '8 9', ';', '’', 'Space'])
/** The keys of a blind reading, which is handed in. */
export const BLIND_KEYS = BENCH_KEYS.filter(([key]) => !NOT_BLIND.has(key)).map(
  ([key, what]) => [key, key === 'Enter' ? 'hand it in' : what] as const,
)

export interface BenchKeyActs {
  readonly next: () => void
  readonly save: () => void
  readonly choose: () => void
  readonly parked: () => void
  readonly ticket: () => void
  readonly more: () => void
  readonly help: () => void
  readonly reading: (of: 'across' | 'over') => void
  readonly beads: (step: 1 | -1) => void
  readonly pass: () => void
  readonly codes: () => void
  readonly told: () => void
  readonly answer: (said: 'yes' | 'no') => void
  readonly fitUp: () => void
  readonly time: () => void
}

/**
 * Listens for the bench's keys while its page is shown; while a dialog is open they are the dialog's, wherever the
 * focus is.
 */
export function useBenchKeys(acts: BenchKeyActs, upright: () => boolean, busy: () => boolean): void {
  const bench = useBench()
  const hand = useBenchActs()

  function arrow(event: KeyboardEvent): boolean {
    const lying: Record<string, [along: number, bead: 1 | -1 | 0]> = {
      ArrowRight: [1, 0],
      ArrowLeft: [-1, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    }
    const standing: Record<string, [along: number, bead: 1 | -1 | 0]> = {
      ArrowUp: [1, 0],
      ArrowDown: [-1, 0],
      ArrowRight: [0, 1],
      ArrowLeft: [0, -1],
    }
    const way = (upright() ? standing : lying)[event.key]
    if (!way) return false
    const step = way[0] * (event.shiftKey ? LARGE_STEP : SMALL_STEP)
    if (way[1] !== 0) hand.toBead(way[1])
    else if (event.ctrlKey || event.metaKey) hand.shift(step)
    else hand.along(step)
    return true
  }

  function withControl(event: KeyboardEvent): boolean {
    if (!event.ctrlKey && !event.metaKey) return false
    const key = event.key.toLowerCase()
    if (key === 'z') (event.shiftKey ? bench.redo : bench.undo)()
    else if (key === 'y') bench.redo()
    else return false
    return true
  }

  const PLAIN: Readonly<Record<string, () => void>> = {
    'Enter': acts.save,
    '/': acts.choose,
    '`': acts.parked,
    '?': acts.help,
    '1': () => hand.degree(1),
    '2': () => hand.degree(2),
    '3': () => hand.degree(3),
    ',': () => hand.toMark(-1),
    '.': () => hand.toMark(1),
    '[': () => hand.stretch(-SMALL_STEP),
    ']': () => hand.stretch(SMALL_STEP),
    '{': () => hand.stretch(-LARGE_STEP),
    '}': () => hand.stretch(LARGE_STEP),
    'Delete': hand.remove,
    'Backspace': hand.remove,
    '-': () => acts.beads(-1),
    '+': () => acts.beads(1),
    '=': () => acts.beads(1),
    '6': acts.told,
    '7': acts.codes,
    '8': () => acts.answer('yes'),
    '9': () => acts.answer('no'),
    '0': bench.turnView,
    ';': acts.pass,
    "'": acts.fitUp,
    ' ': acts.time,
    'N': acts.next,
    'I': acts.ticket,
    'X': acts.more,
    'Y': hand.side,
  }

  function answer(event: KeyboardEvent): boolean {
    if (bench.document && (arrow(event) || withControl(event))) return true
    if (event.ctrlKey || event.metaKey || event.altKey) return false
    const key = event.key.length === 1 ? event.key.toUpperCase() : event.key
    const kind = markKindsOn(bench.cursorFace).find(one => one.letter === key)
    if (kind && bench.document) {
      hand.drop(kind, acts.reading)
      return true
    }
    const act = PLAIN[key]
    act?.()
    return act !== undefined
  }

  useEventListener(document, 'keydown', event => {
    if (!busy() && !isTaken(event) && answer(event)) event.preventDefault()
  })
}
