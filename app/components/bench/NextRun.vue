<script setup lang="ts">
import { mdiPencil } from '@mdi/js'
import { useBench } from '~/stores/bench'

/** The one thing to change on the next run, in one sentence; the instructor's own words take its place and are kept. */
const bench = useBench()
const editing = ref(false)
const text = ref('')
const shown = computed(() => bench.coupon?.nextRun ?? bench.reading?.nextRun ?? '')

function begin() {
  text.value = shown.value
  editing.value = true
}
function keep() {
  if (!bench.coupon) return
  const said = text.value.trim()
  bench.edit({ ...bench.coupon, nextRun: said === '' || said === bench.reading?.nextRun ? null : said.slice(0, 400) })
  editing.value = false
}
</script>

<template>
  <section class="next" aria-label="Next run">
    <v-textarea
      v-if="editing"
      v-model="text"
      label="Next run"
      rows="3"
      maxlength="400"
      hide-details
      autofocus
      @keydown.enter.exact.prevent="keep"
      @keydown.esc.stop="editing = false"
      @blur="keep"
    />
    <template v-else>
      <p>{{ shown }}</p>
      <button type="button" aria-label="Change the words" @click="begin"><v-icon :icon="mdiPencil" size="20" /></button>
      <small v-if="bench.coupon?.nextRun">the instructor’s own words</small>
    </template>
  </section>
</template>

<style scoped>
.next {
  background: var(--say);
  color: #fff;
  border-radius: 12px;
  padding: 12px 14px;
  position: relative;
}
p {
  font-size: 1.08rem;
  font-weight: 650;
  line-height: 1.35;
  padding-right: 34px;
}
small {
  color: #c3cdd2;
}
button {
  position: absolute;
  top: 4px;
  right: 4px;
  width: 44px;
  height: 44px;
  border-radius: 10px;
}
</style>
