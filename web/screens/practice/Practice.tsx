import { Button } from '@mantine/core'
import { useDisclosure, useElementSize } from '@mantine/hooks'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { stiffnessSchema } from '#core/common'
import type { PracticeSettings } from '#core/model/practice'
import type { Workshop } from '#core/model/workshop'
import type { Drill } from '#core/practice/drill'
import { drillFor, isDrillName } from '#core/practice/drillFor'
import { type Ideal, idealOf } from '#core/practice/ideal'
import type { Senses } from '#core/practice/senses'
import { describeOpening } from '#core/tips/index'
import { useTries, useTry } from '../../data/practice.ts'
import { PageHead, PartHead } from '../../parts/Card.tsx'
import { CSS_PX_PER_MM, useScreenScale } from '../../parts/screenScale.ts'
import { Empty } from '../../parts/states.tsx'
import { usePrefs } from '../../practice/prefs.ts'
import { ScreenScale } from '../drawer/ScreenScale.tsx'
import type { BeforeOrder } from './beforeOrder.ts'
import { DrillList } from './DrillList.tsx'
import { Getting } from './Getting.tsx'
import css from './Practice.module.css'
import { PrintSheet } from './PrintSheet.tsx'
import { Result } from './Result.tsx'
import { Setup } from './Setup.tsx'
import { Tryout } from './Tryout.tsx'
import { type Trying, useTried } from './useTried.ts'

const FIRST = 'line'

/** The practice sheet: a drill to pipe on, what came of it, and the other drills. */
export function Practice(props: {
  workshop: Workshop
  drillKey: string | null
  /** Address under which the drills are. */
  base: string
  before: BeforeOrder | null
}) {
  const { workshop, base, before } = props
  const key = props.drillKey ?? FIRST
  const { settings } = workshop
  const { prefs, set } = usePrefs()
  const [search, setSearch] = useSearchParams()
  const { pxPerMm } = useScreenScale()
  const [scaling, scale] = useDisclosure()
  const { ref, width } = useElementSize()
  const tries = useTries()
  const shown = useTry(search.get('try'))
  const tip = workshop.tips.find((t) => t.id === search.get('tip'))
  const icing = search.get('icing')
  const drill = useMemo(() => {
    const stiffness = stiffnessSchema.safeParse(icing)
    return drillFor(key, workshop, settings.practice, {
      hand: shown.data?.hand ?? settings.hand,
      ...(shown.data
        ? { opening: shown.data.opening, stiffness: shown.data.stiffness }
        : {
            ...(tip ? { opening: tip.opening } : {}),
            ...(stiffness.success ? { stiffness: stiffness.data } : {}),
          }),
    })
  }, [key, workshop, settings, tip, icing, shown.data])
  const gentle = shown.data?.gentle ?? prefs.gentle
  const idealFor = useMemo(
    () => drill && idealsOf(drill, settings.practice, gentle),
    [drill, settings, gentle],
  )
  const tried = useTried({ idealFor, workshop, prefs, stored: shown.data ?? null })
  const ideal = tried.result?.ideal ?? idealFor?.(prefs.pen || prefs.other === 'squeeze' ? 'full' : 'timing')
  const [round, setRound] = useState(0)
  if (!drill || !ideal)
    return (
      <Empty page title="There is no such drill">
        The flower or the layer may be gone. <Link to="/practice">All drills</Link>
      </Empty>
    )
  const px = pxPerMm ?? CSS_PX_PER_MM
  const own = (tries.data ?? []).filter((t) => t.drill === key && t.person === prefs.person)
  const Head = before ? PartHead : PageHead
  const done: Trying['done'] = (samples, squeezes) => {
    if ((squeezes === 'pen') !== prefs.pen && squeezes !== 'lever') set({ pen: squeezes === 'pen' })
    tried.done(samples, squeezes)
  }
  const again = () => {
    tried.clear()
    // what is piped next is piped as this device is set, not as the try that was watched
    setSearch(
      (now) => {
        now.delete('try')
        return now
      },
      { replace: true },
    )
    setRound((n) => n + 1)
  }
  return (
    <>
      <Head
        title={`Practice: ${isDrillName(key) ? drill.label.charAt(0).toLowerCase() + drill.label.slice(1) : drill.label}`}
        line={
          <>
            {describeOpening(drill.opening)}, {drill.stiffness} ·{' '}
            <button type="button" className={css.linkish} onClick={scale.open}>
              {pxPerMm ? 'true scale, set with a bank card' : 'scale not set: hold a bank card to the screen'}
            </button>
          </>
        }
        actions={
          <>
            <Setup drill={drill} isOwn={!isDrillName(key)} workshop={workshop} prefs={prefs} set={set} />
            <PrintSheet ideal={ideal} />
            {tried.result && (
              <Button variant="filled" onClick={again}>
                Pipe it again
              </Button>
            )}
          </>
        }
      />
      <ScreenScale opened={scaling} close={scale.close} done={scale.close} />
      <div className={css.columns}>
        <section className={css.stage} aria-label="Sheet" ref={ref}>
          <Tryout
            key={`${key} ${round}`}
            {...{ ideal, prefs, tried, done }}
            pxPerMm={px}
            roomPx={width}
            hand={settings.hand}
          />
        </section>
        <div className={css.beside}>
          <Result ideal={ideal} tried={tried} again={again} />
          <Getting marks={own} shown={shown.data ?? null} />
        </div>
        <DrillList
          {...{ base, before, workshop }}
          current={key}
          tries={(tries.data ?? []).filter((t) => t.person === prefs.person)}
        />
      </div>
    </>
  )
}

/** The ideals of a drill, each made when it is asked for. */
function idealsOf(drill: Drill, settings: PracticeSettings, gentle: boolean) {
  const made = new Map<Senses['squeeze'], Ideal>()
  return (squeeze: Senses['squeeze']): Ideal => {
    const known = made.get(squeeze) ?? idealOf(drill, settings, gentle, squeeze)
    made.set(squeeze, known)
    return known
  }
}
