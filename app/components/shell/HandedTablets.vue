<script setup lang="ts">
import type { HandedTablet } from '~~/contract/tablets'
import { useSaving } from '~/composables/saving'
import { dayOf, today, wallTime } from '~/composables/shopClock'
import { useSession } from '~/stores/session'

/** Tablets that are in students' hands: one that went astray is put out from here. */
const session = useSession()
const { busy, refused, attempt } = useSaving()
const tablets = shallowRef<readonly HandedTablet[]>([])
const load = () =>
  attempt('', async () => {
    tablets.value = await session.tablets()
  })
onMounted(load)

const when = (moment: string) => (dayOf(moment) === today() ? wallTime(moment) : `yesterday, ${wallTime(moment)}`)

async function putOut({ id }: HandedTablet) {
  if (await attempt('', () => session.endTablet(id))) await load()
}
</script>

<template>
  <section v-if="tablets.length > 0 || refused" aria-label="Tablets that are out">
    <h3>Tablets that are out</h3>
    <p v-if="refused" role="alert" class="alert">{{ refused }}</p>
    <ul>
      <li v-for="tablet in tablets" :key="tablet.id">
        <span>
          {{ tablet.section }}, {{ tablet.device }}
          <small class="quiet">handed over by {{ tablet.by }} at {{ when(tablet.handedAt) }}</small>
        </span>
        <v-btn
          variant="text"
          :disabled="busy"
          :aria-label="`Put out the tablet of ${tablet.section}, last seen ${when(tablet.seenAt)}`"
          @click="putOut(tablet)"
          >Put out</v-btn
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
small {
  display: block;
}
.alert {
  color: var(--poor);
}
</style>
