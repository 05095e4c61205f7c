<script setup lang="ts">
import type { RetestOption } from '~~/core/welderTest'
import { spokenDay } from '~~/core/calendar'

/** The ways to a retest: how many pieces, and from when. */
defineProps<{ options: readonly RetestOption[] }>()
defineEmits<{ choose: [pieces: number]; close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="Plan the retest" @update:model-value="$emit('close')">
    <section class="panel choice">
      <h2>Plan the retest</h2>
      <div v-for="(option, n) in options" :key="option.says" class="option">
        <p>
          {{ option.says }}.
          <span class="quiet">{{
            option.from ? `From ${spokenDay(option.from)}.` : 'From when the training is shown.'
          }}</span>
        </p>
        <v-btn
          :color="n === 0 ? 'primary' : undefined"
          :variant="n === 0 ? 'flat' : 'outlined'"
          :autofocus="n === 0"
          @click="$emit('choose', option.pieces)"
          >{{ option.pieces === 1 ? 'One piece' : `${option.pieces} pieces` }}</v-btn
        >
      </div>
      <div class="end"><v-btn variant="text" @click="$emit('close')">Leave it</v-btn></div>
    </section>
  </v-dialog>
</template>

<style scoped>
.choice {
  padding: 22px;
  display: grid;
  gap: 14px;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
.option {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 16px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.end {
  text-align: right;
}
</style>
