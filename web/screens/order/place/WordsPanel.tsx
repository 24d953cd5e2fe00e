import { ActionIcon, Button, Select, Textarea } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { useState } from 'react'
import { type Words, wordsSchema } from '#core/model/layout'
import { isRound, openingSize } from '#core/tips/index'
import { faces } from '#core/words/face'
import { faceIds } from '#core/words/faceIds'
import { fitOffers } from '#core/words/fit'
import { leastCapitalMm, taken } from '#core/words/letter'
import { roomFor } from '#core/words/room'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { LengthField, useLength } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** What is written on the piece, whether it fits, and what it takes. */
export function WordsPanel(props: { placing: Placing; lettered: readonly LaidWords[] }) {
  const { placing, lettered } = props
  return lettered.map((laid) => <OneLettering key={laid.words.id} placing={placing} laid={laid} />)
}

function OneLettering({ placing, laid }: { placing: Placing; laid: LaidWords }) {
  const { order, workshop, plan } = useOrderEditor()
  const length = useLength()
  const weight = useWeight()
  const { words, made, beadMm, whole } = laid
  const [typed, setTyped] = useState<string | null>(null)
  const refused =
    typed === null ? null : (wordsSchema.shape.text.safeParse(typed).error?.issues[0]?.message ?? null)
  const set = (part: Partial<Words>, key: string) =>
    placing.change(
      'words',
      (now) => ({
        ...now.layout,
        words: now.layout.words.map((w) => (w.id === words.id ? { ...w, ...part } : w)),
      }),
      `${words.id} ${key}`,
    )
  const rounds = workshop.tips
    .filter((t) => isRound(t.opening) && (t.owned > 0 || t.base === 'none' || t.id === words.tipId))
    .map((t) => ({ id: t.id, mm: openingSize(t.opening) }))
    .filter((t, i, all) => t.mm <= MOST_BEAD_MM && all.findIndex((o) => o.mm === t.mm) === i)
    .sort((a, b) => a.mm - b.mm)
  const room = roomFor(placing.hand.chart, words.place)
  const offers = fitOffers(
    words,
    beadMm,
    room,
    rounds.map((r) => r.mm),
  )
  const least = leastCapitalMm(words.faceId, beadMm)
  const use = plan?.uses.find((u) => u.id === `${placing.piece.id}.${placing.layout.id}.${words.id}`)
  const grams = use ? use.parts.reduce((sum, p) => sum + p.piped, 0) / use.flowers : 0
  const { touchDowns, seconds } = taken(made, beadMm)
  const fits = whole && offers.length === 0
  return (
    <section aria-label={`Words: ${words.text}`} className={css.words}>
      <div className={css.fields}>
        <Textarea
          label="Words"
          autosize
          minRows={1}
          style={{ flex: 1 }}
          value={typed ?? words.text}
          error={refused}
          onChange={(e) => {
            const text = e.currentTarget.value
            const sound = wordsSchema.shape.text.safeParse(text).success
            setTyped(sound ? null : text)
            if (sound) set({ text }, 'text')
          }}
        />
        <ActionIcon
          variant="outline"
          size={40}
          aria-label="Take the words out"
          onClick={() =>
            placing.change('take the words out', (now) => ({
              ...now.layout,
              words: now.layout.words.filter((w) => w.id !== words.id),
            }))
          }
        >
          <IconX size={20} stroke={1.6} />
        </ActionIcon>
      </div>
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
      <p>
        {fits ? (
          <strong>The words fit: </strong>
        ) : (
          <strong className={css.wants}>
            <FlagMark />{' '}
            {whole ? 'The words are too large for their place: ' : 'The words run off their place: '}
          </strong>
        )}
        {length(made.widthMm)} wide, {length(made.heightMm)} high, {weight(grams)}, {touchDowns} touch-downs,{' '}
        {Math.round(seconds)} s
      </p>
      {made.missing.length > 0 && (
        <p role="alert">
          <FlagMark /> {faces[words.faceId].label} has no {made.missing.map((c) => `“${c}”`).join(', ')}: left
          out. Choose another face, or write it otherwise.
        </p>
      )}
      {words.capitalMm < least && (
        <p>
          <FlagMark /> Small letters close: capitals of {length(least)} at least in this face with icing so
          wide.
        </p>
      )}
      {offers.length > 0 && (
        <div className={css.remedies}>
          {offers.map(({ label, change: { beadMm: bead, ...part } }) => {
            const tip = rounds.find((r) => r.mm === bead)
            return (
              <Button
                key={label}
                onClick={() => set({ ...part, ...(tip ? { tipId: tip.id } : {}) }, `offer ${label}`)}
              >
                {label}
              </Button>
            )
          })}
        </div>
      )}
    </section>
  )
}

/** Nobody writes through a wider opening, mm. */
const MOST_BEAD_MM = 6
