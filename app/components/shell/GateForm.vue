<script setup lang="ts">
/** The form at the door, before any room is shown. */
defineProps<{ heading: string }>()
defineEmits<{ submit: [] }>()
</script>

<template>
  <div class="gate">
    <form class="panel" novalidate @submit.prevent="$emit('submit')">
      <p class="brand">Fusilis</p>
      <h1>{{ heading }}</h1>
      <slot />
    </form>
  </div>
</template>

<style scoped>
.gate {
  min-height: 100dvh;
  display: grid;
  place-items: center;
  padding: 20px;
  background: linear-gradient(160deg, #2b353a, #171d20);
}
form {
  width: min(400px, 100%);
  padding: 32px;
  display: grid;
  gap: 10px;
}
.brand {
  font-weight: 700;
  color: rgb(var(--v-theme-primary));
}
h1 {
  font-size: 1.5rem;
  font-weight: 700;
  margin-bottom: 10px;
  letter-spacing: -0.01em;
}
</style>
