<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { wallColumns, wallPlaces } from '~~/core/floor'
import { clockNow } from '~/composables/shopClock'
import { useFloorLive } from '~/composables/floorLive'
import { useLoader } from '~/composables/loader'
import { useWall } from '~/stores/wall'

/**
 * The class on a wall screen, to be read from five metres: booth by booth who waits, who is read, and who has not been
 * read today. Nothing on it is private, and nothing is to be clicked.
 */
const wall = useWall()
useHead({ title: 'Wall · Fusilis' })
const { loading, problem, load } = useLoader(wall.load)
onMounted(load)
useFloorLive(
  () => wall.sectionId,
  () => void wall.follow().catch(() => {}),
)

const now = useNow({ interval: 15_000 })
const places = computed(() => {
  if (!wall.shown) return []
  const { students, queue } = wall.shown
  return wallPlaces(students, queue.waiting, queue.holds, now.value)
})
const columns = computed(() => wallColumns(places.value.length))
const SHAPES = { 'read now': '◉', 'waits': '◆', 'not read': '○', 'read': '●' } as const
</script>

<template>
  <div class="wall">
    <header>
      <h1>{{ wall.shown?.section ?? 'Wall' }}</h1>
      <p v-if="wall.shown" class="num">
        {{ wall.shown.queue.waiting.length }} waiting · {{ wall.shown.queue.readings }} read today · {{ clockNow(now) }}
      </p>
    </header>
    <PageState v-if="problem || (loading && !wall.shown)" :problem="problem" :loading="loading" @again="load" />
    <PageState v-else-if="!wall.sectionId" empty="There is no section to show." />
    <PageState v-else-if="places.length === 0" empty="Nobody is in this section yet." />
    <ul v-else :style="{ '--columns': columns }">
      <li v-for="place in places" :key="place.id" :class="place.state.replace(' ', '-')">
        <div class="place">
          <span class="booth num">{{ place.booth ?? '–' }}</span>
          <span class="name">{{ place.name }}</span>
          <span class="state"
            ><span aria-hidden="true">{{ SHAPES[place.state] }}</span> {{ place.says }}</span
          >
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.wall {
  min-height: 100dvh;
  padding: 2vmin 2.4vmin;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  gap: 2vmin;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 0 4vmin;
}
h1 {
  font-size: max(1.5rem, 4.4vmin);
  font-weight: 700;
}
header p {
  font-size: max(1.1rem, 3.6vmin);
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  grid-auto-rows: minmax(0, 1fr);
  gap: 1.4vmin;
}
li {
  display: grid;
  place-content: center stretch;
  container-type: inline-size;
  border-radius: 12px;
  border: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
}
/* What is written grows with its booth: few booths are read from farther off. */
.place {
  display: grid;
  grid-template: auto auto / auto minmax(0, 1fr);
  align-items: center;
  gap: 0 5cqi;
  padding: 8px 6cqi;
}
.booth {
  grid-row: span 2;
  font-size: max(1.6rem, 24cqi);
  font-weight: 700;
  line-height: 1;
  min-width: 1.1em;
  text-align: center;
}
.name {
  font-size: max(1.05rem, 12.5cqi);
  font-weight: 650;
  line-height: 1.15;
  overflow-wrap: anywhere;
}
.state {
  font-size: max(1rem, 8.5cqi);
  white-space: nowrap;
  line-height: 1.25;
}
.waits {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-surface));
}
.read-now {
  border: 3px solid rgb(var(--v-theme-on-surface));
}
.read {
  color: var(--quiet);
}
@media (max-width: 900px) {
  ul {
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 200px), 1fr));
    grid-auto-rows: auto;
    align-content: start;
  }
}
</style>
