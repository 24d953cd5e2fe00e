import { Button, FileButton, Modal } from '@mantine/core'
import { useDisclosure } from '@mantine/hooks'
import { useRef, useState } from 'react'
import { drawnShapesSchema } from '#core/surfaces/drawn'
import { boxOf, type Cutout, type Dot } from '#core/surfaces/outline'
import { inShares, shapesOf } from '#core/surfaces/pathLoops'
import { outlineFromSvg } from '../../../drawings/outlineFromSvg.ts'
import css from './OutlineField.module.css'

const PAD = 400
/** A line gets a point for every so many units of way. */
const STEP = 4

/** An outline that somebody draws, or brings as a file. */
export function OutlineField(props: { shapes: readonly Cutout[]; onChange: (shapes: Cutout[]) => void }) {
  const [opened, { open, close }] = useDisclosure(false)
  const [line, setLine] = useState<Dot[]>([])
  const [why, setWhy] = useState<string | null>(null)
  const pad = useRef<SVGSVGElement>(null)

  const take = (shapes: Cutout[]) => {
    const parsed = drawnShapesSchema.safeParse(shapes)
    if (!parsed.success) {
      setWhy(parsed.error.issues[0]?.message ?? 'Not possible.')
      return
    }
    setWhy(null)
    props.onChange(parsed.data)
    close()
  }
  const at = (event: React.PointerEvent): Dot => {
    const box = pad.current!.getBoundingClientRect()
    return {
      x: ((event.clientX - box.left) * PAD) / box.width,
      y: ((event.clientY - box.top) * PAD) / box.height,
    }
  }
  const read = async (file: File | null) => {
    if (!file) return
    try {
      take(outlineFromSvg(await file.text()))
    } catch (error) {
      setWhy(error instanceof Error ? error.message : 'This file cannot be read.')
    }
  }
  return (
    <div className={css.field}>
      <Preview shapes={props.shapes} />
      <Button onClick={open}>Change the outline</Button>
      <Modal opened={opened} onClose={close} title="The outline from above" size="auto">
        <p className={css.words}>
          Draw around it in one go, its front below; let go to close it. Or bring a drawing as SVG.
        </p>
        <svg
          ref={pad}
          className={css.pad}
          viewBox={`0 0 ${PAD} ${PAD}`}
          role="img"
          aria-label="Draw the outline here"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            setWhy(null)
            setLine([at(event)])
          }}
          onPointerMove={(event) => {
            if (line.length === 0) return
            const [last, to] = [line.at(-1)!, at(event)]
            if (Math.hypot(to.x - last.x, to.y - last.y) >= STEP) setLine([...line, to])
          }}
          onPointerUp={() => {
            const drawn = line.map(({ x, y }) => ({ x, y: -y }))
            setLine([])
            const shapes = drawn.length > 2 ? shapesOf([drawn]) : []
            take(shapes.length > 0 ? inShares(shapes) : [])
          }}
        >
          <path d={`M${PAD / 2} 0V${PAD}M0 ${PAD / 2}H${PAD}`} className={css.cross} />
          <path d={outlinePath(props.shapes, PAD * 0.8, PAD / 2)} className={css.before} />
          {line.length > 1 && (
            <path d={`M${line.map(({ x, y }) => `${x} ${y}`).join('L')}`} className={css.line} />
          )}
        </svg>
        {why && (
          <p role="alert" className={css.why}>
            {why}
          </p>
        )}
        <FileButton
          onChange={(file) => void read(file)}
          accept="image/svg+xml,.svg"
          inputProps={{ 'aria-label': 'Outline file' }}
        >
          {(button) => <Button {...button}>From an SVG file</Button>}
        </FileButton>
      </Modal>
    </div>
  )
}

/** Shapes as an SVG path, so many units wide or high at most, about a middle. */
function outlinePath(shapes: readonly Cutout[], size: number, middle: number): string {
  const { left, right, low, high } = boxOf(shapes.flat(2))
  const by = size / Math.max(right - left, high - low)
  const [cx, cy] = [(left + right) / 2, (low + high) / 2]
  return shapes
    .flat()
    .map(
      (loop) =>
        `M${loop.map(({ x, y }) => `${(middle + (x - cx) * by).toFixed(1)} ${(middle - (y - cy) * by).toFixed(1)}`).join('L')}z`,
    )
    .join('')
}

function Preview({ shapes }: { shapes: readonly Cutout[] }) {
  return (
    <svg className={css.preview} viewBox="0 0 40 40" aria-hidden="true">
      <path d={outlinePath(shapes, 36, 20)} fillRule="evenodd" />
    </svg>
  )
}
