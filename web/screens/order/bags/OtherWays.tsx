import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { type BatchOffer, inBatches } from '#core/plan/fewer/batches'
import type { BuyOffer } from '#core/plan/fewer/buying'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlagMark } from '../../../parts/AdviceList.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { DECIDE_MINUTES } from './decide.ts'
import css from './Fewer.module.css'

/** Flowers over batches of nail squares, and what would be worth buying; nothing where neither helps. */
export function OtherWays({ batches, buys }: { batches: readonly BatchOffer[]; buys: readonly BuyOffer[] }) {
  const { edit } = useOrderEditor()
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

const listed = (names: readonly string[]) =>
  names
    .map((n) => n.toLowerCase())
    .join(', ')
    .replace(/, ([^,]*)$/, ' and $1')

const capital = (words: string) => words.slice(0, 1).toUpperCase() + words.slice(1)
