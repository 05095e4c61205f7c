<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiDragHorizontalVariant } from '@mdi/js'
import { v7 as uuid } from 'uuid'
import { VueDraggable } from 'vue-draggable-plus'
import { ladderFaults, saySignOff, SHIPPED_LADDERS, type Ladder, type LadderRung } from '~~/core/ladder'
import type { LadderVersion } from '~~/contract/progress'
import { useLoader } from '~/composables/loader'
import { useVersionedDraft } from '~/composables/versionedDraft'
import { useHouseRules } from '~/stores/houseRules'
import { useProgress } from '~/stores/progress'
import { useSession } from '~/stores/session'

/**
 * The school's ladder: rungs in order by drag or by keys, each with what it needs, trains, and when it is signed
 * off.
 */
const store = useProgress()
const houseRules = useHouseRules()
const session = useSession()
useHead({ title: 'Ladder · Fusilis' })

const inForce = shallowRef<LadderVersion | null>(null)
const { draft, why, busy, refused, begin, edit: put, leave, save } = useVersionedDraft<Ladder>('ladder')
const chosenId = ref('')

const { loading, problem, load } = useLoader(async () => {
  await houseRules.load()
  inForce.value = await store.ladder()
})
onMounted(load)

const ladder = computed(() => draft.value?.sheet ?? inForce.value?.ladder ?? null)
const rungs = computed(() => ladder.value?.rungs ?? [])
const chosen = computed(() => rungs.value.find(rung => rung.id === chosenId.value) ?? null)
const faults = computed(() => (ladder.value ? ladderFaults(ladder.value) : []))
const inARow = computed(() => houseRules.current.rules.goodInARow)
const before = computed(() =>
  rungs.value
    .slice(
      0,
      rungs.value.findIndex(rung => rung.id === chosenId.value),
    )
    .filter(rung => !rung.retired),
)
const nameOf = (id: string) => rungs.value.find(rung => rung.id === id)?.name ?? id

function edit(next: readonly LadderRung[]) {
  if (!inForce.value || !ladder.value) return
  const edited = { ...ladder.value, rungs: next }
  if (draft.value) put(edited)
  else begin(edited, inForce.value.version)
}
const order = computed({ get: () => [...rungs.value], set: edit })
const change = (rung: LadderRung) => edit(rungs.value.map(row => (row.id === rung.id ? rung : row)))
function move(id: string, step: 1 | -1) {
  const from = rungs.value.findIndex(rung => rung.id === id)
  const to = from + step
  if (to < 0 || to >= rungs.value.length) return
  const next = [...rungs.value]
  ;[next[from], next[to]] = [next[to]!, next[from]!]
  edit(next)
}
function add() {
  const rung: LadderRung = {
    id: uuid(),
    name: 'new rung',
    piece: 'pad',
    position: '1G',
    open: false,
    rods: 'new',
    hand: 'own',
    coupons: 4,
    needs: [],
    trains: ['run'],
    signOff: { by: 'in a row', good: null },
    retired: false,
  }
  edit([...rungs.value, rung])
  chosenId.value = rung.id
}
/** A shipped ladder's rungs and order; rungs it does not have are retired, as sign-offs may name them. */
function startFrom(name: string) {
  const shipped = SHIPPED_LADDERS.find(one => one.name === name)!
  const others = rungs.value
    .filter(rung => !shipped.rungs.some(row => row.id === rung.id))
    .map(rung => ({ ...rung, retired: true }))
  edit([...shipped.rungs, ...others])
}
const keep = () =>
  save(faults.value[0]?.message ?? '', async ({ sheet, why: said, baseVersion }) => {
    inForce.value = await store.saveLadder({ baseVersion, why: said, ladder: sheet })
  })
</script>

