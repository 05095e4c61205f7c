<script setup lang="ts">
import { wholeSteps, type PlanCase, type PlannedCoupon, type WantedCoupon } from '~~/core/dayPlan'

/** Who is here and has nothing in the plan, and what would serve; who is missing. */
const props = defineProps<{
  wanted: PlanCase
  lines: readonly PlannedCoupon[]
  /** All of the section, those too who are missing. */
  students: readonly { readonly id: string; readonly name: string; readonly absent: boolean }[]
  busy: boolean
}>()
const picked = defineModel<PlannedCoupon | null>('picked', { required: true })
const emit = defineEmits<{ absent: [studentId: string, absent: boolean] }>()

const MOST_SHOWN = 3
const rows = computed(() =>
  props.students.map(student => {
    const own = props.lines.filter(line => line.studentId === student.id)
    const coupons = props.wanted.students.find(one => one.id === student.id)?.coupons ?? []
    const left = coupons.filter(({ rungId, nth }) => !own.some(line => line.rungId === rungId && line.nth === nth))
    const names = new Set<string>()
    const offered = left.filter(({ name }) => !names.has(name) && names.add(name)).slice(0, MOST_SHOWN)
    return { ...student, own, offered }
  }),
)
const open = ref('')
function pick(studentId: string, { rungId, nth, minutes }: WantedCoupon) {
  const whole = wholeSteps(minutes, props.wanted.terms)
  picked.value = { studentId, rungId, nth, booth: 0, from: 0, minutes: whole, pinned: true }
}
/** Picked up and not put down yet: no line of the plan. */
const inHand = computed(() => (picked.value && !props.lines.includes(picked.value) ? picked.value : null))
const isPicked = (studentId: string, { rungId }: WantedCoupon) =>
  inHand.value?.studentId === studentId && inHand.value.rungId === rungId
</script>

<template>
  <section aria-label="Students" class="students">
    <h2>Students</h2>
    <ul>
      <li v-for="student in rows" :key="student.id" :class="{ missing: student.absent }">
        <button
          type="button"
          class="who"
          :aria-expanded="open === student.id"
          @click="open = open === student.id ? '' : student.id"
        >
          <b>{{ student.name }}</b>
          <span v-if="student.absent">missing</span>
          <span v-else-if="student.own.length === 0" class="none">▲ nothing yet</span>
          <span v-else class="quiet num">{{ student.own.length }}</span>
        </button>
        <div v-if="open === student.id" class="offers">
          <template v-if="!student.absent">
            <v-btn
              v-for="coupon in student.offered"
              :key="coupon.rungId"
              :variant="isPicked(student.id, coupon) ? 'flat' : 'outlined'"
              :aria-pressed="isPicked(student.id, coupon)"
              @click="pick(student.id, coupon)"
              >+ {{ coupon.name }}</v-btn
            >
          </template>
          <v-btn variant="text" :loading="busy" @click="emit('absent', student.id, !student.absent)">{{
            student.absent ? 'Is here after all' : 'Is missing'
          }}</v-btn>
          <p v-if="inHand?.studentId === student.id" role="status">Tap the booth and the time where it goes.</p>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.05rem;
  font-weight: 700;
  padding-bottom: 4px;
}
.who {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  width: 100%;
  min-height: 44px;
  text-align: left;
  border-top: 1px solid var(--line);
}
.who b {
  font-weight: 550;
}
.none {
  font-weight: 650;
  color: var(--poor);
}
.missing b {
  text-decoration: line-through;
}
.offers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-bottom: 10px;
}
</style>
