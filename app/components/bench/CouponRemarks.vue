<script setup lang="ts">
import type { Degree, Verdict } from '~~/core/coupon'
import { useBench } from '~/stores/bench'

/** What is said of the whole coupon: clean-up, mock test, notes, and the instructor's own verdict with a reason. */
const bench = useBench()
const coupon = computed(() => bench.coupon!)
const own = ref(coupon.value.overrule !== null)
const reason = ref(coupon.value.overrule?.reason ?? '')
const verdict = ref<Verdict>(coupon.value.overrule?.verdict ?? 'move on')
const notes = ref(coupon.value.notes)
const NOTES_MOST = 10_000

watch(coupon, doc => {
  if (doc.notes !== notes.value.trim()) notes.value = doc.notes
})

function keepNotes() {
  const said = notes.value.trim()
  if (said !== coupon.value.notes && said.length <= NOTES_MOST) bench.edit({ ...coupon.value, notes: said })
}
function keepVerdict() {
  const overrule =
    own.value && reason.value.trim() ? { verdict: verdict.value, reason: reason.value.trim().slice(0, 400) } : null
  if (JSON.stringify(overrule) !== JSON.stringify(coupon.value.overrule)) bench.edit({ ...coupon.value, overrule })
}
const setCleanUp = (cleanUp: Degree) => bench.edit({ ...coupon.value, cleanUp })
</script>

<template>
  <details class="remarks">
    <summary>Notes, clean-up, own verdict</summary>
    <div class="body">
      <div class="row" role="group" aria-label="Clean-up">
        <span>Clean-up</span>
        <button
          v-for="degree in ['sound', 'workable', 'poor'] as const"
          :key="degree"
          type="button"
          :aria-pressed="coupon.cleanUp === degree"
          @click="setCleanUp(degree)"
        >
          {{ degree }}
        </button>
      </div>
      <v-checkbox
        :model-value="coupon.mock"
        label="Mock test: run under test terms"
        density="compact"
        hide-details
        @update:model-value="bench.edit({ ...coupon, mock: $event === true })"
      />
      <v-textarea
        v-model="notes"
        label="Notes"
        rows="2"
        auto-grow
        :counter="NOTES_MOST"
        :error-messages="notes.length > NOTES_MOST ? [`At most ${NOTES_MOST} characters; the rest is not kept`] : []"
        @blur="keepNotes"
      />
      <v-checkbox
        v-model="own"
        label="My own verdict instead"
        density="compact"
        hide-details
        @update:model-value="keepVerdict"
      />
      <template v-if="own">
        <v-select
          v-model="verdict"
          label="Verdict"
          :items="['move on', 'run it again', 'start over']"
          hide-details
          @update:model-value="keepVerdict"
        />
        <v-text-field
          v-model="reason"
          label="Why"
          maxlength="400"
          :error-messages="reason.trim() ? [] : ['Say why; both verdicts are kept']"
          @blur="keepVerdict"
          @keydown.enter.prevent="keepVerdict"
        />
      </template>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
  font-weight: 600;
}
.body {
  display: grid;
  gap: 8px;
  padding-bottom: 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
button {
  min-height: 44px;
  padding: 0 11px;
  border: 1px solid var(--line);
  border-radius: 9px;
}
button[aria-pressed='true'] {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
</style>
