import { useState } from 'react'
import useSWR from 'swr'
import { companions } from '#core/colour/harmony'
import { newColour } from '#core/model/newColour'
import type { OrderColour } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { newId } from '../../../parts/newId.ts'
import { colourBench } from '../../../workers/colours.ts'
import { AllColours } from './AllColours.tsx'
import type { AddColours } from './addColours.ts'
import { Chips } from './Chips.tsx'
import css from './Colours.module.css'
import { PaletteFiles } from './PaletteFiles.tsx'

/** Ways to a palette: companions and tones of a colour, muting and tying all, photographs and files. */
export function PaletteTools({ chosen }: { chosen: OrderColour | null }) {
  const { order, workshop, edit } = useOrderEditor()
  const [found, setFound] = useState<string[]>([])
  const icing = workshop.icings.find((i) => i.id === order.icingKindId)!
  const { data: tones = [] } = useSWR(
    chosen ? ['tones', chosen.hex, chosen.dyeIds, icing.id, workshop.dyes] : null,
    () =>
      colourBench().tones(
        {
          colourId: chosen!.id,
          targetHex: chosen!.hex,
          icingKindId: icing.id,
          grams: 100,
          dyeIds: chosen!.dyeIds,
        },
        { ...workshop, flowers: [], tips: [], bags: [] },
      ),
  )
  const add: AddColours = (colours, label) =>
    edit(label, (o) => ({
      ...o,
      colours: [...o.colours, ...colours.map((c) => newColour(newId(), c.name, c.hex))].slice(0, 60),
    }))

  return (
    <Card title="Change the palette" actions={<PaletteFiles add={add} setFound={setFound} />}>
      {found.length > 0 && (
        <div className={css.toolRow}>
          <span>In the picture</span>
          <Chips
            chips={found.map((hex) => ({ words: 'add', hex }))}
            take={(hex) => add([{ name: `From a picture ${hex}`, hex }], 'a colour from a picture')}
          />
        </div>
      )}
      {chosen && (
        <>
          <div className={css.toolRow}>
            <span>Goes with {chosen.name}</span>
            <Chips
              chips={companions(chosen.hex)}
              take={(hex, words) => add([{ name: `${chosen.name}, ${words}`, hex }], 'a companion')}
            />
          </div>
          <div className={css.toolRow}>
            <span>Its tones, let down with icing</span>
            <Chips
              chips={tones.map((hex, i) => ({ words: `1 : ${2 ** (i + 1) - 1}`, hex }))}
              take={(hex, words) => add([{ name: `${chosen.name} ${words}`, hex }], 'a tone')}
            />
          </div>
        </>
      )}
      <AllColours />
    </Card>
  )
}
