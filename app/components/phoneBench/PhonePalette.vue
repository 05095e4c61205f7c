<script setup lang="ts">
import type { Face } from '~~/core/coupon'
import { markKindsOn, type MarkKind } from '~/keys/markKinds'

/** The marks in reach of the thumb; each drops at the cursor. */
const props = defineProps<{ face: Face | undefined; upright: boolean }>()
defineEmits<{ drop: [kind: MarkKind]; more: [] }>()
const SHOWN = 11
const kinds = computed(() => markKindsOn(props.face).slice(0, SHOWN))
</script>

<template>
  <div class="palette" :class="{ upright }" role="toolbar" aria-label="Marks">
    <button v-for="kind in kinds" :key="kind.letter" type="button" @click="$emit('drop', kind)">
      {{ kind.is === 'flaw' ? kind.short : kind.name }}
    </button>
    <button type="button" @click="$emit('more')">More</button>
  </div>
</template>

<style scoped>
.palette {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 6px;
  padding: 6px 10px;
}
.palette.upright {
  grid-template-columns: repeat(2, minmax(0, 1fr));
  align-content: end;
  width: 172px;
}
button {
  min-height: 46px;
  padding: 0 2px;
  border-radius: 9px;
  font-size: 0.84rem;
  font-weight: 650;
  line-height: 1.1;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
}
button:active {
  background: rgb(var(--v-theme-surface-variant));
}
</style>
