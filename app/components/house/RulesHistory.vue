<script setup lang="ts">
import { longDay } from '~~/core/calendar'
import { dayOf } from '~/composables/shopClock'
import type { RulesVersion } from '~~/contract/record'

/** Every version of the rules: who, when, why. An earlier one can be taken up as a draft. */
defineProps<{ versions: readonly RulesVersion[]; locked: boolean }>()
defineEmits<{ take: [version: RulesVersion] }>()
const day = (iso: string) => longDay(dayOf(iso))
</script>

<template>
  <section class="panel history" aria-label="Earlier versions">
    <h2>Versions</h2>
    <ol reversed>
      <li v-for="(version, index) in [...versions].reverse()" :key="version.version">
        <span
          ><b class="num">{{ version.version }}</b
          >{{ ' ' }}
          <template v-if="version.saved"
            >{{ version.saved.why }}<small>{{ version.saved.by }}, {{ day(version.saved.at) }}</small></template
          ><template v-else>what every school starts with</template></span
        >
        <span v-if="index === 0" class="quiet now">in force</span>
        <v-btn
          v-else-if="!locked"
          variant="text"
          :aria-label="`Take up version ${version.version}`"
          @click="$emit('take', version)"
          >Take up</v-btn
        >
      </li>
    </ol>
  </section>
</template>

<style scoped>
.history {
  padding: 16px;
  display: grid;
  gap: 6px;
}
h2 {
  font-size: 1rem;
  font-weight: 650;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  border-top: 1px solid var(--line);
  padding: 4px 0;
}

.now {
  white-space: nowrap;
}
small {
  display: block;
  color: var(--quiet);
}
b {
  margin-right: 6px;
}
</style>
