import { useLocalStorage } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { dayNumber } from '~~/core/calendar'
import { testPieceOf, testPieces } from '~~/core/qualification'
import { outlookCase, ownTest, proposals, testPlan } from '~~/core/readiness'
import type { StudentProgress } from '~~/contract/progress'
import { useCodeBooks } from '~/stores/codeBooks'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { useReadiness } from './forecast'
import { today } from './shopClock'

const SEED = 20260914

/**
 * A student's way to a test: which test, by which book, how it would go today, and what to run next. What is chosen
 * here stands on every page that looks to the same test.
 * @param attempts how many attempts at the test are run
 */
export function useWayToTest(studentId: () => string, attempts: number) {
  const houseRules = useHouseRules()
  const store = useProgress()
  const books = useCodeBooks()
  const progress = shallowRef<StudentProgress | null>(null)

  async function load(): Promise<void> {
    const [found] = await Promise.all([store.ofStudent(studentId()), houseRules.load(), books.load()])
    progress.value = found
  }

  const chosen = useLocalStorage<Record<string, string>>('fusilis.testPiece', {})
  const pieces = computed(() => testPieces(houseRules.unit))
  const ownPiece = computed(
    () => progress.value && ownTest(pieces.value, progress.value.ladder.ladder, progress.value.climb),
  )
  const testId = computed({
    get: () =>
      (pieces.value.find(piece => piece.id === chosen.value[studentId()]) ?? ownPiece.value ?? pieces.value[1]!).id,
    set: id => {
      chosen.value = { ...chosen.value, [studentId()]: id }
    },
  })
  const bookKey = useLocalStorage('fusilis.testBook', '')
  const offered = computed(() => books.offered)
  const book = computed(() => offered.value.find(kept => kept.book.id === bookKey.value) ?? offered.value[0]!)
  const bookId = computed({
    get: () => book.value?.book.id ?? '',
    set: id => {
      bookKey.value = id
    },
  })
  /** The piece by the book; null where that book has no such test, or its specimens do not fit. */
  const plan = computed(() => {
    try {
      return testPlan(testPieceOf(testId.value, houseRules.unit), houseRules.current.rules, book.value.book)
    } catch {
      return null
    }
  })

  const { share, result, problem: stopped, begin, cancel } = useReadiness()
  const run = () =>
    progress.value &&
    progress.value.standing.coupons > 0 &&
    plan.value &&
    begin({
      wanted: outlookCase(progress.value, plan.value, dayNumber(today()), SEED),
      attempts,
      target: houseRules.current.rules.targetOdds,
    })
  watch([progress, testId, bookId], run)

  const next = computed(() =>
    progress.value && plan.value
      ? proposals({
          ladder: progress.value.ladder.ladder,
          climb: progress.value.climb,
          helps: result.value?.helps ?? [],
          test: plan.value.piece,
          lately: progress.value.lately,
          sameDrillDays: houseRules.current.rules.sameDrillDays,
          testJoint: houseRules.current.rules.ways.testJoint,
        })
      : [],
  )

  return { progress, load, pieces, testId, offered, book, bookId, plan, share, result, stopped, run, cancel, next }
}
