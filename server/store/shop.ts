import type { ShopPlan } from '../../core/floor'
import type { BoothFault, BoothFaultSave, ShopVersion } from '../../contract/shop'
import { database, inTransaction, isDuplicate, rows, run, toDateTime, toIso } from './database'
import { noteEverySection } from './floorSerial'
import { keepVersion, newestVersion, SHOP_PLAN, type KeptVersion } from './versioned'

/** Who does something, and when. */
interface Doer {
  readonly name: string
  readonly now: Date
}

const toShop = ({ version, content, saved }: KeptVersion<ShopPlan>): ShopVersion => ({
  version,
  plan: content,
  saved: { at: saved.at, by: saved.by },
})

/** The shop as it is laid out. */
export async function currentShop(): Promise<ShopVersion> {
  const kept = await newestVersion<ShopPlan>(SHOP_PLAN)
  return kept ? toShop(kept) : { version: 0, plan: null, saved: null }
}

/** Keeps the shop as it was laid out anew; null when a newer one is kept already. */
export async function keepShop(baseVersion: number, plan: ShopPlan, by: Doer): Promise<ShopVersion | null> {
  const saver = { by: by.name, why: 'laid out', now: by.now }
  const kept = await keepVersion<ShopPlan>(SHOP_PLAN, { baseVersion, content: plan }, saver)
  return kept ? toShop(kept) : null
}

/** What is out of service, by booth. */
export async function openFaults(): Promise<BoothFault[]> {
  const found = await rows<{ id: string; booth: number; says: string; noted_by: string; noted_at: string }>(
    database(),
    'SELECT id, booth, says, noted_by, noted_at FROM booth_fault WHERE cleared_at IS NULL ORDER BY booth, noted_at',
  )
  return found.map(row => ({
    id: row.id,
    booth: row.booth,
    says: row.says,
    by: row.noted_by,
    at: toIso(row.noted_at),
  }))
}

/** Notes that a booth is out of service; the same again is one fault. */
export async function addFault(id: string, { booth, says }: BoothFaultSave, by: Doer): Promise<void> {
  await inTransaction(database(), async on => {
    try {
      await run(on, 'INSERT INTO booth_fault (id, booth, says, noted_by, noted_at) VALUES (?, ?, ?, ?, ?)', [
        id,
        booth,
        says,
        by.name,
        toDateTime(by.now),
      ])
    } catch (error) {
      if (isDuplicate(error)) return
      throw error
    }
    await noteEverySection(on)
  })
}

/** Puts a booth back into service; the first who clears it stands. False where there is no such fault. */
export async function clearFault(id: string, by: Doer): Promise<boolean> {
  return inTransaction(database(), async on => {
    const [row] = await rows(on, 'SELECT 1 FROM booth_fault WHERE id = ? FOR UPDATE', [id])
    if (!row) return false
    await run(on, 'UPDATE booth_fault SET cleared_by = ?, cleared_at = ? WHERE id = ? AND cleared_at IS NULL', [
      by.name,
      toDateTime(by.now),
      id,
    ])
    await noteEverySection(on)
    return true
  })
}
