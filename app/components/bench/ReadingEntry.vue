<script setup lang="ts">
import { parseLength, type LengthUnit } from '~~/core/units'
import { messageOf } from '~/stores/request'

/** Types a gauge reading of the bead at the cursor. */
const props = defineProps<{ of: 'width' | 'height', unit: LengthUnit }>()
const emit = defineEmits<{ read: [valueMm: number], close: [] }>()
const text = ref('')
const error = ref('')

function enter() {
  try {
    const mm = parseLength(text.value, props.unit)
    if (mm <= 0 || mm > 60) error.value = props.unit === 'in' ? 'More than 0 and at most 2 3/8 in' : 'More than 0 and at most 60 mm'
    else emit('read', mm)
  } catch (thrown) {
    error.value = messageOf(thrown)
  }
}
</script>

<template>
  <v-dialog :model-value="true" max-width="340" :aria-label="`Bead ${of}`" @update:model-value="$emit('close')">
    <form class="panel entry" novalidate @submit.prevent="enter">
      <v-text-field v-model="text" :label="`Bead ${of} here`" :suffix="unit" :placeholder="unit === 'in' ? '3/8' : '9'" :error-messages="error" autofocus />
      <v-btn type="submit" color="primary" block>Keep the reading</v-btn>
    </form>
  </v-dialog>
</template>

<style scoped>
.entry { padding: 20px; }
</style>