<template>
  <div class="page">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else-if="ladder && inForce" class="two">
      <section class="panel list" aria-label="The ladder">
        <header>
          <h2>{{ ladder.name }}</h2>
          <p class="quiet">
            {{
              inForce.saved
                ? `Version ${inForce.version} by ${inForce.saved.by}: ${inForce.saved.why}`
                : 'As shipped. Common practice; every school sets its own.'
            }}
          </p>
        </header>
        <VueDraggable v-model="order" tag="ol" handle=".handle" :animation="120" :disabled="!session.isLead">
          <li v-for="rung in order" :key="rung.id" :class="{ chosen: rung.id === chosenId, retired: rung.retired }">
            <span v-if="session.isLead" class="handle" aria-hidden="true"
              ><v-icon :icon="mdiDragHorizontalVariant" size="22"
            /></span>
            <button type="button" class="name" :aria-pressed="rung.id === chosenId" @click="chosenId = rung.id">
              <b>{{ rung.name }}</b><small>{{
                rung.retired
                  ? 'retired'
                  : `${saySignOff(rung.signOff, inARow)}${rung.needs.length > 0 ? `; after ${rung.needs.map(nameOf).join(', ')}` : ''}`
              }}</small>
            </button>
            <template v-if="session.isLead">
              <button type="button" class="step" :aria-label="`${rung.name} up`" @click="move(rung.id, -1)">
                <v-icon :icon="mdiArrowUp" size="20" />
              </button>
              <button type="button" class="step" :aria-label="`${rung.name} down`" @click="move(rung.id, 1)">
                <v-icon :icon="mdiArrowDown" size="20" />
              </button>
            </template>
          </li>
        </VueDraggable>
        <div v-if="session.isLead" class="acts">
          <v-btn variant="outlined" @click="add">Add a rung</v-btn
          ><v-select
            label="Start from"
            hide-details
            :model-value="null"
            :items="SHIPPED_LADDERS.map(one => one.name)"
            @update:model-value="$event && startFrom($event)"
          />
        </div>
      </section>
      <div class="side">
        <section v-if="chosen" class="panel pad" :aria-label="chosen.name">
          <header class="of">
            <h2>{{ chosen.name }}</h2>
            <v-btn v-if="session.isLead" variant="text" @click="change({ ...chosen, retired: !chosen.retired })">{{
              chosen.retired ? 'Climb it again' : 'Retire'
            }}</v-btn>
          </header>
          <RungEditor
            v-if="session.isLead"
            :key="chosen.id"
            :rung="chosen"
            :before="before"
            :in-a-row="inARow"
            @change="change"
          />
          <p v-else>{{ saySignOff(chosen.signOff, inARow) }}; {{ chosen.coupons }} coupons, usually.</p>
        </section>
        <section v-if="session.isLead && draft" class="panel pad" aria-label="Save">
          <SaveVersion
            v-model:why="why"
            save="Save the ladder"
            :busy="busy"
            :wrong="faults.length > 0 ? faults.slice(0, 4).map(fault => fault.message) : refused ? [refused] : []"
            :disabled="faults.length > 0"
            @leave="leave"
            @save="keep"
          />
        </section>
        <p v-if="!chosen && !draft" class="quiet">Choose a rung to see it.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.list,
.pad {
  padding: 16px;
  display: grid;
  gap: 10px;
}
.side {
  display: grid;
  gap: 16px;
  position: sticky;
  top: 16px;
  max-height: calc(100dvh - 32px);
  overflow-y: auto;
}
h2 {
  font-size: 1.15rem;
  font-weight: 700;
}
li {
  display: flex;
  align-items: center;
  gap: 4px;
  border-top: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
}
li.chosen {
  background: rgb(var(--v-theme-surface-variant));
}
li.retired {
  opacity: 0.6;
}
.handle {
  cursor: grab;
  display: grid;
  place-items: center;
  width: 44px;
  height: 48px;
  touch-action: none;
}
.name {
  flex: 1;
  min-height: 50px;
  text-align: left;
  padding: 4px 6px;
  line-height: 1.25;
  min-width: 0;
}
.name b {
  display: block;
  font-weight: 600;
}
.name small {
  color: var(--quiet);
  font-size: 0.86rem;
}
.step {
  width: 44px;
  height: 48px;
}
.of {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.acts {
  display: flex;
  gap: 10px;
  align-items: center;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .side {
    position: static;
    max-height: none;
  }
}
</style>
