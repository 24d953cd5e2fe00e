import { SegmentedControl } from '@mantine/core'
import { Link, useSearchParams } from 'react-router'
import type { Lesson } from '#core/demonstration/lesson'
import type { Flower } from '#core/model/flower'
import { counted } from '#core/units'
import { useLength } from '../../../parts/length.tsx'
import type { Picture } from '../../../workers/flowers.worker.ts'
import { LooksLike } from '../../wrong/LooksLike.tsx'
import { Numbers } from './Numbers.tsx'
import css from './Piped.module.css'

const WRONG = 'wrong'

/** Beside a flower that is piped: how in numbers, or what it comes from when it looks wrong; the address says which. */
export function BesideIt(props: {
  flower: Flower
  layer: number | null
  lessons: readonly Lesson[]
  picture: Picture | undefined
  colours: Readonly<Record<string, string>>
}) {
  const { flower, layer, lessons, picture, colours } = props
  const say = useLength()
  const [search, setSearch] = useSearchParams()
  const beside = search.get('beside') === WRONG ? WRONG : 'numbers'
  const tools = (layer === null ? undefined : flower.layers[layer])?.tools.length ?? 0
  return (
    <div className={css.right}>
      <SegmentedControl
        fullWidth
        aria-label="Beside it"
        value={beside}
        onChange={(v) => setSearch(v === WRONG ? { beside: WRONG } : {}, { replace: true })}
        data={[
          { value: 'numbers', label: 'In numbers' },
          { value: WRONG, label: 'When it looks wrong' },
        ]}
      />
      {beside === WRONG && picture ? (
        <LooksLike
          key={layer}
          layers={picture.layers}
          run={picture.run}
          layer={layer}
          colours={colours}
          none={<Link to="/wrong">Everything that goes wrong</Link>}
        />
      ) : (
        <Numbers flower={flower} lessons={lessons} layer={layer} say={say} />
      )}
      {tools > 0 && (
        <p className="quiet">
          What is done to it with tools comes after, and is not shown here: {counted(tools, 'step')}.
        </p>
      )}
    </div>
  )
}
