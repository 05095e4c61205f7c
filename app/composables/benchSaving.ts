import { ref } from 'vue'
import type { SavedCoupon } from '~~/contract/coupon'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'
import { useGroupReading } from '~/stores/groupReading'
import { useOutbox } from '~/stores/outbox'
import { messageOf } from '~/stores/request'
import { RequestFailure } from '~/sync/requestFailure'
import { useSections } from '~/stores/sections'

const SETTLED = {
  saved: 'Both versions are kept',
  conflict: 'Somebody saved it once more: choose again',
} as const

/**
 * Saving the coupon that lies on the Bench, and what comes after it: the next one, the test it belongs to, or the
 * choice between two versions.
 * @param next opens the next coupon; @param askWhy asks why a saved coupon is graded again
 */
export function useBenchSaving({ next, askWhy }: { readonly next: () => void; readonly askWhy: () => void }) {
  const bench = useBench()
  const floor = useFloor()
  const outbox = useOutbox()
  const sections = useSections()
  const group = useGroupReading()

  const theirs = ref<SavedCoupon | null>(null)
  const problem = ref('')
  const notice = ref('')
  const saving = ref(false)

  async function save(why = '') {
    if (!bench.coupon || saving.value) return bench.coupon ? undefined : next()
    if (bench.open?.toTry) {
      bench.clear()
      notice.value = 'That one was to try: nothing of it is kept'
      return
    }
    if (bench.isRegrade && !why) return askWhy()
    saving.value = true
    problem.value = ''
    const wasRegrade = bench.isRegrade
    const { student, testId } = bench.open!
    const lies = bench.coupon
    try {
      const result = await bench.save(why)
      if (result.is === 'conflict') {
        theirs.value = result.theirs
        return
      }
      if (testId) return void (await navigateTo(`/test-bay/${testId}`))
      await refreshFloor(student.id)
      const wholeTable = group.wasRead(lies)
      if (wholeTable) return void (await navigateTo('/'))
      if (!wasRegrade) next()
      notice.value = `${student.name}: ${result.is === 'saved' ? 'saved' : outbox.keptWords}`
    } catch (error) {
      const fields = error instanceof RequestFailure ? error.fields : []
      problem.value = fields.length > 0 ? fields.map(field => field.message).join('. ') : messageOf(error)
    } finally {
      saving.value = false
    }
  }

  /** The student just read goes to the back of the queue, whether or not the server can say so. */
  async function refreshFloor(studentId: string) {
    if (!sections.current) return
    await floor.load(sections.current.id).catch(() => {
      floor.students = floor.students.map(one =>
        one.id === studentId && one.last ? { ...one, last: { ...one.last, savedAt: new Date().toISOString() } } : one,
      )
    })
  }

  async function settle(choice: 'mine' | 'theirs') {
    saving.value = true
    try {
      const result = await bench.settle(theirs.value!, choice)
      theirs.value = result.is === 'conflict' ? result.theirs : null
      notice.value = result.is === 'kept here' ? `Both versions are ${outbox.keptWords}` : SETTLED[result.is]
    } catch (error) {
      problem.value = messageOf(error)
    } finally {
      saving.value = false
    }
  }

  return { theirs, problem, notice, saving, save, settle }
}
