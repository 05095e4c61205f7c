<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { nextCoupon, type CouponDocument } from '~~/core/coupon'
import { STAGES, type HandedIn, type Kiosk, type OpenToRead, type Stage } from '~~/contract/blindReadings'
import { spokenDay } from '~~/core/calendar'
import { today } from '~/composables/shopClock'
import type { Blind } from '~/composables/blindBench'
import { useLeftLying } from '~/composables/leftLying'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { useBlindReadings } from '~/stores/blindReadings'
import { messageOf } from '~/stores/request'
import { reach } from '~/sync/reach'
import { RequestFailure } from '~/sync/requestFailure'
import { useSession } from '~/stores/session'

/**
 * The tablet that goes round: a student picks a name, types a code, and reads the own coupon before the instructor
 * does.
 */
const readings = useBlindReadings()
const houseRules = useHouseRules()
const session = useSession()
useHead({ title: 'Read your own · Fusilis' })

const chosen = ref<Kiosk['students'][number] | null>(null)
const code = ref('')
const refused = ref('')
const busy = ref(false)
const open = ref<OpenToRead | null>(null)
const stage = ref<Stage>('after chipping')
const done = ref<HandedIn | null>(null)
const reading = shallowRef<Blind | null>(null)

/** A student with an account reads without the tablet's names and codes. */
const ownAccount = computed(() => session.me?.role === 'student')

const { loading, problem, load } = useLoader(async () => {
  if (!ownAccount.value) await readings.askKiosk()
  if (ownAccount.value || readings.kiosk?.studentId) await loadOpen()
})
onMounted(load)

async function loadOpen() {
  await houseRules.load()
  open.value = await readings.openToRead()
}

function choose(student: Kiosk['students'][number] | null) {
  chosen.value = student
  refused.value = ''
  code.value = ''
}

/** A code is looked at by the server: without it no student reads. */
const takesCode = computed(() => chosen.value?.hasCode === true && reach.away === null)
const readFirst = computed(() => {
  if (reach.away !== null) return 'To read it yourself first, wait until the server answers.'
  if (takesCode.value) return 'Or read it yourself first:'
  return 'To read it yourself first you need a code: ask your instructor.'
})

async function enter() {
  if (!chosen.value || busy.value) return
  if (!takesCode.value) return choose(null)
  if (!/^\d{4}$/.test(code.value)) {
    refused.value = 'Type the four digits of your code'
    return
  }
  busy.value = true
  refused.value = ''
  try {
    await readings.take(chosen.value.id, code.value)
    await loadOpen()
    chosen.value = null
  } catch (error) {
    refused.value = error instanceof RequestFailure ? (error.field('code') ?? error.message) : messageOf(error)
  } finally {
    code.value = ''
    busy.value = false
  }
}

/** The fourth digit goes on by itself: no glove is taken off for a button. */
watch(code, typed => {
  if (/^\d{4}$/.test(typed)) void enter()
})

function read(couponId: string, coupon: CouponDocument) {
  if (!open.value) return
  reading.value = { couponId, reader: open.value.student, stage: stage.value, coupon }
  done.value = null
}

/** The coupon in a student's hand keeps its id through a reload, and with it its draft. */
const inHandKey = () => `fusilis.inHand.${open.value?.student.id}.${today()}`

function readNext() {
  if (!open.value) return
  const id = localStorage.getItem(inHandKey()) ?? uuid()
  localStorage.setItem(inHandKey(), id)
  const welder = { ...open.value.student, last: open.value.next }
  read(id, nextCoupon(welder, { classDay: today(), ...houseRules.current }))
}

async function handedIn(result: HandedIn) {
  reading.value = null
  done.value = result
  localStorage.removeItem(inHandKey())
  await loadOpen().catch(() => {})
}

/** Under its slag first, then clean: the same coupon again. */
function readAgain() {
  if (!done.value) return
  stage.value = 'after chipping'
  const fresh = open.value?.coupons.find(coupon => coupon.couponId === done.value!.reading.couponId)?.document
  read(done.value.reading.couponId, fresh ?? done.value.reading.document)
}

function leaveReading() {
  reading.value = null
}

/** What was marked stays as a draft under the student's own code. */
useLeftLying(() => {
  leaveReading()
  void nextStudent()
})

async function nextStudent() {
  await readings.giveBack().catch(error => {
    problem.value = messageOf(error)
  })
  open.value = null
  done.value = null
}
</script>

