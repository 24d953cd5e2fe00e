import { sankey, sankeyLinkHorizontal } from 'd3-sankey'
import { useMemo, useState } from 'react'
import type { Plan } from '#core/model/plan'
import { icingFlow } from '#core/plan/flow'
import css from './FlowDiagram.module.css'
import { shade } from './shade.ts'

interface Node {
  id: string
  name: string
  column: number
  colourId: string | null
}
interface Link {
  source: string
  target: string
  value: number
  colourId: string | null
}

const WIDTH = 1160

/** Where every gram goes, from ingredients to base to bowls to bags to flowers to pieces; resting on a thing lights its stream. */
export function FlowDiagram(props: {
  plan: Plan
  pieces: readonly { id: string; name: string }[]
  weight: (grams: number) => string
}) {
  const { plan, pieces, weight } = props
  const [lit, setLit] = useState<string | null>(null)
  const flow = useMemo(() => icingFlow(plan, new Map(pieces.map((p) => [p.id, p.name]))), [plan, pieces])
  const hexes = useMemo(() => new Map(plan.colours.map((c) => [c.id, c.hex])), [plan])
  const height = Math.max(
    340,
    21 * Math.max(...[0, 1, 2, 3, 4, 5].map((c) => flow.nodes.filter((n) => n.column === c).length)),
  )
  const graph = useMemo(() => {
    const layout = sankey<Node, Link>()
      .nodeId((n) => n.id)
      .nodeAlign((n) => (n as Node).column)
      .nodeWidth(9)
      .nodePadding(9)
      .extent([
        [128, 8],
        [WIDTH - 190, height - 8],
      ])
    return layout({
      nodes: flow.nodes.map((n) => ({ ...n })),
      links: flow.links.map((l) => ({ source: l.from, target: l.to, value: l.grams, colourId: l.colourId })),
    })
  }, [flow, height])
  const path = sankeyLinkHorizontal<Node, Link>()
  const reached = useMemo(() => (lit ? connected(flow.links, lit) : null), [flow, lit])
  const litNode = flow.nodes.find((n) => n.id === lit)

  return (
    <figure className={css.figure}>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label="Where the icing goes"
        className={css.svg}
      >
        {graph.links.map((link) => {
          const from = link.source as unknown as Node
          const to = link.target as unknown as Node
          const hex = hexes.get(link.colourId ?? '') ?? '#b9b9b9'
          const on = !reached || (reached.has(from.id) && reached.has(to.id))
          return (
            <path
              key={`${from.id} ${to.id} ${link.colourId}`}
              d={path(link) ?? ''}
              fill="none"
              stroke={hex}
              strokeOpacity={on ? 0.85 : 0.12}
              strokeWidth={Math.max(1, link.width ?? 1)}
            >
              <title>{`${from.name} to ${to.name}: ${weight(link.value)}`}</title>
            </path>
          )
        })}
        {graph.nodes.map((node) => {
          const [x0 = 0, x1 = 0, y0 = 0, y1 = 0] = [node.x0, node.x1, node.y0, node.y1]
          const hex = node.colourId ? shade(hexes.get(node.colourId) ?? '#b9b9b9', -0.25) : 'var(--text)'
          const leftSide = node.column === 0
          const on = !reached || reached.has(node.id)
          return (
            <g
              key={node.id}
              onPointerEnter={() => setLit(node.id)}
              onPointerLeave={() => setLit(null)}
              onPointerDown={() => setLit(lit === node.id ? null : node.id)}
              opacity={on ? 1 : 0.35}
            >
              <title>{`${node.name}: ${weight(node.value ?? 0)}`}</title>
              <rect x={x0 - 4} y={y0 - 3} width={150} height={y1 - y0 + 6} fill="transparent" />
              <rect x={x0} y={y0} width={x1 - x0} height={Math.max(1.5, y1 - y0)} fill={hex} />
              <text
                x={leftSide ? x0 - 6 : x1 + 6}
                y={(y0 + y1) / 2}
                dy="0.35em"
                textAnchor={leftSide ? 'end' : 'start'}
                className={css.name}
              >
                {shortName(node.name)}
                <tspan className={css.grams}> {weight(node.value ?? 0)}</tspan>
              </text>
            </g>
          )
        })}
      </svg>
      <figcaption className="quiet">
        {litNode
          ? `${litNode.name}: everything it comes from and feeds is lit.`
          : 'Widths are grams. Press a bowl, a bag or a flower to see its stream.'}
      </figcaption>
    </figure>
  )
}

const MOST_LETTERS = 24

const shortName = (name: string) =>
  name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1).trimEnd()}…` : name

/** Every node upstream and downstream of one. */
function connected(links: readonly { from: string; to: string }[], start: string): Set<string> {
  const reached = new Set([start])
  const walk = (id: string, from: 'from' | 'to', to: 'from' | 'to') => {
    for (const link of links)
      if (link[from] === id && !reached.has(link[to])) {
        reached.add(link[to])
        walk(link[to], from, to)
      }
  }
  walk(start, 'from', 'to')
  walk(start, 'to', 'from')
  return reached
}
