<script setup lang="ts">
import { spokenDay } from '~~/core/calendar'
import { sayPicture } from '~~/core/picture'
import type { CouponPicture } from '~~/contract/pictures'
import { dayOf } from '~/composables/shopClock'

/** What a picture shows, and when it was taken. */
defineProps<{ picture: CouponPicture }>()
</script>

<template>
  <span
    >{{ sayPicture(picture) }} <span class="quiet">{{ spokenDay(dayOf(picture.takenAt)) }}</span></span
  >
</template>
