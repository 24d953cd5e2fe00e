import { band } from './band.ts'
import { crescent } from './crescent.ts'
import { dome } from './dome.ts'
import { fall } from './fall.ts'
import { path } from './path.ts'
import { ring } from './ring.ts'
import { scatter } from './scatter.ts'
import type { School } from './school.ts'
import { single } from './single.ts'
import { spray } from './spray.ts'
import { three } from './three.ts'
import { wreath } from './wreath.ts'

/** Every way of placing, simple ones first. */
export const schools: readonly School[] = [
  single,
  three,
  dome,
  ring,
  wreath,
  crescent,
  spray,
  scatter,
  band,
  fall,
  path,
]

/** A school by its name; the full top for one that this version does not know. */
export const schoolOf = (id: string): School => schools.find((s) => s.id === id) ?? dome
