<script setup lang="ts">
import { fixtureAt, moveFixture, takeAway, type BoothMeans, type Fixture, type ShopRoom } from '~~/core/floor'

/**
 * A room that is laid out: a thing is dragged to its place, or picked up by a tap and put down by another; by keys the
 * arrows move it and Delete takes it away.
 */
const room = defineModel<ShopRoom>({ required: true })
const props = defineProps<{ disabled: boolean }>()

type Place = Pick<Fixture, 'column' | 'row'>
const picked = ref<Place | null>(null)
const grid = useTemplateRef<HTMLElement>('grid')

const places = computed(() =>
  Array.from({ length: room.value.columns * room.value.rows }, (_, n) => {
    const place = { column: n % room.value.columns, row: Math.floor(n / room.value.columns) }
    return { n, place, thing: fixtureAt(room.value, place.column, place.row) }
  }),
)
const same = (one: Place | null, other: Place) => one?.column === other.column && one.row === other.row
const nameOf = ({ kind, booth }: Fixture) => (booth === null ? kind : `booth ${booth}`)
const sayPlace = ({ column, row }: Place) => `column ${column + 1}, row ${row + 1}`

function move(from: Place, to: Place) {
  room.value = moveFixture(room.value, from, to)
}
/** The first tap picks up what stands there, the next puts it down. */
function tap(place: Place) {
  if (props.disabled) return
  const from = picked.value
  picked.value = from ? null : fixtureAt(room.value, place.column, place.row) ? place : null
  if (from) move(from, place)
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
async function press(event: KeyboardEvent, place: Place) {
  const step = STEPS[event.key]
  const gone = event.key === 'Delete' || event.key === 'Backspace'
  if (event.key === 'Escape') picked.value = null
  if (props.disabled || (!step && !gone)) return
  event.preventDefault()
  if (gone) {
    room.value = takeAway(room.value, place)
    return
  }
  const to = { column: place.column + step![0], row: place.row + step![1] }
  if (to.column < 0 || to.column >= room.value.columns || to.row < 0 || to.row >= room.value.rows) return
  move(place, to)
  await nextTick()
  grid.value?.querySelectorAll('button')[to.row * room.value.columns + to.column]?.focus()
}
const held = computed(() => picked.value && fixtureAt(room.value, picked.value.column, picked.value.row))
function remove() {
  room.value = takeAway(room.value, picked.value!)
  picked.value = null
}
/** What a booth is good for goes with it. */
function setMeans(means: BoothMeans | undefined) {
  const { column, row } = picked.value!
  room.value = {
    ...room.value,
    fixtures: room.value.fixtures.map(one => (one.column === column && one.row === row ? { ...one, means } : one)),
  }
}
const dragged = ref<Place | null>(null)
function drop(place: Place) {
  if (dragged.value) move(dragged.value, place)
  dragged.value = null
}
</script>

<template>
  <div ref="grid" class="grid" :style="{ '--columns': room.columns }" role="group" :aria-label="room.name">
    <button
      v-for="{ n, place, thing } in places"
      :key="n"
      type="button"
      :class="{ free: !thing, booth: thing?.kind === 'booth', picked: same(picked, place) }"
      :draggable="Boolean(thing) && !disabled"
      :aria-label="`${thing ? nameOf(thing) : 'aisle'}, ${sayPlace(place)}`"
      :aria-pressed="same(picked, place)"
      @click="tap(place)"
      @keydown="press($event, place)"
      @dragstart="dragged = place"
      @dragover.prevent
      @drop.prevent="drop(place)"
    >
      {{ thing ? nameOf(thing) : '' }}
    </button>
  </div>
  <BoothMeansForm
    v-if="held && held.booth !== null"
    :booth="held.booth"
    :model-value="held.means"
    @update:model-value="setMeans"
  />
  <v-btn v-if="held" variant="text" class="remove" @click="remove">Take {{ nameOf(held) }} away</v-btn>
</template>

<style scoped>
.remove {
  justify-self: start;
}
.grid {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  gap: 8px;
}
.grid button {
  min-height: 64px;
  border: 1px solid var(--line);
  border-radius: 8px;
  font-size: 0.9rem;
  line-height: 1.15;
  overflow-wrap: anywhere;
}
.grid .booth {
  border-top: 5px solid var(--temper-bronze);
  font-weight: 650;
}
.grid .free {
  border-style: dashed;
}
.grid .picked {
  outline: 3px solid rgb(var(--v-theme-primary));
  outline-offset: 1px;
}
</style>
