<script setup lang="ts">
import type { CouponDocument } from '~~/core/coupon'
import { besideOf, sayPicture } from '~~/core/picture'
import { useLaidPicture } from '~/composables/laidPicture'
import { usePictures } from '~/stores/pictures'

/** A coupon's picture by itself, its marks over it and its drawing behind it; with and without slag side by side. */
const props = defineProps<{ document: CouponDocument }>()
const emit = defineEmits<{ close: [] }>()
const pictures = usePictures()

const picture = computed(() => pictures.all.find(one => one.id === pictures.shownId) ?? null)
/** The same part of the coupon before it was chipped, or after. */
const other = computed(() => picture.value && besideOf(pictures.all, picture.value))
const beside = ref(false)
const { laid, problem } = useLaidPicture(() =>
  beside.value && other.value ? { picture: other.value, piece: props.document.piece } : null,
)
const shown = computed(() => [
  { name: picture.value && sayPicture(picture.value), picture: pictures.shown },
  ...(laid.value && other.value ? [{ name: sayPicture(other.value), picture: laid.value }] : []),
])
function close() {
  pictures.hide()
  emit('close')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    :max-width="laid ? 1240 : 1000"
    aria-label="The coupon’s picture"
    @update:model-value="close"
  >
    <div class="panel view">
      <div class="sides" :class="{ two: shown.length > 1 }">
        <figure v-for="one in shown" :key="one.picture?.url">
          <DrawnCoupon
            :document="document"
            :picture="one.picture"
            :label="one.name ? `Picture of the coupon: ${one.name}` : 'Picture of the coupon'"
            class="coupon"
          />
          <figcaption v-if="shown.length > 1">{{ one.name }}</figcaption>
        </figure>
      </div>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <div class="acts">
        <PictureShare />
        <div>
          <v-btn v-if="other" :variant="beside ? 'tonal' : 'text'" :aria-pressed="beside" @click="beside = !beside"
            >{{ other.state }} beside it</v-btn
          >
          <slot />
        </div>
        <v-btn variant="outlined" @click="close">Close</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.view {
  padding: 16px;
  display: grid;
  gap: 12px;
}
.sides {
  display: grid;
  gap: 12px;
}
.two {
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 320px), 1fr));
}
.coupon {
  max-height: 68dvh;
}
figcaption {
  text-align: center;
  padding-top: 6px;
  font-weight: 600;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
</style>
