<script setup lang="ts">
import {
  addFixture,
  FIXTURE_KINDS,
  MOST_COLUMNS,
  MOST_ROOMS,
  MOST_ROWS,
  nextBooth,
  planFaults,
  roomOfBooths,
  type FixtureKind,
  type ShopPlan,
  type ShopRoom,
} from '~~/core/floor'
import { useLoader } from '~/composables/loader'
import { useVersionedDraft } from '~/composables/versionedDraft'
import { useSession } from '~/stores/session'
import { useShop } from '~/stores/shop'

/** The shop, laid out once by a lead: rooms, booths and what else stands in them. The Floor is drawn as it is here. */
const store = useShop()
const session = useSession()
useHead({ title: 'Shop · Fusilis' })
const { loading, problem, load } = useLoader(store.load)
onMounted(load)

const { draft, why, busy, refused, begin, edit: put, leave, save } = useVersionedDraft<ShopPlan>('shop')
const rooms = computed(() => draft.value?.sheet.rooms ?? store.shop.plan?.rooms ?? [])
const chosen = ref(0)
const room = computed(() => rooms.value[chosen.value] ?? null)

function edit(next: readonly ShopRoom[]) {
  if (draft.value) put({ rooms: next })
  else begin({ rooms: next }, store.shop.version)
  chosen.value = Math.min(chosen.value, Math.max(0, next.length - 1))
}
const change = (changed: ShopRoom) => edit(rooms.value.map((one, n) => (n === chosen.value ? changed : one)))
const current = computed({ get: () => room.value!, set: change })

const booths = ref(12)
const across = ref(4)
function layOut() {
  const first = nextBooth({ rooms: rooms.value })
  const numbers = Array.from({ length: booths.value }, (_, n) => first + n)
  edit([
    ...rooms.value,
    roomOfBooths(numbers, rooms.value.length === 0 ? 'Shop' : `Room ${rooms.value.length + 1}`, across.value),
  ])
  chosen.value = rooms.value.length - 1
}
/** A row more where the room is full. */
function add(kind: FixtureKind) {
  const what = { kind, booth: kind === 'booth' ? nextBooth({ rooms: rooms.value }) : null }
  const added = addFixture(room.value!, what)
  const grown = { ...room.value!, rows: Math.min(MOST_ROWS, room.value!.rows + 1) }
  change(added === room.value ? addFixture(grown, what) : added)
}
const resize = (side: 'columns' | 'rows', by: 1 | -1) => change({ ...room.value!, [side]: room.value![side] + by })
const faults = computed(() => planFaults({ rooms: rooms.value }).map(fault => fault.message))

/** No reason is asked why a booth stands where it does. */
function keep() {
  why.value = 'laid out'
  return save(faults.value[0] ?? '', ({ sheet, baseVersion }) => store.save(baseVersion, sheet))
}
const wholeNumber = (value: string, most: number) => Math.max(1, Math.min(most, Math.round(Number(value)) || 1))
</script>

<template>
  <div class="page">
    <HouseHead />
    <PageState v-if="problem || loading" :problem="problem" :loading="loading" @again="load" />
    <div v-else class="shop">
      <section v-if="rooms.length < MOST_ROOMS && session.isLead" class="panel lay" aria-label="Lay out booths">
        <h2>{{ rooms.length === 0 ? 'Lay out the shop' : 'Another room' }}</h2>
        <p class="quiet">
          Booths are numbered from {{ nextBooth({ rooms }) }}. The Floor is drawn as the shop is here.
        </p>
        <div class="fields">
          <v-text-field
            :model-value="booths"
            label="Booths"
            type="number"
            min="1"
            max="60"
            hide-details
            @update:model-value="booths = wholeNumber($event, 60)"
          />
          <v-text-field
            :model-value="across"
            label="In a row"
            type="number"
            min="1"
            :max="MOST_COLUMNS"
            hide-details
            @update:model-value="across = wholeNumber($event, MOST_COLUMNS)"
          />
          <v-btn :color="rooms.length === 0 ? 'primary' : undefined" variant="outlined" @click="layOut"
            >Lay them out</v-btn
          >
        </div>
      </section>
      <p v-else-if="rooms.length === 0" class="quiet">Nobody has laid out the shop yet: a lead does it once.</p>
      <section v-if="room" class="panel room" aria-label="Rooms">
        <div v-if="rooms.length > 1" class="names">
          <button
            v-for="(one, n) in rooms"
            :key="n"
            type="button"
            class="tab"
            :aria-pressed="n === chosen"
            @click="chosen = n"
          >
            {{ one.name || '–' }}
          </button>
        </div>
        <div v-if="session.isLead" class="fields">
          <v-text-field
            :model-value="room.name"
            label="Room"
            maxlength="40"
            hide-details
            @update:model-value="change({ ...room!, name: $event })"
          />
          <span v-for="side in ['columns', 'rows'] as const" :key="side" class="size" role="group" :aria-label="side">
            <button type="button" :disabled="room[side] <= 1" :aria-label="`Fewer ${side}`" @click="resize(side, -1)">
              −
            </button>
            <span class="num">{{ room[side] }} {{ side }}</span>
            <button
              type="button"
              :disabled="room[side] >= (side === 'columns' ? MOST_COLUMNS : MOST_ROWS)"
              :aria-label="`More ${side}`"
              @click="resize(side, 1)"
            >
              +
            </button>
          </span>
          <v-btn variant="text" @click="edit(rooms.filter((_, n) => n !== chosen))">Take the room away</v-btn>
        </div>
        <div v-if="session.isLead" class="add" role="group" aria-label="Put in">
          <v-btn v-for="kind in FIXTURE_KINDS" :key="kind" variant="outlined" size="small" @click="add(kind)"
            >+ {{ kind }}</v-btn
          >
        </div>
        <ShopGrid v-model="current" :disabled="!session.isLead" />
        <p v-if="session.isLead" class="quiet">
          Drag a thing to its place, or tap it and then the place. By keys: arrows move it, Delete takes it away.
        </p>
      </section>
      <div v-if="draft" class="foot">
        <ul v-if="refused || faults.length > 0" role="alert" class="alert">
          <li v-for="one in refused ? [refused] : faults" :key="one">{{ one }}</li>
        </ul>
        <v-btn variant="text" @click="leave">Leave it</v-btn>
        <v-btn color="primary" :loading="busy" :disabled="faults.length > 0" @click="keep">Save the shop</v-btn>
      </div>
      <p v-else-if="store.shop.saved" class="quiet">
        Laid out by {{ store.shop.saved.by }}, version {{ store.shop.version }}.
      </p>
    </div>
  </div>
</template>

<style scoped>
.shop {
  display: grid;
  gap: 16px;
  max-width: 980px;
}
.lay,
.room {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
}
.room {
  grid-template-columns: minmax(0, 1fr);
}
.fields,
.add,
.names,
.foot {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
.fields .v-text-field {
  flex: 0 1 180px;
}
.tab {
  min-height: 44px;
  padding: 0 14px;
  border-radius: 8px;
  border: 1px solid var(--line);
}
.tab[aria-pressed='true'] {
  font-weight: 650;
  border-color: currentColor;
}
.size {
  display: flex;
  align-items: center;
  gap: 6px;
}
.size button {
  width: 44px;
  height: 44px;
  font-size: 1.3rem;
  border: 1px solid var(--line);
  border-radius: 8px;
}
.size button:disabled {
  opacity: 0.4;
}
.foot {
  justify-content: flex-end;
}
.alert {
  margin-right: auto;
  color: var(--poor);
  font-weight: 600;
}
</style>
