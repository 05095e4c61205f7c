import { sectionExists } from '../store/sections'
import { refuse } from './refuse'

/** Refuses fields that name a section that is not there. */
export async function requireSection(sectionId: string): Promise<void> {
  if (await sectionExists(sectionId)) return
  const message = 'There is no such section'
  throw refuse(422, 'Not accepted', `${message}.`, [{ path: 'sectionId', message }])
}
