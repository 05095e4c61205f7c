import { ref } from 'vue'

interface Pinched {
  /** The strip stands: it is pushed along up and down. */
  readonly alongY: () => boolean
  /** How far it is stretched to begin with; 1 is the whole of it. */
  readonly start: () => number
  readonly mmOf: (pixels: number) => number
}

const MOST_ZOOM = 6

/** Two fingers that stretch a strip, and one that pushes it along. Places in mm along it. */
export function usePinch({ alongY, start, mmOf }: Pinched) {
  const zoom = ref(start())
  /** What lies in the middle of what is seen, mm. */
  const centre = ref(0)
  const pinched = ref(false)
  const fingers = new Map<number, { x: number; y: number }>()
  let apart = 0

  const spread = () => {
    const [one, other] = [...fingers.values()]
    return one && other ? Math.hypot(one.x - other.x, one.y - other.y) : 0
  }

  /** A finger comes down; true where it is the second. */
  function press({ pointerId, clientX, clientY }: PointerEvent): boolean {
    fingers.set(pointerId, { x: clientX, y: clientY })
    pinched.value = fingers.size > 1
    apart = spread()
    return pinched.value
  }

  function slide({ pointerId, clientX, clientY }: PointerEvent): void {
    const before = fingers.get(pointerId)
    if (!before) return
    fingers.set(pointerId, { x: clientX, y: clientY })
    const moved = alongY() ? before.y - clientY : clientX - before.x
    centre.value -= mmOf(moved) / fingers.size
    if (fingers.size < 2 || apart === 0) return
    zoom.value = Math.min(MOST_ZOOM, Math.max(1, (zoom.value * spread()) / apart))
    apart = spread()
  }

  function release({ pointerId }: PointerEvent): void {
    fingers.delete(pointerId)
    pinched.value = fingers.size > 1
  }

  return { zoom, centre, pinched, press, slide, release }
}
