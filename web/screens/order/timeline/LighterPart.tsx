import { Button, Checkbox, Progress, Select } from '@mantine/core'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { LighterChange } from '#core/lighter/change'
import { asVersion, type LighterTakes, type LighterVersion } from '#core/lighter/offer'
import type { Order } from '#core/model/order'
import { lookWords } from '#core/plan/look/kept'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { OrderPiece } from '../../../drawings/OrderPiece.tsx'
import { Card } from '../../../parts/Card.tsx'
import { tell } from '../../../parts/notify.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useLighter, useVersion } from '../../../workers/lighter.ts'
import css from './Lighter.module.css'

/** Pieces that are shown before and after; of more, those that change most are enough to judge by. */
const MOST_PIECES = 5
const PIECE_PX = 104

/** The same look with less work: versions side by side, what each does otherwise, and the one that is taken, whole or in part. */
export function LighterPart() {
  const { order, workshop, edit } = useOrderEditor()
  const [params, setParams] = useSearchParams()
  const pieceId = order.pieces.some((p) => p.id === params.get('piece')) ? params.get('piece') : null
  const { done, offer, of, error } = useLighter(order, workshop, pieceId)
  const [chosen, setChosen] = useState<string | null>(null)
  const versions = offer && of === order ? offer.versions : []
  const picked =
    versions.find((v) => keyOf(v) === chosen) ?? versions.find((v) => v.look < 0.93) ?? versions[0]
  const take = (changes: readonly LighterChange[]) => {
    edit('a lighter version', (o) => asVersion(o, changes))
    tell('The lighter version is taken. Ctrl Z brings the other back.')
  }
  return (
    <Card
      title="The same look, less work"
      aside={
        offer
          ? `now ${formatMinutes(offer.now.minutes)} of hands on the icing, ${formatMinutes(offer.now.pipingMinutes)} of it piping`
          : 'looking what could be done otherwise'
      }
      actions={
        <Select
          aria-label="Which pieces may change"
          w={240}
          value={pieceId ?? 'all'}
          onChange={(id) => setParams(id && id !== 'all' ? { piece: id } : {}, { replace: true })}
          data={[
            { value: 'all', label: 'All pieces may change' },
            ...order.pieces.map((p) => ({ value: p.id, label: `Only ${p.name}` })),
          ]}
        />
      }
    >
      {error && <p role="alert">Lighter versions could not be looked for: {error.message}</p>}
      {!error && done < 1 && (
        <Progress value={100 * done} size="xs" aria-label="Looking for lighter versions" mb="sm" />
      )}
      {done === 1 && versions.length === 0 && (
        <p>Nothing could be left out or piped otherwise and still be nearly the same look.</p>
      )}
      {picked && offer && (
        <div className={css.columns}>
          <ul className={css.versions} aria-label="Versions">
            {versions.map((v) => (
              <li key={keyOf(v)}>
                <button type="button" aria-pressed={v === picked} onClick={() => setChosen(keyOf(v))}>
                  <strong className="figure">{formatMinutes(v.takes.minutes)}</strong>
                  <span>
                    look {v.look.toFixed(2)}, {lookWords(v.look).replace(/ look$/, '')}
                  </span>
                  <small>
                    {formatMinutes(offer.now.minutes - v.takes.minutes)} less ·{' '}
                    {formatMinutes(v.takes.pipingMinutes)} piping · {counted(v.takes.bags, 'bag')}
                  </small>
                </button>
              </li>
            ))}
          </ul>
          <Chosen key={keyOf(picked)} order={order} now={offer.now} version={picked} take={take} />
        </div>
      )}
    </Card>
  )
}

const keyOf = (v: LighterVersion) => JSON.stringify(v.changes)

function Chosen(props: {
  order: Order
  now: LighterTakes
  version: LighterVersion
  take(changes: readonly LighterChange[]): void
}) {
  const { order, now, version, take } = props
  const { workshop } = useOrderEditor()
  const weight = useWeight()
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set())
  const changes = useMemo(
    () => version.steps.flatMap((s, i) => (left.has(i) ? [] : s.changes)),
    [version, left],
  )
  const counted = useVersion(order, workshop, left.size === 0 ? null : changes)
  const shown = left.size === 0 ? version : (counted ?? version)
  const then = useMemo(() => asVersion(order, changes), [order, changes])
  const pieces = order.pieces
    .filter((p) => then.pieces.find((t) => t.id === p.id) !== p)
    .slice(0, MOST_PIECES)
  const row = (name: string, a: string, b: string) => (
    <tr>
      <th scope="row">{name}</th>
      <td>{a}</td>
      <td>{b}</td>
    </tr>
  )
  const money = (cost: number) => `${workshop.settings.currency}${cost.toFixed(2)}`
  return (
    <section className={css.chosen} aria-label="The chosen version">
      <div className={css.pictures}>
        {pieces.map((p) => (
          <figure key={p.id}>
            <OrderPiece order={order} pieceId={p.id} workshop={workshop} size={PIECE_PX} />
            <OrderPiece order={then} pieceId={p.id} workshop={workshop} size={PIECE_PX} />
            <figcaption>{p.name}</figcaption>
          </figure>
        ))}
      </div>
      <p className="quiet">Above as ordered, below lighter.</p>
      <div className={css.below}>
        <div className={css.figures}>
          <table>
            <thead>
              <tr>
                <td />
                <th scope="col">as ordered</th>
                <th scope="col">lighter</th>
              </tr>
            </thead>
            <tbody>
              {row('Hands on the icing', formatMinutes(now.minutes), formatMinutes(shown.takes.minutes))}
              {row(
                'of it piping',
                formatMinutes(now.pipingMinutes),
                formatMinutes(shown.takes.pipingMinutes),
              )}
              {row('Icing', weight(now.grams), weight(shown.takes.grams))}
              {row('Bags', String(now.bags), String(shown.takes.bags))}
              {row('Colours', String(now.colours), String(shown.takes.colours))}
              {row('Ingredients', money(now.cost), money(shown.takes.cost))}
              {row('Look kept', '1', shown.look.toFixed(2))}
              {row('Least on one piece', '1', shown.leastPiece.toFixed(2))}
            </tbody>
          </table>
          <Button variant="filled" disabled={changes.length === 0} onClick={() => take(changes)}>
            {left.size === 0 ? 'Take all of it' : `Take ${changes.length} of ${version.steps.length}`}
          </Button>
        </div>
        <ul className={css.steps} aria-label="What is done otherwise">
          {version.steps.map((s, i) => (
            <li key={s.words}>
              <Checkbox
                label={s.words}
                checked={!left.has(i)}
                onChange={(e) => {
                  const on = e.currentTarget.checked
                  setLeft((before) => {
                    const next = new Set(before)
                    if (on) next.delete(i)
                    else next.add(i)
                    return next
                  })
                }}
              />
            </li>
          ))}
        </ul>
      </div>
      <p className="quiet">
        Look is what shows from a step away: colours, textures, sizes, the largest flowers, how much is
        covered. Words and the largest flower of a piece are never taken off. Undo brings everything back.
      </p>
    </section>
  )
}
