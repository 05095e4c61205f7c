<script setup lang="ts">
import { reach } from '~/sync/reach'

/** What stands in the place of what is reckoned from weeks of coupons, while it is asked for or cannot be. */
defineProps<{ problem: string }>()
defineEmits<{ again: [] }>()
</script>

<template>
  <p v-if="problem && reach.away" class="quiet">Reckoned from weeks of coupons: said once there is a network again.</p>
  <PageState v-else-if="problem" :problem="problem" @again="$emit('again')" />
  <p v-else class="quiet" role="status">Being reckoned from weeks of coupons …</p>
</template>
