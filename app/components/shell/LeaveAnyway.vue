<script setup lang="ts">
import { useOutbox } from '~/stores/outbox'

/** Says what is not sent yet before a person signs out, or hands the tablet over. */
const emit = defineEmits<{ leave: []; close: [] }>()
const outbox = useOutbox()
const sending = ref(false)
async function send() {
  sending.value = true
  await outbox.retry().finally(() => (sending.value = false))
  if (outbox.mine.length === 0) emit('leave')
}
const words = computed(() => (outbox.mine.length === 1 ? 'One thing is' : `${outbox.mine.length} things are`))
</script>

<template>
  <v-dialog :model-value="true" max-width="480" aria-label="Not sent yet" @update:model-value="emit('close')">
    <section class="panel leave">
      <h2>{{ words }} not sent yet</h2>
      <p class="quiet">They stay in this browser, for you alone, and go by themselves when you sign in here again.</p>
      <ul>
        <li v-for="one in outbox.mine.slice(0, 5)" :key="`${one.kind} ${one.id}`">
          {{ one.student }}, {{ one.about }}
        </li>
        <li v-if="outbox.mine.length > 5" class="quiet">and {{ outbox.mine.length - 5 }} more</li>
      </ul>
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Stay</v-btn>
        <v-btn variant="outlined" @click="emit('leave')">Leave them here</v-btn>
        <v-btn color="primary" :loading="sending" @click="send">Send now</v-btn>
      </div>
    </section>
  </v-dialog>
</template>

<style scoped>
.leave {
  padding: 22px;
  display: grid;
  gap: 12px;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
ul {
  padding-left: 1.2em;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
}
</style>
