import { useEffect, useRef, useState } from 'react'
import { quickPictures } from '../parts/pictures.ts'

import css from './FlowerSolid.module.css'
import { freshCanvas } from './freshCanvas.ts'
import { createTray, type TrayPiece } from './tray.ts'

/** The tray on a canvas of its own; a new one whenever what stands on it changes. */
export function TrayView({ pieces }: { pieces: readonly TrayPiece[] }) {
  const host = useRef<HTMLDivElement>(null)
  const [trouble, setTrouble] = useState(false)
  useEffect(() => {
    if (!host.current) return
    const canvas = freshCanvas(host.current, css.canvas!, 'The order’s small pieces on a tray')
    try {
      const letGo = createTray(canvas, pieces, !quickPictures())
      return () => {
        letGo()
        canvas.remove()
      }
    } catch {
      setTrouble(true)
    }
  }, [pieces])
  if (trouble) return <p className={css.trouble}>This browser has no WebGL, which the tray needs.</p>
  return <div ref={host} className={css.host} />
}
