import type { Request } from 'express'
import { expect, it } from 'vitest'
import { inTurn } from './body.ts'

const large = { body: 'x'.repeat(1_900_000) } as Request
const small = { body: '{}' } as Request

it('large bodies are worked on one after the other, twelve at the most wait, and small ones never do', async () => {
  const opened: (() => void)[] = []
  let [working, most] = [0, 0]
  const work = () =>
    new Promise<string>((done) => {
      working += 1
      most = Math.max(most, working)
      opened.push(() => {
        working -= 1
        done('done')
      })
    })
  const twelve = Array.from({ length: 12 }, () => inTurn(large, work))
  await expect(inTurn(large, work)).rejects.toMatchObject({ status: 503, code: 'busy', retryAfterS: 2 })
  expect(await inTurn(small, async () => 'at once')).toBe('at once')
  for (let i = 0; i < 12; i++) {
    await expect.poll(() => opened.length).toBe(i + 1)
    opened[i]!()
    expect(await twelve[i]).toBe('done')
  }
  expect(most).toBe(1)
  // room again, and one that fails does not hold up the next
  await expect(inTurn(large, () => Promise.reject(new Error('spoiled')))).rejects.toThrow('spoiled')
  expect(await inTurn(large, async () => 'after it')).toBe('after it')
})
