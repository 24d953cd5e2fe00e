import { Button, Group, Modal } from '@mantine/core'
import { useMemo, useState } from 'react'
import type { BowlAnswer } from '#core/colour/bowl'
import { ciede2000 } from '#core/colour/ciede2000'
import { SPECKS } from '#core/colour/dose'
import { hexToLab } from '#core/colour/lab'
import { differenceWords } from '#core/colour/likely'
import type { OrderColour } from '#core/model/order'
import { forgetMix, keepMix, useMixes } from '../../../data/dyes.ts'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { attempt, tell } from '../../../parts/notify.tsx'
import { PickColour } from '../../../parts/PickColour.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import type { ShownCorrection } from '../../../workers/colour.worker.ts'
import { useCorrection } from '../../../workers/colours.ts'
import css from './Colours.module.css'

/** Under this the advice is to leave it. */
const LEAVE = 1.5

/** "It came out like this": what to add, or to leave it, or to begin anew; and what the bottles learn from it. */
export function CameOut(props: { answer: BowlAnswer; colour: OrderColour; close: () => void }) {
  const { answer, colour, close } = props
  const { order, workshop } = useOrderEditor()
  const weight = useWeight()
  const [observed, setObserved] = useState(answer.chosen.freshHex)
  const [touched, setTouched] = useState(false)
  const icing = workshop.icings.find((i) => i.id === answer.icingKindId)!
  const wanted = answer.chosen.freshHex
  const off = ciede2000(hexToLab(observed), hexToLab(wanted))
  const look = useMemo(
    () => ({
      icingKindId: answer.icingKindId,
      grams: answer.grams,
      doses: answer.chosen.doses.map((d) => ({ dyeId: d.dyeId, drops: d.eighths / SPECKS })),
      targetHex: wanted,
      observedHex: observed,
    }),
    [answer, observed, wanted],
  )
  const result = useCorrection(touched && off >= LEAVE ? look : null, workshop)
  const kept = useMixes(order.id).filter((m) => m.colourId === colour.id)

  async function keep() {
    const done = await attempt(() => keepMix({ ...look, orderId: order.id, colourId: colour.id }))
    if (!done) return
    tell('Kept. Its bottles have learnt from it: the next formula is surer.')
    close()
  }

  return (
    <Modal opened onClose={close} title={`${colour.name}: it came out like this`} size="lg">
      <div className={css.cameOut}>
        <div className={css.sideBySide}>
          <figure>
            <span style={{ background: wanted }} />
            <figcaption>fresh, it should look like this</figcaption>
          </figure>
          <figure>
            <span style={{ background: observed }} />
            <figcaption>it looks like this</figcaption>
          </figure>
        </div>
        <PickColour
          label="Colour you see"
          value={observed}
          plainHex={icing.baseHex}
          onChange={(hex) => {
            setObserved(hex)
            setTouched(true)
          }}
        />
        {touched && off < LEAVE && (
          <p>
            <strong>Leave it.</strong> It is {differenceWords(off)}, and nobody sees that on a flower.
          </p>
        )}
        {touched && off >= LEAVE && !result && <p className="quiet">Working out what to add…</p>}
        {touched && off >= LEAVE && result && (
          <ul className={css.ways}>
            {result.ways.map((way) => (
              <Way key={`${way.addBaseGrams} ${way.add.map((a) => a.dyeId)}`} way={way} />
            ))}
            {result.sameSize && result.sameSize.takeOutGrams > 1 && <Way way={result.sameSize} />}
          </ul>
        )}
        {kept.length > 0 && (
          <div>
            <h3 className={css.subhead}>Kept before</h3>
            <ul className={css.others}>
              {kept.map((m) => (
                <li key={m.id}>
                  <span className={css.chip} style={{ background: m.observedHex }} />
                  <span>
                    {weight(m.grams)}, {new Date(m.at).toLocaleDateString('en-GB')}
                  </span>
                  <Button size="compact-xs" onClick={() => void attempt(() => forgetMix(m))}>
                    Forget
                  </Button>
                </li>
              ))}
            </ul>
          </div>
        )}
        <Group justify="flex-end">
          <Button onClick={close}>Close</Button>
          <Button variant="filled" disabled={!touched || look.doses.length === 0} onClick={keep}>
            Keep it, so the bottles learn
          </Button>
        </Group>
      </div>
    </Modal>
  )
}

function Way({ way }: { way: ShownCorrection }) {
  const weight = useWeight()
  const steps = [
    way.stockGrams > 0 &&
      `begin anew: ${weight(way.addBaseGrams)} of plain icing with ${weight(way.stockGrams)} of this bowl`,
    way.takeOutGrams > 1 && `take ${weight(way.takeOutGrams)} out`,
    way.stockGrams === 0 && way.addBaseGrams > 1 && `stir in ${weight(way.addBaseGrams)} of plain icing`,
    ...way.add
      .filter((a) => a.drops >= 1 / 16)
      .map((a) => `add ${dropWords(a.drops)} ${a.name.toLowerCase()}`),
  ].filter(Boolean)
  return (
    <li>
      <span className={css.chip} style={{ background: way.hex }} />
      <span>
        <strong>{sentence(steps.join(', ') || 'nothing helps')}.</strong>{' '}
        <span className="quiet">
          {differenceWords(way.difference)}; the bowl then holds {weight(way.gramsAfter)}. Look again before
          you go on.
        </span>
      </span>
    </li>
  )
}

function dropWords(drops: number): string {
  const eighths = Math.max(1, Math.round(drops * SPECKS))
  if (eighths < SPECKS) return eighths === 1 ? '1 speck' : `${eighths} specks`
  const whole = Math.round(drops)
  return whole === 1 ? '1 drop' : `${whole} drops`
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
