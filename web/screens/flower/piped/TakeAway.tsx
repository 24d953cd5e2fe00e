import { Button, Menu } from '@mantine/core'
import { useState } from 'react'
import { filmOf } from '../../../demonstration/film.ts'
import type { Filmed } from '../../../demonstration/filmed.ts'
import { stripPicture } from '../../../demonstration/strip.ts'
import type { Piped } from '../../../demonstration/useShow.ts'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { attempt, tell } from '../../../parts/notify.tsx'
import { offerFile } from '../../../parts/offer.ts'

/** What can be taken away of a layer: a strip of pictures, and a short film. */
export function TakeAway(props: {
  piped: Piped
  layer: number
  filmed: Filmed | null
  name: string
  headline: string
}) {
  const { piped, layer, filmed, name, headline } = props
  const [busy, setBusy] = useState(false)
  async function take(make: (filmed: Filmed) => Promise<{ blob: Blob; name: string }>, what: string) {
    if (!filmed) return
    setBusy(true)
    const made = await attempt(() => make(filmed))
    setBusy(false)
    if (!made) return
    offerFile(made.blob, `${name}.${made.name}`)
    tell(what)
  }
  return (
    <AskedMenu
      position="bottom-end"
      button={
        <Button disabled={!filmed} loading={busy}>
          Take it away…
        </Button>
      }
    >
      <Menu.Item
        onClick={() =>
          take(
            async (f) => ({
              blob: await stripPicture(f, piped.show, layer, { title: name, headline }),
              name: 'png',
            }),
            'A strip of six pictures is saved.',
          )
        }
      >
        Strip for the wall (PNG)
      </Menu.Item>
      <Menu.Item onClick={() => take((f) => filmOf(f, piped.show, layer), 'The film is saved.')}>
        Short film of one stroke
      </Menu.Item>
    </AskedMenu>
  )
}
