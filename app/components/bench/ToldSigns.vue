<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { toldSigns } from '~~/core/diagnosis'
import type { CouponDocument } from '~~/core/coupon'
import { useCouponBench } from '~/composables/couponBench'

/** What the student saw and heard, and no mark shows: the arc went out, the rod reddened. One tap, or its number. */
const props = withDefaults(defineProps<{ document: CouponDocument; heading?: string }>(), {
  heading: 'What the student says',
})
const emit = defineEmits<{ close: [] }>()
const bench = useCouponBench()

const rows = computed(() => toldSigns(props.document))
const told = (id: string) => props.document.answers?.[id] === 'yes'
const say = (id: string) => bench.answer(id, 'yes')
/** The first nine have their number as a key; the rest are a tap. */
function byNumber(event: KeyboardEvent) {
  const row = rows.value[Number(event.key) - 1]
  if (!row || !/^[1-9]$/.test(event.key)) return
  event.preventDefault()
  say(row.id)
}
useEventListener(window, 'keydown', byNumber)
</script>

<template>
  <v-dialog :model-value="true" max-width="520" :aria-label="heading" @update:model-value="emit('close')">
    <section class="panel told">
      <h2>{{ heading }}</h2>
      <ul>
        <li v-for="(row, index) in rows" :key="row.id">
          <button type="button" :aria-pressed="told(row.id)" @click="say(row.id)">
            <kbd v-if="index < 9">{{ index + 1 }}</kbd>
            {{ row.says }}
          </button>
        </li>
      </ul>
      <div class="end"><v-btn color="primary" @click="emit('close')">Done</v-btn></div>
    </section>
  </v-dialog>
</template>

<style scoped>
.told {
  padding: 20px;
  display: grid;
  gap: 12px;
  max-height: 88dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 8px;
}
button {
  width: 100%;
  min-height: 48px;
  padding: 4px 12px;
  text-align: left;
  border-radius: 8px;
  border: 1px solid var(--line);
}
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
  border-color: transparent;
}
.end {
  text-align: right;
}
</style>
