<script setup lang="ts">
import { clockNow } from '~/composables/shopClock'

/** Where the school stands: an evening class belongs to the day on its own wall. */
const notice = ref('')
const moved = () => {
  notice.value = `Kept: it is ${clockNow()} in the shop`
}
</script>

<template>
  <HouseSetting name="The shop’s clock">
    <ZoneChooser @moved="moved" />
    <template #means>
      {{ notice || 'A class day begins at midnight here, whatever zone a tablet or the server thinks it is in.' }}
    </template>
  </HouseSetting>
</template>
