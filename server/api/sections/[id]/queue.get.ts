import { defineRoute } from '../../../http/defineRoute'
import { onFloor } from '../../../http/reader'
import { queueOf } from '../../../store/queue'

/** Who waits to be read, in order, and how long a reading takes today. */
export default defineRoute({ who: onFloor, id: 'section' }, ({ id }) => queueOf(id, new Date()))
