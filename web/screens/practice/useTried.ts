import { useMemo, useState } from 'react'
import type { PracticeTry } from '#core/model/practiceTry'
import { practiceTryVersion } from '#core/model/practiceTry'
import type { Workshop } from '#core/model/workshop'
import { type Judged, judge } from '#core/practice/advice'
import type { Sample } from '#core/practice/attempt'
import type { Laid } from '#core/practice/deposit'
import type { Ideal } from '#core/practice/ideal'
import { layTrace } from '#core/practice/lay'
import { pack, unpack } from '#core/practice/pack'
import { read, type StrokeRead } from '#core/practice/read'
import type { Senses } from '#core/practice/senses'
import { keepTry } from '../../data/practice.ts'
import { newId } from '../../parts/newId.ts'
import { localMoment } from '../../parts/time.ts'
import type { Squeezes } from '../../practice/piping.ts'
import type { Prefs } from '../../practice/prefs.ts'

/** A try that is over, and what came of it. */
export interface Tried extends Judged {
  id: string
  /** What it was judged against: of a device that only tells when it is squeezed, one that does no more. */
  ideal: Ideal
  samples: readonly Sample[]
  laid: readonly Laid[]
  reads: readonly StrokeRead[]
  senses: Senses
}

/** The try on screen: just made, or one from before. */
export interface Trying {
  result: Tried | null
  /** It could not be kept, and why. */
  unkept: string | null
  keepAgain(): void
  done(samples: readonly Sample[], squeezes: Squeezes): void
  clear(): void
}

/** Judges a try when it is done, and keeps it. @param stored one from before that is to be watched again. */
export function useTried(about: {
  idealFor: ((squeeze: Senses['squeeze']) => Ideal) | null
  workshop: Workshop
  prefs: Prefs
  stored: PracticeTry | null
}): Trying {
  const { idealFor, workshop, prefs, stored } = about
  const { practice, hand } = workshop.settings
  const [made, setMade] = useState<{ of: typeof idealFor; result: Tried; kept: PracticeTry } | null>(null)
  const [unkept, setUnkept] = useState<string | null>(null)
  const again = useMemo(() => {
    const ideal = stored && idealFor?.(stored.senses.squeeze)
    if (!stored || !ideal || stored.drill !== ideal.drill.id) return null
    return judged(ideal, unpack(stored.trace), stored.senses, practice.sureAt, stored.id)
  }, [stored, idealFor, practice])
  const keep = async (made: PracticeTry) => {
    setUnkept(null)
    try {
      await keepTry(made)
    } catch (failed) {
      setUnkept((failed as Error).message)
    }
  }
  return {
    result: made?.of === idealFor ? made.result : again,
    unkept,
    keepAgain: () => made && void keep(made.kept),
    done(samples, squeezes) {
      if (!idealFor) return
      const squeeze = squeezes === 'hold' ? 'timing' : 'full'
      const ideal = idealFor(squeeze)
      const { drill } = ideal
      const senses: Senses = {
        squeeze,
        height: prefs.other === 'height',
        nail: drill.nail !== null && prefs.other === 'nail',
      }
      const result = judged(ideal, samples, senses, practice.sureAt, newId())
      const kept: PracticeTry = {
        ...{ schemaVersion: practiceTryVersion, id: result.id, drill: drill.id, label: drill.label },
        ...{ at: localMoment(new Date()), person: prefs.person, opening: drill.opening },
        ...{ stiffness: drill.stiffness, gentle: prefs.gentle, hand, senses },
        ...{ marks: result.score.total, parts: result.score.parts, says: result.advice.says },
        ...{ headline: result.advice.headline.slice(0, 200), trace: pack(samples) },
      }
      setMade({ of: idealFor, result, kept })
      // what lies nowhere near the way is no try
      if (result.reads.length > 0) void keep(kept)
    },
    clear() {
      setMade(null)
      setUnkept(null)
    },
  }
}

function judged(ideal: Ideal, samples: readonly Sample[], senses: Senses, sureAt: number, id: string): Tried {
  const laid = layTrace(samples, ideal.outlet, ideal.middle)
  const reads = read(ideal.drill, ideal.outlet, samples, laid)
  return { ...judge(ideal, reads, senses, sureAt), id, ideal, samples, laid, reads, senses }
}
