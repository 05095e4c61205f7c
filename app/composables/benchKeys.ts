import { useEventListener } from '@vueuse/core'
import { markKindsOn } from '~/keys/markKinds'
import { arrowOf, type BENCH_KEYS, type BenchAct, type HandAct, type PageAct } from '~/keys/benchKeys'
import { actOn, keyOf } from '~/keys/keyTable'
import { LARGE_STEP, SMALL_STEP, useBenchActs } from './benchActs'
import type { CouponBench } from './couponBench'
import { useCaliperHold } from './caliperKeys'
import { isTaken } from './pageKeys'

interface BenchKeysUsed {
  readonly bench: CouponBench
  readonly rows: typeof BENCH_KEYS
  /** What is the page's own to do; what it does not name, its table has no key for. */
  readonly acts: Readonly<Partial<Record<PageAct, () => void>>>
  /** Asks for what the gauge reads. */
  readonly askReading: (of: 'across' | 'over') => void
  readonly upright: () => boolean
  readonly busy: () => boolean
}

/**
 * Listens for the keys of a table while its page is shown; while a dialog is open they are the dialog's, wherever the
 * focus is.
 */
export function useBenchKeys({ bench, rows, acts, askReading, upright, busy }: BenchKeysUsed): void {
  const hand = useBenchActs(bench)

  const ofHand: Readonly<Record<HandAct, () => void>> = {
    'over': () => hand.toBead(1),
    'under': () => hand.toBead(-1),
    'forward': () => hand.along(SMALL_STEP),
    'back': () => hand.along(-SMALL_STEP),
    'far forward': () => hand.along(LARGE_STEP),
    'far back': () => hand.along(-LARGE_STEP),
    'mark forward': () => hand.shift(SMALL_STEP),
    'mark back': () => hand.shift(-SMALL_STEP),
    'sound': () => hand.degree(1),
    'workable': () => hand.degree(2),
    'poor': () => hand.degree(3),
    'mark before': () => hand.toMark(-1),
    'mark after': () => hand.toMark(1),
    'shorten': () => hand.stretch(-SMALL_STEP),
    'stretch': () => hand.stretch(SMALL_STEP),
    'shorten more': () => hand.stretch(-LARGE_STEP),
    'stretch more': () => hand.stretch(LARGE_STEP),
    'toe': hand.side,
    'take off': hand.remove,
    'undo': bench.undo,
    'redo': bench.redo,
    'view': bench.turnView,
  }
  const all: Readonly<Partial<Record<BenchAct, () => void>>> = { ...ofHand, ...acts }

  function answer(event: KeyboardEvent): boolean {
    const key = (bench.coupon && arrowOf(event, upright())) ?? keyOf(event)
    if (key === null) return false
    const kind = markKindsOn(bench.cursorFace).find(one => one.letter === key)
    if (kind && bench.coupon) {
      hand.drop(kind, askReading)
      return true
    }
    const act = all[actOn(rows, key)!]
    act?.()
    return act !== undefined
  }

  const caliper = useCaliperHold({
    reading: mm => {
      bench.sentMm = mm
      askReading('across')
    },
    release: answer,
  })
  useEventListener(window, 'keydown', event => {
    if (busy()) return
    const taken = isTaken(event)
    // A caliper is heard first: a button that was tapped before would take the Enter that ends its reading.
    if ((bench.coupon && caliper.takes(event, taken)) || (!taken && answer(event))) event.preventDefault()
  })
}
