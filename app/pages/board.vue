<script setup lang="ts">
import type { LadderRung, RungState } from '~~/core/ladder'
import type { Board, BoardRow } from '~~/contract/progress'
import { BOARD_ORDERS, inOrder, type BoardOrder } from '~/components/board/boardOrder'
import { today } from '~/composables/shopClock'
import { useLoader } from '~/composables/loader'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { useSections } from '~/stores/sections'

/** The section against the ladder: who is stuck, who is ready to move up. */
const sections = useSections()
const progress = useProgress()
const houseRules = useHouseRules()
useHead({ title: 'Board · Fusilis' })

const board = shallowRef<Board | null>(null)
const order = ref<BoardOrder>('ready to move up')
const open = shallowRef<{ row: BoardRow; state: RungState } | null>(null)
const { loading, problem, load } = useLoader(async () => {
  await Promise.all([houseRules.load(), sections.loaded ? undefined : sections.load()])
  if (sections.current) board.value = await progress.boardOf(sections.current.id)
})
onMounted(load)
watch(
  () => sections.current?.id,
  (id, before) => {
    if (before && id) void load()
  },
)

const rows = computed(() => inOrder(board.value?.rows ?? [], order.value))
const ready = computed(() =>
  inOrder(board.value?.rows ?? [], 'by name').flatMap(row =>
    row.climb.filter(state => state.status === 'ready').map(state => ({ row, state, rung: rungOf(state.rungId) })),
  ),
)
const rungOf = (id: string): LadderRung => board.value!.ladder.ladder.rungs.find(rung => rung.id === id)!
const needsOf = (rung: LadderRung, row: BoardRow) =>
  rung.needs
    .filter(id => row.climb.find(state => state.rungId === id)?.status !== 'signed off')
    .map(id => rungOf(id).name)

async function changed() {
  open.value = null
  await load()
}
const LEGEND = [
  ['straw', 'begun'],
  ['bronze', 'half way'],
  ['purple', 'ready'],
  ['blue', 'signed off'],
] as const
</script>

<template>
  <div class="page wide">
    <header class="page-head">
      <div>
        <h1>Board</h1>
        <p v-if="board">{{ board.ladder.ladder.name }}</p>
      </div>
      <div class="push orders">
        <v-select v-model="order" label="In order" hide-details :items="[...BOARD_ORDERS]" />
      </div>
      <SectionChooser />
      <v-btn variant="outlined" to="/report">Report</v-btn>
    </header>
    <PageState v-if="problem || (loading && !board)" :problem="problem" :loading="loading" @again="load" />
    <EmptySection v-else-if="!sections.current || (board && board.rows.length === 0)" />
    <template v-else-if="board">
      <section v-if="ready.length > 0" class="ready" aria-label="Ready to move up">
        <h2>Ready to sign off</h2>
        <ul>
          <li v-for="one in ready" :key="`${one.row.student.id} ${one.state.rungId}`">
            <button type="button" @click="open = one">
              <b>{{ one.row.student.name }}</b> {{ one.rung.name }}
            </button>
          </li>
        </ul>
      </section>
      <BoardGrid
        :rows="rows"
        :ladder="board.ladder.ladder"
        :order="order"
        :today="today()"
        @open="(row, state) => (open = { row, state })"
      />
      <ul class="legend" aria-label="Colours">
        <li v-for="[heat, name] in LEGEND" :key="heat">
          <i :style="{ background: `var(--temper-${heat})` }" />{{ name }}
        </li>
        <li>the number: coupons; the bar under it: run this week, or within three</li>
      </ul>
    </template>
    <RungSheet
      v-if="open"
      :key="`${open.row.student.id} ${open.state.rungId}`"
      :student-id="open.row.student.id"
      :name="open.row.student.name"
      :rung="rungOf(open.state.rungId)"
      :state="open.state"
      :needs="needsOf(rungOf(open.state.rungId), open.row)"
      @close="open = null"
      @changed="changed"
    />
  </div>
</template>

<style scoped>
.wide {
  max-width: 1500px;
}
.page-head {
  margin-bottom: 12px;
}
.orders {
  min-width: 210px;
}
.ready {
  display: flex;
  align-items: center;
  gap: 14px;
  margin-bottom: 12px;
}
.ready h2 {
  font-weight: 650;
  white-space: nowrap;
}
.ready ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.ready button {
  min-height: 44px;
  padding: 4px 14px;
  border-radius: 22px;
  background: rgb(var(--v-theme-surface));
  border: 2px solid var(--temper-purple);
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  padding-top: 10px;
  font-size: 0.9rem;
  color: var(--quiet);
}
.legend li {
  display: flex;
  align-items: center;
  gap: 8px;
}
.legend i {
  width: 18px;
  height: 14px;
  border-radius: 4px;
}
@media (max-width: 700px) {
  .ready {
    display: block;
  }
}
</style>
