<script setup lang="ts">
import type { KeyRow } from '~/keys/keyTable'

/** The keys of a page. */
defineProps<{ keys: readonly KeyRow[] }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" max-width="520" aria-label="Keys" @update:model-value="$emit('close')">
    <div class="panel keys">
      <h2>Keys</h2>
      <dl>
        <template v-for="{ shown, says } in keys" :key="shown"
          ><dt>
            <kbd v-for="key in shown.split(' / ')" :key="key">{{ key }}</kbd>
          </dt>
          <dd>{{ says }}</dd></template
        >
      </dl>
      <v-btn color="primary" block autofocus @click="$emit('close')">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.keys {
  padding: 22px;
  display: grid;
  gap: 14px;
  max-height: 88dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 7px 16px;
  align-items: center;
}
dt {
  display: flex;
  gap: 4px;
}
</style>
