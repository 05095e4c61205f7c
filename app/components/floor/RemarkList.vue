<script setup lang="ts">
import { mdiCheck } from '@mdi/js'
import { spokenDay } from '~~/core/calendar'
import type { Remark } from '~~/contract/remarks'
import { dayOf } from '~/composables/shopClock'

/** What was to be remembered; the one who has seen to it ticks it off. */
defineProps<{
  remarks: readonly Remark[]
  /** Says whom or what each is about; left out where that is plain. */
  about?: boolean
}>()
defineEmits<{ tick: [id: string] }>()
const aboutOf = ({ student, booth }: Remark) => student ?? (booth === null ? 'everybody' : `booth ${booth}`)
</script>

<template>
  <ul class="remarks">
    <li v-for="remark in remarks" :key="remark.id">
      <button type="button" :aria-label="`Tick off: ${remark.says}`" @click="$emit('tick', remark.id)">
        <v-icon :icon="mdiCheck" size="20" />
      </button>
      <p>
        <b v-if="about">{{ aboutOf(remark) }}: </b>{{ remark.says }}
        <span class="quiet">{{ remark.by }}, {{ spokenDay(dayOf(remark.at)) }}</span>
      </p>
    </li>
  </ul>
</template>

<style scoped>
.remarks {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 48px;
}
button {
  flex: none;
  width: 44px;
  height: 44px;
  display: grid;
  place-items: center;
  border: 1px solid var(--line);
  border-radius: 10px;
  color: var(--quiet);
}
p {
  line-height: 1.35;
}
.quiet {
  font-size: 0.88rem;
  margin-left: 6px;
}
</style>
