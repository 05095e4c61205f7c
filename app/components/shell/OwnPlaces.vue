<script setup lang="ts">
import type { SignIn } from '~~/contract/signIns'
import { spokenDay } from '~~/core/calendar'
import { useSaving } from '~/composables/saving'
import { dayOf, today, wallTime } from '~/composables/shopClock'
import { useSession } from '~/stores/session'

/** Where one is signed in: a tablet that was left lying is signed out from here. */
const session = useSession()
const { busy, refused, attempt } = useSaving()
const places = shallowRef<readonly SignIn[]>([])
const load = () =>
  attempt('', async () => {
    places.value = await session.signIns()
  })
onMounted(load)

/** @example when('2026-10-07T17:04:00Z') // '18:04', on another day with its date */
const when = (moment: string) =>
  dayOf(moment) === today() ? wallTime(moment) : `${spokenDay(dayOf(moment))}, ${wallTime(moment)}`

async function end({ id }: SignIn) {
  if (await attempt('', () => session.endSignIn(id))) await load()
}
</script>

<template>
  <section class="places" aria-label="Where you are signed in">
    <h3>Where you are signed in</h3>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
    <ul>
      <li v-for="place in places" :key="place.id">
        <span
          >{{ place.device }} <small class="quiet">since {{ when(place.beganAt) }}</small></span
        >
        <span v-if="place.here" class="quiet">this one</span>
        <v-btn
          v-else
          variant="text"
          :disabled="busy"
          :aria-label="`Sign out ${place.device}, last used ${when(place.seenAt)}`"
          @click="end(place)"
          >Sign out</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 0.95rem;
  font-weight: 700;
}
ul {
  list-style: none;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  border-bottom: 1px solid var(--line);
}
.alert {
  color: var(--poor);
}
</style>
