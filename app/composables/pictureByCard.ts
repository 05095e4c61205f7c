import { cornersByCard, type Corners, type ScaleCardSeen } from '~~/core/picture'
import { pictureWork } from './pictureWork'

/** The edge by the card and the coupon's length differ by more than this where the card tells nothing true. */
const OFF = 0.03

/** The corners of a coupon by the scale card beside it: two are set, the card gives the other two. */
export function usePictureByCard(of: {
  readonly jpeg: Blob
  readonly corners: Ref<Corners>
  readonly acrossMm: Ref<number>
  readonly clockwise: boolean
  /** Whether no corner was set before: then the card is taken where it is found. */
  readonly begins: boolean
  /** A card lies flat: of a pipe it says nothing. */
  readonly wanted: boolean
}) {
  const seen = shallowRef<ScaleCardSeen | null>(null)
  const on = ref(false)
  const longMm = ref(0)
  /** Whether a person has set a corner: before that the edge from A to B says nothing. */
  const set = ref(false)

  onMounted(async () => {
    // Without a card the corners are set by hand, as ever.
    const found = of.wanted
      ? await pictureWork()
          .findCard(of.jpeg)
          .catch(() => null)
      : null
    seen.value = found
    // Corners that were set before the card was found stay as they are.
    on.value = found !== null && of.begins && !set.value
  })
  function laid(corners: Corners): Corners {
    const [a, b] = corners
    if (!on.value || !seen.value || (a.x === b.x && a.y === b.y)) return corners
    const by = cornersByCard(seen.value, [a, b], of.acrossMm.value, of.clockwise)
    longMm.value = by.longMm
    return by.corners
  }
  /** Takes corners as a person set them: one who moves C or D knows better than the card. */
  function put(corners: Corners): void {
    const moved = (n: 0 | 1 | 2 | 3) => corners[n] !== of.corners.value[n]
    if (on.value && (moved(2) || moved(3)) && !moved(0) && !moved(1)) on.value = false
    set.value = true
    of.corners.value = laid(corners)
  }
  watch([on, of.acrossMm], () => {
    of.corners.value = laid(of.corners.value)
  })

  return {
    seen,
    on,
    put,
    longMm,
    /** Whether the card cannot be right of a coupon of this length, mm. */
    isOff: (lengthMm: number) => set.value && Math.abs(longMm.value / lengthMm - 1) > OFF,
  }
}
