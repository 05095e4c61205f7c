<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { boothState, classInShop, fixtureAt } from '~~/core/floor'
import type { FloorStudent } from '~~/contract/people'
import { today } from '~/composables/shopClock'
import { useFloor } from '~/stores/floor'
import { useShop } from '~/stores/shop'

/** The class as it stands in the shop, drawn as the shop is laid out. */
const emit = defineEmits<{
  ready: [studentId: string, ready: boolean]
  takeOut: [booth: number]
  putBack: [id: string]
  clamp: [booth: number]
}>()
const floor = useFloor()
const shop = useShop()
const now = useNow({ interval: 15_000 })

const shown = computed(() => classInShop(shop.shop.plan, floor.students))
const minutesSince = (moment: string) => Math.max(0, Math.floor((now.value.getTime() - Date.parse(moment)) / 60_000))
const sayAgo = (minutes: number) => (minutes < 60 ? `${minutes} min ago` : `${Math.floor(minutes / 60)} h ago`)

/** All that a tile shows of a booth, and of who has it. */
function tileOf(booth: number | null, student: FloorStudent | null) {
  const fault = floor.booths.faults.find(one => one.booth === booth) ?? null
  const ofToday = floor.booths.students.find(one => one.id === student?.id) ?? null
  const wait = student ? floor.waitOf(student.id) : null
  const hold = floor.queue.holds.find(one => one.studentId === student?.id) ?? null
  const who = student && { here: ofToday?.here ?? false, waits: wait !== null, readNow: hold !== null }
  const state = boothState(who, fault !== null)
  const beside = hold ? hold.by.name.split(' ')[0]! : wait ? `${minutesSince(wait.since)} min` : ''
  const readToday = student?.last?.classDay === today()
  return {
    booth,
    student,
    state,
    today: ofToday,
    fault,
    beside: fault ? '' : beside,
    readAgo: readToday ? sayAgo(minutesSince(student!.last!.savedAt)) : '',
  }
}
type Tile = ReturnType<typeof tileOf>
const acts = (tile: Tile) => ({
  ready: () => emit('ready', tile.student!.id, true),
  notReady: () => emit('ready', tile.student!.id, false),
  takeOut: () => emit('takeOut', tile.booth!),
  putBack: () => emit('putBack', tile.fault!.id),
  clamp: () => emit('clamp', tile.booth!),
})

/** Every place of a room, row by row: a booth, another thing, or an aisle. */
const rooms = computed(() =>
  shown.value.rooms.map(room => ({
    name: room.name,
    columns: room.columns,
    places: Array.from({ length: room.columns * room.rows }, (_, n) => {
      const fixture = fixtureAt(room, n % room.columns, Math.floor(n / room.columns))
      const tile = fixture?.booth ? tileOf(fixture.booth, shown.value.inBooth.get(fixture.booth) ?? null) : null
      return { key: n, thing: fixture && !tile ? fixture.kind : null, tile }
    }),
  })),
)
const elsewhere = computed(() => shown.value.elsewhere.map(student => tileOf(student.booth, student)))
</script>

<template>
  <div class="shop">
    <section v-for="(room, n) in rooms" :key="n" class="room" :aria-label="room.name || 'The shop'">
      <h2 v-if="room.name">{{ room.name }}</h2>
      <ul :style="{ '--columns': room.columns }">
        <li
          v-for="place in room.places"
          :key="place.key"
          :class="{ thing: place.thing, aisle: !place.tile && !place.thing }"
        >
          <BoothTile v-if="place.tile" v-bind="place.tile" v-on="acts(place.tile)" />
          <template v-else-if="place.thing">{{ place.thing }}</template>
        </li>
      </ul>
    </section>
    <section v-if="elsewhere.length > 0" class="room" aria-label="Without a booth of their own">
      <h2>Without a booth of their own</h2>
      <ul :style="{ '--columns': Math.max(4, rooms[0]?.columns ?? 0) }">
        <li v-for="tile in elsewhere" :key="tile.student!.id"><BoothTile v-bind="tile" v-on="acts(tile)" /></li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 12px;
  align-content: start;
}
.room {
  border: 2px solid var(--line);
  border-radius: 12px;
  padding: 12px;
}
h2 {
  font-size: 0.9rem;
  font-weight: 650;
  color: var(--quiet);
  margin: -4px 0 6px;
}
ul {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  gap: 10px;
}
.thing {
  display: grid;
  place-content: center;
  text-align: center;
  font-size: 0.85rem;
  color: var(--quiet);
  border: 1px dashed var(--line);
  border-radius: 8px;
  padding: 4px;
  min-height: 36px;
}
</style>
