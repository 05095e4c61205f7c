<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { boothFaultSchema } from '~~/contract/shop'
import { useFieldErrors } from '~/composables/fieldErrors'
import { useShop } from '~/stores/shop'

/** Takes a booth out of service: what is wrong with it, for the instructor who comes next. */
const props = defineProps<{ booth: number }>()
const emit = defineEmits<{ close: []; saved: [] }>()
const shop = useShop()
const { errors, message, busy, attempt } = useFieldErrors()
const id = uuid()
const says = ref('')

async function save() {
  const value = { booth: props.booth, says: says.value }
  if (await attempt(() => shop.takeOut(id, value), { schema: boothFaultSchema, value })) emit('saved')
}
</script>

<template>
  <FormDialog
    :heading="`Booth ${booth} out of service`"
    save="Out of service"
    :message="message"
    :busy="busy"
    @submit="save"
    @close="$emit('close')"
  >
    <v-text-field v-model="says" label="What is wrong" autofocus maxlength="120" :error-messages="errors.says" />
    <p class="quiet">It stands so on every floor until somebody puts it back. Lock out what could hurt.</p>
  </FormDialog>
</template>
