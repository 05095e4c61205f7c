<script setup lang="ts">
import { useRods, type DrawnRods } from '~/stores/rods'

/** Handfuls that are out, the one whose time is up first on top; then those that lie apart in the oven. */
const props = defineProps<{ drawn: readonly DrawnRods[] }>()
const rods = useRods()
const back = shallowRef<DrawnRods | null>(null)

const nameOf = ({ studentId, booth }: DrawnRods) =>
  (studentId ? rods.room.names[studentId] : undefined) ?? (booth ? `booth ${booth}` : 'nobody in particular')
const left = ({ exposure }: DrawnRods) => exposure?.leftHours ?? Infinity
const out = computed(() => props.drawn.filter(one => one.out > 0).sort((a, b) => left(a) - left(b)))
/** What is as fresh again lies with the rest of its lot. */
const apart = computed(() => props.drawn.filter(one => one.out === 0 && one.exposure && one.exposure.state !== 'fresh'))
</script>

<template>
  <section class="panel drawn" aria-label="Out now">
    <h2>Out now</h2>
    <p v-if="out.length === 0" class="quiet">Every rod that was drawn is back or burnt.</p>
    <ul v-else>
      <HandfulRow v-for="one in out" :key="one.id" :drawn="one" :name="nameOf(one)" @back="back = one" />
    </ul>
    <template v-if="apart.length > 0">
      <h3>Apart in the oven</h3>
      <ul>
        <HandfulRow v-for="one in apart" :key="one.id" :drawn="one" :name="nameOf(one)" />
      </ul>
    </template>
    <RodsBack v-if="back" :drawn="back" :name="nameOf(back)" @done="back = null" @close="back = null" />
  </section>
</template>

<style scoped>
.drawn {
  padding: 16px 18px;
}
h2 {
  font-size: 1.05rem;
  font-weight: 700;
  margin-bottom: 6px;
}
h3 {
  font-size: 0.95rem;
  margin: 14px 0 4px;
}
ul {
  padding: 0;
}
</style>
