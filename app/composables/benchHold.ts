import { onBeforeUnmount, watch } from 'vue'
import { useBench } from '~/stores/bench'
import { useFloor } from '~/stores/floor'

/** While a student's coupon lies on the Bench, the other instructors see who reads it. */
export function useBenchHold() {
  const bench = useBench()
  const floor = useFloor()
  watch(
    () => (bench.open?.toTry ? null : (bench.open?.student.id ?? null)),
    (now, before) => {
      if (before) floor.letGo(before)
      if (now) floor.hold(now)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    if (bench.open && !bench.open.toTry) floor.letGo(bench.open.student.id)
  })
}
