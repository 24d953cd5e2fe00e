import { ActionIcon } from '@mantine/core'
import { IconEye, IconEyeOff } from '@tabler/icons-react'
import { Hint } from '../../parts/Hint.tsx'

/** Leaves a part of a flower out of the picture and the figures, or brings it back. */
export function MuteButton(props: { name: string; muted: boolean; mute: () => void }) {
  const { name, muted, mute } = props
  return (
    <Hint label={muted ? 'Show it again' : 'Leave it out of the picture and the figures'}>
      <ActionIcon
        variant="subtle"
        aria-label={muted ? `Show ${name}` : `Mute ${name}`}
        aria-pressed={muted}
        onClick={mute}
      >
        {muted ? <IconEyeOff size={18} stroke={1.6} /> : <IconEye size={18} stroke={1.6} />}
      </ActionIcon>
    </Hint>
  )
}
