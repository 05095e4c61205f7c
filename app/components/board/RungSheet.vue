<script setup lang="ts">
import { dayOf } from '~/composables/shopClock'
import { outOfTurn, saySignOff, signOffChance, USUALLY_ALIKE, type LadderRung, type RungState } from '~~/core/ladder'
import type { StudentProgress } from '~~/contract/progress'
import { spokenDay } from '~~/core/calendar'
import { useHouseRules } from '~/stores/houseRules'
import { useOutbox } from '~/stores/outbox'
import { useProgress } from '~/stores/progress'
import { messageOf } from '~/stores/request'
import { RequestFailure } from '~/sync/requestFailure'

/** One rung of one student: where it stands, what the rule lets through, and the instructor's name on it. */
const props = defineProps<{
  studentId: string
  name: string
  rung: LadderRung
  state: RungState
  needs: readonly string[]
}>()
const emit = defineEmits<{ close: []; changed: [] }>()
const progress = useProgress()
const houseRules = useHouseRules()
const outbox = useOutbox()

const kept = shallowRef<StudentProgress | null>(null)
const why = ref('')
const refused = ref('')
const busy = ref(false)
const signed = computed(() => kept.value?.signOffs.find(row => row.rungId === props.rung.id) ?? null)
const turn = computed(() => outOfTurn(props.state))
const inARow = computed(() => houseRules.current.rules.goodInARow)
const byTries = computed(() => 'element' in props.rung.signOff)

onMounted(async () => {
  try {
    kept.value = await progress.ofStudent(props.studentId)
  } catch (error) {
    refused.value = messageOf(error)
  }
})

/**
 * What a rule lets through: the chance of a student at a steady rate, within the coupons or the
 * tries that the rung usually takes.
 */
const TRIES_A_COUPON = 6
const within = computed(() => (byTries.value ? TRIES_A_COUPON : 1) * props.rung.coupons)
const lets = computed(() =>
  [0.5, 0.7, 0.9].map(rate => ({
    rate,
    chance: signOffChance(props.rung.signOff, rate, within.value, inARow.value, {
      coupons: props.rung.coupons,
      alike: USUALLY_ALIKE,
    }),
  })),
)

/** True when the server has it; what is kept here is said, and the sheet stays. */
async function signOff(): Promise<boolean> {
  const save = { studentId: props.studentId, rungId: props.rung.id, why: why.value }
  const { is } = await progress.signOff(save, props.name, props.rung.name)
  if (is !== 'saved') refused.value = `The server does not answer. The sign-off is ${outbox.keptWords}.`
  return is === 'saved'
}

async function act() {
  if (busy.value) return
  if ((signed.value || turn.value) && !why.value.trim()) {
    refused.value = signed.value
      ? 'Say why it is taken back'
      : turn.value === 'early'
        ? 'The rule is not met yet: say why it is signed off now'
        : 'The rule was met several coupons ago: say why it is signed off now'
    return
  }
  busy.value = true
  refused.value = ''
  try {
    if (signed.value) await progress.takeBack(signed.value.id, why.value)
    else if (!(await signOff())) return
    emit('changed')
  } catch (error) {
    refused.value = error instanceof RequestFailure ? (error.field('why') ?? error.message) : messageOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <FormDialog
    :heading="`${name}: ${rung.name}`"
    :save="signed ? 'Take back' : 'Sign off'"
    :danger="signed !== null"
    leave="Close"
    :message="refused"
    :busy="busy"
    :width="560"
    @submit="act"
    @close="$emit('close')"
  >
    <p class="status">
      <b>{{ state.status }}</b><span v-if="state.coupons > 0"
        >{{ state.good }} of {{ state.coupons }} coupons good<template v-if="state.lastDay"
          >, last {{ spokenDay(state.lastDay) }}</template
        ></span
      ><span v-else>no coupon on it yet</span>
    </p>
    <p>{{ state.says }}</p>
    <p v-if="signed" class="signed">
      Signed off {{ signed.outOfTurn ?? '' }} by {{ signed.by }}, {{ spokenDay(dayOf(signed.at)) }}: {{ signed.stood
      }}<template v-if="signed.why">. “{{ signed.why }}”</template>
    </p>
    <p v-else-if="needs.length > 0" class="quiet">Needs first: {{ needs.join(', ') }}</p>
    <v-text-field
      v-if="signed || turn"
      v-model="why"
      :label="signed ? 'Why it is taken back' : `Why ${turn}`"
      maxlength="400"
    />
    <details>
      <summary>What the rule lets through: {{ saySignOff(rung.signOff, inARow) }}</summary>
      <ul>
        <li v-for="row in lets" :key="row.rate">
          Somebody steadily at {{ Math.round(row.rate * 100) }} % meets it within {{ within }}
          {{ byTries ? 'tries' : 'coupons' }} {{ Math.round(row.chance * 100) }} times in 100.
        </li>
      </ul>
      <p class="quiet">
        Exact, for a rate that does not change. No rule proves that somebody can weld: the instructor signs.
      </p>
    </details>
    <NuxtLink :to="`/record/${studentId}`">Record of {{ name }}</NuxtLink>
  </FormDialog>
</template>

<style scoped>
.status {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
.status b::first-letter {
  text-transform: uppercase;
}
.signed {
  border-left: 4px solid var(--temper-blue);
  padding-left: 12px;
}
details {
  padding: 8px 0;
}
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  color: var(--quiet);
}
ul {
  display: grid;
  gap: 4px;
  padding-bottom: 6px;
}
a {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  color: inherit;
}
</style>
