import { doorDatabase, rows, run } from './database'

/** A device without a sign-in for these days is a stranger's again. */
const KNOWN_DAYS = 180

/** Whether an account has signed in at a device. */
export async function knowsDevice(accountId: string, deviceId: string): Promise<boolean> {
  const found = await rows(
    doorDatabase(),
    `SELECT 1 FROM known_device
    WHERE id = ? AND account_id = ? AND last_at > UTC_TIMESTAMP(3) - INTERVAL ${KNOWN_DAYS} DAY`,
    [deviceId, accountId],
  )
  return found.length > 0
}

/** An account has signed in at a device. @param device as its browser says */
export async function knowDevice(accountId: string, deviceId: string, device: string): Promise<void> {
  await run(
    doorDatabase(),
    `INSERT INTO known_device (id, account_id, device, last_at) VALUES (?, ?, ?, UTC_TIMESTAMP(3))
    ON DUPLICATE KEY UPDATE last_at = VALUES(last_at), device = VALUES(device)`,
    [deviceId, accountId, device],
  )
}

/** Every device is a stranger's to an account again. */
export async function forgetDevices(accountId: string): Promise<void> {
  await run(doorDatabase(), 'DELETE FROM known_device WHERE account_id = ?', [accountId])
}
