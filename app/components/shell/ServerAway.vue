<script setup lang="ts">
import { reach } from '~/sync/reach'

/** Says since when the server does not answer, and as of when what is shown was known. */
</script>

<template>
  <p v-if="reach.away" role="alert" class="away">
    <b>▲ Server away</b>
    <span class="rest">
      since {{ wallTime(reach.away) }}{{ reach.knownAt ? `, shown as of ${wallTime(reach.knownAt)}` : '' }}. What you do
      is kept here.
    </span>
  </p>
</template>
