import { useLocalStorage } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { dayNumber } from '~~/core/calendar'
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
import type { DayPlan } from '~~/contract/dayPlan'
import { useCodeBooks } from '~/stores/codeBooks'
import { useDayPlan } from '~/stores/dayPlan'
import { useHouseRules } from '~/stores/houseRules'
import { askDayPlan } from './dayPlanWorker'
import { minutesBetween } from './planTime'

/** A class that meets at no set time is planned for so long. */
const USUAL_MINUTES = 180
const USUAL_FROM = '08:00'

/** What a search came to, in figures. */
export interface Searched {
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

  const students = shallowRef<readonly PlanStudent[]>([])
  const lines = shallowRef<readonly PlannedCoupon[]>([])
  const terms = shallowRef<PlanTerms>(USUAL_TERMS)
  const touched = ref(false)
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
    students.value.length === 0 ? [] : planConflicts(wanted.value, lines.value, nameOf),
  )

  function stop(): void {
    stopWork()
    share.value = null
    looking.value = false
  }
  onBeforeUnmount(stop)

  /** Takes up the plan that stands, and works out what would serve each student. */
  function begin(): void {
    stop()
    const known = store.known!
    lines.value = known.kept.plan?.lines ?? []
    terms.value = known.kept.plan?.terms ?? USUAL_TERMS
    touched.value = false
    searched.value = null
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
          known.students.map(({ student: { id } }) => [
            id,
            pieces.find(piece => piece.id === testOf.value[id]) ?? pieces[1]!,
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
    const take = (found: readonly PlannedCoupon[]) => {
      lines.value = found
      touched.value = true
    }
    stopWork = askDayPlan({ ask: 'plan', wanted: wanted.value, before }, said => {
      if (said.is === 'by hand') take(said.lines)
      if (said.is === 'best') {
        take(said.best.lines)
        searched.value = whatItCameTo(said.best, before)
      }
      if (said.is === 'failed') problem.value = `No better plan could be looked for: ${said.why}.`
      if (said.is !== 'by hand') looking.value = false
    })
  }
  const whatItCameTo = (best: BestPlan, before: readonly PlannedCoupon[]): Searched => ({
    moved: movedLines(wanted.value, before, best.lines),
    short: shortOfBest(wanted.value, best),
    overHand: (best.score - best.byHand) / Math.max(1, best.byHand),
  })

  /** A person's own hand: the line stays where it was put. */
  function edit(next: readonly PlannedCoupon[]): void {
    stop()
    lines.value = next
    touched.value = true
    searched.value = null
  }
  function change(part: Partial<PlanTerms>): void {
    terms.value = { ...terms.value, ...part }
    touched.value = true
    searched.value = null
  }
  const kept = computed<DayPlan>(() => ({
    from: from.value,
    minutes: minutes.value,
    terms: terms.value,
    lines: lines.value,
  }))
  async function save(): Promise<void> {
    await store.save(kept.value)
    touched.value = false
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
    edit,
    change,
    save,
  }
}
