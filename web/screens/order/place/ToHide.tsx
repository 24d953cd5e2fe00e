import { ActionIcon } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { Fragment } from 'react'
import { Circle, Line } from 'react-konva'
import { whereWords } from '#core/placing/findings/finding'
import { seamPoints } from '#core/placing/seams'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

const INK = '#191919'

/** Seams and stop points as they lie in a view, under the flowers that hide them. */
export function ToHideMarks({ placing, view }: { placing: Placing; view: View }) {
  const { chart } = placing.hand
  return (
    <>
      {placing.layout.toHide.map((hide) => {
        const points = seamPoints(chart, hide).filter((p) => view.shows(p.spot))
        const seen = points.map((p) => view.toPx(p.spot, p))
        if (seen.length === 0) return null
        return (
          <Fragment key={hide.id}>
            {[
              { width: 4, stroke: '#ffffffaa', dash: undefined },
              { width: 1.5, stroke: INK, dash: [5, 4] },
            ].map(({ width, stroke, dash }) =>
              seen.length > 1 ? (
                <Line
                  key={stroke}
                  points={seen.flatMap(({ x, y }) => [x, y])}
                  strokeWidth={width}
                  {...{ stroke, dash }}
                  listening={false}
                />
              ) : (
                <Circle
                  key={stroke}
                  {...seen[0]!}
                  radius={6}
                  strokeWidth={width}
                  {...{ stroke, dash }}
                  listening={false}
                />
              ),
            )}
          </Fragment>
        )
      })}
    </>
  )
}

/** Everything that is to be hidden, each to be taken out. */
export function ToHideList({ placing }: { placing: Placing }) {
  const { toHide } = placing.layout
  const { chart } = placing.hand
  if (toHide.length === 0) return null
  return (
    <section aria-label="To hide">
      {toHide.map(({ id, kind, place }) => {
        const spot = chart.read(place)
        const words = `${kind === 'seam' ? 'Seam' : 'Stop point'}, ${whereWords(chart, chart.point(spot), spot)}`
        return (
          <div key={id} className={css.hideRow}>
            <span>{words}</span>
            <ActionIcon
              variant="outline"
              size={40}
              aria-label={`${words}: take out`}
              onClick={() =>
                placing.change('nothing to hide there', (now) => ({
                  ...now.layout,
                  toHide: now.layout.toHide.filter((h) => h.id !== id),
                }))
              }
            >
              <IconX size={20} stroke={1.6} />
            </ActionIcon>
          </div>
        )
      })}
    </section>
  )
}
