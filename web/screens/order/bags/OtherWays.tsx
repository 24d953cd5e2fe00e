import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { type BatchOffer, inBatches } from '#core/plan/fewer/batches'
import { type HiddenChoice, piped } from '#core/plan/fewer/hidden'
import type { OtherWays as Ways } from '#core/plan/fewer/otherWays'
import { DECIDE_MINUTES } from '#core/plan/fewer/saving'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import css from './Fewer.module.css'

/** Flowers over batches of nail squares, what nobody sees, and what would be worth buying; nothing where neither helps. */
export function OtherWays({ batches, buys, hidden }: Ways) {
  const { workshop, edit } = useOrderEditor()
  const weight = useWeight()
  return (
    <>
      {batches.length > 0 && (
        <section aria-label="Over a batch of squares">
          <h3 className={css.other}>Over a batch of squares</h3>
          <ul className={css.ways}>
            {batches.map((b) => (
              <li key={b.placedId}>
                <span>
                  {b.saves.minutes >= DECIDE_MINUTES && <FlagMark />}{' '}
                  <strong>
                    {b.flowerName}: {b.squares} squares at a time
                  </strong>{' '}
                  instead of {b.flowers} one after another
                  <br />
                  <span className="quiet">
                    {savedWords(b)}; {listed(b.waiting)} {b.waiting.length > 1 ? 'wait' : 'waits'} for the
                    batch, {formatMinutes(b.waitMinutes)} at the longest
                  </span>
                </span>
                <Button
                  size="compact-md"
                  onClick={() =>
                    edit(`${b.flowerName}: ${b.squares} squares at a time`, (o) =>
                      inBatches(o, b.pieceId, b.placedId, b.squares),
                    )
                  }
                >
                  Work so
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {hidden && (
        <section aria-label="What nobody sees">
          <h3 className={css.other}>What nobody sees</h3>
          <p className="quiet">
            {weight(hidden.grams)} under petals: {listed([...new Set(hidden.layers.map((l) => l.words))])}.
            All in one icing:
          </p>
          <ul className={css.ways}>
            {hidden.choices.map((c) => (
              <li key={c.name}>
                <span>
                  <strong>{capital(c.name)}</strong>
                  <br />
                  <span className="quiet">{hiddenWords(c, weight)}</span>
                </span>
                <Button
                  size="compact-md"
                  onClick={() =>
                    edit(`what nobody sees in ${c.name}`, (o) =>
                      piped(o, workshop, hidden.layers, c.colourId),
                    )
                  }
                >
                  Pipe them so
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {buys.length > 0 && (
        <section aria-label="Worth buying">
          <h3 className={css.other}>Worth buying</h3>
          <ul className={css.ways}>
            {buys.map((b) => (
              <li key={b.name}>
                <span>
                  {b.saves.minutes >= DECIDE_MINUTES && <FlagMark />} <strong>{capital(b.name)}</strong>
                  <br />
                  <span className="quiet">
                    {[
                      b.saves.minutes >= 1 && `${formatMinutes(b.saves.minutes)} fewer in this order`,
                      b.saves.grams >= 1 && `${weight(b.saves.grams)} less icing`,
                    ]
                      .filter(Boolean)
                      .join(', ')}
                    : {b.why}
                  </span>
                </span>
                <Button size="compact-md" component={Link} to="/drawer">
                  To the drawer
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}

const savedWords = ({ saves }: BatchOffer) =>
  [
    `${formatMinutes(saves.minutes)} fewer`,
    saves.changes > 0 && `${counted(saves.changes, 'change')} fewer`,
    saves.washes > 0 && `${counted(saves.washes, 'wash', 'washes')} fewer`,
  ]
    .filter(Boolean)
    .join(', ')

function hiddenWords({ saves, colourId }: HiddenChoice, weight: (grams: number) => string): string {
  const minutes = Math.round(saves.minutes)
  const grams = Math.abs(saves.colouredGrams)
  return [
    minutes !== 0 && `${formatMinutes(Math.abs(minutes))} ${minutes > 0 ? 'fewer' : 'more'}`,
    saves.bags !== 0 && `${counted(Math.abs(saves.bags), 'bag')} ${saves.bags > 0 ? 'fewer' : 'more'}`,
    saves.portions !== 0 &&
      `${counted(Math.abs(saves.portions), 'portion')} ${saves.portions > 0 ? 'fewer' : 'more'}`,
    grams >= 5 && `${weight(grams)} ${saves.colouredGrams > 0 ? 'less' : 'more'} to colour`,
    colourId === null && 'any clean leftover of that stiffness does instead of the plain bowl',
  ]
    .filter(Boolean)
    .join(', ')
}

const listed = (names: readonly string[]) =>
  names
    .map((n) => n.toLowerCase())
    .join(', ')
    .replace(/, ([^,]*)$/, ' and $1')

const capital = (words: string) => words.slice(0, 1).toUpperCase() + words.slice(1)
