<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { anHour, minutesUntil } from '~~/core/floor'
import type { FloorQueue } from '~~/contract/floor'

/** Who waits to be read, first first: since when, who reads, and how long all of it takes as it goes today. */
const props = defineProps<{
  queue: FloorQueue
  /** What a student was told last time; empty before there was a time. */
  told: (studentId: string) => string
  readBy: (studentId: string) => string | null
}>()
defineEmits<{ notReady: [studentId: string] }>()

const now = useNow({ interval: 15_000 })
const waits = (since: string) => Math.max(0, Math.floor((now.value.getTime() - Date.parse(since)) / 60_000))
const sayWait = (minutes: number) => (minutes === 0 ? 'just now' : `${minutes} min`)
const summary = computed(() => {
  const { waiting, minutesAReading: minutes, readers } = props.queue
  const all = Math.round(minutesUntil(waiting.length, minutes, readers))
  return `${waiting.length} ${waiting.length === 1 ? 'waits' : 'wait'} · about ${all} min at ${Math.round(
    anHour(minutes, readers),
  )} an hour`
})
</script>

<template>
  <section class="panel queue" aria-label="Waiting to be read">
    <header>
      <h2>Waiting to be read</h2>
      <p class="quiet num">{{ summary }}</p>
    </header>
    <ol>
      <li v-for="(one, n) in queue.waiting" :key="one.id" :class="{ held: readBy(one.studentId) }">
        <span class="place num">{{ n + 1 }}</span>
        <span class="booth num">{{ one.booth ? `booth ${one.booth}` : 'no booth' }}</span>
        <NuxtLink class="name" :to="`/record/${one.studentId}`">{{ one.name }}</NuxtLink>
        <span class="what">
          <span class="quiet num"
            >{{ sayWait(waits(one.since)) }}{{ one.readToday ? '' : ' · not read today' }}
            <b v-if="readBy(one.studentId)">with {{ readBy(one.studentId) }}</b></span
          >
          <span v-if="told(one.studentId)" class="told">{{ told(one.studentId) }}</span>
        </span>
        <span class="acts">
          <v-btn variant="text" :aria-label="`${one.name}: not ready`" @click="$emit('notReady', one.studentId)"
            >Not ready</v-btn
          >
          <v-btn
            variant="outlined"
            :to="{ path: '/bench', query: { student: one.studentId } }"
            :aria-label="`Read a coupon of ${one.name}`"
            >Read</v-btn
          >
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.queue {
  container-type: inline-size;
  padding: 14px 16px 8px;
  margin-bottom: 16px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 4px 16px;
  margin-bottom: 6px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 700;
}
li {
  display: grid;
  grid-template-columns: 34px 72px 170px minmax(0, 1fr) auto;
  align-items: center;
  gap: 12px;
  min-height: 56px;
  border-top: 1px solid var(--line);
}
.place {
  font-size: 1.25rem;
  font-weight: 700;
  text-align: center;
}
.name {
  font-size: 1.1rem;
  font-weight: 650;
  color: inherit;
  text-decoration: none;
  min-height: 44px;
  display: flex;
  align-items: center;
}
.what {
  display: grid;
  gap: 2px;
  padding: 6px 0;
}
.what b {
  font-weight: 650;
  color: rgb(var(--v-theme-on-surface));
}
.told {
  line-height: 1.3;
}
.held .name,
.held .place {
  color: var(--quiet);
}
.acts {
  display: flex;
  gap: 4px;
}
@container (max-width: 700px) {
  li {
    grid-template-columns: 30px minmax(0, 1fr) auto;
    gap: 2px 10px;
    padding: 8px 0;
  }
  .place {
    grid-row: span 2;
  }
  .booth {
    order: 1;
    grid-column: 2;
  }
  .what {
    order: 2;
    grid-column: 2 / -1;
    padding: 0;
  }
  .acts {
    grid-column: 3;
    grid-row: 1 / span 2;
  }
}
/* Beside the drawn shop: one under the other. */
@container (max-width: 420px) {
  li {
    grid-template-columns: 26px minmax(0, 1fr);
    align-items: baseline;
    gap: 0 8px;
    padding: 8px 0 4px;
  }
  .place {
    grid-row: span 3;
    text-align: left;
  }
  .name {
    grid-column: 2;
    min-height: 0;
    line-height: 1.3;
  }
  .booth {
    display: none;
  }
  .told {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    overflow: hidden;
    font-size: 0.9rem;
  }
  .acts {
    grid-column: 2;
    grid-row: auto;
    order: 3;
    justify-content: flex-end;
  }
}
</style>
