<script setup lang="ts">
import { helpAt } from '~/keys/roomHelp'

/** What a person does in this room, in a few drawn steps, and its keys. */
defineEmits<{ close: [] }>()
const route = useRoute()
const help = computed(() => helpAt(route.path))
const keys = computed(() => help.value?.keys ?? [])
const name = computed(() => help.value?.name ?? 'Keys')
</script>

<template>
  <v-dialog :model-value="true" max-width="640" :aria-label="name" @update:model-value="$emit('close')">
    <div class="panel help">
      <h2>{{ name }}</h2>
      <ol v-if="help" class="steps">
        <li v-for="step in help.steps" :key="step.says">
          <span class="drawn"><v-icon :icon="step.icon" size="34" /></span>{{ step.says }}
        </li>
      </ol>
      <template v-if="keys.length > 0">
        <h3>Keys</h3>
        <dl>
          <template v-for="{ shown, says } in keys" :key="shown"
            ><dt>
              <kbd v-for="key in shown.split(' / ')" :key="key">{{ key }}</kbd>
            </dt>
            <dd>{{ says }}</dd></template
          >
        </dl>
      </template>
      <v-btn color="primary" block autofocus @click="$emit('close')">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.help {
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
h3 {
  font-size: 1rem;
  font-weight: 700;
}
.steps {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 18px;
  counter-reset: step;
}
.steps li {
  counter-increment: step;
  line-height: 1.4;
}
.drawn {
  display: flex;
  align-items: center;
  gap: 10px;
  padding-bottom: 8px;
}
.drawn::before {
  content: counter(step);
  font-weight: 700;
  font-size: 1.1rem;
}
.steps li:not(:last-child) .drawn::after {
  content: '';
  flex: 1;
  border-top: 2px solid currentColor;
  opacity: 0.35;
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
