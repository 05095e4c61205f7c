import { defineStore } from 'pinia'
import type { CodeBook } from '~~/core/qualification'
import { documentFaults, type WelderTest } from '~~/core/welderTest'
import type { SavedCoupon } from '~~/contract/coupon'
import type { SavedWelderTest } from '~~/contract/welderTests'
import { useCodeBooks } from './codeBooks'
import { useOutbox } from './outbox'
import { orNotFound, RequestFailure } from './request'
import { useWelderTests } from './welderTests'

interface TestDraft {
  readonly baseVersion: number
  readonly student: string
  readonly document: WelderTest
}
const draftKey = (id: string) => `fusilis.test.${id}`
const RETRY_MS = 10_000

/**
 * A test under way: every act is saved as it is done; while the server is away it is kept here and goes when it is
 * back.
 */
export const useWelderTest = defineStore('testRun', () => {
  const tests = useWelderTests()
  const books = useCodeBooks()
  const outbox = useOutbox()

  const id = ref('')
  const student = ref('')
  const document = shallowRef<WelderTest | null>(null)
  const coupon = shallowRef<SavedCoupon | null>(null)
  const baseVersion = ref(0)
  const past = shallowRef<readonly WelderTest[]>([])
  const saving = ref<'saved' | 'saving' | 'kept here' | 'someone else' | 'refused'>('saved')
  const problem = ref('')
  let timer = 0
  let underway: Promise<void> | null = null

  const book = computed<CodeBook | null>(() => (document.value ? books.bookOf(document.value.book) : null))

  /**
   * Opens a test: what this browser could not send yet, else as the server has it; with its coupon, once that was
   * read.
   */
  async function open(testId: string): Promise<void> {
    close()
    id.value = testId
    await Promise.all([books.load(), underway])
    const kept = readDraft(testId)
    const { version, ...saved } = kept ? { ...kept, version: kept.baseVersion } : await tests.find(testId)
    if (id.value !== testId) return
    lay({ ...saved, baseVersion: version })
    if (kept) send()
    await findCoupon()
  }

  async function findCoupon(): Promise<void> {
    coupon.value = document.value ? await orNotFound(outbox.find(document.value.couponId)) : null
  }

  function lay({ baseVersion: version, student: name, document: doc }: TestDraft): void {
    baseVersion.value = version
    student.value = name
    document.value = doc
    past.value = []
    saving.value = 'saved'
    problem.value = ''
  }

  /**
   * Puts a changed test in place of the one before, and sends it. What is out of order is said, and nothing
   * changes. True when it was taken.
   */
  function change(next: WelderTest): boolean {
    if (!document.value || !book.value || next === document.value) return false
    const [fault] = documentFaults(next, book.value)
    problem.value = fault?.message ?? ''
    if (fault) return false
    past.value = [...past.value, document.value]
    put(next)
    return true
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
    document.value = next
    keepDraft(id.value, { baseVersion: baseVersion.value, student: student.value, document: next })
    send()
  }

  function send(): void {
    window.clearTimeout(timer)
    underway ??= deliver(id.value).finally(() => {
      underway = null
    })
  }

  /** Sends what is kept of a test until nothing is: acts made meanwhile go after, even when the page was left. */
  async function deliver(testId: string): Promise<void> {
    saving.value = 'saving'
    try {
      for (let draft = readDraft(testId); draft; draft = readDraft(testId)) {
        const { version } = await tests.put(testId, draft.baseVersion, draft.document)
        const later = readDraft(testId)
        if (JSON.stringify(later?.document) === JSON.stringify(draft.document))
          localStorage.removeItem(draftKey(testId))
        else if (later) keepDraft(testId, { ...later, baseVersion: version })
        if (id.value === testId) baseVersion.value = version
      }
      if (id.value === testId) saving.value = 'saved'
    } catch (error) {
      if (id.value === testId) failed(error)
    }
  }

  function failed(error: unknown): void {
    if (!(error instanceof RequestFailure)) throw error
    if (error.away) {
      saving.value = 'kept here'
      timer = window.setTimeout(send, RETRY_MS)
    } else if (error.status === 409) saving.value = 'someone else'
    else {
      saving.value = 'refused'
      problem.value = error.fields.map(field => field.message).join('. ') || error.message
    }
  }

  /** Ends a conflict: what was done here goes over theirs, which stays among the revisions; or theirs stands. */
  async function settle(choice: 'mine' | 'theirs'): Promise<void> {
    const theirs: SavedWelderTest = await tests.find(id.value)
    if (choice === 'theirs') {
      localStorage.removeItem(draftKey(id.value))
      lay({ baseVersion: theirs.version, student: theirs.student, document: theirs.document })
    } else {
      baseVersion.value = theirs.version
      put(document.value!)
    }
  }

  function close(): void {
    window.clearTimeout(timer)
    id.value = ''
    document.value = null
    coupon.value = null
  }

  return {
    id,
    baseVersion,
    student,
    document,
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

function keepDraft(testId: string, draft: TestDraft): void {
  localStorage.setItem(draftKey(testId), JSON.stringify(draft))
}
function readDraft(testId: string): TestDraft | null {
  try {
    return JSON.parse(localStorage.getItem(draftKey(testId)) ?? 'null') as TestDraft | null
  } catch {
    return null
  }
}
