import { ActionIcon } from '@mantine/core'
import { useEyeDropper } from '@mantine/hooks'
import { IconColorPicker } from '@tabler/icons-react'

/** Picks a colour from anywhere on the screen, in browsers that can. */
export function EyeDropper(props: { picked: (hex: string) => void }) {
  const { supported, open } = useEyeDropper()
  if (!supported) return null
  return (
    <ActionIcon
      aria-label="Take a colour from the screen"
      onClick={() => {
        // given up with Escape: nothing was picked
        open().then(
          (result) => result && props.picked(result.sRGBHex),
          () => undefined,
        )
      }}
    >
      <IconColorPicker size={18} stroke={1.6} />
    </ActionIcon>
  )
}
