<script setup lang="ts">
import type { Face } from '~~/core/coupon'
import { markKindsOn, PALETTE_SIZE, type MarkKind } from '~/keys/markKinds'

/** The marks under the drawing; each has its letter and drops at the cursor. */
const props = defineProps<{ face: Face | undefined }>()
defineEmits<{ drop: [kind: MarkKind]; more: [] }>()
const kinds = computed(() => markKindsOn(props.face).slice(0, PALETTE_SIZE))
</script>

<template>
  <div class="palette" role="toolbar" aria-label="Marks">
    <button v-for="kind in kinds" :key="kind.letter" type="button" @click="$emit('drop', kind)">
      <kbd aria-hidden="true">{{ kind.letter }}</kbd><span>{{ kind.is === 'flaw' ? kind.short : kind.name }}</span>
    </button>
    <button type="button" @click="$emit('more')"><kbd aria-hidden="true">X</kbd><span>More</span></button>
  </div>
</template>

<style scoped>
.palette {
  display: grid;
  grid-template-columns: repeat(11, minmax(0, 1fr));
  gap: 6px;
  padding: 10px 14px;
  background: rgb(var(--v-theme-surface-variant));
  border-top: 1px solid var(--line);
}
button {
  min-height: 58px;
  border-radius: 10px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
  display: grid;
  place-content: center;
  justify-items: center;
  gap: 4px;
  font-size: clamp(0.74rem, 1.06vw, 0.86rem);
  font-weight: 600;
  padding: 2px;
}
button:hover {
  border-color: currentColor;
}
button:active {
  background: rgb(var(--v-theme-surface-variant));
}
span {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
@media (max-width: 1000px) {
  .palette {
    grid-template-columns: repeat(6, minmax(0, 1fr));
  }
  button {
    min-height: 48px;
  }
}
@media (max-width: 480px) {
  .palette {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
}
</style>
