/**
 * The reading room: beads shown for practice, what is asked of them, what told, and when each comes back.
 */
export * from './beadCards'
export * from './choices'
export * from './schedule'
export * from './tells'
export * from './shownBeadOf'
export * from './answersSummary'
