import { Modal, SegmentedControl } from '@mantine/core'
import { IconPlayerPlay } from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { lessonOf } from '#core/demonstration/lesson'
import { pileLayers } from '#core/flowers/piled'
import type { Flower } from '#core/model/flower'
import { useShow } from '../../demonstration/useShow.ts'
import { Watch } from '../../demonstration/Watch.tsx'
import { useLength } from '../../parts/length.tsx'
import { Loading } from '../../parts/states.tsx'
import type { Picture } from '../../workers/flowers.worker.ts'
import { LooksLike } from '../wrong/LooksLike.tsx'
import css from './Bench.module.css'

interface Seen {
  flower: Flower
  picture: Picture
  /** The layer that is piped at this step; null for the whole flower. */
  layer: number | null
  colours: Readonly<Record<string, string>>
  hand: 'left' | 'right'
}

/** Shows how what is asked for is piped, over all of the tablet; one touch back. */
export function SeeItPiped(props: Seen) {
  const [opened, setOpened] = useState(false)
  const [wrong, setWrong] = useState(false)
  const { picture, layer, colours } = props
  return (
    <>
      <button type="button" className={`${css.small} ${css.seePiped}`} onClick={() => setOpened(true)}>
        <IconPlayerPlay size={26} /> See it piped
      </button>
      <Modal
        opened={opened}
        onClose={() => setOpened(false)}
        fullScreen
        title={`${props.flower.name}, see it piped`}
        classNames={{ body: css.watched, header: css.watchedHead }}
        closeButtonProps={{ 'aria-label': 'Back to the step', size: 56 }}
      >
        <SegmentedControl
          className={css.watchedPart}
          aria-label="What is shown"
          value={wrong ? 'wrong' : 'piped'}
          onChange={(v) => setWrong(v === 'wrong')}
          data={[
            { value: 'piped', label: 'Being piped' },
            { value: 'wrong', label: 'When it looks wrong' },
          ]}
        />
        {opened && !wrong && <Shown {...props} />}
        {opened && wrong && (
          <LooksLike
            layers={picture.layers}
            run={picture.run}
            layer={layer}
            colours={colours}
            none="Press “Looks wrong” at the step: everything that goes wrong is there."
          />
        )}
      </Modal>
    </>
  )
}

function Shown({ flower, picture, layer, colours, hand }: Seen) {
  const piped = useShow(picture.layers, picture.run, layer)
  const say = useLength()
  const layers = useMemo(() => pileLayers(piped?.layers ?? []), [piped])
  const ground = flower.setting === 'nail' ? 'nail' : 'turntable'
  if (!piped) return <Loading what="how it is piped" />
  return (
    <Watch
      piped={piped}
      colours={colours}
      ground={ground}
      hand={hand}
      names={piped.layers.map((l) => l.layer.name)}
      headline={(l) => lessonOf(piped.show, layers, l, ground, say).headline}
    />
  )
}
