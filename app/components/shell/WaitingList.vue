<script setup lang="ts">
import { clockNow } from '~/composables/shopClock'
import { useOutbox } from '~/stores/outbox'
import { keyOf, type Intent, type IntentKind } from '~/sync/intents'
import { fieldsToPutRight } from '~/sync/putRight'

/** What waits in this browser, since when, and what the server would not take: why, and the two ways out. */
const emit = defineEmits<{ close: [] }>()
const outbox = useOutbox()
/** The one whose throwing away is being asked again. */
const sure = ref('')

/** The page where something refused can be put right. */
const PAGES: Partial<Record<IntentKind, (id: string) => string>> = {
  'coupon': id => `/bench?kept=${id}`,
  'welder test': id => `/test-bay/${id}`,
}

async function open({ kind, id }: Intent) {
  emit('close')
  // A whole new page: the Bench reads its address as it opens.
  window.location.assign(PAGES[kind]!(id))
}
/** The one that is being put right. */
const righting = ref('')
const putRight = (one: Intent) =>
  fieldsToPutRight(one).length > 0 ? (righting.value = keyOf(one)) : again(one, one.body)
async function again(one: Intent, body: unknown) {
  righting.value = ''
  await outbox.sendAgain(one, body)
  if (outbox.mine.length === 0) emit('close')
}
async function drop(one: Intent) {
  if (sure.value !== keyOf(one)) {
    sure.value = keyOf(one)
    return
  }
  await outbox.forget(one)
  if (outbox.mine.length === 0) emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="What waits" @update:model-value="emit('close')">
    <section class="panel list">
      <h2>{{ outbox.refused.length > 0 ? 'The server did not take these' : 'These wait for the server' }}</h2>
      <p v-if="outbox.keptAt === 'nowhere'" class="quiet">
        This browser cannot keep them. Leave this page open until they are sent.
      </p>
      <p v-else-if="outbox.refused.length > 0" class="quiet">
        They are kept in this browser. Open one to put it right; if someone saved it meanwhile, both versions are
        offered.
      </p>
      <p v-else class="quiet">They are kept in this browser and sent by themselves. The page may be closed.</p>
      <ul>
        <li v-for="one in outbox.mine" :key="keyOf(one)">
          <div>
            <b>{{ one.student }}</b>, {{ one.about }}
            <small v-if="one.refused" class="refused">{{ one.refused }}</small>
            <small v-else>waits since {{ clockNow(new Date(one.madeAt)) }}</small>
          </div>
          <v-btn v-if="one.refused" variant="text" @click="drop(one)">{{
            sure === keyOf(one) ? 'Throw it away: sure?' : 'Throw away'
          }}</v-btn>
          <v-btn v-if="one.refused && PAGES[one.kind]" color="primary" @click="open(one)">Open</v-btn>
          <v-btn v-else-if="one.refused && righting !== keyOf(one)" color="primary" @click="putRight(one)">
            {{ fieldsToPutRight(one).length > 0 ? 'Put right' : 'Send again' }}
          </v-btn>
          <PutRight v-if="righting === keyOf(one)" :intent="one" @send="again(one, $event)" @close="righting = ''" />
        </li>
      </ul>
      <div class="end"><v-btn variant="text" @click="emit('close')">Leave them</v-btn></div>
    </section>
  </v-dialog>
</template>

<style scoped>
.list {
  padding: 22px;
  display: grid;
  gap: 10px;
  max-height: 88dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li div {
  flex: 1;
}
small {
  display: block;
  color: var(--quiet);
}
small.refused {
  color: var(--poor);
}
.end {
  text-align: right;
}
</style>
