import { desc, eq } from 'drizzle-orm'
import type { DeviceRow, PasskeyRow } from '../../shared/api'
import type { OwnerTransaction } from '../db/client'
import { device, passkey } from '../db/schema'
import { notFound } from './problem'

/** The devices that are signed in, the one that asks among them. */
export async function listDevices(tx: OwnerTransaction, own: string | null): Promise<DeviceRow[]> {
  const rows = await tx.select().from(device).orderBy(desc(device.createdAt))
  return rows.map(row => ({ id: row.id, name: row.name, signedInAt: row.createdAt.toISOString(), isThis: row.id === own }))
}

/** Signs a device out, wherever it is: its token opens nothing any more. */
export async function endDevice(tx: OwnerTransaction, id: string): Promise<void> {
  const gone = await tx.delete(device).where(eq(device.id, id)).returning({ id: device.id })
  if (gone.length === 0) throw notFound('device', 'params.id')
}

export async function listPasskeys(tx: OwnerTransaction): Promise<PasskeyRow[]> {
  const rows = await tx.select().from(passkey).orderBy(desc(passkey.createdAt))
  return rows.map(row => ({ id: row.credential, name: row.name, madeAt: row.createdAt.toISOString() }))
}

export async function removePasskey(tx: OwnerTransaction, credential: string): Promise<void> {
  const gone = await tx.delete(passkey).where(eq(passkey.credential, credential)).returning({ id: passkey.credential })
  if (gone.length === 0) throw notFound('passkey', 'params.credential')
}
