import { Button, Menu } from '@mantine/core'
import { useState } from 'react'
import { standOf } from '#core/placing/stands'
import { templatePages } from '#core/placing/template'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { tell } from '../../../parts/notify.tsx'
import { offerFile } from '../../../parts/offer.ts'
import { printPages, savePages } from '../../../parts/printPages.ts'
import type { PieceBody } from '../../../solid/pieceBody.ts'
import { COARSE, solidOf } from '../../../workers/solids.ts'
import type { DrawnLine } from './drawnLines.ts'
import { type BorderLine, borderStands } from './Grounds.tsx'
import type { LaidWords } from './lettered.ts'
import type { Placing } from './usePlacing.ts'

/** What goes out of the house: a template to prick through, and the piece as a solid for any viewer. */
export function Exports(props: {
  placing: Placing
  coats: readonly string[]
  borders: readonly BorderLine[]
  lettered: readonly LaidWords[]
  drawn: readonly DrawnLine[]
  body: PieceBody
}) {
  const { placing, coats, borders, lettered, drawn, body } = props
  const stems = drawn.filter(({ line }) => line.kind === 'spray')
  const { piece, hand, kinds, layout, index } = placing
  const [busy, setBusy] = useState(false)
  const name = `${piece.name}${piece.layouts.length > 1 ? `, way ${index + 1}` : ''}`
  const pages = () =>
    templatePages({
      title: name,
      chart: hand.chart,
      kinds: hand.kinds,
      layout,
      nameOf: (id) => placing.kindOf(id)?.name ?? '',
      lines: [...lettered.flatMap((l) => l.lines), ...stems.map((s) => s.points)],
    })

  async function saveSolid() {
    setBusy(true)
    try {
      const { pieceGlb } = await import('../../../solid/glb.ts')
      const mesh = async (k: Placing['kinds'][number]) => ({
        name: k.name,
        mesh: (await solidOf(k.layers, 1, COARSE)).mesh,
        layers: k.layers.map((l) => l.layer),
        colours: k.colours,
      })
      const { plainParts } = await import('../../../solid/plainParts.ts')
      const plain = plainParts(body, [
        ...lettered.flatMap(({ lines, beadMm, hex, words }) =>
          lines.map((points) => ({ name: words.text, points, radiusMm: beadMm / 2, hex })),
        ),
        ...stems.map(({ points, beadMm, hex }) => ({ name: 'Stem', points, radiusMm: beadMm / 2, hex })),
      ])
      const flowers = [
        ...(await Promise.all(
          borders.map(async (b) => ({ ...(await mesh(b.kind)), stands: borderStands(b, hand.chart) })),
        )),
        ...(await Promise.all(
          kinds.map(async (k) => ({
            ...(await mesh(k)),
            stands: layout.sites
              .filter((s) => s.placedId === k.placedId)
              .map((s) => standOf(hand.chart, k.kind, s)),
          })),
        )),
      ]
      const glb = await pieceGlb(name, hand.chart.skin(), coats, flowers, plain)
      offerFile(new Blob([glb], { type: 'model/gltf-binary' }), `${name}.glb`)
    } catch (error) {
      tell(`The solid could not be saved: ${(error as Error).message}`)
    } finally {
      setBusy(false)
    }
  }
  return (
    <AskedMenu position="bottom-end" button={<Button loading={busy}>Template</Button>}>
      <Menu.Item onClick={() => printPages(pages(), `Placing template: ${name}`)}>
        Print it at true size
      </Menu.Item>
      <Menu.Item onClick={() => savePages(pages(), `template-${name}`)}>Save it as SVG</Menu.Item>
      <Menu.Item onClick={() => void saveSolid()}>Save the solid as glTF</Menu.Item>
    </AskedMenu>
  )
}
