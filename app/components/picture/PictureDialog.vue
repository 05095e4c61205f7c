<script setup lang="ts">
import { isPlate, type CouponDocument } from '~~/core/coupon'
import type { CouponPicture } from '~~/contract/pictures'
import type { LengthUnit } from '~~/core/units'
import { pictureWork } from '~/composables/pictureWork'
import { saveFile } from '~/composables/saveFile'
import { useSaving } from '~/composables/saving'
import { usePictures, type OpenPicture, type PicturedCoupon } from '~/stores/pictures'

/** The pictures of a coupon: takes one, sets where the coupon lies on it, lays it under the marks, erases it. */
const props = defineProps<{
  document: CouponDocument
  coupon: PicturedCoupon
  unit: LengthUnit
  longestPx: number
  inPlace: boolean
}>()
const emit = defineEmits<{ close: [] }>()
const pictures = usePictures()

const open = shallowRef<OpenPicture | null>(null)
const erasing = ref('')
const saving = useSaving()
const { busy, refused: problem } = saving
onMounted(() => {
  // What opens a picture is fetched while one is taken.
  pictureWork()
  void pictures.open(props.coupon.id)
})

const attempt = (work: () => Promise<void>) => saving.attempt('', work)

const file = useTemplateRef<HTMLInputElement>('file')
const take = () =>
  attempt(async () => {
    const [chosen] = file.value?.files ?? []
    if (file.value && chosen) {
      open.value = await pictures.take(chosen, props.longestPx).finally(() => {
        file.value!.value = ''
      })
    }
  })
const setAgain = (picture: CouponPicture) =>
  attempt(async () => {
    open.value = await pictures.takeUp(picture)
  })
const keep = (picture: OpenPicture) =>
  attempt(async () => {
    await pictures.keep(props.coupon, picture)
    open.value = null
    const kept = pictures.all.find(one => one.id === picture.id)
    if (kept) await show(kept)
  })
const erase = (id: string) =>
  attempt(async () => {
    await pictures.erase(props.coupon, id)
    erasing.value = ''
  })
/** On a drawing to scale it lies there; else it is looked at by itself. */
const looked = ref(false)
async function show(picture: CouponPicture) {
  await pictures.show(picture, props.document)
  if (props.inPlace) emit('close')
  else looked.value = true
}
const lay = (picture: CouponPicture) => attempt(() => show(picture))
const printCard = () =>
  attempt(async () => {
    const { scaleCardPdf } = await import('~/papers/scaleCardPdf')
    saveFile(await scaleCardPdf(), 'scale card.pdf')
  })
</script>

<template>
  <PictureSetting
    v-if="open"
    :key="open.id"
    :document="document"
    :picture="open"
    :unit="unit"
    :message="problem"
    :busy="busy"
    @keep="keep"
    @close="open = null"
  />
  <LazyPictureView v-else-if="looked && pictures.shown" :document="document" @close="looked = false" />
  <v-dialog v-else :model-value="true" max-width="520" aria-label="Pictures" @update:model-value="$emit('close')">
    <div class="panel pictures">
      <h2>Pictures of this coupon</h2>
      <p class="quiet">
        Lay the cold coupon flat and hold the camera square above it. Take only the steel: no face and no name tag
        belongs in a picture.
      </p>
      <ul v-if="pictures.all.length > 0">
        <li v-for="picture in pictures.all" :key="picture.id">
          <PictureName :picture="picture" />
          <template v-if="erasing === picture.id">
            <span class="sure">Erase it for good?</span>
            <v-btn variant="text" @click="erasing = ''">Keep it</v-btn>
            <v-btn color="error" :loading="busy" @click="erase(picture.id)">Erase</v-btn>
          </template>
          <template v-else>
            <v-btn v-if="picture.lies" variant="outlined" @click="lay(picture)">Under the marks</v-btn>
            <v-btn variant="text" @click="setAgain(picture)">Set again</v-btn>
            <v-btn variant="text" @click="erasing = picture.id">Erase</v-btn>
          </template>
        </li>
      </ul>
      <p v-else class="none quiet">None yet.</p>
      <p v-if="problem || pictures.problem" role="alert" class="alert">{{ problem || pictures.problem }}</p>
      <div class="acts">
        <v-btn v-if="isPlate(document.piece)" variant="text" class="card" @click="printCard">Scale card (PDF)</v-btn>
        <v-btn variant="text" @click="$emit('close')">Close</v-btn>
        <label class="take" :class="{ busy }"
          >{{ busy ? 'Opening it …' : 'Take or choose a picture'
          }}<input
            ref="file"
            type="file"
            accept="image/jpeg,image/png,image/webp"
            class="sr-only"
            :disabled="busy"
            @change="take"
        /></label>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.pictures {
  padding: 22px;
  display: grid;
  gap: 12px;
  max-height: 90dvh;
  overflow: auto;
}
h2 {
  font-size: 1.2rem;
  font-weight: 700;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li > :first-child {
  margin-right: auto;
}
.sure {
  font-weight: 600;
}
.alert {
  color: var(--poor);
  font-weight: 600;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
}
.card {
  margin-right: auto;
}
.take {
  min-height: 44px;
  padding: 0 18px;
  border-radius: 8px;
  display: grid;
  place-items: center;
  cursor: pointer;
  font-weight: 600;
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}
.take:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.take.busy {
  opacity: 0.7;
}
</style>
