import type { RequestHandler } from 'express'
import { ProblemError } from './problems.ts'

/** A line of requests: so many are let in at once, so many may wait. */
interface Lane {
  most: number
  inside: number
  waiting: (() => void)[]
}

const MOST_WAITING = 300
/** Whoever has waited so long has been given up by its browser or its user. */
const PATIENCE_MS = 4500

/**
 * Lets few requests at a time at the one thread that answers them, and one more in each round of its loop: however many
 * come, the loop comes round often enough for the short question whether all is well, which passes by outside. What is
 * mostly waiting for other threads has a lane of its own, so that it holds nobody up.
 */
export function admission(): RequestHandler {
  const quick: Lane = { most: 4, inside: 0, waiting: [] }
  const slow: Lane = { most: 6, inside: 0, waiting: [] }
  return (req, res, next) => {
    // a line that stays open asks for nothing
    if (req.path.endsWith('/stream')) return next()
    const lane = /\/(plan|backup|bench)$|\/(plan|backup)\b/.test(req.path) ? slow : quick
    let state: 'waiting' | 'inside' | 'gone' = 'waiting'
    const enter = () => {
      if (state !== 'waiting') return admitNext(lane)
      state = 'inside'
      clearTimeout(timer)
      lane.inside += 1
      next()
    }
    const timer = setTimeout(() => {
      state = 'gone'
      next(tooBusy())
    }, PATIENCE_MS)
    res.once('close', () => {
      clearTimeout(timer)
      if (state === 'inside') {
        lane.inside -= 1
        admitNext(lane)
      }
      state = 'gone'
    })
    if (lane.inside < lane.most && lane.waiting.length === 0) enter()
    else if (lane.waiting.length < MOST_WAITING) lane.waiting.push(enter)
    else {
      state = 'gone'
      clearTimeout(timer)
      next(tooBusy())
    }
  }
}

function admitNext(lane: Lane): void {
  if (lane.inside >= lane.most) return
  const enter = lane.waiting.shift()
  if (enter) setImmediate(enter)
}

const tooBusy = () =>
  new ProblemError(503, 'busy', 'Too much at once', 'Kanten is busy. Try again in a moment.', [], 2)
