<script setup lang="ts">
/** What a plan comes to: a name and a value each, as many beside each other as there is room for. */
defineProps<{ figures: readonly { readonly name: string; readonly value: string }[] }>()
</script>

<template>
  <dl class="num">
    <div v-for="figure in figures" :key="figure.name">
      <dt>{{ figure.name }}</dt>
      <dd>{{ figure.value }}</dd>
    </div>
  </dl>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 12px 18px;
}
dt {
  color: var(--quiet);
  font-size: 0.9rem;
}
dd {
  font-weight: 650;
  font-size: 1.08rem;
}
</style>
