import { poseAt } from '#core/demonstration/pose'
import type { Show } from '#core/demonstration/show'
import type { Filmed } from './filmed.ts'
import { phaseWords } from './phaseWords.ts'

/** A picture of the strip, px: A4 lying down holds two rows of three. */
const CELL = { wide: 720, high: 540, words: 84, gap: 18 }
const HEAD = 128
const COLUMNS = 3
/** Cells are looked at so much closer than the screen: there is less room on them. */
const CLOSER = 1.2
const FONT = 'Hanken Grotesk Variable, sans-serif'
const TITLE_FONT = 'Bricolage Grotesque Variable, sans-serif'
const INK = '#191919'
const QUIET = '#5a5a5a'

/** Shares of a stroke's own way at which it is pictured between its stops. */
const ON_THE_WAY = [0.3, 0.7]

/** The stroke of a layer that shows it best: the middle one, with sisters on both sides. */
export function shownStroke(show: Show, layer: number): number {
  const own = show.strokes.flatMap((s, i) => (s.layer === layer ? [i] : []))
  return own[Math.floor(own.length / 2)] ?? 0
}

/** Six moments of one stroke in one picture, for the wall. @throws Error where the browser has no room for it. */
export async function stripPicture(
  filmed: Filmed,
  show: Show,
  layer: number,
  words: { title: string; headline: string },
): Promise<Blob> {
  const at = shownStroke(show, layer)
  const { begins, timing } = show.strokes[at]!
  const { touch, swell, over, stop, away } = timing.begins
  const seconds = [
    (touch + swell) / 2,
    (swell + over) / 2,
    ...ON_THE_WAY.map((share) => over + (stop - over) * share),
    (stop + away) / 2,
    (away + timing.seconds) / 2,
  ]
  const rows = Math.ceil(seconds.length / COLUMNS)
  const page = document.createElement('canvas')
  page.width = COLUMNS * CELL.wide + (COLUMNS + 1) * CELL.gap
  page.height = HEAD + rows * (CELL.high + CELL.words + CELL.gap)
  const pen = page.getContext('2d')
  if (!pen)
    throw new Error('The browser has no room for so large a picture. Close other pages and try again.')
  pen.fillStyle = '#ffffff'
  pen.fillRect(0, 0, page.width, page.height)
  const write = (text: string, x: number, y: number, font: string, colour: string) => {
    pen.font = font
    pen.fillStyle = colour
    pen.fillText(text, x, y, page.width - x - CELL.gap)
  }
  write(words.title, CELL.gap, 52, `700 40px ${TITLE_FONT}`, INK)
  write(words.headline, CELL.gap, 98, `400 30px ${FONT}`, INK)
  filmed.still((draw, canvas) => {
    seconds.forEach((second, i) => {
      const pose = poseAt(show, begins + second)
      draw(pose, layer)
      const x = CELL.gap + (i % COLUMNS) * (CELL.wide + CELL.gap)
      const y = HEAD + Math.floor(i / COLUMNS) * (CELL.high + CELL.words + CELL.gap)
      cover(pen, canvas, x, y)
      const turned = Math.round((Math.abs(pose.turned) * 180) / Math.PI)
      write(`${i + 1}  ${phaseWords[pose.phase].long}`, x, y + CELL.high + 34, `600 28px ${FONT}`, INK)
      write(
        `squeeze ${Math.round(pose.squeeze * 100)} %, turned ${turned}°, ${(second - touch).toFixed(1)} s`,
        x,
        y + CELL.high + 68,
        `400 24px ${FONT}`,
        QUIET,
      )
    })
  })
  return await new Promise<Blob>((done, fail) =>
    page.toBlob((blob) =>
      blob
        ? done(blob)
        : fail(new Error('The browser has no room for so large a picture. Close other pages.')),
    ),
  )
}

/** The middle of a picture in a cell, as large as fills it. */
function cover(pen: CanvasRenderingContext2D, canvas: HTMLCanvasElement, x: number, y: number): void {
  const scale = CLOSER * Math.max(CELL.wide / canvas.width, CELL.high / canvas.height)
  const [w, h] = [CELL.wide / scale, CELL.high / scale]
  pen.drawImage(canvas, (canvas.width - w) / 2, (canvas.height - h) / 2, w, h, x, y, CELL.wide, CELL.high)
  pen.strokeStyle = '#d8d8d8'
  pen.strokeRect(x, y, CELL.wide, CELL.high)
}
