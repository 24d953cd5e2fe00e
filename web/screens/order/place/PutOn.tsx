import { Button, Menu } from '@mantine/core'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** What the next press on a view does: puts a flower there, draws a line, keeps a part free. */
export type Putting =
  | { kind: 'flower'; placedId: string }
  | { kind: 'line' }
  | { kind: 'free' }
  | { kind: 'words' }
  | null

/** What can be put on a piece, and how. */
export function PutOn(props: { placing: Placing; putting: Putting; onPut: (putting: Putting) => void }) {
  const { placing, putting, onPut } = props
  const said =
    putting?.kind === 'flower'
      ? `Press where the ${placing.kindOf(putting.placedId)?.name.toLowerCase() ?? 'flower'} goes.`
      : putting?.kind === 'line'
        ? 'Draw the line in a view; the flowers will follow it.'
        : putting?.kind === 'words'
          ? 'Press where the middle of the words goes.'
          : putting?.kind === 'free'
            ? 'Press the middle of what is to be kept free.'
            : null
  return (
    <div className={css.putOn}>
      <span className="quiet">{said ?? 'Put on'}</span>
      {said ? (
        <Button onClick={() => onPut(null)}>Never mind</Button>
      ) : (
        <>
          <Menu position="bottom-end">
            <Menu.Target>
              <Button>Flower</Button>
            </Menu.Target>
            <Menu.Dropdown>
              {placing.kinds.map((k) => (
                <Menu.Item key={k.placedId} onClick={() => onPut({ kind: 'flower', placedId: k.placedId })}>
                  {k.name}
                </Menu.Item>
              ))}
            </Menu.Dropdown>
          </Menu>
          <Button onClick={() => onPut({ kind: 'words' })}>Words</Button>
          <Button onClick={() => onPut({ kind: 'line' })}>Line by hand</Button>
          <Button onClick={() => onPut({ kind: 'free' })}>Keep free</Button>
        </>
      )}
    </div>
  )
}
