import { useLocalStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import {
  ALL_WELDED,
  fewestTests,
  positionsQualified,
  qualifies,
  takenWith,
  testPieceOf,
  testPieces,
  type KeptBook,
  type TestPiece,
  type TestTaken,
  type Wanted,
} from '~~/core/qualification'
import { couponOf, needsOf, NOBODY } from '~~/core/welderTest'
import { dayNumber } from '~~/core/calendar'
import { outlookCase, testPlan } from '~~/core/readiness'
import { inches } from '~~/core/units'
import type { StudentProgress } from '~~/contract/progress'
import { useCodeBooks } from '~/stores/codeBooks'
import { useHouseRules } from '~/stores/houseRules'
import { messageOf } from '~/stores/request'
import { usePieceOdds } from './pieceOdds'
import { today } from './shopClock'

/** Pieces that go together, by one book. */
export interface PlannedSet {
  readonly kept: KeptBook
  readonly pieces: readonly TestPiece[]
}

/** A book and its version in one word. */
export const bookKeyOf = ({ book, version }: KeptBook) => `${book.id} ${version}`
const keyOf = bookKeyOf

/**
 * From what a person should be qualified for to the fewest pieces, or from pieces chosen by hand to what they would
 * qualify. Nothing is proposed until the books are loaded.
 */
export function useTestPlan(ready: Ref<boolean>) {
  const books = useCodeBooks()
  const houseRules = useHouseRules()
  const rules = computed(() => houseRules.current.rules)

  const wanted = ref<Wanted>({
    on: 'plate',
    grooves: ALL_WELDED,
    fillets: ALL_WELDED,
    thicknessMm: inches(1 / 2),
    outsideMm: null,
    openRoot: false,
    classification: 'E7018',
    progression: 'up',
  })
  /** A pipe test covers plate too; a plate is sooner welded. */
  const pipeToo = ref(false)
  const chosen = shallowRef<PlannedSet | null>(null)
  const bookKey = useLocalStorage('fusilis.codeBook', 'structural 0')

  const pieces = computed(() => testPieces(houseRules.unit))
  /** How each piece is taken: planned once, as a plan costs a moment. */
  const taken = computed(
    () =>
      new Map(
        pieces.value.map(piece => [
          piece.id,
          takenWith(piece, couponOf(piece, NOBODY, rules.value).passes!, houseRules.unit),
        ]),
      ),
  )
  const takenOf = (piece: TestPiece): TestTaken => taken.value.get(piece.id)!
  const minutesOf = computed(
    () =>
      new Map(
        pieces.value.map(piece => [piece.id, needsOf(couponOf(piece, NOBODY, rules.value), rules.value).arcMinutes]),
      ),
  )
  const usable = computed(() =>
    wanted.value.on === 'pipe' || pipeToo.value
      ? pieces.value
      : pieces.value.filter(piece => takenOf(piece).form === 'plate'),
  )
  /** Minutes of arc; an open root that was not asked for comes after all that have none. */
  const UNASKED = 1e6
  const costOf = (set: readonly TestPiece[]) =>
    set.reduce(
      (sum, piece) =>
        sum + minutesOf.value.get(piece.id)! + (takenOf(piece).backing || wanted.value.openRoot ? 0 : UNASKED),
      0,
    )

  /** The book last used first; of each, the two sets that take the least arc. */
  const sets = computed<PlannedSet[]>(() =>
    !ready.value
      ? []
      : [...books.offered]
          .sort((a, b) => Number(keyOf(b) === bookKey.value) - Number(keyOf(a) === bookKey.value))
          .flatMap(kept =>
            fewestTests(kept.book, wanted.value, usable.value, takenOf)
              .sort((a, b) => costOf(a) - costOf(b))
              .slice(0, 2)
              .map(set => ({ kept, pieces: set })),
          ),
  )
  const none = computed(() =>
    books.offered.filter(kept => !sets.value.some(set => keyOf(set.kept) === keyOf(kept))).map(kept => kept.book.name),
  )
  watch(sets, now => {
    chosen.value = now[0] ?? null
  })

  /** By hand: other pieces than those proposed, by the book that is chosen. */
  const byHand = computed({
    get: () => chosen.value?.pieces.map(piece => piece.id) ?? [],
    set: (ids: string[]) => {
      chosen.value = {
        kept: chosen.value?.kept ?? books.offered[0]!,
        pieces: ids.map(id => testPieceOf(id, houseRules.unit)),
      }
    },
  })
  const bookChosen = computed({
    get: () => (chosen.value ? keyOf(chosen.value.kept) : bookKey.value),
    set: (key: string) => {
      const kept = books.offered.find(one => keyOf(one) === key)!
      chosen.value = {
        kept,
        pieces: chosen.value?.pieces.filter(piece => positionsQualified(kept.book, takenOf(piece)) !== null) ?? [],
      }
    },
  })
  const outcome = computed(() => {
    if (!chosen.value || chosen.value.pieces.length === 0)
      return { qualified: null, why: 'Choose pieces to see what they would qualify.' }
    try {
      return { qualified: qualifies(chosen.value.kept.book, chosen.value.pieces.map(takenOf)), why: '' }
    } catch (error) {
      return { qualified: null, why: messageOf(error) }
    }
  })

  return { wanted, pipeToo, chosen, bookKey, pieces, sets, none, byHand, bookChosen, outcome }
}

const SEED = 1

/** The odds of each piece that is shown, for the student whose standing it is. */
export function usePlanOdds(
  { sets, chosen }: Pick<ReturnType<typeof useTestPlan>, 'sets' | 'chosen'>,
  standing: Ref<StudentProgress | null>,
) {
  const houseRules = useHouseRules()
  const { said, look: lookUp, forget } = usePieceOdds()
  /** The odds of a piece are those by its book: what one rejects another lets pass. */
  const saidKey = ({ kept }: PlannedSet, piece: TestPiece) => `${keyOf(kept)} ${piece.id}`
  const saidOf = (set: PlannedSet, piece: TestPiece) => said.value[saidKey(set, piece)] ?? null
  const oddsOf = (set: PlannedSet, piece: TestPiece) => saidOf(set, piece)?.odds
  function look() {
    const found = standing.value
    if (!found || found.standing.coupons === 0) return
    const shown = [...sets.value, ...(chosen.value ? [chosen.value] : [])].flatMap(set =>
      set.pieces.map(piece => {
        const plan = testPlan(piece, houseRules.current.rules, set.kept.book)
        return [saidKey(set, piece), outlookCase(found, plan, dayNumber(today()), SEED)] as const
      }),
    )
    lookUp(Object.fromEntries(shown))
  }
  watch([sets, chosen], look)

  return { saidOf, oddsOf, look, forget }
}
