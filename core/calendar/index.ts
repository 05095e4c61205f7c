/** The school's days: which day it is where the shop stands, and how a day is counted and said. */
export * from './classDay'
export * from './wallClock'
export * from './daysOff'
