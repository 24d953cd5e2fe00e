import { ActionIcon, Button } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import type { Words } from '#core/model/layout'
import { isRound, openingSize } from '#core/tips/index'
import { fitOffers } from '#core/words/fit'
import { roomFor } from '#core/words/room'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { LetteringFields, WordsField } from './LetteringFields.tsx'
import { LetteringSays } from './LetteringSays.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** What is written on the piece, whether it fits, and what it takes. */
export function WordsPanel(props: { placing: Placing; lettered: readonly LaidWords[] }) {
  const { placing, lettered } = props
  return lettered.map((laid) => <OneLettering key={laid.words.id} placing={placing} laid={laid} />)
}

function OneLettering({ placing, laid }: { placing: Placing; laid: LaidWords }) {
  const { workshop } = useOrderEditor()
  const { words, beadMm } = laid
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
  return (
    <section aria-label={`Words: ${words.text}`} className={css.words}>
      <div className={css.fields}>
        <WordsField text={words.text} onChange={(text) => set({ text }, 'text')} />
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
      <LetteringFields words={words} rounds={rounds} set={set} />
      <LetteringSays {...{ placing, laid }} tooLarge={offers.length > 0} />
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
