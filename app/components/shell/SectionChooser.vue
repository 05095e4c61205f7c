<script setup lang="ts">
import { useSections } from '~/stores/sections'

const sections = useSections()
</script>

<template>
  <v-select
    v-if="sections.all.length > 1"
    class="chooser"
    label="Section"
    hide-details
    :items="sections.all.map(one => ({ value: one.id, title: one.name }))"
    :model-value="sections.current?.id"
    @update:model-value="sections.choose($event)"
  />
</template>

<style scoped>
.chooser {
  max-width: 260px;
  min-width: 200px;
}
</style>
