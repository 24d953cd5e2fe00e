import type { AmongOthers } from '../../data/amongOthers.ts'
import type { Days } from '../../workers/days.ts'

/** The timetable of an order by itself, and when it has to be begun among the others of the coming days. */
export interface OrderDays extends Days {
  among: AmongOthers | null
}
