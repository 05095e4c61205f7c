import { useLocalStorage } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import { ref, shallowRef } from 'vue'
import type { FitUp } from '~~/core/setup'
import {
  asRetest,
  stopTest,
  takeStep,
  visualOf,
  visualSigned,
  wantsOf,
  type HoldPoint,
  type Specimen,
  type SpecimenResult,
  type StepWants,
  type TestStep,
  type WelderTest,
} from '~~/core/welderTest'
import { messageOf } from '~/stores/request'
import { useSession } from '~/stores/session'
import { useWelderTest } from '~/stores/welderTest'
import { useWelderTests } from '~/stores/welderTests'
import { today } from './shopClock'
import type { useTestView } from './testView'

export type TestDialog = 'stop' | 'fit-up' | 'call off' | 'retest'

const initialsOf = (name: string) =>
  name
    .split(/\s+/)
    .map(part => part[0] ?? '')
    .join('')
    .toUpperCase()
    .slice(0, 4)

/**
 * What a person does to the test that is open. Each act is one change of the document, in the initials of the one who
 * saw it.
 * @param stamp asks for the stamp of the piece; @param print makes the record
 */
export function useTestActs(
  testId: () => string,
  { welderTest, step, held, set, unit, retest }: ReturnType<typeof useTestView>,
  { stamp, print }: { readonly stamp: () => void; readonly print: () => Promise<void> },
) {
  const run = useWelderTest()
  const tests = useWelderTests()
  const { me } = useSession()

  const witness = useLocalStorage(`fusilis.witness.${me?.id ?? ''}`, initialsOf(me?.name ?? ''))
  const seen = () => ({ by: witness.value.trim() || initialsOf(me?.name ?? '?'), at: new Date().toISOString() })

  const dialog = ref<TestDialog | null>(null)
  const entering = shallowRef<Specimen | null>(null)
  const bench = () => ({ path: '/bench', query: { test: testId() } })
  const openOne = () => {
    if (step.value.is === 'specimen') entering.value = step.value.specimen
  }

  /** What the page does for a step, by what it takes. */
  const TAKES: Readonly<Record<StepWants, (step: TestStep) => void>> = {
    'a look': next => {
      const opened = next.is === 'specimen' && welderTest.value!.results[next.specimen.id]
      if (opened) openOne()
      else run.change(takeStep(welderTest.value!, next, seen()))
    },
    'a stamp': stamp,
    'the Bench': () => void navigateTo(bench()),
    'a signature': () => sign(held.value?.outcome === 'fail' ? 'fails' : 'passes', ''),
    'a result': openOne,
    'the papers': () => void print(),
    'a retest': () => {
      if (retest.value) void navigateTo(`/test-bay/${retest.value.id}`)
      else dialog.value = 'retest'
    },
  }
  const act = () => TAKES[wantsOf(step.value)](step.value)

  function sign(outcome: 'passes' | 'fails', why: string) {
    if (!run.coupon || !set.value) return
    const said = visualOf(run.coupon.document, set.value, unit.value)
    run.change({ ...welderTest.value!, visual: visualSigned({ ...seen(), outcome, why }, said) })
  }
  const witnessed = (point: HoldPoint) => run.change(takeStep(welderTest.value!, { is: 'hold', point }, seen()))
  const sound = (specimen: Specimen) => run.change(takeStep(welderTest.value!, { is: 'specimen', specimen }, seen()))
  function keepResult(result: Pick<SpecimenResult, 'openings' | 'byHand' | 'note'>) {
    const results = { ...welderTest.value!.results, [entering.value!.id]: { ...seen(), ...result } }
    if (run.change({ ...welderTest.value!, results })) entering.value = null
  }
  function stop(why: string) {
    if (run.change(stopTest(welderTest.value!, why.trim() || 'stopped', new Date().toISOString()))) dialog.value = null
  }
  function keepFitUp(fitUp: FitUp | null) {
    if (run.change({ ...welderTest.value!, fitUp })) dialog.value = null
  }
  async function planRetest(pieces: number) {
    dialog.value = null
    const piece = (): WelderTest =>
      asRetest(welderTest.value!, { of: testId(), pieces }, { testDay: today(), couponId: uuid() })
    try {
      const ids = await tests.plan(Array.from({ length: pieces }, piece))
      await navigateTo(`/test-bay/${ids[0]}`)
    } catch (error) {
      run.problem = messageOf(error)
    }
  }
  async function callOff() {
    try {
      await tests.callOff(testId(), run.baseVersion)
      await navigateTo('/test-bay')
    } catch (error) {
      run.problem = messageOf(error)
      dialog.value = null
    }
  }

  return {
    witness,
    dialog,
    entering,
    bench,
    openOne,
    act,
    sign,
    witnessed,
    sound,
    keepResult,
    stop,
    keepFitUp,
    planRetest,
    callOff,
  }
}
