<script setup lang="ts">
import { useOutbox } from '~/stores/outbox'
import { spokenDay } from '~/composables/classDay'

/** Coupons that waited in this browser and that the server would not take: why, and the two ways out. */
const emit = defineEmits<{ close: [] }>()
const outbox = useOutbox()
/** The one whose throwing away is being asked again. */
const sure = ref('')

async function open(id: string) {
  emit('close')
  // A whole new page: the Bench reads its address as it opens.
  window.location.assign(`/bench?kept=${id}`)
}
function drop(id: string) {
  if (sure.value !== id) {
    sure.value = id
    return
  }
  outbox.forget(id)
  if (outbox.refused.length === 0) emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="560" aria-label="Not taken" @update:model-value="emit('close')">
    <section class="panel list">
      <h2>The server did not take these</h2>
      <p class="quiet">
        They are kept in this browser. Open one to put it right; if someone saved it meanwhile, both versions are
        offered.
      </p>
      <ul>
        <li v-for="one in outbox.refused" :key="one.id">
          <div>
            <b>{{ one.student }}</b>, {{ one.save.document.ticket.rung }}, {{ spokenDay(one.save.document.classDay)
            }}<small>{{ one.refused }}</small>
          </div>
          <v-btn variant="text" @click="drop(one.id)">{{
            sure === one.id ? 'Throw it away: sure?' : 'Throw away'
          }}</v-btn>
          <v-btn color="primary" @click="open(one.id)">Open</v-btn>
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
  color: var(--poor);
}
.end {
  text-align: right;
}
</style>
