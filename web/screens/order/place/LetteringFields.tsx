import { Select, Textarea } from '@mantine/core'
import { useState } from 'react'
import { type Words, wordsSchema } from '#core/model/layout'
import { faces } from '#core/words/face'
import { faceIds } from '#core/words/faceIds'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { LengthField, useLength } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import css from './Place.module.css'

/** What is written; what cannot be is kept as it was typed, and said. */
export function WordsField({ text: known, onChange }: { text: string; onChange: (text: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  const refused =
    typed === null ? null : (wordsSchema.shape.text.safeParse(typed).error?.issues[0]?.message ?? null)
  return (
    <Textarea
      label="Words"
      autosize
      minRows={1}
      style={{ flex: 1 }}
      value={typed ?? known}
      error={refused}
      onChange={(e) => {
        const text = e.currentTarget.value
        const sound = wordsSchema.shape.text.safeParse(text).success
        setTyped(sound ? null : text)
        if (sound) onChange(text)
      }}
    />
  )
}

/** The face and measures of words, and what they are piped with. */
export function LetteringFields(props: {
  words: Words
  /** Round openings to write with. */
  rounds: readonly { id: string; mm: number }[]
  set: (part: Partial<Words>, key: string) => void
}) {
  const { words, rounds, set } = props
  const { order } = useOrderEditor()
  const length = useLength()
  return (
    <div className={css.fields}>
      <Select
        label="Face"
        w={136}
        value={words.faceId}
        data={faceIds.map((id) => ({ value: id, label: faces[id].label }))}
        onChange={(id) => {
          const faceId = faceIds.find((known) => known === id)
          if (faceId) set({ faceId }, 'face')
        }}
      />
      <LengthField
        label="Capitals"
        width={104}
        step={0.5}
        decimals={1}
        value={words.capitalMm}
        schema={wordsSchema.shape.capitalMm}
        onChange={(capitalMm) => set({ capitalMm }, 'capitals')}
      />
      <Select
        label="Icing wide"
        w={104}
        value={words.tipId}
        data={rounds.map((r) => ({ value: r.id, label: length(r.mm) }))}
        onChange={(tipId) => tipId && set({ tipId }, 'tip')}
      />
      <LengthField
        label="Arc, 0 straight"
        width={122}
        step={10}
        value={words.arcMm}
        schema={wordsSchema.shape.arcMm.unwrap()}
        onChange={(arcMm) => set({ arcMm }, 'arc')}
      />
      <NumberField
        label="Turn"
        unit="°"
        width={84}
        step={5}
        value={words.turnDeg}
        schema={wordsSchema.shape.turnDeg.unwrap()}
        onChange={(turnDeg) => set({ turnDeg }, 'turn')}
      />
      <Select
        label="Colour"
        w={136}
        value={words.colourId}
        data={order.colours.map((c) => ({ value: c.id, label: c.name }))}
        onChange={(colourId) => colourId && set({ colourId }, 'colour')}
      />
    </div>
  )
}
