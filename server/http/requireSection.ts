import { sectionExists } from '../store/sections'
import { wrongField } from './refuse'

/** Refuses fields that name a section that is not there. */
export async function requireSection(sectionId: string): Promise<void> {
  if (await sectionExists(sectionId)) return
  throw wrongField('sectionId', 'There is no such section')
}
