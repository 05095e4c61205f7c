import { testCoupon } from '~~/core/welderTest'
import { clockNow, today } from './shopClock'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'
import { useHouseRules } from '~/stores/houseRules'
import { useCoupons } from '~/stores/coupons'
import { useProgress } from '~/stores/progress'
import { orNotFound } from '~/stores/request'
import { useSections } from '~/stores/sections'
import { useWelderTests } from '~/stores/welderTests'

/**
 * Opens on the Bench what its address asks for: a saved coupon, a test's, a student's or a booth's next one. A
 * coupon that is being marked is parked.
 * The function it gives answers what to say about it; nothing when it was done.
 */
export function useBenchAsked(): () => Promise<string> {
  const bench = useBench()
  const floor = useFloor()
  const houseRules = useHouseRules()
  const coupons = useCoupons()
  const sections = useSections()
  const tests = useWelderTests()
  const progress = useProgress()
  const route = useRoute()
  const router = useRouter()

  /** The coupon of a test: as it was read before, else as it was welded. */
  async function ofTest(testId: string): Promise<void> {
    const { student, document: welderTest } = await tests.find(testId)
    const saved = await orNotFound(coupons.find(welderTest.couponId))
    if (saved) bench.openSaved(saved, student, testId)
    else
      bench.openOfTest(
        welderTest.couponId,
        testId,
        student,
        testCoupon(welderTest, houseRules.rulesOf(welderTest.rulesVersion), moment => clockNow(new Date(moment))),
      )
  }

  /** A slip of the day's plan names the rung; away from the server the last one is opened again. */
  const rungOf = (id: string) =>
    progress.ladder().then(
      ({ ladder }) => ladder.rungs.find(rung => rung.id === id) ?? null,
      () => null,
    )

  return async () => {
    const { coupon, student, booth, kept, name, test, rung, try: toTry } = route.query
    if (!coupon && !student && !booth && !kept && !test && !toTry) return ''
    await router.replace('/bench')
    if (toTry) bench.openToTry()
    // The coupon of this test lies here already, begun.
    if (bench.touched && typeof test === 'string' && bench.open?.testId === test) return ''
    if (typeof test === 'string') await ofTest(test)
    if (typeof coupon === 'string')
      bench.openSaved(await coupons.find(coupon), typeof name === 'string' ? name : 'Saved coupon')
    const waiting = typeof kept === 'string' ? coupons.waiting(kept) : null
    if (waiting) bench.openKept(waiting)
    const asked = floor.students.find(one => (booth ? String(one.booth) === booth : one.id === student))
    if (asked) bench.openNew(asked, today(), typeof rung === 'string' ? await rungOf(rung) : null)
    else if (booth) return `Nobody has booth ${String(booth)} in ${sections.current?.name ?? 'this section'}.`
    else if (student) return 'That student is not in this section, or is archived.'
    return ''
  }
}
