<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { mdiWeatherNight, mdiWhiteBalanceSunny, mdiExitToApp, mdiHelp } from '@mdi/js'
import { usePageKeys } from '~/composables/pageKeys'
import { railOf } from '~/rooms/rooms'
import { HELP_KEYS } from '~/keys/roomKeys'
import { useOutbox } from '~/stores/outbox'
import { reach } from '~/sync/reach'
import { useSections } from '~/stores/sections'
import { useSession } from '~/stores/session'
import { useClassKept } from '~/composables/classKept'
import { useShopTheme } from '~/composables/shopTheme'

const session = useSession()
const sections = useSections()
const outbox = useOutbox()
const theme = useShopTheme()

const rooms = computed(() => railOf(session.isStaff ? 'staff' : 'student', session.me?.studentId ?? null))

watch(
  () => session.me,
  me => {
    if (me) void outbox.start(me.id)
  },
  { immediate: true },
)

/** On a phone the bar has four rooms, and the rest under More. */
const onPhone = useMediaQuery('(max-width: 700px)')
const ON_THE_BAR = 4
const barred = computed(() => (onPhone.value ? rooms.value.slice(0, ON_THE_BAR) : rooms.value))
const others = computed(() => rooms.value.slice(ON_THE_BAR))
const choosing = ref(false)
const route = useRoute()
const isHere = ({ to }: { readonly to: string }) => (to === '/' ? route.path === '/' : route.path.startsWith(to))

const saved = computed(() => {
  if (outbox.refused.length > 0) return `${outbox.refused.length} refused`
  if (outbox.mine.length === 0) return outbox.looked ? 'all saved' : ''
  return `${outbox.mine.length} ${outbox.keptAt === 'here' ? 'kept here' : 'in this page only'}`
})

const signInAgain = computed(() =>
  outbox.mine.length > 0 ? `Sign in again to send ${outbox.mine.length}` : 'You were signed out: sign in again',
)

const helping = ref(false)
usePageKeys(HELP_KEYS, { help: () => (helping.value = true) })
useClassKept()
const asking = ref(false)
const own = ref(false)
/** A person wants to go while things are not sent yet. */
const leaving = ref(false)
async function leave() {
  if (outbox.mine.length > 0 && !leaving.value) {
    leaving.value = true
    return
  }
  await session.signOut()
  // A whole new page: nothing of this person's stays in memory for the next.
  window.location.assign('/sign-in')
}
</script>

<template>
  <nav class="rail" aria-label="Rooms">
    <p class="name">Fusilis</p>
    <ul>
      <li v-for="room in barred" :key="room.to">
        <NuxtLink :to="room.to" :class="{ here: isHere(room) }">{{ room.name }}</NuxtLink>
      </li>
      <li v-if="onPhone">
        <button type="button" class="more" :class="{ here: others.some(isHere) }" @click="choosing = true">More</button>
      </li>
    </ul>
    <div class="foot">
      <button
        v-if="!onPhone"
        type="button"
        class="who"
        :aria-label="`Your sign-in: ${session.me?.name ?? ''}`"
        @click="own = true"
      >
        {{ session.me?.name }}
      </button>
      <p v-if="session.isStaff && sections.current" class="where">{{ sections.current.name }}</p>
      <ServerAway />
      <p v-if="reach.signedOut" role="alert" class="waits">
        <a href="/sign-in" class="refused">{{ signInAgain }}</a>
      </p>
      <LazyNewVersion v-if="$pwa?.needRefresh" />
      <p role="status" :class="{ waits: outbox.mine.length > 0 }">
        <button v-if="outbox.mine.length > 0" type="button" class="refused" @click="asking = true">
          {{ saved }}</button><template v-else>{{ saved }}</template>
      </p>
      <div v-if="!onPhone" class="acts">
        <button
          type="button"
          :aria-label="theme.isDark.value ? 'Light theme for the shop' : 'Dark theme for the booth'"
          @click="theme.toggle"
        >
          <v-icon :icon="theme.isDark.value ? mdiWhiteBalanceSunny : mdiWeatherNight" size="22" />
        </button>
        <button type="button" aria-label="Help with this room" @click="helping = true">
          <v-icon :icon="mdiHelp" size="22" />
        </button>
        <button type="button" aria-label="Sign out" @click="leave"><v-icon :icon="mdiExitToApp" size="22" /></button>
      </div>
    </div>
    <LazyMoreRooms
      v-if="choosing"
      :rooms="others"
      :saved="saved"
      @help="helping = true"
      @own="own = true"
      @leave="leave"
      @close="choosing = false"
    />
    <LazyRoomHelp v-if="helping" @close="helping = false" />
    <WaitingList v-if="asking" @close="asking = false" />
    <LazyOwnSignIn v-if="own" @close="own = false" />
    <LazyLeaveAnyway v-if="leaving" @leave="leave" @close="leaving = false" />
  </nav>
</template>

<style scoped>
.rail {
  position: sticky;
  top: 0;
  height: 100dvh;
  display: flex;
  flex-direction: column;
  background: var(--rail);
  color: var(--rail-text);
}
.name {
  color: #fff;
  font-weight: 700;
  padding: 16px 14px 18px;
}
a,
.more {
  display: flex;
  align-items: center;
  min-height: 48px;
  padding: 0 4px 0 14px;
  white-space: nowrap;
  color: inherit;
  text-decoration: none;
  font-weight: 550;
  border-left: 4px solid transparent;
}
a.here,
.more.here {
  color: #fff;
  border-left-color: #e2a052;
  background: rgba(255, 255, 255, 0.09);
}
.foot {
  margin-top: auto;
  padding: 0 0 8px;
  font-size: 0.8rem;
  line-height: 1.35;
}
.foot p {
  padding: 0 10px 8px 14px;
}
.who {
  min-height: 44px;
  padding: 0 10px 0 14px;
  text-align: left;
}
.away,
.waits {
  color: #ffcf8a;
}
.waits {
  font-weight: 650;
}
.refused {
  min-height: 44px;
  text-decoration: underline;
  text-align: left;
}
.acts {
  display: flex;
  flex-wrap: wrap;
}
.acts button {
  width: 46px;
  height: 46px;
  border-radius: 8px;
}
:focus-visible {
  outline-color: #e2a052;
  outline-offset: -3px;
}
@media (max-width: 700px) {
  .rail {
    position: fixed;
    inset: auto 0 0;
    height: 60px;
    flex-direction: row;
    z-index: 5;
    align-items: stretch;
  }
  .name,
  .where {
    display: none;
  }
  ul {
    display: flex;
    flex: 1;
  }
  li {
    flex: 1 1 auto;
  }
  a,
  .more {
    width: 100%;
    height: 60px;
    padding: 0 4px;
    justify-content: center;
    font-size: 0.93rem;
    border-left: 0;
    border-top: 4px solid transparent;
  }
  a.here,
  .more.here {
    border-top-color: #e2a052;
  }
  .foot {
    margin: 0;
    padding: 0;
    display: flex;
    align-items: center;
  }
  .foot p {
    padding: 0 4px;
    max-width: 64px;
  }
  .rest,
  .foot p:not(.waits, .away) {
    display: none;
  }
}
</style>
