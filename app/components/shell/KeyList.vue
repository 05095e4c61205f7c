<script setup lang="ts">
/** The keys of a page. */
defineProps<{ keys: readonly (readonly [key: string, what: string])[] }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" max-width="520" aria-label="Keys" @update:model-value="$emit('close')">
    <div class="panel keys">
      <h2>Keys</h2>
      <dl>
        <template v-for="[key, what] in keys" :key="key"
          ><dt>
            <kbd>{{ key }}</kbd>
          </dt>
          <dd>{{ what }}</dd></template
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
</style>
