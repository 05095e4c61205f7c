<script setup lang="ts">
import type { RodsUsed } from '~~/contract/rodRoom'
import { stubLoss } from '~~/core/rodRoom'
import { useRods } from '~/stores/rods'

/** What went into the bin as stubs: of all, and of those who leave the most. */
const props = defineProps<{ used: RodsUsed }>()
const rods = useRods()
const LOSS_SHOWN = 5

const loss = computed(() => stubLoss(props.used.movements, rods.room.lots))
const byStudent = computed(() =>
  Object.entries(props.used.names)
    .flatMap(([id, name]) => {
      const own = stubLoss(
        props.used.movements.filter(line => line.studentId === id),
        rods.room.lots,
      )
      return own ? [{ name, ...own }] : []
    })
    .sort((a, b) => b.share - a.share)
    .slice(0, LOSS_SHOWN),
)
const money = (cents: number) => (cents / 100).toFixed(2)
const percent = (share: number) => `${Math.round(100 * share)} %`
</script>

<template>
  <div class="loss">
    <p v-if="!loss" class="quiet">Said once stubs are counted as rods come back.</p>
    <template v-else>
      <p class="num">
        {{ percent(loss.share) }} of {{ loss.rods }} rods went as stubs<template v-if="loss.cents !== null"
          >, worth {{ money(loss.cents) }} of what the boxes cost</template
        >; {{ loss.kept }} are long enough for a stub day.
      </p>
      <ul>
        <li v-for="one in byStudent" :key="one.name" class="num">
          <b>{{ one.name }}</b> {{ percent(one.share) }} of {{ one.rods }} rods<template v-if="one.kept > 0"
            >; {{ one.kept }} stubs to burn</template
          >
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.loss {
  display: grid;
  gap: 8px;
}
ul {
  padding: 0;
}
li {
  list-style: none;
  padding: 3px 0;
}
</style>
