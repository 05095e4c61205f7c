<script setup lang="ts">
/** Throws away a coupon that was marked and not saved; what was saved before stays. */
defineEmits<{ discard: []; close: [] }>()
</script>

<template>
  <FormDialog
    heading="Throw away what was marked?"
    leave="Keep it"
    save="Throw it away"
    danger
    :width="420"
    @submit="$emit('discard')"
    @close="$emit('close')"
  >
    <p class="quiet">It is not saved. A version saved before stays as it is.</p>
  </FormDialog>
</template>
