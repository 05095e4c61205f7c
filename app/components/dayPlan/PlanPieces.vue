<script setup lang="ts">
import { PIECES, type PieceKind } from '~~/core/trade'

/** How many pieces there are, kind by kind: those that were not counted are left out. */
type Counted = Partial<Readonly<Record<PieceKind, number>>>
const props = defineProps<{ heading: string; none: string; takeOut: string; add: string; pieces: Counted }>()
const emit = defineEmits<{ change: [pieces: Counted] }>()

const MOST = 999
const kind = ref<PieceKind>('pad')
const there = ref('')
const counted = computed(() => PIECES.filter(one => props.pieces[one.kind] !== undefined))
function count() {
  const many = Math.round(Number(there.value))
  if (!(many >= 0 && many <= MOST)) return
  emit('change', { ...props.pieces, [kind.value]: many })
  there.value = ''
}
function takeOutOf(taken: PieceKind) {
  const { [taken]: _, ...others } = props.pieces
  emit('change', others)
}
</script>

<template>
  <div class="part" role="group" :aria-label="heading">
    <h3>{{ heading }}</h3>
    <p v-if="counted.length === 0" class="quiet">{{ none }}</p>
    <ul>
      <li v-for="one in counted" :key="one.kind">
        <span>{{ pieces[one.kind] }} × {{ one.name }}</span>
        <v-btn variant="text" :aria-label="`${takeOut}: ${one.name}`" @click="takeOutOf(one.kind)">{{ takeOut }}</v-btn>
      </li>
    </ul>
    <form class="fields" @submit.prevent="count">
      <v-select
        v-model="kind"
        :items="PIECES.map(one => ({ value: one.kind, title: one.name }))"
        label="Piece"
        hide-details
        class="wide"
      />
      <v-text-field v-model="there" label="How many" type="number" min="0" :max="MOST" hide-details />
      <v-btn variant="outlined" type="submit" :disabled="there === ''">{{ add }}</v-btn>
    </form>
  </div>
</template>
