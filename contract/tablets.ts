/** A tablet that was handed over to the students of a section, and is out. */
export interface HandedTablet {
  readonly id: string
  readonly section: string
  /** Who handed it over. */
  readonly by: string
  /** What it is, as far as its browser says: `Chrome on Android`. */
  readonly device: string
  /** ISO 8601. */
  readonly handedAt: string
  readonly seenAt: string
}
