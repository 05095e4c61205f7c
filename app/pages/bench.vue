<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { standsUpright, type GaugeKind, type SetUpChange } from '~~/core/coupon'
import type { FitUp } from '~~/core/setup'
import type { FloorStudent } from '~~/contract/people'
import { today } from '~/composables/shopClock'
import { useBenchActs, type BenchDialog } from '~/composables/benchActs'
import { useBenchAsked } from '~/composables/benchAsked'
import { useBenchHold } from '~/composables/benchHold'
import { useBenchKeys } from '~/composables/benchKeys'
import { useBenchSaving } from '~/composables/benchSaving'
import { COUPON_BENCH } from '~/composables/couponBench'
import { useFloorLive } from '~/composables/floorLive'
import { BENCH_KEYS } from '~/keys/benchKeys'
import type { MarkKind } from '~/keys/markKinds'
import { useBench } from '~/stores/bench'
import { useCauses } from '~/stores/causes'
import { useFloor } from '~/stores/floor'
import { useGroupReading } from '~/stores/groupReading'
import { useHouseRules } from '~/stores/houseRules'
import { useOutbox } from '~/stores/outbox'
import { messageOf } from '~/stores/request'
import { usePictures } from '~/stores/pictures'
import { useRods } from '~/stores/rods'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'

const bench = useBench()
provide(COUPON_BENCH, bench)
const floor = useFloor()
const hand = useBenchActs(bench)
const houseRules = useHouseRules()
const causes = useCauses()
const pictures = usePictures()
const rods = useRods()
const sections = useSections()
const session = useSession()
const outbox = useOutbox()
const group = useGroupReading()
const route = useRoute()
const openAsked = useBenchAsked()
useBenchHold()
useFloorLive(
  () => floor.sectionId,
  serial => void floor.follow(serial).catch(() => {}),
)

/** On a phone the Bench is laid out for one hand. */
const inHand = useMediaQuery('(max-width: 600px)')
const dialog = ref<BenchDialog | null>(null)
const loading = ref(true)
const unit = computed(() => bench.rules.unit)
const upright = computed(() => bench.coupon !== null && standsUpright(bench.coupon))
useHead({ title: () => (bench.open ? `${bench.open.student.name} · Bench` : 'Bench · Fusilis') })

