import { poseAt } from '#core/demonstration/pose'
import type { Show } from '#core/demonstration/show'
import type { Filmed } from './filmed.ts'
import { shownStroke } from './strip.ts'

const FRAMES_PER_S = 30
const BITS_PER_S = 4_000_000
/** Half as fast as the hand: quick enough to feel the rhythm, slow enough to see. */
const RATE = 0.5
const TYPES = ['video/webm;codecs=vp9', 'video/webm;codecs=vp8', 'video/webm', 'video/mp4']

/** A short film of one stroke, from above its place to above its place, so that it can run round and round. */
export async function filmOf(
  filmed: Filmed,
  show: Show,
  layer: number,
): Promise<{ blob: Blob; name: string }> {
  const type =
    typeof MediaRecorder === 'undefined' ? undefined : TYPES.find((t) => MediaRecorder.isTypeSupported(t))
  if (!type)
    throw new Error('This browser cannot record films. Take the strip for the wall, or another browser.')
  const { begins, timing } = show.strokes[shownStroke(show, layer)]!
  const from = begins + timing.begins.touch
  const to = begins + timing.seconds
  return await filmed.moving(async (draw, canvas) => {
    const stream = canvas.captureStream(FRAMES_PER_S)
    const recorder = new MediaRecorder(stream, { mimeType: type, videoBitsPerSecond: BITS_PER_S })
    const parts: Blob[] = []
    recorder.ondataavailable = (e) => parts.push(e.data)
    const ended = new Promise<void>((done) => {
      recorder.onstop = () => done()
    })
    recorder.start()
    await new Promise<void>((done) => {
      const start = performance.now()
      requestAnimationFrame(function frame(now) {
        const second = from + ((now - start) / 1000) * RATE
        draw(poseAt(show, Math.min(to, second)), layer)
        if (second < to) requestAnimationFrame(frame)
        else done()
      })
    })
    recorder.stop()
    await ended
    for (const track of stream.getTracks()) track.stop()
    return { blob: new Blob(parts, { type }), name: type.startsWith('video/mp4') ? 'mp4' : 'webm' }
  })
}
