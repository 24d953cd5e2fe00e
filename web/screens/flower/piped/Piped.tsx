import { Button, SegmentedControl } from '@mantine/core'
import { useMemo, useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { lessonOf } from '#core/demonstration/lesson'
import { pileLayers } from '#core/flowers/piled'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { layerKey } from '#core/practice/drillFor'
import { describeOpening } from '#core/tips/index'
import { counted } from '#core/units'
import { reloadWorkshop, useWorkshop } from '../../../data/workshop.ts'
import type { Filmed } from '../../../demonstration/filmed.ts'
import { useShow } from '../../../demonstration/useShow.ts'
import { Watch } from '../../../demonstration/Watch.tsx'
import { PageHead } from '../../../parts/Card.tsx'
import { useLength } from '../../../parts/length.tsx'
import { Empty, Failed, Loading } from '../../../parts/states.tsx'
import { useDraftPicture } from '../../../workers/flowers.ts'
import { BesideIt } from './BesideIt.tsx'
import css from './Piped.module.css'
import { TakeAway } from './TakeAway.tsx'

/** The address of a flower that is piped before one's eyes. */
export function PipedPage() {
  const { flowerId, layerId } = useParams()
  const { workshop, error } = useWorkshop()
  if (error && !workshop) return <Failed what="This flower" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the flower" />
  const flower = workshop.flowers.find((f) => f.id === flowerId)
  if (!flower)
    return (
      <Empty page title="There is no such flower">
        It may have been deleted; what was deleted can be brought back under Deleted.
      </Empty>
    )
  return <Piped key={flower.id} flower={flower} workshop={workshop} layerId={layerId ?? null} />
}

const WHOLE = 'whole'

function Piped(props: { flower: Flower; workshop: Workshop; layerId: string | null }) {
  const { flower, workshop, layerId } = props
  const { picture, error } = useDraftPicture(flower, workshop)
  const at = flower.layers.findIndex((l) => l.id === layerId)
  const layer = at < 0 ? null : at
  const whole = useShow(picture?.layers, picture?.run ?? null, null)
  const one = useShow(layer === null ? undefined : picture?.layers, picture?.run ?? null, layer)
  const piped = layer === null ? whole : one?.watched === layer ? one : undefined
  const say = useLength()
  const navigate = useNavigate()
  const [search] = useSearchParams()
  const [filmed, setFilmed] = useState<Filmed | null>(null)
  const colours = useMemo(() => Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), [flower.roles])
  const ground = flower.setting === 'nail' ? 'nail' : 'turntable'
  const lessons = useMemo(() => {
    if (!whole) return []
    const layers = pileLayers(whole.layers)
    return layers.map((_, l) => lessonOf(whole.show, layers, l, ground, say))
  }, [whole, ground, say])
  const watched = layer === null ? undefined : flower.layers[layer]
  const tip = layer === null ? undefined : picture?.layers[layer]?.tip

  return (
    <>
      <PageHead
        title={`${flower.name}, see it piped`}
        line={
          watched && tip
            ? `${watched.name}, layer ${at + 1} of ${flower.layers.length} · ${describeOpening(tip.opening)} · ${watched.stiffness}`
            : `all of it, ${counted(flower.layers.length, 'layer')} · ${ground === 'nail' ? 'on a nail' : 'where it stands'}`
        }
        actions={
          <>
            <Button component={Link} to={`/flowers/${flower.id}`}>
              To the studio
            </Button>
            {watched && (
              <Button component={Link} to={`/practice/${layerKey(flower.id, watched.id)}`}>
                Practise it
              </Button>
            )}
            {piped && layer !== null && (
              <TakeAway
                piped={piped}
                layer={layer}
                filmed={filmed}
                name={`${flower.name}, ${watched!.name}`}
                headline={lessons[layer]?.headline ?? ''}
              />
            )}
          </>
        }
      />
      {error && <Failed what="This flower" error={error} />}
      <nav className={css.layers} aria-label="What is piped">
        <SegmentedControl
          aria-label="What is piped"
          value={watched?.id ?? WHOLE}
          onChange={(id) =>
            navigate(
              {
                pathname: `/flowers/${flower.id}/piped${id === WHOLE ? '' : `/${id}`}`,
                search: search.toString(),
              },
              { replace: true },
            )
          }
          data={[
            { value: WHOLE, label: flower.form === 'flower' ? 'Whole flower' : 'All of it' },
            ...flower.layers.map((l) => ({ value: l.id, label: l.name })),
          ]}
        />
      </nav>
      {piped ? (
        <div className={css.columns}>
          <Watch
            key={`${flower.id} ${layer}`}
            piped={piped}
            colours={colours}
            ground={ground}
            hand={workshop.settings.hand}
            names={flower.layers.map((l) => l.name)}
            headline={(l) => lessons[l]?.headline ?? ''}
            onFilmed={setFilmed}
          />
          <BesideIt {...{ flower, layer, lessons, picture, colours }} />
        </div>
      ) : (
        <Loading what="how it is piped" />
      )}
    </>
  )
}
