<script setup lang="ts">
import { gaugeKinds, standsUpright, type GaugeKind } from '~~/core/coupon'
import { toldSigns } from '~~/core/diagnosis'
import type { HandedIn } from '~~/contract/blindReadings'
import { useBenchActs } from '~/composables/benchActs'
import { useBenchKeys } from '~/composables/benchKeys'
import { useBlindBench, type Blind } from '~/composables/blindBench'
import { COUPON_BENCH } from '~/composables/couponBench'
import { BLIND_KEYS } from '~/keys/benchKeys'
import type { MarkKind } from '~/keys/markKinds'
import { useBlindReadings } from '~/stores/blindReadings'
import { useOutbox } from '~/stores/outbox'
import { useSession } from '~/stores/session'
import { messageOf } from '~/stores/request'

/** A coupon read blind: the drawing and the marks, and no verdict beside them. */
const props = defineProps<{ blind: Blind }>()
const emit = defineEmits<{ done: [handedIn: HandedIn]; leave: [] }>()
const { bench, keptAt, drop: dropDraft } = useBlindBench(props.blind)
provide(COUPON_BENCH, bench)
const readings = useBlindReadings()
const hand = useBenchActs(bench)
const outbox = useOutbox()

type Dialog = 'more' | 'keys' | 'told' | 'across' | 'over' | null
const dialog = ref<Dialog>(null)
const problem = ref('')
const busy = ref(false)
/** On a tablet there is no rail, whose help would open: it has its own. */
const ownHelp = !useSession().me
const unit = computed(() => bench.rules.unit)
const told = computed(() =>
  bench.coupon ? toldSigns(bench.coupon).filter(({ id }) => bench.coupon!.answers?.[id] === 'yes') : [],
)
const upright = computed(() => bench.coupon !== null && standsUpright(bench.coupon))
const gauged = computed(() => {
  const bead = bench.coupon?.beads.find(lane => lane.id === bench.cursor.beadId)
  return bench.coupon && bead && (dialog.value === 'across' || dialog.value === 'over')
    ? gaugeKinds(bench.coupon.piece, bead)[dialog.value]
    : []
})

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

async function handIn() {
  if (!bench.coupon || busy.value) return
  busy.value = true
  problem.value = ''
  try {
    const { couponId, stage, reader } = props.blind
    const sent = await readings.handIn({ couponId, stage, document: bench.coupon }, reader.name)
    if (sent.is === 'saved') {
      dropDraft()
      emit('done', sent.answer)
    } else problem.value = `The server does not answer. Your reading is ${outbox.keptWords}.`
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}

useBenchKeys({
  bench,
  rows: BLIND_KEYS,
  acts: {
    'save': () => void handIn(),
    'more marks': () => {
      dialog.value = 'more'
    },
    'told': () => {
      dialog.value = 'told'
    },
    ...(ownHelp
      ? {
          keys: () => {
            dialog.value = 'keys'
          },
        }
      : {}),
  },
  askReading: of => {
    dialog.value = of
  },
  upright: () => upright.value,
  busy: () => dialog.value !== null,
})
</script>

<template>
  <div v-if="bench.coupon" class="blind">
    <header>
      <div>
        <h1>{{ blind.reader.name }}</h1>
        <p class="quiet">{{ bench.coupon.ticket.rung }} · {{ blind.stage }} · mark only what is not sound</p>
      </div>
      <v-btn variant="text" class="leave" @click="$emit('leave')">Leave it</v-btn>
    </header>
    <section class="stage" aria-label="Coupon">
      <PassStrip v-if="bench.coupon.passes" :document="bench.coupon" :unit="unit" locked />
      <div class="drawn" :class="{ upright }"><BenchDrawing :unit="unit" /></div>
      <MarkDetail :mark="bench.selected" />
      <MarkPalette :face="bench.cursorFace" @drop="drop" @more="dialog = 'more'" />
    </section>
    <aside aria-label="Your reading">
      <div class="scroll">
        <MarkList :document="bench.coupon" :unit="unit" />
        <ul v-if="told.length > 0" class="told" aria-label="What you saw and heard">
          <li v-for="sign in told" :key="sign.id">{{ sign.says }}</li>
        </ul>
      </div>
      <div class="act">
        <p v-if="keptAt === 'nowhere'" role="alert" class="alert">This browser cannot keep a draft. Hand in soon.</p>
        <p v-if="problem" role="alert" class="alert">{{ problem }}</p>
        <v-btn variant="outlined" block class="saw" @click="dialog = 'told'"
          >What you saw and heard <kbd class="key">6</kbd></v-btn
        >
        <div class="steps">
          <v-btn variant="text" :disabled="!bench.canUndo" @click="bench.undo">Undo</v-btn
          ><v-btn variant="text" :disabled="!bench.canRedo" @click="bench.redo">Redo</v-btn
          ><v-btn v-if="ownHelp" variant="text" aria-label="Keys" @click="dialog = 'keys'">?</v-btn>
        </div>
        <v-btn color="primary" block height="56" :loading="busy" @click="handIn"
          >Hand in the reading <kbd class="key">Enter</kbd></v-btn
        >
      </div>
    </aside>
    <MoreMarks v-if="dialog === 'more'" :face="bench.cursorFace" @drop="drop" @close="dialog = null" />
    <ToldSigns
      v-if="dialog === 'told'"
      :document="bench.coupon"
      heading="What you saw and heard"
      @close="dialog = null"
    />
    <LazyRoomHelp v-if="dialog === 'keys'" @close="dialog = null" />
    <GaugeEntry
      v-if="gauged.length > 0"
      :document="bench.coupon"
      :place="bench.cursor"
      :kinds="gauged"
      :unit="unit"
      @read="keepReadings"
      @close="dialog = null"
    />
  </div>
</template>

<style scoped>
.blind {
  height: 100dvh;
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) 290px;
}
header {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 12px 18px;
  background: rgb(var(--v-theme-surface));
  border-bottom: 1px solid var(--line);
}
h1 {
  font-size: 1.4rem;
  font-weight: 700;
  line-height: 1.15;
}
header .leave {
  margin-left: auto;
}
.stage {
  min-height: 0;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.drawn {
  flex: 1;
  min-height: 0;
  min-width: 0;
  padding-bottom: 6px;
}
aside {
  min-height: 0;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  background: rgb(var(--v-theme-surface));
  border-left: 1px solid var(--line);
}
.scroll {
  overflow-y: auto;
  padding: 16px;
}
.act {
  padding: 6px 16px 14px;
  border-top: 1px solid var(--line);
}
.told {
  margin-top: 12px;
  padding: 12px 0 0 18px;
  border-top: 1px solid var(--line);
}
.saw {
  margin: 6px 0;
}
.steps {
  display: flex;
  justify-content: space-between;
}
.key {
  margin-left: 10px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding: 6px 0;
}
@media (max-width: 1000px) {
  .blind {
    height: auto;
    min-height: 100dvh;
    grid-template: auto auto auto / minmax(0, 1fr);
  }
  .stage {
    height: 68dvh;
  }
  aside {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
  .act {
    position: sticky;
    bottom: 0;
    background: rgb(var(--v-theme-surface));
  }
}
@media (max-width: 700px) {
  .blind {
    padding-bottom: 60px;
  }
  .act {
    bottom: 60px;
  }
}
</style>
