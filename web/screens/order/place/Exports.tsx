import { Button, Menu } from '@mantine/core'
import { useState } from 'react'
import { flowerMesh } from '#core/mesh/flowerMesh'
import { standOf } from '#core/placing/stands'
import { templatePages } from '#core/placing/template'
import { tell } from '../../../parts/notify.tsx'
import { printPages, savePages } from '../../../parts/printPages.ts'
import { type BorderLine, borderStands } from './Grounds.tsx'
import type { LaidWords } from './lettered.ts'
import type { Placing } from './usePlacing.ts'

const DETAIL = 0.35

/** What goes out of the house: a template to prick through, and the piece as a solid for any viewer. */
export function Exports(props: {
  placing: Placing
  coats: readonly string[]
  borders: readonly BorderLine[]
  lettered: readonly LaidWords[]
}) {
  const { placing, coats, borders, lettered } = props
  const { piece, hand, kinds, layout, index } = placing
  const [busy, setBusy] = useState(false)
  const name = `${piece.name}${piece.layouts.length > 1 ? `, way ${index + 1}` : ''}`
  const slug = name.toLowerCase().replace(/[^a-z0-9]+/g, '-')
  const pages = () =>
    templatePages({
      title: name,
      chart: hand.chart,
      kinds: hand.kinds,
      layout,
      nameOf: (id) => placing.kindOf(id)?.name ?? '',
      lines: lettered.flatMap((l) => l.lines),
    })

  async function saveSolid() {
    setBusy(true)
    try {
      const { pieceGlb } = await import('../../../solid/glb.ts')
      const mesh = (k: Placing['kinds'][number]) => ({
        name: k.name,
        mesh: flowerMesh(k.layers, 1, DETAIL),
        layers: k.layers.map((l) => l.layer),
        colours: k.colours,
      })
      const glb = await pieceGlb(name, hand.chart.skin(), coats, [
        ...borders.map((b) => ({ ...mesh(b.kind), stands: borderStands(b, hand.chart) })),
        ...kinds.map((k) => ({
          ...mesh(k),
          stands: layout.sites
            .filter((s) => s.placedId === k.placedId)
            .map((s) => standOf(hand.chart, k.kind, s)),
        })),
      ])
      const url = URL.createObjectURL(new Blob([glb], { type: 'model/gltf-binary' }))
      const link = document.createElement('a')
      link.href = url
      link.download = `${slug}.glb`
      link.click()
      setTimeout(() => URL.revokeObjectURL(url), 10_000)
    } catch (error) {
      tell(`The solid could not be saved: ${(error as Error).message}`)
    } finally {
      setBusy(false)
    }
  }
  return (
    <Menu position="bottom-end">
      <Menu.Target>
        <Button loading={busy}>Template</Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item onClick={() => printPages(pages(), `Placing template: ${name}`)}>
          Print it at true size
        </Menu.Item>
        <Menu.Item onClick={() => savePages(pages(), `template-${slug}`)}>Save it as SVG</Menu.Item>
        <Menu.Item onClick={() => void saveSolid()}>Save the solid as glTF</Menu.Item>
      </Menu.Dropdown>
    </Menu>
  )
}
