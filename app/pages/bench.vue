<script setup lang="ts">
import { gaugeKinds, standsUpright, type GaugeKind, type SetUpChange } from '~~/core/coupon'
import type { FitUp } from '~~/core/setup'
import type { SavedCoupon } from '~~/contract/coupon'
import type { FloorStudent } from '~~/contract/people'
import { today } from '~/composables/shopClock'
import { useBenchActs } from '~/composables/benchActs'
import { useBenchAsked } from '~/composables/benchAsked'
import { useBenchKeys } from '~/composables/benchKeys'
import { BENCH_KEYS } from '~/keys/benchKeys'
import type { MarkKind } from '~/keys/markKinds'
import { useBench } from '~/stores/bench'
import { useCauses } from '~/stores/causes'
import { useFloor } from '~/stores/floor'
import { useHouseRules } from '~/stores/houseRules'
import { useOutbox } from '~/stores/outbox'
import { messageOf, RequestFailure } from '~/stores/request'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

const bench = useBench()
const floor = useFloor()
const hand = useBenchActs()
const houseRules = useHouseRules()
const causes = useCauses()
const outbox = useOutbox()
const sections = useSections()
const session = useSession()
const route = useRoute()
const openAsked = useBenchAsked()

type Dialog =
  | 'discard'
  | 'ticket'
  | 'more'
  | 'students'
  | 'keys'
  | 'why'
  | 'across'
  | 'over'
  | 'pass'
  | 'fit-up'
  | 'codes'
  | 'told'
  | null
const dialog = ref<Dialog>(null)
const theirs = ref<SavedCoupon | null>(null)
const problem = ref('')
const notice = ref('')
const saving = ref(false)
const loading = ref(true)
const unit = computed(() => bench.rules.unit)
const upright = computed(() => bench.document !== null && standsUpright(bench.document))
/** What the gauge letter that was pressed reads on the lane at the cursor. */
const gauged = computed(() => {
  const bead = bench.document?.beads.find(lane => lane.id === bench.cursor.beadId)
  return bench.document && bead && (dialog.value === 'across' || dialog.value === 'over')
    ? gaugeKinds(bench.document.piece, bead)[dialog.value]
    : []
})

useHead({ title: () => (bench.open ? `${bench.open.student.name} · Bench` : 'Bench · Fusilis') })

/** Dialogs come once the drawing stands, and before the server may be away. */
const DIALOGS = ['ToldSigns', 'TicketEditor', 'PassEditor', 'FitUpEditor', 'HeldAgainst', 'TwoVersions']
onMounted(() => {
  window.setTimeout(() => void prefetchComponents(DIALOGS), 2000)
})

onMounted(async () => {
  bench.resume(session.me!.id)
  try {
    await houseRules.load()
    await causes.load().catch(() => {})
    if (sections.all.length === 0) await sections.load()
    if (typeof route.query.section === 'string') sections.choose(route.query.section)
    if (sections.current) await floor.load(sections.current.id)
    notice.value = await openAsked()
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    loading.value = false
  }
})

function openFor(student: FloorStudent) {
  dialog.value = null
  problem.value = ''
  notice.value = ''
  bench.openNew(student, today())
}

function next() {
  if (bench.document) return
  if (floor.waitingLongest) openFor(floor.waitingLongest)
}

function chooseStudent() {
  dialog.value = 'students'
}

