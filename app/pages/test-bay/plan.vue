<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { useLocalStorage } from '@vueuse/core'
import {
  ALL_WELDED,
  fewestTests,
  positionsQualified,
  qualifies,
  takenWith,
  testPieceOf,
  testPieces,
  type KeptBook,
  type TestPiece,
  type TestTaken,
  type Wanted,
} from '~~/core/qualification'
import { couponOf, needsOf, newTest, NOBODY } from '~~/core/welderTest'
import { dayNumber } from '~~/core/calendar'
import { outlookCase, testPlan } from '~~/core/readiness'
import { inches } from '~~/core/units'
import type { FloorStudent } from '~~/contract/people'
import type { StudentProgress } from '~~/contract/progress'
import type { PlannedSet } from '~/components/testBay/PlanSets.vue'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { usePageKeys } from '~/composables/pageKeys'
import { PLAN_KEYS } from '~/keys/roomKeys'
import { usePieceOdds } from '~/composables/pieceOdds'
import { useSaving } from '~/composables/saving'
import { useCodeBooks } from '~/stores/codeBooks'
import { useFloor } from '~/stores/floor'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { messageOf } from '~/stores/request'
import { useSections } from '~/stores/sections'
import { useWelderTests } from '~/stores/welderTests'

/**
 * Plans tests: from what somebody should be qualified for to the fewest pieces, or from pieces to what they would
 * qualify.
 */
const books = useCodeBooks()
const floor = useFloor()
const houseRules = useHouseRules()
const progress = useProgress()
const sections = useSections()
const tests = useWelderTests()
const route = useRoute()
useHead({ title: 'Plan a test · Fusilis' })

const student = shallowRef<FloorStudent | null>(null)
const standing = shallowRef<StudentProgress | null>(null)
const choosing = ref(false)
const bookKey = useLocalStorage('fusilis.codeBook', 'structural 0')
const wanted = ref<Wanted>({
  on: 'plate',
  grooves: ALL_WELDED,
  fillets: ALL_WELDED,
  thicknessMm: inches(1 / 2),
  outsideMm: null,
  openRoot: false,
  classification: 'E7018',
  progression: 'up',
})
const chosen = shallowRef<PlannedSet | null>(null)
/** A pipe test covers plate too; a plate is sooner welded. */
const pipeToo = ref(false)
const testDay = ref(today())
const limit = ref('')
const unread = ref('')
const { busy, refused, attempt } = useSaving()

const rules = computed(() => houseRules.current.rules)
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([books.load(), houseRules.load(), sections.loaded ? undefined : sections.load()])
  if (sections.current) await floor.load(sections.current.id)
  const asked = floor.students.find(one => one.id === route.query.student)
  if (asked) await choose(asked)
  else choosing.value = floor.students.length > 0
})
onMounted(load)

async function choose(one: FloorStudent) {
  choosing.value = false
  student.value = one
  forget()
  standing.value = await progress.ofStudent(one.id).catch(() => null)
  look()
}

const keyOf = ({ book, version }: KeptBook) => `${book.id} ${version}`
const pieces = computed(() => testPieces(houseRules.unit))
/** How each piece is taken: planned once, as a plan costs a moment. */
const taken = computed(
  () =>
    new Map(
      pieces.value.map(piece => [
        piece.id,
        takenWith(piece, couponOf(piece, NOBODY, rules.value).passes!, houseRules.unit),
      ]),
    ),
)
const takenOf = (piece: TestPiece): TestTaken => taken.value.get(piece.id)!
const minutesOf = computed(
  () =>
    new Map(
      pieces.value.map(piece => [piece.id, needsOf(couponOf(piece, NOBODY, rules.value), rules.value).arcMinutes]),
    ),
)
const usable = computed(() =>
  wanted.value.on === 'pipe' || pipeToo.value
    ? pieces.value
    : pieces.value.filter(piece => takenOf(piece).form === 'plate'),
)
/** Minutes of arc; an open root that nobody asked for comes after all that have none. */
const UNASKED = 1e6
const costOf = (set: readonly TestPiece[]) =>
  set.reduce(
    (sum, piece) =>
      sum + minutesOf.value.get(piece.id)! + (takenOf(piece).backing || wanted.value.openRoot ? 0 : UNASKED),
    0,
  )

/** The book last used first; of each, the two sets that take the least arc. */
const sets = computed<PlannedSet[]>(() =>
  loading.value
    ? []
    : [...books.offered]
        .sort((a, b) => Number(keyOf(b) === bookKey.value) - Number(keyOf(a) === bookKey.value))
        .flatMap(kept =>
          fewestTests(kept.book, wanted.value, usable.value, takenOf)
            .sort((a, b) => costOf(a) - costOf(b))
            .slice(0, 2)
            .map(set => ({ kept, pieces: set })),
        ),
)
const none = computed(() =>
  books.offered.filter(kept => !sets.value.some(set => keyOf(set.kept) === keyOf(kept))).map(kept => kept.book.name),
)
watch(sets, now => {
  chosen.value = now[0] ?? null
})

const { said, look: lookUp, forget } = usePieceOdds()
const SEED = 1
/** The odds of a piece are those by its book: what one rejects another lets pass. */
const saidKey = ({ kept }: PlannedSet, piece: TestPiece) => `${keyOf(kept)} ${piece.id}`
const oddsOf = (set: PlannedSet, piece: TestPiece) => said.value[saidKey(set, piece)]?.odds
function look() {
  const found = standing.value
  if (!found || found.standing.coupons === 0) return
  const shown = [...sets.value, ...(chosen.value ? [chosen.value] : [])].flatMap(set =>
    set.pieces.map(piece => {
      const plan = testPlan(piece, rules.value, set.kept.book)
      return [saidKey(set, piece), outlookCase(found, plan, dayNumber(today()), SEED)] as const
    }),
  )
  lookUp(Object.fromEntries(shown))
}
watch([sets, chosen], look)

