import { onBeforeUnmount, ref, watch } from 'vue'
import type { Student } from '~~/contract/people'
import { keptAnswers, request } from '~/stores/request'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'
import { ROOM_PATHS, sectionPaths, studentPaths } from '~/sync/keepable'
import { reach } from '~/sync/reach'

/** What the page itself asks for goes first. */
const BEGIN_MS = 4_000
/** What was said within so long need not be asked for again. */
const FRESH_MS = 30 * 60_000

/**
 * Keeps a section's class before there is no network: rooms, students, their last coupons, advice and standings, one
 * after the other, once the section is opened. Only where the application itself is kept too.
 */
export function useClassKept() {
  const sections = useSections()
  const session = useSession()
  /** The application itself is kept: from the first visit on, once the worker has fetched it. */
  const installed = ref(false)
  void navigator.serviceWorker?.ready.then(() => (installed.value = true))
  let timer = 0
  let round = 0

  async function keepClass(sectionId: string): Promise<void> {
    const own = ++round
    const isOver = () => own !== round || reach.away !== null
    const students = await request<Student[]>('GET', `/api/sections/${sectionId}/students`)
    const ids = students.filter(student => student.active).map(student => student.id)
    for (const path of [...sectionPaths(sectionId), ...ROOM_PATHS, ...ids.flatMap(studentPaths)]) {
      if (isOver()) return
      const said = await keptAnswers.saidAt(path)
      if (!said || Date.now() - Date.parse(said) > FRESH_MS) await request('GET', path).catch(() => {})
    }
  }

  watch(
    () => (session.isStaff && installed.value ? sections.current?.id : undefined),
    id => {
      window.clearTimeout(timer)
      if (id) timer = window.setTimeout(() => void keepClass(id).catch(() => {}), BEGIN_MS)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    round++
    window.clearTimeout(timer)
  })
}
