import { ActionIcon } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { Group, Rect, Text } from 'react-konva'
import { type KeepOut, keepOutSchema } from '#core/model/layout'
import { FACES_UP } from '#core/surfaces/chart'
import { LengthField } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

const setKeepOut = (placing: Placing, id: string, part: Partial<KeepOut>, key?: string) =>
  placing.change(
    'keep free',
    (now) => ({
      ...now.layout,
      keepOuts: now.layout.keepOuts.map((k) => (k.id === id ? { ...k, ...part } : k)),
    }),
    key,
  )

/** The parts that are kept free, as they lie in a view; dragged to where they belong. */
export function KeptFreeMarks({ placing, view }: { placing: Placing; view: View }) {
  const { chart } = placing.hand
  return (
    <>
      {placing.layout.keepOuts.map((keepOut) => {
        const spot = chart.read(keepOut.place)
        if (!view.shows(spot)) return null
        const { x, y } = view.toPx(spot)
        const { deg, squeeze } = view.pose(chart.point(spot))
        const [w, h] = [keepOut.widthMm * view.pxPerMm, keepOut.heightMm * view.pxPerMm]
        return (
          <Group
            key={keepOut.id}
            x={x}
            y={y}
            // on a top it is read from the front, on a side its foot points outward and down
            rotation={(squeeze > FACES_UP ? 0 : -(deg + 90)) - keepOut.turnDeg}
            scaleY={squeeze}
            draggable
            onDragEnd={(e) => {
              const to = view.toSpot(e.target.x(), e.target.y(), spot)
              e.target.position(view.toPx(to))
              setKeepOut(placing, keepOut.id, { place: chart.store(to) })
            }}
          >
            <Rect
              x={-w / 2}
              y={-h / 2}
              width={w}
              height={h}
              fill="#ffffff55"
              stroke="#191919"
              strokeWidth={1.5}
              dash={[4, 3]}
              cornerRadius={4}
            />
            <Text
              x={-w / 2}
              y={-6}
              width={w}
              align="center"
              text={keepOut.label || 'kept free'}
              fontSize={12}
              fontFamily="Hanken Grotesk Variable"
              fill="#191919"
            />
          </Group>
        )
      })}
    </>
  )
}

/** The parts that are kept free, each with its measures. */
export function KeptFreeList({ placing }: { placing: Placing }) {
  const { keepOuts } = placing.layout
  if (keepOuts.length === 0) return null
  return (
    <section aria-label="Kept free">
      {keepOuts.map((k, i) => (
        <div key={k.id} className={css.fields}>
          <LengthField
            label={`Kept free ${i + 1}, wide`}
            width={100}
            value={k.widthMm}
            schema={keepOutSchema.shape.widthMm}
            onChange={(widthMm) => setKeepOut(placing, k.id, { widthMm }, `${k.id} wide`)}
          />
          <LengthField
            label="High"
            width={86}
            value={k.heightMm}
            schema={keepOutSchema.shape.heightMm}
            onChange={(heightMm) => setKeepOut(placing, k.id, { heightMm }, `${k.id} high`)}
          />
          <NumberField
            label="Turn"
            unit="°"
            width={78}
            step={5}
            value={k.turnDeg}
            schema={keepOutSchema.shape.turnDeg.unwrap()}
            onChange={(turnDeg) => setKeepOut(placing, k.id, { turnDeg }, `${k.id} turn`)}
          />
          <ActionIcon
            variant="outline"
            size={40}
            aria-label={`No longer keep ${i + 1} free`}
            onClick={() =>
              placing.change('no longer keep free', (now) => ({
                ...now.layout,
                keepOuts: now.layout.keepOuts.filter((other) => other.id !== k.id),
              }))
            }
          >
            <IconX size={20} stroke={1.6} />
          </ActionIcon>
        </div>
      ))}
    </section>
  )
}
