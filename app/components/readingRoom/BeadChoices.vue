<script setup lang="ts">
/** What may be answered, each with its key; afterwards the true one and the one that was said. */
const props = defineProps<{
  heading: string
  choices: readonly { readonly id: string; readonly name: string }[]
  said: string | null
  truth: string | null
}>()
defineEmits<{ say: [id: string] }>()
const mark = (id: string) =>
  props.truth === null ? '' : id === props.truth ? 'true' : id === props.said ? 'wrong' : 'other'
</script>

<template>
  <section :aria-label="heading">
    <h2>{{ heading }}</h2>
    <ol>
      <li v-for="(choice, index) in choices" :key="choice.id">
        <button
          type="button"
          :class="mark(choice.id)"
          :aria-pressed="choice.id === said"
          :disabled="truth !== null"
          @click="$emit('say', choice.id)"
        >
          <kbd aria-hidden="true">{{ index + 1 }}</kbd><span>{{ choice.name }}</span>
          <small v-if="mark(choice.id) === 'true'">{{ choice.id === said ? 'right' : 'was right' }}</small><small
            v-else-if="mark(choice.id) === 'wrong'"
            >you said</small
          >
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.05rem;
  font-weight: 650;
  padding-bottom: 8px;
}
ol {
  display: grid;
  gap: 6px;
}
button {
  display: flex;
  align-items: center;
  gap: 12px;
  width: 100%;
  min-height: 48px;
  padding: 6px 14px;
  border: 1px solid var(--line);
  border-radius: 10px;
  text-align: left;
  background: rgb(var(--v-theme-surface));
}
button:not(:disabled):hover,
button[aria-pressed='true'] {
  border-color: currentColor;
}
small {
  margin-left: auto;
  padding-left: 8px;
  color: var(--quiet);
  white-space: nowrap;
}
.true {
  border: 2px solid rgb(var(--v-theme-success));
  font-weight: 650;
}
.wrong {
  border: 2px dashed var(--poor);
}
.other {
  opacity: 0.6;
}
</style>
