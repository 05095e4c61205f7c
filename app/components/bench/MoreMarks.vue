<script setup lang="ts">
import { DISCONTINUITIES } from '~~/core/trade'
import type { Face } from '~~/core/coupon'
import { markKindsOn, type MarkKind } from '~/keys/markKinds'

/** Every mark there is, by its letter; a press of the letter drops it. */
const props = defineProps<{ face: Face | undefined }>()
const kinds = computed(() => markKindsOn(props.face))
const emit = defineEmits<{ drop: [kind: MarkKind]; close: [] }>()
const looks = new Map<string, string>(DISCONTINUITIES.map(row => [row.id, row.looksLike]))

function letter(event: KeyboardEvent) {
  const kind = kinds.value.find(row => row.letter === event.key.toUpperCase())
  if (!kind || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  emit('drop', kind)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="760" aria-label="More marks" @update:model-value="$emit('close')">
    <div class="panel more" @keydown="letter">
      <h2>Marks</h2>
      <ul>
        <li v-for="(kind, index) in kinds" :key="kind.letter">
          <button type="button" :autofocus="index === 0" @click="$emit('drop', kind)">
            <kbd aria-hidden="true">{{ kind.letter }}</kbd>
            <span
              ><b>{{ kind.name }}</b
              ><small v-if="kind.is === 'flaw'">{{ looks.get(kind.flaw) }}</small></span
            >
          </button>
        </li>
      </ul>
    </div>
  </v-dialog>
</template>

<style scoped>
.more {
  padding: 20px;
  max-height: 86dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
  margin-bottom: 10px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 6px;
}
button {
  width: 100%;
  min-height: 52px;
  display: flex;
  align-items: center;
  gap: 10px;
  text-align: left;
  padding: 6px 10px;
  border: 1px solid var(--line);
  border-radius: 9px;
  line-height: 1.25;
}
button:hover {
  border-color: currentColor;
}
small {
  display: block;
  color: var(--quiet);
  font-size: 0.8rem;
}
</style>
