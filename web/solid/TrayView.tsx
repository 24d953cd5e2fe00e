import { useEffect, useRef, useState } from 'react'
import { driven } from '../workers/solids.ts'
import css from './FlowerSolid.module.css'
import { createTray, type TrayPiece } from './tray.ts'

/** The tray on a canvas of its own; a new one whenever what stands on it changes. */
export function TrayView({ pieces }: { pieces: readonly TrayPiece[] }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [trouble, setTrouble] = useState(false)
  useEffect(() => {
    if (!canvas.current) return
    try {
      return createTray(canvas.current, pieces, !driven())
    } catch {
      setTrouble(true)
    }
  }, [pieces])
  if (trouble) return <p className={css.trouble}>This browser has no WebGL, which the tray needs.</p>
  return (
    <canvas ref={canvas} className={css.canvas} role="img" aria-label="The order’s small pieces on a tray" />
  )
}
