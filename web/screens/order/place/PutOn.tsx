import { Button, Menu } from '@mantine/core'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** What the next press on a view does: puts a flower there, draws a line, keeps a part free. */
export type Putting =
  | { kind: 'flower'; placedId: string }
  | { kind: 'line' }
  | { kind: 'spray' }
  | { kind: 'border'; placedId: string }
  | { kind: 'free' }
  | { kind: 'photo' }
  | { kind: 'seam' }
  | { kind: 'stop' }
  | { kind: 'measure' }
  | { kind: 'words' }
  | null

const says: Record<Exclude<NonNullable<Putting>['kind'], 'flower'>, string> = {
  line: 'Draw the line in a view; the flowers will follow it.',
  spray: 'Draw the stem in a view, from its thick end.',
  border: 'Draw the line in a view; the border will run along it.',
  words: 'Press where the middle of the words goes.',
  free: 'Press the middle of what is to be kept free.',
  photo: 'Press the middle of the photograph.',
  seam: 'Press on the seam.',
  stop: 'Press where the swirl stops.',
  measure: 'Press two points of the picture, from above.',
}

/** Whether it is drawn rather than pressed. */
export const isDrawn = (putting: NonNullable<Putting>): boolean =>
  putting.kind === 'line' || putting.kind === 'spray' || putting.kind === 'border'

/** Borders of the piece, each recipe once. */
const bordersOnce = ({ borders }: Placing) =>
  borders.filter((b, i) => borders.findIndex((o) => o.kind.flowerId === b.kind.flowerId) === i)

/** What can be put on a piece, and how. */
export function PutOn(props: { placing: Placing; putting: Putting; onPut: (putting: Putting) => void }) {
  const { placing, putting, onPut } = props
  const said =
    putting?.kind === 'flower'
      ? `Press where the ${placing.kindOf(putting.placedId)?.name.toLowerCase() ?? 'flower'} goes.`
      : putting && says[putting.kind]
  return (
    <div className={css.putOn}>
      <span className="quiet">{said ?? 'Put on'}</span>
      {said ? (
        <Button onClick={() => onPut(null)}>Never mind</Button>
      ) : (
        <>
          <AskedMenu position="bottom-end" button={<Button>Flower</Button>}>
            {placing.kinds.map((k) => (
              <Menu.Item key={k.placedId} onClick={() => onPut({ kind: 'flower', placedId: k.placedId })}>
                {k.name}
              </Menu.Item>
            ))}
          </AskedMenu>
          <Button onClick={() => onPut({ kind: 'words' })}>Words</Button>
          <AskedMenu position="bottom-end" button={<Button>Line by hand</Button>}>
            <Menu.Item onClick={() => onPut({ kind: 'line' })}>Flowers follow it</Menu.Item>
            <Menu.Item onClick={() => onPut({ kind: 'spray' })}>A spray or vine along it</Menu.Item>
            {bordersOnce(placing).map((b) => (
              <Menu.Item key={b.placedId} onClick={() => onPut({ kind: 'border', placedId: b.placedId })}>
                {b.name} along it
              </Menu.Item>
            ))}
          </AskedMenu>
          <AskedMenu position="bottom-end" button={<Button>Free or hidden</Button>}>
            <Menu.Item onClick={() => onPut({ kind: 'free' })}>Keep a part free</Menu.Item>
            <Menu.Item onClick={() => onPut({ kind: 'photo' })}>Keep a photograph free</Menu.Item>
            <Menu.Item onClick={() => onPut({ kind: 'seam' })}>Hide a seam of the coat</Menu.Item>
            <Menu.Item onClick={() => onPut({ kind: 'stop' })}>Hide where a swirl stops</Menu.Item>
          </AskedMenu>
        </>
      )}
    </div>
  )
}
