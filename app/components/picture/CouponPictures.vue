<script setup lang="ts">
import type { CouponSummary } from '~~/contract/record'
import type { CouponPicture } from '~~/contract/pictures'
import { usePictures } from '~/stores/pictures'

/** The pictures of a coupon on the record, one at a time, to be looked at. */
const props = defineProps<{ coupon: CouponSummary }>()
const emit = defineEmits<{ close: [] }>()
const pictures = usePictures()
const loading = ref(true)
const laid = computed(() => pictures.all.filter(one => one.lies !== null))
const show = (picture: CouponPicture) => pictures.show(picture, props.coupon.document)

onMounted(async () => {
  await pictures.open(props.coupon.id)
  if (laid.value[0]) await show(laid.value[0])
  loading.value = false
})
function close() {
  pictures.hide()
  emit('close')
}
</script>

<template>
  <PictureView v-if="pictures.shown" :document="coupon.document" @close="close">
    <v-btn
      v-for="picture in laid.length > 1 ? laid : []"
      :key="picture.id"
      :variant="picture.id === pictures.shownId ? 'tonal' : 'text'"
      :aria-pressed="picture.id === pictures.shownId"
      @click="show(picture)"
      ><PictureName :picture="picture"
    /></v-btn>
  </PictureView>
  <v-dialog v-else :model-value="true" max-width="420" aria-label="The coupon’s picture" @update:model-value="close">
    <div class="panel wait">
      <p v-if="loading && !pictures.problem" role="status">Laying the picture out …</p>
      <p v-else role="alert">{{ pictures.problem || 'The picture cannot be had now: the server does not answer.' }}</p>
      <v-btn variant="outlined" @click="close">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
.wait {
  padding: 22px;
  display: grid;
  gap: 14px;
}
</style>
