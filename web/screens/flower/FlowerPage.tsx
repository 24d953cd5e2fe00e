import { Button, Menu } from '@mantine/core'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { roleGrams } from '#core/flowers/measure'
import { formatMinutes } from '#core/units'
import { copyFlower, reloadWorkshop, removeFlower, useWorkshop } from '../../data/workshop.ts'
import { FlowerPicture } from '../../drawings/FlowerPicture.tsx'
import { Card, PageHead, Stat, Stats } from '../../parts/Card.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { NamedDab } from '../../parts/Swatch.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { usePicture } from '../../workers/planner.ts'
import css from './FlowerPage.module.css'
import { LayerStrip } from './LayerStrip.tsx'
import { LayerTable } from './LayerTable.tsx'
import { OwnFlowerForm } from './OwnFlowerForm.tsx'

const own = { sizeMm: null, tips: {} }
const levels = { first: 'for a first try', practised: 'wants some practice', skilled: 'for a skilled hand' }

/** One flower: from above, layer by layer, with its amounts; our own can be changed here. */
export function FlowerPage() {
  const { flowerId } = useParams()
  const { workshop, error } = useWorkshop()
  const flower = workshop?.flowers.find((f) => f.id === flowerId)
  const { picture, error: drawError } = usePicture(flower, own, workshop)
  const [layerId, setLayerId] = useState<string | null>(null)
  const weight = useWeight()
  const navigate = useNavigate()

  if (error && !workshop) return <Failed what="This flower" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the flower" />
  if (!flower)
    return (
      <Empty page title="There is no such flower">
        It may have been taken out of the library.
      </Empty>
    )

  const icing = workshop.icings[0]!
  const colours = Object.fromEntries(flower.roles.map((r) => [r.id, r.hex]))
  const shown = layerId && flower.layers.some((l) => l.id === layerId) ? new Set([layerId]) : undefined
  const grams = picture ? roleGrams(flower, picture.measure, icing.density) : null
  const total = picture ? (picture.measure.volumeMm3 / 1000) * icing.density : 0

  async function copy() {
    const made = await attempt(() => copyFlower(flower!.id))
    if (made) {
      navigate(`/flowers/${made.id}`)
      tell(`“${made.name}” is yours to change.`)
    }
  }
  async function remove() {
    const done = await attempt(async () => {
      await removeFlower(flower!.id)
      return true
    })
    if (done) navigate('/flowers')
  }

  return (
    <>
      <PageHead
        title={flower.name}
        line={`${flower.setting === 'nail' ? `on a ${flower.nailMm} mm nail, then lifted` : 'piped in place'} · ${levels[flower.level]} · ${flower.layers.length} layers${flower.source === 'own' ? ' · our own' : ' · from the catalogue'}`}
        actions={
          <>
            {flower.source === 'own' && (
              <Menu position="bottom-end">
                <Menu.Target>
                  <Button>Take out…</Button>
                </Menu.Target>
                <Menu.Dropdown>
                  <Menu.Item onClick={remove}>Take {flower.name} out of the library</Menu.Item>
                </Menu.Dropdown>
              </Menu>
            )}
            <Button variant={flower.source === 'own' ? 'outline' : 'filled'} onClick={copy}>
              {flower.source === 'own' ? 'Copy' : 'Copy to change it'}
            </Button>
          </>
        }
      />
      <div className={css.columns}>
        <Card>
          <div className={css.picture}>
            {picture && (
              <FlowerPicture
                shapes={picture.shapes}
                colours={colours}
                layers={shown}
                size={400}
                label={`${flower.name} from above`}
              />
            )}
            {drawError && <Failed what="The picture" error={drawError} />}
          </div>
        </Card>
        <div className={css.side}>
          {picture && (
            <Card
              title="One flower"
              aside={`in ${icing.name.toLowerCase()}, before anybody has weighed one: give or take 30 %`}
            >
              <Stats>
                <Stat name="across">{picture.measure.diameterMm.toFixed(0)} mm</Stat>
                <Stat name="high">{picture.measure.heightMm.toFixed(0)} mm</Stat>
                <Stat name="icing">{weight(total)}</Stat>
                <Stat name="hands-on">
                  {picture.measure.seconds < 90
                    ? `${Math.round(picture.measure.seconds)} s`
                    : formatMinutes(picture.measure.seconds / 60)}
                </Stat>
              </Stats>
              <ul className={css.roles}>
                {flower.roles.map((role) => (
                  <li key={role.id}>
                    <NamedDab hex={role.hex} name={role.name} />
                    <span>{weight(grams?.get(role.id) ?? 0)}</span>
                  </li>
                ))}
              </ul>
            </Card>
          )}
          <Card
            title="Layer by layer"
            aside={
              layerId ? 'one layer shown; press it again for all' : 'first to last; press one to see it alone'
            }
          >
            {picture && (
              <LayerStrip
                flower={flower}
                shapes={picture.shapes}
                selected={layerId}
                select={(id) => setLayerId(id === layerId ? null : id)}
              />
            )}
          </Card>
        </div>
      </div>
      <div className={css.below}>
        {picture && (
          <LayerTable flower={flower} picture={picture} workshop={workshop} density={icing.density} />
        )}
        {flower.source === 'own' && <OwnFlowerForm key={flower.id} flower={flower} workshop={workshop} />}
      </div>
    </>
  )
}
