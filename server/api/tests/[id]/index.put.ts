import { setForVisual } from '../../../../core/criteria'
import { unitFor, type CodeBook } from '../../../../core/qualification'
import {
  documentFaults,
  saysInDate,
  visualOf,
  visualSigned,
  type TestFault,
  type WelderTest,
} from '../../../../core/welderTest'
import { welderTestSaveSchema, type SavedWelderTest } from '../../../../contract/welderTests'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { doneAt } from '../../../http/doneAt'
import { DOCUMENT_BYTES } from '../../../http/readAs'
import { refuse } from '../../../http/refuse'
import { savedByOther } from '../../../http/savedByOther'
import { findBook } from '../../../store/codeBooks'
import { findCoupon } from '../../../store/coupons'
import { schoolCriteria } from '../../../store/criteria'
import { rodsPast } from '../../../store/rodRoom'
import { findStudent } from '../../../store/students'
import { findTest, saveTest } from '../../../store/welderTests'

/** Saves a test whole; what is out of order by its book is refused, and nothing of it is kept. */
export default defineRoute(
  { who: staff, did: 'saved a test', id: 'test', takes: welderTestSaveSchema, mostBytes: DOCUMENT_BYTES },
  async ({ me, id, body: save, event }): Promise<SavedWelderTest> => {
    const { document } = save
    if (!(await findStudent(document.studentId))) throw notAccepted('studentId', 'There is no such student')
    const book = await bookOf(document)
    const faults = documentFaults(document, book)
    if (faults.length > 0) throw outOfOrder(faults)
    // A test that waited in a browser was called in date when it was done there.
    if (saysInDate(document, (await findTest(id))?.document) && (await rodsPast(doneAt(event))).has(document.studentId))
      throw notAccepted(
        'checks',
        'The rods that the welder has in the hand are past their hours: draw fresh ones first',
      )
    const outcome = await saveTest(id, { ...save, document: await withVisual(document, book) }, book, {
      id: me.id,
      name: me.name,
      now: new Date(),
    })
    if ('saved' in outcome) return outcome.saved
    throw savedByOther(
      `${outcome.theirs.savedBy} saved this test meanwhile. Load it, and do it again on that.`,
      outcome.theirs,
    )
  },
)

const outOfOrder = (faults: readonly TestFault[]) =>
  refuse(
    422,
    'Not accepted',
    `${faults[0]!.message}.`,
    faults.map(({ path, message }) => ({ path: `document.${path}`, message })),
  )
const notAccepted = (path: string, message: string) => outOfOrder([{ path, message }])

async function bookOf({ book }: WelderTest): Promise<CodeBook> {
  try {
    return await findBook(book)
  } catch (error) {
    throw notAccepted('book', (error as Error).message)
  }
}

/** What the criteria say of the coupon is computed here; the page gives only the signature. */
async function withVisual(document: WelderTest, book: CodeBook): Promise<WelderTest> {
  if (!document.visual) return document
  const [coupon, own] = await Promise.all([findCoupon(document.couponId), schoolCriteria()])
  const set = setForVisual(
    book.criteriaId,
    own.map(one => one.set),
  )
  if (!coupon || !set) return document
  const said = visualOf(coupon.document, set, unitFor(book, document.test))
  return { ...document, visual: visualSigned(document.visual, said) }
}
