import { Button, Group, Modal, SegmentedControl } from '@mantine/core'
import { useState } from 'react'
import type { Change } from '#core/merge/changes'
import { type Clash, merge, pathKey, type Side } from '#core/merge/merge'
import type { Path } from '#core/merge/shape'
import { type NameOf, placeWords, valueWords } from '#core/merge/words'
import type { Conflict } from '../data/documentSync.ts'
import css from './ConflictDialog.module.css'

/**
 * Two people have changed one document. Shows field by field what each did; what does not touch is kept from both, and
 * where both changed one place, a person chooses. Nothing is thrown away by the strong button.
 */
export function ConflictDialog<T>(props: {
  /** What it is, in a sentence: "this order". */
  what: string
  conflict: Conflict<T>
  nameOf: NameOf
  settle: (document: T) => void
}) {
  const { what, conflict, nameOf, settle } = props
  const { base, mine, theirs } = conflict
  const [chosen, setChosen] = useState<Readonly<Record<string, Side>>>({})
  const { mine: ours, theirs: others, clashes } = merge(base, mine, theirs.document)
  const left = clashes.filter((clash) => !chosen[pathKey(clash.path)]).length
  const documents = [mine, theirs.document, base]
  const both = () =>
    merge(base, mine, theirs.document, (clash) => chosen[pathKey(clash.path)] ?? 'mine').document
  return (
    <Modal
      opened
      onClose={() => undefined}
      withCloseButton={false}
      size={720}
      title={`Somebody else has changed ${what} too`}
    >
      <p>
        {clashes.length === 0
          ? 'Your changes and theirs do not touch: both can be kept.'
          : `${clashes.length === 1 ? 'One place was' : `${clashes.length} places were`} changed by both. Choose what shall stand there; everything else is kept from both.`}
      </p>
      {clashes.map((clash) => (
        <Chooser
          key={pathKey(clash.path)}
          clash={clash}
          place={<Place path={clash.path} documents={documents} nameOf={nameOf} />}
          nameOf={nameOf}
          side={chosen[pathKey(clash.path)] ?? null}
          choose={(side) => setChosen({ ...chosen, [pathKey(clash.path)]: side })}
        />
      ))}
      <ChangeList title="You changed" changes={ours} documents={documents} nameOf={nameOf} />
      <ChangeList title="They changed" changes={others} documents={documents} nameOf={nameOf} />
      <Group justify="space-between" mt="lg">
        <Group>
          <Button onClick={() => settle(theirs.document)}>Only theirs</Button>
          <Button onClick={() => settle(mine)}>Only mine</Button>
        </Group>
        <Button variant="filled" disabled={left > 0} onClick={() => settle(both())} data-autofocus>
          {left > 0 ? `Choose ${left} more` : 'Keep both'}
        </Button>
      </Group>
      <p className={`${css.after} quiet`}>Whatever you choose can be undone.</p>
    </Modal>
  )
}

function Place(props: { path: Path; documents: readonly unknown[]; nameOf: NameOf }) {
  const words = placeWords(props.path, props.documents, props.nameOf)
  return <span className={css.place}>{words.join(' › ') || 'All of it'}</span>
}

function Chooser(props: {
  clash: Clash
  place: React.ReactNode
  nameOf: NameOf
  side: Side | null
  choose: (side: Side) => void
}) {
  const { clash, nameOf } = props
  const key = clash.path.at(-1) ?? ''
  const words = (value: unknown) => (value === undefined ? 'take it out' : valueWords(value, key, nameOf))
  return (
    <fieldset className={css.clash}>
      <legend>
        {props.place} <span className="quiet">was {valueWords(clash.base, key, nameOf)}</span>
      </legend>
      <SegmentedControl
        fullWidth
        value={props.side ?? ''}
        onChange={(side) => props.choose(side as Side)}
        data={[
          { value: 'mine', label: `Mine: ${words(clash.mine)}` },
          { value: 'theirs', label: `Theirs: ${words(clash.theirs)}` },
        ]}
      />
    </fieldset>
  )
}

const MOST_SHOWN = 12

function ChangeList(props: {
  title: string
  changes: readonly Change[]
  documents: readonly unknown[]
  nameOf: NameOf
}) {
  const { changes, documents, nameOf } = props
  if (changes.length === 0) return null
  return (
    <section className={css.list}>
      <h3>{props.title}</h3>
      <ul>
        {changes.slice(0, MOST_SHOWN).map((change) => (
          <li key={`${change.kind} ${pathKey(change.path)}`}>
            <Place path={change.path} documents={documents} nameOf={nameOf} />
            <span>{changeWords(change, nameOf)}</span>
          </li>
        ))}
        {changes.length > MOST_SHOWN && <li>and {changes.length - MOST_SHOWN} more</li>}
      </ul>
    </section>
  )
}

function changeWords({ kind, path, from, to }: Change, nameOf: NameOf): string {
  if (kind === 'order') return 'in another order'
  if (from === undefined) return 'added'
  if (to === undefined) return 'taken out'
  const key = path.at(-1) ?? ''
  return `${valueWords(from, key, nameOf)} → ${valueWords(to, key, nameOf)}`
}
