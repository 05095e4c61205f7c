<script setup lang="ts">
/** One step of the first day: its number or its tick, what it is for, and what is done in it while it is open. */
defineProps<{ number: number; name: string; why: string; done: boolean; open: boolean; came: string }>()
defineEmits<{ open: [] }>()
</script>

<template>
  <li class="panel step" :class="{ done }">
    <button type="button" class="line" :aria-expanded="open" @click="$emit('open')">
      <span class="mark" aria-hidden="true">{{ done ? '✓' : number }}</span>
      <span class="words">
        <b>{{ name }}</b>
        <small>{{ done ? came : why }}</small>
      </span>
      <span v-if="done" class="sr-only">done</span>
    </button>
    <div v-if="open" class="work"><slot /></div>
  </li>
</template>

<style scoped>
.step {
  list-style: none;
  padding: 0;
}
.line {
  display: flex;
  gap: 16px;
  align-items: center;
  width: 100%;
  min-height: 64px;
  padding: 10px 18px;
  text-align: left;
}
.mark {
  flex: none;
  display: grid;
  place-items: center;
  width: 34px;
  height: 34px;
  border: 2px solid currentColor;
  border-radius: 50%;
  font-weight: 700;
}
.done .mark {
  color: rgb(var(--v-theme-primary));
}
.words {
  display: grid;
}
.words b {
  font-size: 1.08rem;
}
small {
  font-size: 0.92rem;
  color: var(--quiet);
}
.work {
  padding: 4px 18px 20px 68px;
  display: grid;
  gap: 14px;
  justify-items: start;
}
@media (max-width: 700px) {
  .work {
    padding-left: 18px;
  }
}
</style>
