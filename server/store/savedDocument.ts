import { database, fromJson, inTransaction, insertRow, isDuplicate, rows, toDateTime, type Queries } from './database'

/**
 * Things that are saved whole, as one JSON document in one row, under an id that the client makes: coupons and welder
 * tests. The same save again is one save; each save keeps the one before it; a save over another person's newer version
 * changes nothing and answers that version.
 */
export interface DocumentKind<Document, Saved> {
  readonly table: 'coupon' | 'test_record'
  readonly revisions: 'coupon_revision' | 'test_revision'
  /** The revisions' column that holds the id. */
  readonly key: 'coupon_id' | 'test_id'
  readonly find: (id: string, on: Queries) => Promise<Saved | null>
  /** Writes the row with all that is computed from its document, and answers it; `before` is null for a new one. */
  readonly write: (on: Queries, next: NextDocument<Document>, before: Before<Document> | null) => Promise<Saved>
}

/** Who saves, and when. */
export interface Saver {
  readonly id: string
  readonly name: string
  readonly now: Date
  /** When it was done, where that is not now: it waited to be sent. */
  readonly doneAt?: Date
}

/** A document about to be written, as the version after the one it was edited from. */
export interface NextDocument<Document> {
  readonly id: string
  readonly version: number
  readonly document: Document
  readonly text: string
  readonly by: Saver
}

/** The row as it stands, locked. */
export interface Before<Document> {
  readonly version: number
  readonly document: Document
  readonly text: string
  readonly savedAt: string
  readonly savedBy: string
}

export interface DocumentSave<Document> {
  readonly baseVersion: number
  readonly document: Document
  readonly why: string
}

export type SaveOutcome<Saved> = { readonly saved: Saved } | { readonly theirs: Saved }

/** Saves a document whole, in one transaction. Any number of first saves at once are one save. */
export async function saveDocument<Document, Saved>(
  kind: DocumentKind<Document, Saved>,
  id: string,
  save: DocumentSave<Document>,
  by: Saver,
): Promise<SaveOutcome<Saved>> {
  // A first save looks for no row before it: it is the commonest, and the key tells when another was quicker.
  if (save.baseVersion === 0) {
    try {
      return await inTransaction(database(), on => keep(on, kind, id, save, by, null))
    } catch (error) {
      if (!isDuplicate(error)) throw error
    }
  }
  return inTransaction(database(), async on => {
    const before = await lock(on, kind, id)
    if (before && before.text === JSON.stringify(save.document)) return { saved: (await kind.find(id, on))! }
    if (before && before.version !== save.baseVersion) return { theirs: (await kind.find(id, on))! }
    return keep(on, kind, id, save, by, before)
  })
}

/**
 * Changes a document that is there, in the caller's transaction; the version before is kept, with why. Nothing is
 * written where there is no such document, or the change changes nothing.
 * @returns whether it was changed
 */
export async function amendDocument<Document, Saved>(
  on: Queries,
  kind: DocumentKind<Document, Saved>,
  id: string,
  change: (document: Document) => Document,
  why: string,
  by: Saver,
): Promise<boolean> {
  const before = await lock(on, kind, id)
  if (!before) return false
  const document = change(before.document)
  if (JSON.stringify(document) === before.text) return false
  await keep(on, kind, id, { baseVersion: before.version, document, why }, by, before)
  return true
}

async function lock<Document, Saved>(
  on: Queries,
  { table }: DocumentKind<Document, Saved>,
  id: string,
): Promise<Before<Document> | null> {
  const [row] = await rows<{ version: number; document: unknown; saved_at: string; saved_by: string }>(
    on,
    `SELECT version, document, saved_at, saved_by FROM ${table} WHERE id = ? FOR UPDATE`,
    [id],
  )
  if (!row) return null
  const document = fromJson<Document>(row.document)
  return {
    version: row.version,
    document,
    text: JSON.stringify(document),
    savedAt: row.saved_at,
    savedBy: row.saved_by,
  }
}

async function keep<Document, Saved>(
  on: Queries,
  kind: DocumentKind<Document, Saved>,
  id: string,
  { document, why }: DocumentSave<Document>,
  by: Saver,
  before: Before<Document> | null,
): Promise<{ readonly saved: Saved }> {
  if (before)
    await insertRow(on, kind.revisions, {
      [kind.key]: id,
      version: before.version,
      document: before.text,
      saved_at: before.savedAt,
      saved_by: before.savedBy,
      why,
    })
  const version = (before?.version ?? 0) + 1
  return { saved: await kind.write(on, { id, version, document, text: JSON.stringify(document), by }, before) }
}

/** Columns that every document's row has. */
export const rowOf = <Document>({ version, text, by }: NextDocument<Document>) => ({
  version,
  document: text,
  saved_at: toDateTime(by.now),
  saved_by: by.id,
})
