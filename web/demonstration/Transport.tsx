import { Button, SegmentedControl } from '@mantine/core'
import { IconPlayerPauseFilled, IconPlayerPlayFilled } from '@tabler/icons-react'
import type { ReactNode } from 'react'
import type { Pose } from '#core/demonstration/pose'
import type { Show } from '#core/demonstration/show'
import type { Stop } from '#core/demonstration/stops'
import { phaseWords } from './phaseWords.ts'
import type { Player } from './usePlayer.ts'
import css from './Watch.module.css'

const RATES = [
  { value: '1', label: '×1' },
  { value: '0.5', label: '½' },
  { value: '0.25', label: '¼' },
]
const HANDS = [
  { value: 'left', label: 'left hand' },
  { value: 'right', label: 'right hand' },
]

/** The buttons that play, step and choose how fast and with which hand. */
export function Transport(props: {
  player: Player
  show: Show
  pose: Pose
  /** The layer that alone is watched; null for all. */
  layer: number | null
  /** The stroke's number among those of its layer, and how many there are. */
  nth: number
  of: number
  before: Stop | null
  after: Stop | null
  left: boolean
  setLeft: (left: boolean) => void
  actions?: ReactNode
}) {
  const { player, show, pose, layer, nth, of, before, after, left, setLeft } = props
  const go = (by: number) => {
    const to = show.strokes[pose.stroke + by]
    if (to) player.seek(to.begins + to.timing.begins.touch)
  }

  return (
    <div className={css.transport}>
      <Button
        variant="filled"
        className={css.play}
        leftSection={
          player.playing ? <IconPlayerPauseFilled size={18} /> : <IconPlayerPlayFilled size={18} />
        }
        onClick={() => (player.playing ? player.pause() : player.play())}
      >
        {player.playing ? 'Pause' : 'Play'}
      </Button>
      <Button disabled={!before} onClick={() => before && player.seek(before.second)}>
        ‹ {before ? phaseWords[before.phase].short : 'Back'}
      </Button>
      <Button disabled={!after} onClick={() => after && player.seek(after.second)}>
        {after ? phaseWords[after.phase].short : 'On'} ›
      </Button>
      {show.strokes.length > 1 && (
        <Button.Group>
          <Button
            aria-label="The stroke before"
            disabled={pose.stroke === 0 || (layer !== null && nth === 1)}
            onClick={() => go(-1)}
          >
            ‹ {nth > 1 ? nth - 1 : ''}
          </Button>
          <Button
            aria-label="The next stroke"
            disabled={pose.stroke === show.strokes.length - 1 || (layer !== null && nth === of)}
            onClick={() => go(1)}
          >
            {nth < of ? nth + 1 : ''} ›
          </Button>
        </Button.Group>
      )}
      <SegmentedControl
        aria-label="How fast"
        data={RATES}
        value={String(player.rate)}
        onChange={(v) => player.setRate(Number(v))}
      />
      <SegmentedControl
        className={css.hands}
        aria-label="Hand"
        data={HANDS}
        value={left ? 'left' : 'right'}
        onChange={(v) => setLeft(v === 'left')}
      />
      {props.actions}
    </div>
  )
}
