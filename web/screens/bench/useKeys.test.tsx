// @vitest-environment happy-dom
import { fireEvent, render, screen } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { benchActs, type Tablet } from '../../bench/tablet.ts'
import { useKeys } from './useKeys.ts'

const act = benchActs[0]!
const keys = Object.fromEntries(benchActs.map((a) => [a, a === act ? ['F13'] : []])) as Tablet['keys']

function Bench({ pressed }: { pressed: () => void }) {
  useKeys(keys, Object.fromEntries(benchActs.map((a) => [a, pressed])) as Parameters<typeof useKeys>[1])
  return (
    <>
      <p>the step</p>
      <div role="dialog" aria-label="see it piped">
        <p>a petal</p>
      </div>
    </>
  )
}

it('a pedal counts at the step, and not while something is watched over it', () => {
  const pressed = vi.fn()
  render(<Bench pressed={pressed} />)
  fireEvent.keyDown(screen.getByText('a petal'), { key: 'F13' })
  expect(pressed).not.toHaveBeenCalled()
  fireEvent.keyDown(screen.getByText('the step'), { key: 'F13' })
  expect(pressed).toHaveBeenCalledOnce()
})
