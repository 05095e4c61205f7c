<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import {
  shownBeadOf,
  changeOfCard,
  choicesFor,
  knew,
  nameOfCard,
  positionOfCard,
  answersSummary,
  type BeadCardId,
  type Knew,
} from '~~/core/readingRoom'
import { wantedWidth } from '~~/core/house'
import { inches } from '~~/core/units'
import { spokenDay } from '~~/core/calendar'
import { clockNow, today } from '~/composables/shopClock'
import { useLeftLying } from '~/composables/leftLying'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { useReadingRoom } from '~/stores/readingRoom'
import { useBlindReadings } from '~/stores/blindReadings'
import { useSession } from '~/stores/session'
import { messageOf } from '~/stores/request'

/** Beads drawn from a known technique: say what is wrong and what to change; what was missed comes back. */
const practice = useReadingRoom()
const session = useSession()
const houseRules = useHouseRules()
useHead({ title: 'Reading room · Fusilis' })
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([houseRules.load(), practice.load()])
  show()
})
onMounted(load)
const readings = useBlindReadings()
const tablet = useLeftLying(async () => {
  await readings.giveBack().catch(() => {})
  await navigateTo('/kiosk')
})

const next = shallowRef<ReturnType<typeof practice.next> | null>(null)
const cause = ref<BeadCardId | null>(null)
const change = ref<BeadCardId | null>(null)
const done = ref<Knew | null>(null)
const refused = ref('')
const busy = ref(false)

function show() {
  next.value = practice.next(new Date())
  cause.value = change.value = done.value = null
}

/** The bead an eighth-inch rod should give by the house's rules. */
const right = computed(() => {
  const { lowMm, highMm } = wantedWidth(houseRules.current.rules, inches(1 / 8))
  const { low, high } = houseRules.current.rules.heightMm
  return { widthMm: (lowMm + highMm) / 2, heightMm: (low + high) / 2 }
})
const showing = computed(() => next.value?.showing ?? null)
const bead = computed(() => (showing.value ? shownBeadOf(showing.value, right.value) : null))
const upright = computed(() => showing.value !== null && positionOfCard(showing.value.card) === '2G')
const truth = computed(() => (done.value ? showing.value!.card : null))
const causes = computed(() =>
  showing.value ? choicesFor(showing.value, 'cause').map(id => ({ id, name: nameOfCard(id) })) : [],
)
const changes = computed(() =>
  showing.value ? choicesFor(showing.value, 'change').map(id => ({ id, name: changeOfCard(id) })) : [],
)
const summary = computed(() => answersSummary(practice.answers))

function sayCause(id: string) {
  cause.value = id as BeadCardId
}
async function sayChange(id: string) {
  if (!showing.value || !cause.value || busy.value) return
  change.value = id as BeadCardId
  const answer = { card: showing.value.card, cause: cause.value, change: change.value }
  busy.value = true
  refused.value = ''
  try {
    await practice.keep(answer, session.me?.name ?? 'At the shared tablet', new Date())
    done.value = knew({ ...answer, at: '' })
  } catch (error) {
    refused.value = `${messageOf(error)} Say it once more.`
    change.value = null
  } finally {
    busy.value = false
  }
}

useEventListener('keydown', event => {
  if (event.ctrlKey || event.metaKey || event.altKey || !showing.value) return
  if (done.value && event.key === 'Enter' && !(event.target as HTMLElement).closest('button, a')) show()
  const choice = (cause.value ? changes : causes).value[Number(event.key) - 1]
  if (done.value || !choice) return
  event.preventDefault()
  if (cause.value) void sayChange(choice.id)
  else sayCause(choice.id)
})
const ahead = computed(() => {
  const at = next.value?.nextAt
  if (!at) return ''
  const back = today(at) === today() ? `at ${clockNow(at)}` : spokenDay(today(at))
  return `Nothing is due. The next comes back ${back}; this one is ahead of its time.`
})
</script>

<template>
  <div class="page">
    <header class="page-head">
      <div>
        <h1>Reading room</h1>
        <p v-if="next">
          {{ next.waiting }} to read<template v-if="summary.rate"
            >; {{ summary.named }} of the last {{ summary.late }} named</template
          >
        </p>
      </div>
      <v-btn v-if="tablet" class="push" variant="outlined" to="/kiosk">Own coupons</v-btn>
    </header>
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="bead && showing">
      <p v-if="ahead && !done" class="quiet ahead">{{ ahead }}</p>
      <section class="panel drawing" aria-label="The bead">
        <ShownBeadDrawing
          :bead="bead"
          :right="right"
          :unit="houseRules.unit"
          :upright="upright"
          :label="done ? `A bead: ${nameOfCard(showing.card)}` : 'A bead to read'"
        />
      </section>
      <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
      <div class="asks">
        <BeadChoices heading="What is wrong?" :choices="causes" :said="cause" :truth="truth" @say="sayCause" />
        <BeadChoices
          v-if="cause"
          heading="What would you change?"
          :choices="changes"
          :said="change"
          :truth="truth"
          @say="sayChange"
        />
        <div v-if="done" class="after">
          <BeadTold :card="showing.card" :bead="bead" :right="right" :unit="houseRules.unit" :knew="done" />
          <v-btn color="primary" size="large" block @click="show">Next bead <kbd>Enter</kbd></v-btn>
        </div>
      </div>
      <p v-if="summary.mixedUp && done" class="quiet mixed">
        Mixed up of late: “{{ nameOfCard(summary.mixedUp.card) }}” taken for “{{
          nameOfCard(summary.mixedUp.takenFor)
        }}”, {{ summary.mixedUp.times }} times.
      </p>
    </template>
  </div>
</template>

<style scoped>
.drawing {
  padding: 12px 18px;
  margin-bottom: 14px;
}
.page-head {
  margin-bottom: 12px;
}
.asks {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 18px;
  align-items: start;
}
.after {
  display: grid;
  gap: 12px;
}
.after kbd {
  margin-left: 10px;
}
.ahead,
.mixed {
  padding-bottom: 12px;
}
.mixed {
  padding-top: 14px;
}
.alert {
  color: var(--poor);
  font-weight: 600;
  padding-bottom: 10px;
}
@media (max-width: 1000px) {
  .asks {
    grid-template-columns: minmax(0, 1fr);
  }
  .after {
    order: -1;
  }
}
</style>
