<script setup lang="ts">
import { isPipe, standsUpright, stripOf, type CouponDocument } from '~~/core/coupon'
import {
  cornersTrouble,
  goesClockwise,
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
import { formatLength, MM_PER_INCH, type LengthUnit } from '~~/core/units'
import { length } from '~~/core/working'
import { usePictureByCard } from '~/composables/pictureByCard'
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
const { lengthMm } = stripOf(props.document.piece)
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
  byCard.put([d, a, b, c])
}
/** Both edges change places: the piece stood, or lies with its first bead above. */
const swap = () => {
  const [a, b, c, d] = corners.value
  byCard.put([d, c, b, a])
}

/** A picture is no mirror image: its corners go round as those of the drawing do. */
const MIRRORED = 'The letters run the wrong way round, as in a mirror: change A with D, and B with C.'
const lying = !standsUpright(props.document)

const byCard = usePictureByCard({
  jpeg: props.picture.jpeg,
  corners,
  acrossMm,
  clockwise: lying,
  begins: props.picture.lies === null,
  wanted: !piped,
})

/** A corner is set under the loupe to within this, px of the screen, one standard deviation: it moves by whole ones. */
const CARE = 0.6
const onScreen = ref(1)
const trouble = computed(
  () =>
    cornersTrouble(corners.value, { widthPx, heightPx }) ?? (goesClockwise(corners.value) === lying ? null : MIRRORED),
)
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
        :model-value="corners"
        :url="url"
        :width-px="widthPx"
        :height-px="heightPx"
        @update:model-value="byCard.put"
        @scale="onScreen = $event"
      />
      <div class="shows">
        <CornerLegend :document="document" />
        <p v-if="!byCard.on.value" class="quiet">
          Put each letter on its corner of the steel{{ piped ? ', at the borders of the quarter' : '' }}.
        </p>
        <v-btn variant="outlined" @click="turn">Turn the letters</v-btn>
        <template v-if="byCard.seen.value">
          <v-switch
            v-model="byCard.on.value"
            label="By the scale card"
            color="primary"
            hide-details
            density="compact"
          />
          <p v-if="byCard.on.value" role="status">
            Set A and B; C and D follow. By the card A to B is {{ formatLength(byCard.longMm.value, unit) }}.
          </p>
          <p v-if="byCard.on.value && byCard.isOff(lengthMm)" role="alert" class="trouble">
            The coupon is {{ formatLength(lengthMm, unit) }} long. If A and B are on its corners, print the card at full
            size, and lay it level with the steel.
          </p>
        </template>
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
        <template v-if="trouble">
          <p role="alert" class="trouble">{{ trouble }}</p>
          <v-btn v-if="trouble === MIRRORED" variant="outlined" @click="swap">Change them</v-btn>
        </template>
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
  /* What is said beside the picture comes and goes: the picture must not move under the finger. */
  min-height: 60dvh;
}
.shows {
  display: grid;
  gap: 10px;
  max-height: 60dvh;
  overflow-y: auto;
  scrollbar-gutter: stable;
}
.trouble {
  color: var(--poor);
  font-weight: 600;
}
@media (max-width: 800px) {
  .setting {
    grid-template-columns: minmax(0, 1fr);
    min-height: 78dvh;
  }
  .shows {
    max-height: none;
  }
}
</style>
