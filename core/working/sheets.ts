import { DEPOSITION, HEAT_INPUT, RUN_OUT, STUB_LOSS } from './heatSheets'
import type { Sheet } from './sheet'
import { CARBON_EQUIVALENT, LENS_SHADE, PREHEAT, REMOTE, TRAVEL_ANGLE } from './shopSheets'
import { FILLET, GROOVE, LAP, PIPE_JOINT } from './sizeSheets'

/** Every sheet, in the order in which a shop reaches for them. */
export const SHEETS: readonly Sheet[] = [
  HEAT_INPUT,
  REMOTE,
  TRAVEL_ANGLE,
  RUN_OUT,
  DEPOSITION,
  STUB_LOSS,
  FILLET,
  LAP,
  GROOVE,
  PIPE_JOINT,
  LENS_SHADE,
  PREHEAT,
  CARBON_EQUIVALENT,
]

/**
 * The sheet with an id.
 * @throws RangeError naming the sheets there are
 * @example sheetOf('heat-input').name // 'Heat input'
 */
export function sheetOf(id: string): Sheet {
  const found = SHEETS.find(sheet => sheet.id === id)
  if (!found) throw new RangeError(`No sheet "${id}"; there are ${SHEETS.map(sheet => sheet.id).join(', ')}`)
  return found
}
