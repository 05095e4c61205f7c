<script setup lang="ts">
import { isPipe, standsUpright, type CouponDocument } from '~~/core/coupon'
import {
  cornersTrouble,
  LEAST_ACROSS_MM,
  MOST_ACROSS_MM,
  PICTURE_STATES,
  QUARTERS,
  sidesOf,
  strayMm,
  usualAcrossMm,
  type Corners,
} from '~~/core/picture'
import { QUADRANTS } from '~~/core/trade'
import { MM_PER_INCH, type LengthUnit } from '~~/core/units'
import { length } from '~~/core/working'
import type { OpenPicture } from '~/stores/pictures'

/** Says what a picture shows, and where its coupon lies on it. */
const props = defineProps<{
  document: CouponDocument
  picture: OpenPicture
  unit: LengthUnit
  message: string
  busy: boolean
}>()
const emit = defineEmits<{ keep: [picture: OpenPicture]; close: [] }>()

const url = URL.createObjectURL(props.picture.jpeg)
onScopeDispose(() => URL.revokeObjectURL(url))

const { widthPx, heightPx } = props.picture
const sides = sidesOf(props.document.piece)
const piped = isPipe(props.document.piece)
const side = ref(props.picture.side)
const state = ref(props.picture.state)
const quarter = ref(props.picture.lies?.quarter ?? (piped ? QUARTERS[0] : null))
const acrossMm = ref(props.picture.lies?.acrossMm ?? usualAcrossMm(props.document.piece))
const ACROSS = length('across', 'Width of the steel, corner to corner', LEAST_ACROSS_MM, MOST_ACROSS_MM, acrossMm.value)
const unread = ref('')

/** A coupon in the middle of the picture, the way it is drawn. */
function begun(): Corners {
  const [left, right, top, bottom] = [widthPx * 0.15, widthPx * 0.85, heightPx * 0.2, heightPx * 0.8]
  const corners = [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ] as const
  // A plate that stands is drawn with its start below and its first bead on the left: A is the lower right corner.
  return standsUpright(props.document) ? [corners[2], corners[1], corners[0], corners[3]] : corners
}
const corners = ref<Corners>(props.picture.lies?.corners ?? begun())
/** The letters go round by one corner: the picture was taken from another side. */
const turn = () => {
  const [a, b, c, d] = corners.value
  corners.value = [d, a, b, c]
}

/** A corner is set under the loupe to within this, px of the screen, one standard deviation: it moves by whole ones. */
const CARE = 0.6
const onScreen = ref(1)
const trouble = computed(() => cornersTrouble(corners.value, { widthPx, heightPx }))
const lies = computed(() => ({ corners: corners.value, acrossMm: acrossMm.value, quarter: quarter.value }))
const strays = computed(() =>
  trouble.value ? null : strayMm({ piece: props.document.piece, lies: lies.value }, CARE * onScreen.value),
)
/** What is wrong with the corners is said beside them: the picture must not move under the finger. */
const said = computed(() => props.message || unread.value)
function keep() {
  if (!unread.value && !trouble.value)
    emit('keep', { ...props.picture, side: side.value, state: state.value, lies: lies.value })
}
</script>

<template>
  <FormDialog
    heading="Where the coupon lies"
    save="Keep the picture"
    leave="Do not keep it"
    :width="980"
    :message="said"
    :busy="busy"
    @submit="keep"
    @close="$emit('close')"
  >
    <div class="setting">
      <PictureCorners
        v-model="corners"
        :url="url"
        :width-px="widthPx"
        :height-px="heightPx"
        @scale="onScreen = $event"
      />
      <div class="shows">
        <CornerLegend :document="document" />
        <p class="quiet">
          Put each letter on its corner of the steel{{ piped ? ', at the borders of the quarter' : '' }}.
        </p>
        <v-btn variant="outlined" @click="turn">Turn the letters</v-btn>
        <SheetField
          :input="ACROSS"
          :model-value="acrossMm"
          :unit="unit"
          @update:model-value="acrossMm = Number($event)"
          @problem="unread = $event"
        />
        <v-select
          v-if="piped"
          v-model="quarter"
          label="Quarter of the pipe"
          :items="QUARTERS.map(value => ({ value, title: `${QUADRANTS[value]} o’clock` }))"
          hide-details
        />
        <v-select v-if="sides.length > 1" v-model="side" label="Side" :items="[...sides]" hide-details />
        <v-btn-toggle v-model="state" mandatory color="primary" variant="outlined" aria-label="Taken with">
          <v-btn v-for="one in PICTURE_STATES" :key="one" :value="one">{{ one }}</v-btn>
        </v-btn-toggle>
        <p v-if="trouble" role="alert" class="trouble">{{ trouble }}</p>
        <p v-else-if="strays !== null" class="num">
          A place on it is true to ±
          {{ unit === 'in' ? `${(strays / MM_PER_INCH).toFixed(3)} in` : `${strays.toFixed(1)} mm` }}
        </p>
      </div>
    </div>
  </FormDialog>
</template>

<style scoped>
.setting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  gap: 18px;
  align-items: start;
}
.shows {
  display: grid;
  gap: 10px;
}
.trouble {
  color: var(--poor);
  font-weight: 600;
}
@media (max-width: 800px) {
  .setting {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
