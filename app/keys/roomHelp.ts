import {
  mdiAccountCheckOutline,
  mdiAccountSearchOutline,
  mdiBookOpenPageVariantOutline,
  mdiBookshelf,
  mdiCalculatorVariantOutline,
  mdiCalendarCheckOutline,
  mdiCardTextOutline,
  mdiChartTimelineVariant,
  mdiClipboardCheckOutline,
  mdiContentSaveOutline,
  mdiCounter,
  mdiEyeOutline,
  mdiFileDocumentOutline,
  mdiFormatListNumbered,
  mdiGavel,
  mdiGestureTap,
  mdiHandCoinOutline,
  mdiHumanQueue,
  mdiMapMarkerRadiusOutline,
  mdiMessageAlertOutline,
  mdiPrinterOutline,
  mdiRuler,
  mdiSignatureFreehand,
  mdiStairsUp,
  mdiTuneVariant,
} from '@mdi/js'
import { roomAt, type Room } from '../rooms/rooms'
import { BENCH_KEYS, BLIND_KEYS } from './benchKeys'
import type { KeyRow } from './keyTable'
import { DAY_PLAN_KEYS, FLOOR_KEYS, PLAN_KEYS, TEST_KEYS, TESTS_KEYS } from './roomKeys'

/** One thing that a person does in a room, with what it looks like. */
export interface HelpStep {
  readonly icon: string
  readonly says: string
}

/** What a person does in a room, in a few steps, and its keys. */
export interface RoomHelp {
  /** The room's address. */
  readonly at: string
  readonly steps: readonly HelpStep[]
  readonly keys: readonly KeyRow[]
}

const step = (icon: string, says: string): HelpStep => ({ icon, says })

