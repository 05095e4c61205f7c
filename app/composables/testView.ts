import { computed } from 'vue'
import { holdAgainst, setForVisual } from '~~/core/criteria'
import { qualifies, unitFor } from '~~/core/qualification'
import { cautionsFor, type CautionTopic } from '~~/core/trade'
import { nextStep, originOf, sayStep, specimensOf, specimenVerdict, testCoupon, testStanding } from '~~/core/welderTest'
import { useCriteria } from '~/stores/criteria'
import { useHouseRules } from '~/stores/houseRules'
import { useWelderTest } from '~/stores/welderTest'
import { useWelderTests } from '~/stores/welderTests'
import { wallTime } from './shopClock'

/** What can be read off the test that is open: its step, its specimens, how its coupon stands by the criteria. */
export function useTestView(testId: () => string) {
  const run = useWelderTest()
  const tests = useWelderTests()
  const criteria = useCriteria()
  const houseRules = useHouseRules()

  const welderTest = computed(() => (run.id === testId() ? run.welderTest : null))
  const rules = computed(() => houseRules.rulesOf(welderTest.value?.rulesVersion ?? houseRules.current.version))
  /** The coupon as it was read; before that as it was welded. */
  const coupon = computed(() => run.coupon?.document ?? testCoupon(welderTest.value!, rules.value, wallTime))
  const step = computed(() => nextStep(welderTest.value!, run.book!, run.coupon !== null))
  const state = computed(() => testStanding(welderTest.value!, run.book!).state)
  const unit = computed(() => unitFor(run.book!, welderTest.value!.test))

  const specimens = computed(() => specimensOf(welderTest.value!, run.book!))
  const outcomes = computed(() => {
    const judged = specimens.value.map(one => [one.id, specimenVerdict(welderTest.value!, one, run.book!)] as const)
    return new Map(judged.flatMap(([id, verdict]) => (verdict ? [[id, verdict.outcome] as const] : [])))
  })
  const openings = computed(() =>
    specimens.value.flatMap(one =>
      (welderTest.value!.results[one.id]?.openings ?? []).map(opening => ({
        specimenId: one.id,
        opening,
        atMm: originOf(coupon.value, one, opening).atMm,
      })),
    ),
  )

  const set = computed(() => setForVisual(run.book!.criteriaId, criteria.sets))
  const held = computed(() =>
    run.coupon && set.value ? holdAgainst(run.coupon.document, set.value, unit.value) : null,
  )
  const qualified = computed(() => qualifies(run.book!, [welderTest.value!.test]))
  const cautions = computed(() => {
    const { form, position } = welderTest.value!.test
    const welding: CautionTopic[] = [
      'grinding',
      ...(form === 'pipe' ? ['fixed pipe' as const] : []),
      ...(/^4/.test(position) ? ['overhead' as const] : []),
    ]
    const now: CautionTopic[] = state.value === 'for specimens' ? ['cutting', 'bend press'] : welding
    return cautionsFor(now).filter(caution => caution.topic !== 'always')
  })

  const inTurn = (wanted: (test: NonNullable<typeof tests.bay>['tests'][number]) => boolean) =>
    tests.bay?.tests.filter(wanted).sort((a, b) => a.id.localeCompare(b.id))[0] ?? null
  /** The first piece of a retest that was planned already. */
  const retest = computed(() => inTurn(test => test.retest?.of === testId()))
  /** The same student's next test that is not done, for two pieces in a row. */
  const nextTest = computed(() =>
    inTurn(test => test.studentId === welderTest.value?.studentId && test.id !== testId() && test.state === 'planned'),
  )
  const stepSaid = computed(() =>
    step.value.is === 'retest' && retest.value ? 'Open the retest' : sayStep(step.value, welderTest.value!),
  )
  const clockRuns = computed(() => welderTest.value?.startedAt !== null && welderTest.value?.endedAt === null)

  return {
    welderTest,
    coupon,
    step,
    stepSaid,
    state,
    unit,
    specimens,
    outcomes,
    openings,
    set,
    held,
    qualified,
    cautions,
    retest,
    nextTest,
    clockRuns,
  }
}