<template>
  <BlindReading v-if="reading" :blind="reading" @done="handedIn" @leave="leaveReading" />
  <div v-else class="page">
    <header class="page-head">
      <div>
        <h1>{{ open ? open.student.name : 'Your coupon' }}</h1>
        <p v-if="readings.kiosk && !ownAccount">{{ readings.kiosk.section }}</p>
      </div>
      <v-btn v-if="open" class="push" variant="outlined" to="/reading-room">Reading room</v-btn>
      <v-btn v-if="open && !ownAccount" variant="outlined" @click="nextStudent">Next student</v-btn>
      <v-btn v-else-if="!ownAccount" class="push" variant="text" to="/sign-in">Instructor</v-btn>
    </header>
    <ServerAway class="server-away" />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <template v-else-if="open">
      <CautionsRead :student-id="open.student.id" />
      <section v-if="done" class="panel block" aria-label="Handed in">
        <template v-if="done.reference">
          <h2>Your reading over your instructor’s</h2>
          <LaidOver :reference="done.reference" :reading="done.reading.document" reader="you" :unit="houseRules.unit" />
        </template>
        <template v-else>
          <h2>Handed in</h2>
          <p>Your instructor reads it without seeing yours. Then both are laid over each other on your record.</p>
          <v-btn v-if="done.reading.stage === 'before chipping'" color="primary" @click="readAgain"
            >Chip it, then read it again</v-btn
          >
        </template>
      </section>
      <section class="panel block" aria-label="The queue">
        <ReadyNow :student-id="open.student.id" :name="open.student.name" />
      </section>
      <section class="panel block">
        <h2>Which coupon?</h2>
        <div class="stages" role="group" aria-label="When">
          <button v-for="one in STAGES" :key="one" type="button" :aria-pressed="stage === one" @click="stage = one">
            {{ one }}
          </button>
        </div>
        <ul class="choices">
          <li>
            <button type="button" class="choice" @click="readNext">
              <b>The one in my hand</b><span>{{ open.next ? open.next.ticket.rung : 'first pad' }}, not read yet</span>
            </button>
          </li>
          <li v-for="coupon in open.coupons.filter(one => !one.read.includes(stage))" :key="coupon.couponId">
            <button type="button" class="choice" @click="read(coupon.couponId, coupon.document)">
              <b>{{ spokenDay(coupon.classDay) }}, {{ wallTime(coupon.at) }}</b
              ><span>{{ coupon.document.ticket.rung }}, {{ coupon.document.ticket.position }}</span>
            </button>
          </li>
        </ul>
      </section>
    </template>
    <template v-else-if="readings.kiosk">
      <PageState v-if="readings.kiosk.students.length === 0" empty="Nobody is in this section." />
      <ul v-else class="choices">
        <li v-for="student in readings.kiosk.students" :key="student.id">
          <button type="button" class="choice" @click="choose(student)">
            <span v-if="student.booth" class="booth num">{{ student.booth }}</span>
            <b>{{ student.name }}</b>
          </button>
        </li>
      </ul>
    </template>
    <FormDialog
      v-if="chosen"
      :heading="chosen.name"
      save="Go on"
      :busy="busy"
      :message="refused"
      :width="360"
      @submit="enter"
      @close="choose(null)"
    >
      <ReadyNow :student-id="chosen.id" :name="chosen.name" />
      <p class="none">{{ readFirst }}</p>
      <v-text-field
        v-if="takesCode"
        v-model="code"
        label="Your code, four digits"
        inputmode="numeric"
        type="password"
        autocomplete="off"
        maxlength="4"
        autofocus
      />
      <CodePad v-if="takesCode" v-model="code" :busy="busy" />
    </FormDialog>
  </div>
</template>

<style scoped>
.server-away {
  margin-bottom: 14px;
  color: var(--poor);
}
.block {
  padding: 18px;
  display: grid;
  gap: 14px;
  margin-bottom: 14px;
  justify-items: start;
}
.block > :not(h2, p, .v-btn) {
  width: 100%;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
.choices {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 230px), 1fr));
  gap: 10px;
}
.booth {
  font-size: 1.4rem;
  font-weight: 700;
  min-width: 2ch;
  margin-right: 12px;
}
.choice {
  width: 100%;
  min-height: 72px;
  padding: 10px 14px;
  text-align: left;
  display: grid;
  align-content: center;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: rgb(var(--v-theme-surface));
}
.choice b {
  font-size: 1.1rem;
}
.choice span {
  color: var(--quiet);
  font-size: 0.92rem;
}
.none {
  color: var(--quiet);
}
.stages {
  display: flex;
  gap: 6px;
}
.stages button {
  min-height: 48px;
  padding: 0 16px;
  border: 1px solid var(--line);
  border-radius: 10px;
  font-weight: 600;
}
.stages button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
</style>