/** By hand: other pieces than those proposed, by the book that is chosen. */
const byHand = computed({
  get: () => chosen.value?.pieces.map(piece => piece.id) ?? [],
  set: (ids: string[]) => {
    chosen.value = {
      kept: chosen.value?.kept ?? books.offered[0]!,
      pieces: ids.map(id => testPieceOf(id, houseRules.unit)),
    }
  },
})
const bookChosen = computed({
  get: () => (chosen.value ? keyOf(chosen.value.kept) : bookKey.value),
  set: (key: string) => {
    const kept = books.offered.find(one => keyOf(one) === key)!
    chosen.value = {
      kept,
      pieces: chosen.value?.pieces.filter(piece => positionsQualified(kept.book, takenOf(piece)) !== null) ?? [],
    }
  },
})
const outcome = computed(() => {
  if (!chosen.value || chosen.value.pieces.length === 0)
    return { qualified: null, why: 'Choose pieces to see what they would qualify.' }
  try {
    return { qualified: qualifies(chosen.value.kept.book, chosen.value.pieces.map(takenOf)), why: '' }
  } catch (error) {
    return { qualified: null, why: messageOf(error) }
  }
})

const limitMinutes = computed(() => (limit.value.trim() === '' ? null : Number(limit.value)))
/** Why it cannot be planned as it stands; nothing when it can. */
const wrong = computed(() => {
  if (unread.value) return unread.value
  if (!student.value) return 'Choose the student first'
  if (limitMinutes.value !== null && !(limitMinutes.value >= 5 && limitMinutes.value <= 6000))
    return 'The limit is 5 to 6000 minutes, or nothing'
  return outcome.value.qualified ? '' : outcome.value.why
})
const plan = () =>
  attempt(wrong.value, async () => {
    const { kept, pieces: set } = chosen.value!
    const { id: studentId, hand, booth } = student.value!
    bookKey.value = keyOf(kept)
    const [first] = await tests.plan(
      set.map(piece =>
        newTest(
          {
            book: { id: kept.book.id, version: kept.version },
            couponId: uuid(),
            said: said.value[saidKey(chosen.value!, piece)] ?? null,
            retest: null,
            limitMinutes: limitMinutes.value,
            piece,
            welder: { studentId, classDay: testDay.value, rulesVersion: houseRules.current.version, hand, booth },
          },
          rules.value,
        ),
      ),
    )
    await navigateTo(`/test-bay/${first}`)
  })
usePageKeys(
  PLAN_KEYS,
  {
    plan,
    choose: () => {
      choosing.value = true
    },
  },
  () => choosing.value,
)
</script>

<template>
  <div class="page wide">
    <header class="page-head">
      <div>
        <h1>Plan a test</h1>
        <p>{{ student ? `${student.name}, ${student.hand} hand` : 'for nobody yet' }}</p>
      </div>
      <div class="push">
        <v-btn variant="outlined" @click="choosing = true"
          >{{ student ? 'Another student' : 'Choose a student' }} <kbd class="key">/</kbd></v-btn
        >
      </div>
      <v-btn color="primary" :loading="busy" @click="plan"
        >{{ (chosen?.pieces.length ?? 0) > 1 ? `Plan these ${chosen!.pieces.length} tests` : 'Plan this test' }}
        <kbd class="key">Enter</kbd></v-btn
      >
    </header>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="three">
      <div class="left">
        <PlanWanted
          v-model:pipe-too="pipeToo"
          :wanted="wanted"
          :unit="houseRules.unit"
          @change="wanted = $event"
          @problem="unread = $event"
        />
        <section class="panel day" aria-label="When">
          <v-text-field v-model="testDay" type="date" label="Day of the test" hide-details />
          <v-text-field v-model="limit" label="Limit, min" inputmode="numeric" hide-details autocomplete="off" />
        </section>
      </div>
      <PlanSets
        :sets="sets"
        :none="none"
        :chosen="chosen"
        :odds-of="oddsOf"
        :rules="rules"
        :student-id="standing && standing.standing.coupons > 0 ? standing.student.id : null"
        @choose="chosen = $event"
      />
      <section class="panel outcome" aria-label="What they would qualify">
        <h2>Would qualify</h2>
        <v-select
          v-model="bookChosen"
          label="By"
          hide-details
          :items="books.offered.map(one => ({ value: keyOf(one), title: `${one.book.name}, ${one.book.edition}` }))"
        />
        <v-autocomplete
          v-model="byHand"
          label="Pieces"
          multiple
          chips
          closable-chips
          hide-details
          :items="pieces.map(piece => ({ value: piece.id, title: piece.name }))"
        />
        <QualifiesPanel v-if="outcome.qualified" :qualified="outcome.qualified" />
        <p v-else class="quiet">{{ outcome.why }}</p>
      </section>
    </div>
    <StudentPicker v-if="choosing" :students="floor.students" @choose="choose" @close="choosing = false" />
  </div>
</template>

<style scoped>
.wide {
  max-width: 1500px;
}
.key {
  margin-left: 10px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding-bottom: 10px;
}
.three {
  display: grid;
  grid-template-columns: 330px minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 16px;
  align-items: start;
}
.left {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.day {
  padding: 16px;
  display: grid;
  grid-template-columns: 1.6fr 1fr;
  gap: 10px;
}
.outcome {
  padding: 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
@media (max-width: 1100px) {
  .three {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
  .outcome {
    grid-column: 1 / -1;
  }
}
@media (max-width: 700px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
