import type { KeyRow } from './keyTable'

export type HelpAct = 'help'
/** In every room. */
export const HELP_KEYS: readonly KeyRow<HelpAct>[] = [
  { shown: '?', says: 'what is done here, and its keys', acts: { '?': 'help' } },
]

export type FloorAct = 'next'
export const FLOOR_KEYS: readonly KeyRow<FloorAct>[] = [
  { shown: 'N', says: 'read the first who waits, else whoever was read longest ago', acts: { N: 'next' } },
]

export type TestsAct = 'plan'
export const TESTS_KEYS: readonly KeyRow<TestsAct>[] = [{ shown: 'N', says: 'plan a test', acts: { N: 'plan' } }]

export type DayPlanAct = 'plan' | 'save'
export const DAY_PLAN_KEYS: readonly KeyRow<DayPlanAct>[] = [
  { shown: 'P', says: 'plan the day', acts: { P: 'plan' } },
  { shown: 'S', says: 'save the plan', acts: { S: 'save' } },
]

export type PlanAct = 'plan' | 'choose'
export const PLAN_KEYS: readonly KeyRow<PlanAct>[] = [
  { shown: 'Enter', says: 'plan what is chosen', acts: { Enter: 'plan' } },
  { shown: '/', says: 'another student', acts: { '/': 'choose' } },
]

export type TestAct =
  | 'step'
  | 'stop'
  | 'openings'
  | 'bench'
  | 'pass less'
  | 'pass more'
  | 'fit-up'
  | 'record'
  | 'labels'
  | 'json'
  | 'next test'
  | 'undo'
export const TEST_KEYS: readonly KeyRow<TestAct>[] = [
  { shown: 'Enter', says: 'the next step', acts: { Enter: 'step' } },
  { shown: 'P', says: 'stop the clock', acts: { P: 'stop' } },
  { shown: 'O', says: 'openings of the next bend', acts: { O: 'openings' } },
  { shown: 'B', says: 'the coupon on the Bench', acts: { B: 'bench' } },
  {
    shown: '- / +',
    says: 'a pass fewer, a pass more',
    acts: { '-': 'pass less', '+': 'pass more', '=': 'pass more' },
  },
  { shown: 'F', says: 'fit-up', acts: { F: 'fit-up' } },
  { shown: 'R', says: 'record as PDF', acts: { R: 'record' } },
  { shown: 'L', says: 'labels for specimens', acts: { L: 'labels' } },
  { shown: 'J', says: 'the whole test as JSON', acts: { J: 'json' } },
  { shown: 'T', says: 'the student’s next test', acts: { T: 'next test' } },
  { shown: 'Ctrl Z', says: 'take the last step back', acts: { 'Ctrl Z': 'undo' } },
]