async function save(why = '') {
  if (!bench.document || saving.value) return bench.document ? undefined : next()
  if (bench.isRegrade && !why) {
    dialog.value = 'why'
    return
  }
  dialog.value = null
  saving.value = true
  problem.value = ''
  const wasRegrade = bench.isRegrade
  const { student, testId } = bench.open!
  try {
    const result = await bench.save(why)
    if (result.is === 'conflict') {
      theirs.value = result.theirs
      return
    }
    if (testId) return void (await navigateTo(`/test-bay/${testId}`))
    await refreshFloor(student.id)
    if (!wasRegrade) next()
    notice.value = `${student.name}: ${result.is === 'saved' ? 'saved' : outbox.keptWords}`
  } catch (error) {
    problem.value =
      error instanceof RequestFailure && error.fields.length > 0
        ? error.fields.map(field => field.message).join('. ')
        : messageOf(error)
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

const SETTLED = {
  saved: 'Both versions are kept',
  conflict: 'Somebody saved it once more: choose again',
} as const

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

function discard() {
  dialog.value = null
  bench.clear()
}

function drop(kind: MarkKind) {
  dialog.value = null
  hand.drop(kind, of => {
    dialog.value = of
  })
}

function keepReadings(read: readonly { of: GaugeKind; valueMm: number }[]) {
  dialog.value = null
  hand.addReadings(read)
}

function keepFitUp(fitUp: FitUp | null) {
  dialog.value = null
  bench.keepFitUp(fitUp)
}

const caption = useTemplateRef<{ time: () => void }>('caption')
const editor = useTemplateRef<{ refuse: (message: string) => void }>('editor')
const setUp = (change: SetUpChange) => tryTo(() => bench.changeSetUp(change))
/** Lays the coupon out otherwise, or says why it cannot be. */
function tryTo(act: () => void) {
  try {
    act()
    dialog.value = null
    problem.value = ''
  } catch (error) {
    editor.value?.refuse(messageOf(error))
    if (dialog.value !== 'ticket') problem.value = messageOf(error)
  }
}

const whenOpen = (of: Dialog) => () => {
  if (bench.document) dialog.value = of
}
const answer = (said: 'yes' | 'no') => () => {
  if (bench.question) bench.answer(bench.question.sign, said)
}
useBenchKeys({
  rows: BENCH_KEYS,
  acts: {
    'next': next,
    'save': () => void save(),
    'choose': chooseStudent,
    'take up': bench.takeUpNext,
    'ticket': whenOpen('ticket'),
    'more marks': whenOpen('more'),
    'codes': whenOpen('codes'),
    'told': whenOpen('told'),
    'pass': () => {
      if (bench.pass) dialog.value = 'pass'
    },
    'fit-up': () => {
      if (bench.document?.passes) dialog.value = 'fit-up'
    },
    'keys': () => {
      dialog.value = 'keys'
    },
    'time': () => caption.value?.time(),
    'bead less': () => tryTo(() => bench.addBead(-1)),
    'bead more': () => tryTo(() => bench.addBead(1)),
    'yes': answer('yes'),
    'no': answer('no'),
  },
  askReading: of => {
    dialog.value = of
  },
  upright: () => upright.value,
  busy: () => dialog.value !== null || theirs.value !== null,
})
</script>

<template>
  <div class="bench">
    <BenchEmpty
      v-if="!bench.document || !bench.open"
      :next-name="floor.waitingLongest?.name ?? null"
      :problem="problem"
      :loading="loading"
      @next="next"
      @choose="dialog = 'students'"
    >
      <ParkedStrip />
    </BenchEmpty>
    <template v-else>
      <ParkedStrip class="aside-strip" />
      <header class="head">
        <div class="who">
          <h1>
            <button type="button" @click="chooseStudent">{{ bench.open.student.name }}</button>
          </h1>
          <p>
            {{ bench.document.ticket.hand }} hand{{
              bench.document.ticket.booth ? ` · booth ${bench.document.ticket.booth}` : ''
            }}{{ bench.isRegrade ? ' · graded again' : '' }}
          </p>
        </div>
        <BenchTicket :document="bench.document" :remarks="bench.remarks" :unit="unit" @edit="dialog = 'ticket'" />
      </header>
      <section class="stage" aria-label="Coupon">
        <div>
          <PassStrip
            v-if="bench.document.passes"
            :document="bench.document"
            :unit="unit"
            @pass="dialog = 'pass'"
            @fit-up="dialog = 'fit-up'"
          />
          <CouponCaption ref="caption" :document="bench.document" :unit="unit" />
        </div>
        <div class="drawn" :class="{ upright }">
          <BenchDrawing :unit="unit" />
          <PassSection v-if="bench.document.passes && bench.view === 'one pass'" :document="bench.document" />
        </div>
        <MarkDetail :mark="bench.selected" />
        <MarkPalette :face="bench.cursorFace" @drop="drop" @more="dialog = 'more'" />
      </section>
      <aside class="side" aria-label="Reading">
        <div class="scroll">
          <VerdictPanel v-if="bench.grade" :grade="bench.grade" :unit="unit" @codes="dialog = 'codes'" />
          <NextRun />
          <CausePanel
            v-if="bench.reading"
            :key="`causes ${bench.open.id}`"
            :reading="bench.reading"
            :document="bench.document"
            @told="dialog = 'told'"
          />
          <MarkList :document="bench.document" :unit="unit" />
          <CouponRemarks :key="bench.open.id" />
          <CouponHistory v-if="bench.isRegrade" :key="`history ${bench.open.id}`" :coupon-id="bench.open.id" />
        </div>
        <div class="act">
          <p v-if="bench.keptAt === 'nowhere'" role="alert" class="alert">
            This browser cannot keep a draft. Save soon.
          </p>
          <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
          <div class="steps">
            <v-btn variant="text" :disabled="bench.past.length === 0" @click="bench.undo">Undo</v-btn>
            <v-btn variant="text" :disabled="bench.future.length === 0" @click="bench.redo">Redo</v-btn>
            <v-btn variant="text" @click="bench.touched ? (dialog = 'discard') : bench.clear()">Discard</v-btn>
            <v-btn variant="text" aria-label="Keys" @click="dialog = 'keys'">?</v-btn>
          </div>
          <v-btn color="primary" block height="56" class="main" :loading="saving" @click="save()"
            >{{ bench.open.testId ? 'Save, back to the test' : bench.isRegrade ? 'Save again' : 'Save, next coupon' }}
            <kbd class="key">Enter</kbd></v-btn
          >
        </div>
      </aside>
    </template>
    <p class="notice" role="status">{{ notice }}</p>

    <LazyTicketEditor
      v-if="dialog === 'ticket' && bench.document"
      ref="editor"
      :document="bench.document"
      :unit="unit"
      @change="setUp"
      @close="dialog = null"
    />
    <MoreMarks v-if="dialog === 'more'" :face="bench.cursorFace" @drop="drop" @close="dialog = null" />
    <StudentPicker v-if="dialog === 'students'" :students="floor.students" @choose="openFor" @close="dialog = null" />
    <KeyList v-if="dialog === 'keys'" :keys="BENCH_KEYS" @close="dialog = null" />
    <LazyHeldAgainst
      v-if="dialog === 'codes' && bench.document"
      :document="bench.document"
      :unit="unit"
      @close="dialog = null"
    />
    <LazyToldSigns v-if="dialog === 'told' && bench.document" :document="bench.document" @close="dialog = null" />
    <DiscardCoupon v-if="dialog === 'discard'" @discard="discard" @close="dialog = null" />
    <WhyAgain v-if="dialog === 'why'" @why="save" @close="dialog = null" />
    <GaugeEntry
      v-if="gauged.length > 0 && bench.document"
      :document="bench.document"
      :place="bench.cursor"
      :kinds="gauged"
      :unit="unit"
      @read="keepReadings"
      @close="dialog = null"
    />
    <LazyPassEditor
      v-if="dialog === 'pass' && bench.document && bench.pass"
      :document="bench.document"
      :pass="bench.pass"
      :unit="unit"
      :students="floor.students"
      @change="pass => tryTo(() => bench.setPass(pass))"
      @close="dialog = null"
    />
    <LazyFitUpEditor
      v-if="dialog === 'fit-up' && bench.document"
      :document="bench.document"
      :unit="unit"
      :preset-degrees="bench.open?.presetDegrees ?? null"
      @keep="keepFitUp"
      @close="dialog = null"
    />
    <LazyTwoVersions
      v-if="theirs && bench.document"
      :mine="bench.document"
      :theirs="theirs"
      :busy="saving"
      @choose="settle"
      @close="theirs = null"
    />
  </div>
</template>

<style scoped>
.bench {
  height: 100dvh;
  display: grid;
  grid-template: auto auto minmax(0, 1fr) / minmax(0, 1fr) 306px;
  position: relative;
}
.bench > .empty {
  grid-area: 1 / 1 / -1 / -1;
}
.aside-strip {
  grid-column: 1 / -1;
}
.head {
  grid-row: 2;
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 20px;
  padding: 12px 18px;
  background: rgb(var(--v-theme-surface));
  border-bottom: 1px solid var(--line);
}
.who h1 {
  font-size: 1.4rem;
  font-weight: 700;
  letter-spacing: -0.015em;
  line-height: 1.15;
}
.who p {
  color: var(--quiet);
  font-size: 0.92rem;
}
.stage {
  grid-row: 3;
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto auto;
}
.drawn {
  min-height: 0;
  min-width: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  padding-bottom: 6px;
}
.drawn.upright {
  grid-template: minmax(0, 1fr) / minmax(0, 1fr) auto;
  align-items: center;
}
.drawn.upright > svg {
  width: 300px;
  margin-right: 40px;
}
.side {
  grid-row: 3;
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  background: rgb(var(--v-theme-surface));
  border-left: 1px solid var(--line);
}
.scroll {
  overflow-y: auto;
  padding: 16px 16px 8px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.act {
  padding: 6px 16px 14px;
  border-top: 1px solid var(--line);
}
.steps {
  display: flex;
  justify-content: space-between;
}
.steps .v-btn {
  min-width: 0;
  padding: 0 10px;
}
.main {
  font-size: 1.05rem;
  font-weight: 650;
}
.key {
  margin-left: 10px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding: 6px 0;
}
.notice {
  position: absolute;
  left: 18px;
  bottom: 92px;
  padding: 6px 12px;
  border-radius: 8px;
  background: var(--rail);
  color: #fff;
  font-size: 0.9rem;
  pointer-events: none;
}
.notice:empty {
  display: none;
}
@media (max-width: 1000px) {
  .bench {
    height: auto;
    min-height: 100dvh;
    grid-template: auto auto auto auto / minmax(0, 1fr);
    padding-bottom: 60px;
  }
  .stage {
    height: 66dvh;
  }
  .side {
    grid-row: 4;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
  .scroll {
    overflow: visible;
  }
  .act {
    position: sticky;
    bottom: 0;
    background: rgb(var(--v-theme-surface));
    z-index: 2;
  }
  .notice {
    position: fixed;
    bottom: auto;
    top: 8px;
    z-index: 4;
  }
}
@media (max-width: 700px) {
  .act {
    bottom: 60px;
  }
  .stage {
    height: 74dvh;
  }
}
</style>
