import { Link } from 'react-router'
import type { FigureName, Lesson, LessonFigure } from '#core/demonstration/lesson'
import type { Flower } from '#core/model/flower'
import { Card } from '../../../parts/Card.tsx'
import { FigureSketch } from './FigureSketch.tsx'
import css from './Piped.module.css'

/** How a figure is named in a table, and how it is read. */
const said: Record<FigureName, { name: string; read: (value: string, raw: number) => string }> = {
  lean: {
    name: 'lean',
    read: (v, raw) => (Math.abs(raw) < 3 ? 'upright' : `${v} ${raw > 0 ? 'out' : 'in'}`),
  },
  lift: { name: 'free edge', read: (v, raw) => `${v} ${raw >= 0 ? 'up' : 'down'}` },
  start: { name: 'start', read: (v, raw) => (raw < 0.5 ? 'at the ground' : `${v} up`) },
  turn: { name: 'turn', read: (v) => `${v} turned` },
  out: { name: 'out', read: (v) => `${v} out and back` },
  pull: { name: 'pull', read: (v) => `${v} of pull` },
  rise: { name: 'rise', read: (v, raw) => `${v} ${raw >= 0 ? 'up' : 'down'} at its end` },
  wide: { name: 'wide', read: (v) => `${v} wide` },
  tall: { name: 'high', read: (v) => `${v} high` },
  way: { name: 'long', read: (v) => `${v} long` },
}

/** A layer in three numbers, and those of its sisters beside them. */
export function Numbers(props: {
  flower: Flower
  lessons: readonly Lesson[]
  layer: number | null
  say: (mm: number) => string
}) {
  const { flower, lessons, layer, say } = props
  const text = ({ value, unit }: LessonFigure) =>
    unit === 'mm' ? say(Math.abs(value)) : `${Math.round(Math.abs(value))}°`
  const signed = (f: LessonFigure) => (f.value < -0.5 ? `−${text(f)}` : text(f))
  const lesson = layer === null ? undefined : lessons[layer]
  // layers that are told by the same figures are lessons of one kind
  const sisters = lessons.map((l, i) => ({ l, i })).filter(({ l }) => lesson && names(l) === names(lesson))

  if (!lesson)
    return (
      <Card title="One after the other">
        <ol className={css.order}>
          {flower.layers.map((l, i) => (
            <li key={l.id}>
              <Link to={`/flowers/${flower.id}/piped/${l.id}`}>{l.name}</Link>
              <span className="quiet">
                {lessons[i]?.strokes} × {lessons[i]?.seconds.toFixed(1)} s
              </span>
            </li>
          ))}
        </ol>
      </Card>
    )
  return (
    <Card title="This layer, in numbers" aside={`one takes ${lesson.seconds.toFixed(1)} s`}>
      <ul className={css.figures}>
        {lesson.figures.map((f) => (
          <li key={f.name}>
            <FigureSketch figure={f} />
            <div>
              <strong>{said[f.name].read(text(f), f.value)}</strong>
              <span className="quiet">
                {beside(f, lessons, layer!, flower, (g) => said[g.name].read(text(g), g.value))}
              </span>
            </div>
          </li>
        ))}
      </ul>
      {sisters.length > 1 && (
        <table className={css.sisters}>
          <caption>
            {sisters.length} layers, {sisters.length} lessons
          </caption>
          <thead>
            <tr>
              <th scope="col">layer</th>
              {lesson.figures.map((f) => (
                <th key={f.name} scope="col">
                  {said[f.name].name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sisters.map(({ l, i }) => (
              <tr key={flower.layers[i]!.id} data-chosen={i === layer || undefined}>
                <td>
                  <Link to={`/flowers/${flower.id}/piped/${flower.layers[i]!.id}`} replace>
                    {flower.layers[i]!.name}
                  </Link>
                </td>
                {l.figures.map((f) => (
                  <td key={f.name}>{signed(f)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Card>
  )
}

const names = ({ figures }: Lesson) => figures.map((f) => f.name).join()

/** What the layers before and after have for the same figure. */
function beside(
  figure: LessonFigure,
  lessons: readonly Lesson[],
  layer: number,
  flower: Flower,
  read: (f: LessonFigure) => string,
): string {
  return [layer - 1, layer + 1]
    .flatMap((i) => {
      const same = lessons[i]?.figures.find((f) => f.name === figure.name)
      return same ? [`${flower.layers[i]!.name}: ${read(same)}`] : []
    })
    .join('; ')
}