onMounted(async () => {
  try {
    await outbox.start(session.me!.id)
    await bench.resume(session.me!.id)
    // The Bench goes on without the rod room and the causes.
    const aside = Promise.all([causes.load(), rods.load()].map(one => one.catch(() => {})))
    await Promise.all([houseRules.load(), sections.all.length === 0 ? sections.load() : null])
    if (typeof route.query.section === 'string') sections.choose(route.query.section)
    if (sections.current) await floor.load(sections.current.id)
    await aside
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

/** The next of the table that is read, else the next of the queue. */
const following = computed(() => group.next(floor.students) ?? floor.next)
function next() {
  if (bench.coupon) return
  if (following.value) openFor(following.value)
}

const ask = (of: BenchDialog) => () => {
  dialog.value = of
}

const { theirs, problem, notice, saving, save, settle } = useBenchSaving({
  next,
  askWhy: ask('why'),
})
async function keep(why = '') {
  dialog.value = null
  await save(why)
}

function discard() {
  dialog.value = null
  // What was never saved leaves nothing behind.
  if (bench.open?.baseVersion === 0) void pictures.discard(bench.open).catch(() => {})
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
const dialogs = useTemplateRef<{ refuse: (message: string) => void }>('dialogs')
const setUp = (change: SetUpChange) => tryTo(() => bench.changeSetUp(change))
/** Lays the coupon out otherwise, or says why it cannot be. */
function tryTo(act: () => void) {
  try {
    act()
    dialog.value = null
    problem.value = ''
  } catch (error) {
    dialogs.value?.refuse(messageOf(error))
    if (dialog.value !== 'ticket') problem.value = messageOf(error)
  }
}

const whenOpen = (of: BenchDialog) => () => {
  if (bench.coupon) dialog.value = of
}
const answer = (said: 'yes' | 'no') => () => {
  if (bench.question) bench.answer(bench.question.sign, said)
}
useBenchKeys({
  bench,
  rows: BENCH_KEYS,
  acts: {
    'next': next,
    'save': () => void keep(),
    'choose': ask('students'),
    'take up': bench.takeUpNext,
    'ticket': whenOpen('ticket'),
    'more marks': whenOpen('more'),
    'codes': whenOpen('codes'),
    'told': whenOpen('told'),
    'pass': () => {
      if (bench.pass) dialog.value = 'pass'
    },
    'fit-up': () => {
      if (bench.coupon?.passes) dialog.value = 'fit-up'
    },
    'time': () => caption.value?.time(),
    'bead less': () => tryTo(() => bench.addBead(-1)),
    'bead more': () => tryTo(() => bench.addBead(1)),
    'done': bench.turnDone,
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
      v-if="!bench.coupon || !bench.open"
      :next-name="following?.name ?? null"
      :problem="problem"
      :loading="loading"
      @next="next"
      @choose="dialog = 'students'"
    >
      <ParkedStrip />
    </BenchEmpty>
    <PhoneBench
      v-else-if="inHand"
      :unit="unit"
      :problem="problem"
      :saving="saving"
      @ask="dialog = $event"
      @drop="drop"
      @save="keep()"
    />
    <template v-else>
      <ParkedStrip class="aside-strip" />
      <BenchHead class="head" :unit="unit" @student="dialog = 'students'" @ticket="dialog = 'ticket'" />
      <section class="stage" aria-label="Coupon">
        <div>
          <PassStrip
            v-if="bench.coupon.passes"
            :document="bench.coupon"
            :unit="unit"
            @pass="dialog = 'pass'"
            @fit-up="dialog = 'fit-up'"
          />
          <CouponCaption ref="caption" :document="bench.coupon" :unit="unit">
            <PictureBar v-if="!bench.open.toTry" :coupon-id="bench.open.id" @pictures="dialog = 'pictures'" />
          </CouponCaption>
          <LazyBeadOnPicture v-if="pictures.shown" :unit="unit" @readings="keepReadings" />
        </div>
        <div class="drawn" :class="{ upright }">
          <BenchDrawing :unit="unit" />
          <PassSection v-if="bench.coupon.passes && bench.view === 'one pass'" :document="bench.coupon" />
        </div>
        <MarkDetail :mark="bench.selected" />
        <MarkPalette :face="bench.cursorFace" @drop="drop" @more="dialog = 'more'" />
      </section>
      <BenchSide :unit="unit" :problem="problem" :saving="saving" @ask="dialog = $event" @save="keep()" />
    </template>
    <BenchNotice :says="notice" />

    <BenchDialogs
      ref="dialogs"
      v-model:dialog="dialog"
      v-model:theirs="theirs"
      :unit="unit"
      :saving="saving"
      :in-place="!inHand"
      :loading="loading && floor.students.length === 0"
      @set-up="setUp"
      @drop="drop"
      @student="openFor"
      @discard="discard"
      @save="keep"
      @readings="keepReadings"
      @pass="pass => tryTo(() => bench.setPass(pass))"
      @fit-up="keepFitUp"
      @settle="settle"
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
.bench > .empty,
.bench > .phone-bench {
  grid-area: 1 / 1 / -1 / -1;
}
.aside-strip {
  grid-column: 1 / -1;
}
.head {
  grid-row: 2;
  grid-column: 1 / -1;
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
}
@media (max-width: 1000px) {
  .bench {
    height: auto;
    min-height: 100dvh;
    grid-template: auto auto auto auto / minmax(0, 1fr);
    padding-bottom: 60px;
  }
  .bench:has(> .phone-bench) {
    padding-bottom: 0;
  }
  .stage {
    height: 66dvh;
  }
  .side {
    grid-row: 4;
  }
}
@media (max-width: 700px) {
  .stage {
    height: 74dvh;
  }
}
</style>
