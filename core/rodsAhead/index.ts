/** What rods the coming weeks will use, by where each student is on the ladder. */
export * from './walk'
export * from './rodsAhead'
