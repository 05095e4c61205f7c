<script setup lang="ts">
import { isTry, standsUpright, type CouponDocument } from '~~/core/coupon'
import { drawnLanes } from '~/drawing/drawnLanes'
import { placementOf } from '~/drawing/placement'
import { usePictures } from '~/stores/pictures'

/** A coupon's picture by itself, its marks over it, and its drawing behind it. */
const props = defineProps<{ document: CouponDocument }>()
const emit = defineEmits<{ close: [] }>()
const pictures = usePictures()

const side = computed(() => pictures.shown?.side ?? 'face')
const seenFrom = computed(() =>
  side.value === 'root' ? (props.document.beads.find(bead => bead.face === 'root')?.id ?? '') : '',
)
const drawn = computed(() => {
  const face = props.document.beads.filter(bead => bead.face !== 'root').at(-1)
  return drawnLanes(props.document, 'one pass', seenFrom.value || (face?.id ?? ''))
})
const placement = computed(() => placementOf(drawn.value, standsUpright(props.document)))
const against = computed(() =>
  props.document.marks.filter(
    mark => drawn.value.open.has(mark.beadId) && (!isTry(mark) || mark.degree !== 'sound') && mark.kind !== 'reading',
  ),
)
/** Room round the coupon for marks at its edges, mm. */
const ROUND = 5
/** A pipe is seen a quarter at a time. */
const box = computed(() => {
  const { fromMm, toMm } = pictures.shown ?? { fromMm: 0, toMm: drawn.value.lengthMm }
  const { width, height, upright } = placement.value
  return upright
    ? `${-ROUND} ${height - toMm - ROUND} ${width + 2 * ROUND} ${toMm - fromMm + 2 * ROUND}`
    : `${fromMm - ROUND} ${-ROUND} ${toMm - fromMm + 2 * ROUND} ${height + 2 * ROUND}`
})
function close() {
  pictures.hide()
  emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" max-width="1000" aria-label="The coupon’s picture" @update:model-value="close">
    <div class="panel view">
      <svg :viewBox="box" role="img" :aria-label="`Picture of the coupon, ${against.length} marks on it`">
        <WeldedStrip :document="document" :drawn="drawn" :placement="placement" />
        <PictureLayer :drawn="drawn" :placement="placement" :side="side" />
        <MarkSigns :marks="against" :drawn="drawn" :placement="placement" :radius="2.6" />
      </svg>
      <div class="acts">
        <PictureShare />
        <div><slot /></div>
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
svg {
  display: block;
  width: 100%;
  max-height: 68dvh;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
</style>
