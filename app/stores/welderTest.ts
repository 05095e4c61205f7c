import { defineStore } from 'pinia'
import type { CodeBook } from '~~/core/qualification'
import { documentFaults, saysInDate, type WelderTest } from '~~/core/welderTest'
import type { SavedCoupon } from '~~/contract/coupon'
import type { SavedWelderTest, WelderTestSave } from '~~/contract/welderTests'
import { useCodeBooks } from './codeBooks'
import { useCoupons } from './coupons'
import { useOutbox } from './outbox'
import { orNotFound } from './request'
import { RequestFailure } from '~/sync/requestFailure'
import { ofRods, useRods } from './rods'
import { useWelderTests } from './welderTests'

/** A test as a page works on it, whether the server has it already or not. */
interface TestDraft {
  readonly baseVersion: number
  readonly student: string
  readonly document: WelderTest
}

/**
 * A test under way: every act is saved as it is done; while the server is away it is kept here and goes when it is
 * back.
 */
export const useWelderTest = defineStore('testRun', () => {
  const tests = useWelderTests()
  const books = useCodeBooks()
  const outbox = useOutbox()
  const coupons = useCoupons()
  const rods = useRods()

  const id = ref('')
  const student = ref('')
  const welderTest = shallowRef<WelderTest | null>(null)
  const coupon = shallowRef<SavedCoupon | null>(null)
  const baseVersion = ref(0)
  const past = shallowRef<readonly WelderTest[]>([])
  const saving = ref<'saved' | 'saving' | 'kept here' | 'someone else' | 'refused'>('saved')
  const problem = ref('')

  const book = computed<CodeBook | null>(() => (welderTest.value ? books.bookOf(welderTest.value.book) : null))

  outbox.onSaved(({ kind, id: testId }, answer) => {
    if (kind !== 'welder test' || testId !== id.value) return
    baseVersion.value = (answer as SavedWelderTest).version
    if (saving.value === 'kept here') saving.value = 'saved'
  })

  /**
   * Opens a test: what this browser could not send yet, else as the server has it; with its coupon, once that was
   * read.
   */
  async function open(testId: string, owner: string): Promise<void> {
    close()
    id.value = testId
    // A test goes on without the rod room.
    await Promise.all([books.load(), outbox.start(owner), rods.load().catch(() => {})])
    const kept = outbox.find<WelderTestSave>({ kind: 'welder test', id: testId })
    if (kept) {
      lay({ ...kept.body, student: kept.student })
      send()
    } else {
      const { version, student: name, document: doc } = await tests.find(testId)
      if (id.value !== testId) return
      lay({ baseVersion: version, student: name, document: doc })
    }
    await findCoupon()
  }

  async function findCoupon(): Promise<void> {
    coupon.value = welderTest.value ? await orNotFound(coupons.find(welderTest.value.couponId)) : null
  }

  function lay({ baseVersion: version, student: name, document: doc }: TestDraft): void {
    baseVersion.value = version
    student.value = name
    welderTest.value = doc
    past.value = []
    saving.value = 'saved'
    problem.value = ''
  }

  /**
   * Puts a changed test in place of the one before, and sends it. What is out of order is said, and nothing
   * changes. True when it was taken.
   */
  function change(next: WelderTest): boolean {
    if (!welderTest.value || !book.value || next === welderTest.value) return false
    const [fault] = documentFaults(next, book.value)
    const calledInDate = saysInDate(next, welderTest.value)
    problem.value = (calledInDate && rods.outOfDate(next.studentId, new Date())) || (fault?.message ?? '')
    if (problem.value) return false
    past.value = [...past.value, welderTest.value]
    put(calledInDate ? withLot(next) : next)
    return true
  }
  /** The rods that were called in date are those in the hand: the record names their lot. */
  function withLot(test: WelderTest): WelderTest {
    const drawn = rods.inHand(test.studentId, test.ticket, new Date())
    return drawn ? { ...test, ticket: ofRods(test.ticket, drawn) } : test
  }

  /** Takes the last act of this sitting back. */
  function undo(): void {
    const before = past.value.at(-1)
    if (!before) return
    past.value = past.value.slice(0, -1)
    problem.value = ''
    put(before)
  }

  function put(next: WelderTest): void {
    welderTest.value = next
    void send()
  }

  /** Sends the test as it stands. Acts made while it is on its way go after, even when the page was left. */
  async function send(): Promise<void> {
    const testId = id.value
    const doc = welderTest.value
    if (!doc) return
    saving.value = 'saving'
    const body: WelderTestSave = { baseVersion: baseVersion.value, document: doc }
    const about = `test, ${doc.test.position}`
    try {
      const { is } = await outbox.send({ kind: 'welder test', id: testId, body, student: student.value, about })
      if (id.value === testId) saving.value = is === 'conflict' ? 'someone else' : is
    } catch (error) {
      if (id.value === testId) failed(error)
    }
  }

  function failed(error: unknown): void {
    if (!(error instanceof RequestFailure)) throw error
    saving.value = 'refused'
    problem.value = error.fields.map(field => field.message).join('. ') || error.message
  }

  /** Ends a conflict: what was done here goes over theirs, which stays among the revisions; or theirs stands. */
  async function settle(choice: 'mine' | 'theirs'): Promise<void> {
    const theirs: SavedWelderTest = await tests.find(id.value)
    if (choice === 'theirs') {
      await outbox.forget({ kind: 'welder test', id: id.value })
      lay({ baseVersion: theirs.version, student: theirs.student, document: theirs.document })
    } else {
      baseVersion.value = theirs.version
      put(welderTest.value!)
    }
  }

  function close(): void {
    id.value = ''
    welderTest.value = null
    coupon.value = null
  }

  return {
    id,
    baseVersion,
    student,
    welderTest,
    book,
    coupon,
    past,
    saving,
    problem,
    open,
    findCoupon,
    change,
    undo,
    settle,
    close,
  }
})
