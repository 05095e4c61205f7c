<script setup lang="ts">
import { mdiCameraOutline, mdiClose } from '@mdi/js'
import { usePictures } from '~/stores/pictures'

/** Opens the coupon's pictures; while one lies under the marks, how much of it shows. */
const props = defineProps<{ couponId: string }>()
defineEmits<{ pictures: [] }>()
const pictures = usePictures()
watch(
  () => props.couponId,
  id => void pictures.open(id),
  { immediate: true },
)
const label = computed(() => {
  const count = pictures.all.length
  return count === 0 ? 'Picture' : `${count} ${count === 1 ? 'picture' : 'pictures'}`
})
</script>

<template>
  <span class="bar">
    <template v-if="pictures.shown">
      <PictureShare />
      <v-btn variant="text" size="small" :icon="mdiClose" aria-label="Take the picture away" @click="pictures.hide()" />
    </template>
    <v-btn variant="text" size="small" :prepend-icon="mdiCameraOutline" @click="$emit('pictures')">{{ label }}</v-btn>
  </span>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