/** The help of every room but the door. */
export const ROOM_HELP: readonly RoomHelp[] = [
  {
    at: '/',
    steps: [
      step(mdiGestureTap, 'Tap a booth, or scan its card: that student’s coupon opens on the Bench.'),
      step(mdiClipboardCheckOutline, 'Read it, say the one change, save: you are back here.'),
      step(mdiHumanQueue, 'Who waits stands in order of the wait. Take the first, or anyone.'),
    ],
    keys: FLOOR_KEYS,
  },
  {
    at: '/day',
    steps: [
      step(mdiAccountCheckOutline, 'Tap who is here; who left early or stayed away is noted with why.'),
      step(mdiMessageAlertOutline, 'Say the cautions before the first arc, and what you show, to whom.'),
      step(mdiPrinterOutline, 'At the end print who was read, and who stands first next time.'),
    ],
    keys: [],
  },
  {
    at: '/plan',
    steps: [
      step(mdiCalculatorVariantOutline, 'Have the day planned: booths, hours, coupons that help each student most.'),
      step(mdiGestureTap, 'Move what you want elsewhere, by drag or by two taps: it stays there.'),
      step(mdiContentSaveOutline, 'Save it; print the slips, the rods to draw, the plates to cut.'),
    ],
    keys: DAY_PLAN_KEYS,
  },
  {
    at: '/bench',
    steps: [
      step(mdiAccountSearchOutline, 'Choose the student and look over the ticket: rod, position, current.'),
      step(mdiMapMarkerRadiusOutline, 'Go along the beads and mark only what is wrong, where it is.'),
      step(mdiMessageAlertOutline, 'Say the one change on the dark panel, and save.'),
    ],
    keys: BENCH_KEYS,
  },
  {
    at: '/record',
    steps: [
      step(mdiAccountSearchOutline, 'Choose a student.'),
      step(mdiChartTimelineVariant, 'See what is sound, how surely, and what goes wrong most.'),
      step(mdiStairsUp, 'Open the ladder for what to run next, and the odds of a test.'),
    ],
    keys: [],
  },
  {
    at: '/board',
    steps: [
      step(mdiStairsUp, 'Each row is a student on the ladder, with the rung that is worked on.'),
      step(mdiChartTimelineVariant, 'Open one for the odds of a test, and what would help most.'),
      step(mdiSignatureFreehand, 'Sign a rung off once its rule is met.'),
    ],
    keys: [],
  },
  {
    at: '/report',
    steps: [
      step(mdiFileDocumentOutline, 'A page for each student: days, hours, coupons, what is signed off.'),
      step(mdiPrinterOutline, 'Print it, or take it as PDF or CSV.'),
    ],
    keys: [],
  },
  {
    at: '/test-bay',
    steps: [
      step(mdiGavel, 'Say what the student wants to weld: the fewest test pieces are found.'),
      step(mdiFormatListNumbered, 'Go through the test step by step, from fit-up to the last bend.'),
      step(mdiFileDocumentOutline, 'Print the record beside what it qualifies.'),
    ],
    keys: TESTS_KEYS,
  },
  {
    at: '/test-bay/plan',
    steps: [
      step(mdiAccountSearchOutline, 'Choose the student, and what is to be qualified.'),
      step(mdiChartTimelineVariant, 'Look at the odds, and at what would change them.'),
      step(mdiCalendarCheckOutline, 'Plan what is chosen: the test waits in the Test bay.'),
    ],
    keys: PLAN_KEYS,
  },
  {
    at: '/test-bay/test',
    steps: [
      step(mdiFormatListNumbered, 'The next step says what to do, and who signs it.'),
      step(mdiRuler, 'Openings of a bend are typed as they are measured; the code book judges them.'),
      step(mdiFileDocumentOutline, 'The record says what it qualifies once all of it has passed.'),
    ],
    keys: TEST_KEYS,
  },
  {
    at: '/set-up',
    steps: [
      step(mdiTuneVariant, 'Say rod, size, joint, thickness and position.'),
      step(mdiEyeOutline, 'Read off amperes, arc and angles; a drawing shows how the rod is held.'),
      step(mdiPrinterOutline, 'Print a card for the booth: its code opens the coupon.'),
    ],
    keys: [],
  },
  {
    at: '/rods',
    steps: [
      step(mdiBookshelf, 'Write down a lot when its boxes come.'),
      step(mdiHandCoinOutline, 'Note what is drawn, by whom, and what comes back with its stubs.'),
      step(mdiCounter, 'Count now and then: a correction keeps why.'),
    ],
    keys: [],
  },
  {
    at: '/reading-room',
    steps: [
      step(mdiEyeOutline, 'Look at the bead.'),
      step(mdiMessageAlertOutline, 'Say what was wrong in how it was run.'),
      step(mdiBookOpenPageVariantOutline, 'See how it was, and what tells it from the others.'),
    ],
    keys: [],
  },
  {
    at: '/house',
    steps: [
      step(mdiAccountCheckOutline, 'People: sections, students, who signs in.'),
      step(mdiTuneVariant, 'Rules and the ladder: how this school does it. Each change keeps who and why.'),
      step(mdiCardTextOutline, 'Shop, code books, causes and the trail stand beside them.'),
    ],
    keys: [],
  },
  {
    at: '/kiosk',
    steps: [
      step(mdiGestureTap, 'Find your name, or scan your card.'),
      step(mdiHumanQueue, 'Say that your coupon is ready: you see your place in the queue.'),
      step(mdiEyeOutline, 'Read your own coupon before it is read, if you like.'),
    ],
    keys: BLIND_KEYS,
  },
  {
    at: '/today',
    steps: [
      step(mdiEyeOutline, 'See your last coupon, and the one thing to change.'),
      step(mdiTuneVariant, 'Set up by the card for the next one.'),
      step(mdiHumanQueue, 'Run it, and say that it is ready.'),
    ],
    keys: [],
  },
  {
    at: '/second-reading',
    steps: [
      step(mdiEyeOutline, 'Read it as if nobody had: what was marked before is not shown.'),
      step(mdiMapMarkerRadiusOutline, 'Mark only what is wrong, where it is.'),
      step(mdiClipboardCheckOutline, 'Hand it in; then see where the two of you differ.'),
    ],
    keys: BLIND_KEYS,
  },
]

/** The help of the room that an address is in; none at the door. */
export function helpAt(path: string): (RoomHelp & Pick<Room, 'name'>) | undefined {
  const room = roomAt(path)
  const help = ROOM_HELP.find(({ at }) => at === room?.at)
  return room && help && { ...help, name: room.name }
}
