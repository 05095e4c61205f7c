import { useDebounceFn } from '@vueuse/core'
import type { SheetInput, SheetValues } from '~~/core/working'
import { parseInput } from '~~/core/working'
import type { LengthUnit } from '~~/core/units'

/** In a link a length stands in millimetres and says so, in every unit a house may choose. */
function toQuery(input: SheetInput, value: number | string): string {
  if (input.kind === 'choice' || typeof value === 'string') return String(value)
  const rounded = String(Math.round(value * 1e4) / 1e4)
  return input.quantity === 'length' ? `${rounded}mm` : input.quantity === 'speed' ? `${rounded}mm/min` : rounded
}

/**
 * Values of a set of inputs that live in the page's address: a link opens the same inputs again.
 * What a link says wrongly is left at the input's own start.
 */
export function useSheetForm(inputs: () => readonly SheetInput[], unit: () => LengthUnit) {
  const route = useRoute()
  const router = useRouter()
  const values = ref<Record<string, number | string>>({})
  const problems = ref<Record<string, string>>({})

  function read(): void {
    values.value = Object.fromEntries(
      inputs().map(input => {
        const asked = route.query[input.id]
        try {
          return [input.id, typeof asked === 'string' ? parseInput(input, asked, unit()).value : input.start]
        } catch {
          return [input.id, input.start]
        }
      }),
    )
    problems.value = {}
  }
  read()

  function set(id: string, value: number | string): void {
    values.value = { ...values.value, [id]: value }
    keepInAddress()
  }

  const asQuery = () => Object.fromEntries(inputs().map(input => [input.id, toQuery(input, values.value[input.id]!)]))
  const path = route.path
  /** A slider passes many values; the address takes the one it comes to rest on. */
  const keepInAddress = useDebounceFn(() => {
    if (route.path === path) void router.replace({ query: { ...route.query, ...asQuery() } })
  }, 250)

  const setProblem = (id: string, message: string) => {
    problems.value = { ...problems.value, [id]: message }
  }
  /** True while every field holds something that can be worked with. */
  const valid = computed(() => Object.values(problems.value).every(message => message === ''))
  /** The address that opens these inputs again. */
  const link = () =>
    `${window.location.origin}${router.resolve({ path, query: { ...route.query, ...asQuery() } }).fullPath}`

  return { values: computed<SheetValues>(() => values.value), set, setProblem, valid, link, read }
}
