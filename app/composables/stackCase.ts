import { computed, ref } from 'vue'
import type { JointShape, StackPlan, StackPlanner } from '~~/core/deposit'
import { housePlanner } from '~~/core/setup'
import { USUAL_SIZES, type PadPosition } from '~~/core/trade'
import { inches } from '~~/core/units'
import { choice, length, numeric, type SheetInput } from '~~/core/working'
import { useHouseRules } from '~/stores/houseRules'
import { PAD_INPUTS } from './padCard'
import { useSheetForm } from './sheetForm'
import { useStackWorker } from './stackWorker'

const KINDS = ['V, backing', 'V, open root', 'double V', 'U', 'T fillet'] as const
const INPUTS: readonly SheetInput[] = [
  choice('joint', 'Joint', KINDS),
  length('plate', 'Plate', 3, 60, inches(3 / 8)),
  length('gap', 'Root opening', 0, 12, inches(1 / 4)),
  length('land', 'Root face', 0, 8, 0),
  numeric('degrees', 'angle', 'Included angle', 20, 110, 45),
  length('radius', 'Root radius', 2, 15, inches(1 / 4)),
  numeric('degrees', 'bevel', 'Bevel', 3, 45, 15),
  length('leg', 'Leg', inches(1 / 8), inches(1.5), inches(1 / 2)),
  length('long', 'Joint length', 25, 6000, inches(8)),
  ...PAD_INPUTS,
  choice(
    'rootSize',
    'Root rod, in or mm',
    USUAL_SIZES.map(row => row.name),
    '1/8',
  ),
]
/** The usual fit-up of each joint, taken up when the joint is chosen. Common practice. */
const FIT_UP: Readonly<Partial<Record<string, Readonly<Record<string, number>>>>> = {
  'V, backing': { gap: inches(1 / 4), land: 0, angle: 45 },
  'V, open root': { gap: inches(1 / 8), land: inches(3 / 32), angle: 60 },
  'double V': { gap: inches(1 / 8), land: inches(1 / 16), angle: 60, plate: inches(1) },
  'U': { gap: inches(1 / 8), land: inches(1 / 8), plate: inches(1) },
}
const SHOWN: Readonly<Record<string, readonly string[]>> = { 'U': ['radius', 'bevel'], 'T fillet': ['leg'] }

/** The joint that is asked for, its fields, and the beads that it is planned with. */
export function useStackCase() {
  const houseRules = useHouseRules()
  const rules = computed(() => houseRules.current.rules)
  const unit = computed(() => houseRules.unit)

  const form = useSheetForm(
    () => INPUTS,
    () => unit.value,
  )
  const of = (id: string) => Number(form.values.value[id])
  const kind = computed(() => String(form.values.value.joint))
  const aims = ref<Record<number, number>>({})

  const fields = computed(() =>
    INPUTS.filter(({ id }) => {
      if (['radius', 'bevel', 'leg'].includes(id)) return SHOWN[kind.value]?.includes(id) ?? false
      if (id === 'angle') return kind.value !== 'U' && kind.value !== 'T fillet'
      if (id === 'gap' || id === 'land' || id === 'rootSize') return kind.value !== 'T fillet'
      return true
    }),
  )
  function set(id: string, value: number | string) {
    form.set(id, value)
    aims.value = {}
    if (id === 'joint') for (const [name, mm] of Object.entries(FIT_UP[String(value)] ?? {})) form.set(name, mm)
  }

  const shape = computed<JointShape>(() => {
    const groove = { thicknessMm: of('plate'), gapMm: of('gap'), landMm: of('land'), includedDegrees: of('angle') }
    if (kind.value === 'double V') return { kind: 'double V', groove }
    if (kind.value === 'U')
      return {
        kind: 'U',
        thicknessMm: of('plate'),
        gapMm: of('gap'),
        landMm: of('land'),
        radiusMm: of('radius'),
        bevelDegrees: of('bevel'),
      }
    if (kind.value === 'T fillet') return { kind: 'fillet', legMm: of('leg'), thicknessMm: of('plate') }
    return { kind: 'V', groove, backing: kind.value === 'V, backing' }
  })
  const rod = computed(() => USUAL_SIZES.find(row => row.name === form.values.value.size)!)
  const position = computed(() => String(form.values.value.position).slice(0, 2) as PadPosition)
  const planner = computed<StackPlanner>(() => ({
    ...housePlanner(
      {
        shape: shape.value,
        position: position.value,
        coreMm: rod.value.diameterMm,
        rootCoreMm: USUAL_SIZES.find(row => row.name === form.values.value.rootSize)!.diameterMm,
      },
      rules.value,
    ),
    aims: aims.value,
  }))
  const planned = useStackWorker(() => planner.value)
  const plan = computed<StackPlan | null>(() => (planned.value && 'plan' in planned.value ? planned.value.plan : null))
  const problem = computed(() => (planned.value && 'problem' in planned.value ? planned.value.problem : null))
  /** The joint that was planned, which is drawn; what is asked for may be a moment ahead of it. */
  const drawn = computed(() => planned.value?.planner.shape ?? shape.value)

  return { form, of, kind, aims, fields, set, drawn, rod, position, plan, problem }
}
