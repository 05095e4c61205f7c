import { useLocalStorage } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { dayNumber, minutesBetween, wallAfter } from '~~/core/calendar'
import {
  movedLines,
  planConflicts,
  shortOfBest,
  USUAL_TERMS,
  type BestPlan,
  type PlanCase,
  type PlannedCoupon,
  type PlanStudent,
  type PlanTerms,
} from '~~/core/dayPlan'
import { testPieces } from '~~/core/qualification'
import { ownTest } from '~~/core/readiness'
import type { DayPlan } from '~~/contract/dayPlan'
import { useCodeBooks } from '~/stores/codeBooks'
import { useDayPlan } from '~/stores/dayPlan'
import { useHouseRules } from '~/stores/houseRules'
import { useSession } from '~/stores/session'
import { askDayPlan } from './dayPlanWorker'

/** A class that meets at no set time is planned for so long. */
const USUAL_MINUTES = 180
const USUAL_FROM = '08:00'

/** A plan as it is edited, over the version that stood when it was begun. */
interface PlanDraft {
  readonly baseVersion: number
  readonly plan: DayPlan
}

/** What a search came to, in figures. */
export interface Searched {
  /** There was a plan before, of which as much as could be was kept. */
  readonly again: boolean
  readonly moved: number
  /** By what share of its worth it may still be under the best; null where that is not known. */
  readonly short: number | null
  /** How much more it is worth than a plan made by hand, as a share. */
  readonly overHand: number
}

/**
 * A class day as it is planned: what would serve each student, the plan that stands or is being made, and what of it
 * cannot be.
 */
export function useDayPlanner() {
  const store = useDayPlan()
  const houseRules = useHouseRules()
  const books = useCodeBooks()
  const testOf = useLocalStorage<Record<string, string>>('fusilis.testPiece', {})

  /** What is not saved stays in this browser for the account that edited it, each day's by itself. */
  const drafts = useLocalStorage<Record<string, PlanDraft>>(
    `fusilis.sheet.${useSession().me?.id ?? ''}.dayPlan`,
    {},
    {
      shallow: true,
    },
  )
  const day = computed(() => `${store.sectionId} ${store.known?.classDay ?? ''}`)
  const draft = computed(() => drafts.value[day.value] ?? null)
  const touched = computed(() => draft.value !== null)
  const stands = computed(() => draft.value?.plan ?? store.known?.kept.plan ?? null)
  const lines = computed<readonly PlannedCoupon[]>(() => stands.value?.lines ?? [])
  const terms = computed<PlanTerms>(() => stands.value?.terms ?? USUAL_TERMS)

  const students = shallowRef<readonly PlanStudent[]>([])
  /** How far what is under way has come, 0 to 1; null while nothing is. */
  const share = ref<number | null>(null)
  const looking = ref(false)
  const searched = shallowRef<Searched | null>(null)
  const problem = ref('')
  let stopWork = () => {}

  const meeting = computed(() => store.known?.meeting ?? null)
  const from = computed(() => meeting.value?.from ?? store.known?.kept.plan?.from ?? USUAL_FROM)
  const minutes = computed(() =>
    meeting.value
      ? minutesBetween(meeting.value.from, meeting.value.to)
      : (store.known?.kept.plan?.minutes ?? USUAL_MINUTES),
  )
  const here = computed(() => new Set(store.known?.students.filter(one => !one.absent).map(one => one.student.id)))
  const names = computed(() => new Map(store.known?.students.map(({ student }) => [student.id, student.name] as const)))
  const nameOf = (id: string) => names.value.get(id) ?? 'Somebody of another section'
  const wanted = computed<PlanCase>(() => ({
    minutes: minutes.value,
    terms: terms.value,
    students: students.value.filter(student => here.value.has(student.id)),
    booths: store.known?.booths ?? [],
    rods: store.known?.rods ?? {},
  }))
  const conflicts = computed(() =>
    students.value.length === 0
      ? []
      : planConflicts(wanted.value, lines.value, nameOf, after => wallAfter(from.value, after)),
  )

  function stop(): void {
    stopWork()
    share.value = null
    looking.value = false
  }
  onBeforeUnmount(stop)

  function put(part: Partial<Pick<DayPlan, 'lines' | 'terms'>>): void {
    const baseVersion = draft.value?.baseVersion ?? store.known!.kept.version
    const plan = { from: from.value, minutes: minutes.value, terms: terms.value, lines: lines.value, ...part }
    drafts.value = { ...drafts.value, [day.value]: { baseVersion, plan } }
  }
  /** Throws away what was not saved: the plan that was saved last stands. */
  function leave(): void {
    if (looking.value) stop()
    const { [day.value]: _, ...others } = drafts.value
    drafts.value = others
    searched.value = null
  }

  /** Works out what would serve each student, for the plan that stands. */
  function begin(): void {
    stop()
    const known = store.known!
    searched.value = null
    problem.value = ''
    students.value = []
    if (known.students.length === 0) return
    const pieces = testPieces(houseRules.unit)
    const { rules } = houseRules.current
    share.value = 0
    stopWork = askDayPlan(
      {
        ask: 'coupons',
        known,
        minutes: minutes.value,
        rules,
        book: books.offered[0]!.book,
        tests: Object.fromEntries(
          known.students.map(({ student: { id }, climb }) => [
            id,
            pieces.find(piece => piece.id === testOf.value[id]) ??
              ownTest(pieces, known.common!.ladder.ladder, climb) ??
              pieces[1]!,
          ]),
        ),
        today: dayNumber(known.classDay),
      },
      said => {
        if (said.is === 'under way') share.value = said.share
        if (said.is === 'coupons') students.value = said.students
        if (said.is === 'failed') problem.value = `What would serve each student could not be worked out: ${said.why}.`
        if (said.is !== 'under way') share.value = null
      },
    )
  }

  /** A plan that stands is changed as little as can be; an empty day is planned anew. */
  function plan(): void {
    stop()
    const before = lines.value
    problem.value = ''
    looking.value = true
    stopWork = askDayPlan({ ask: 'plan', wanted: wanted.value, before }, said => {
      if (said.is === 'by hand') put({ lines: said.lines })
      if (said.is === 'best') {
        put({ lines: said.best.lines })
        searched.value = whatItCameTo(said.best, before)
      }
      if (said.is === 'failed') problem.value = `No better plan could be looked for: ${said.why}.`
      if (said.is !== 'by hand') looking.value = false
    })
  }
  const whatItCameTo = (best: BestPlan, before: readonly PlannedCoupon[]): Searched => ({
    again: before.length > 0,
    moved: movedLines(wanted.value, before, best.lines),
    short: shortOfBest(wanted.value, best),
    overHand: (best.score - best.byHand) / Math.max(1, best.byHand),
  })

  /** A person's own hand, or another say of the day: what was being looked for is no longer what is wanted. */
  function change(part: Partial<Pick<DayPlan, 'lines' | 'terms'>>): void {
    if (looking.value) stop()
    searched.value = null
    put(part)
  }
  async function noteAbsent(studentId: string, absent: boolean): Promise<void> {
    if (looking.value) stop()
    searched.value = null
    await store.noteAbsent(studentId, absent)
  }
  async function save(): Promise<void> {
    const { baseVersion, plan: edited } = draft.value!
    await store.save(baseVersion, edited)
    leave()
  }

  return {
    students,
    lines,
    terms,
    from,
    minutes,
    wanted,
    conflicts,
    touched,
    share,
    looking,
    searched,
    problem,
    nameOf,
    begin,
    plan,
    stop,
    change,
    noteAbsent,
    leave,
    save,
  }
}
