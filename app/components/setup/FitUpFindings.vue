<script setup lang="ts">
import type { FitUpCheck } from '~~/core/setup'
import { round } from '~~/core/units'

/** What is off in a fit-up and what it will do, and the next pre-set. */
defineProps<{ check: FitUpCheck }>()
</script>

<template>
  <div class="findings" role="status">
    <ul v-if="check.findings.length > 0">
      <li v-for="finding in check.findings" :key="finding.text">
        <b>{{ finding.text }}.</b> {{ finding.then }}.
      </li>
    </ul>
    <p v-else class="quiet">Nothing off: gauge again after each tack.</p>
    <p v-if="check.nextPresetDegrees !== null">
      <b>Pre-set the next one {{ round(check.nextPresetDegrees, 1) }}°.</b>
    </p>
  </div>
</template>

<style scoped>
li {
  padding: 3px 0;
}
li b {
  color: rgb(var(--v-theme-warning));
}
</style>
