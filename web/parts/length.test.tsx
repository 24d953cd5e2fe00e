// @vitest-environment happy-dom
import { MantineProvider } from '@mantine/core'
import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import type { LengthUnit } from '#core/units'
import { LengthField, OptionalLengthField, useLength } from './length.tsx'

let unit: LengthUnit = 'inches'
vi.mock('../data/workshop.ts', () => ({
  useWorkshop: () => ({ workshop: { settings: { lengths: unit, units: 'ounces' } } }),
}))

const across = z.number().min(30, 'A cupcake is at least 30 mm across.').max(110, 'At most 110 mm.')

function Field({ start, told }: { start: number; told: (mm: number) => void }) {
  const [mm, setMm] = useState(start)
  return (
    <LengthField
      label="Across"
      value={mm}
      schema={across}
      onChange={(next) => {
        told(next)
        setMm(next)
      }}
    />
  )
}

function Optional({ told }: { told: (mm: number | null) => void }) {
  const [mm, setMm] = useState<number | null>(76.2)
  return (
    <OptionalLengthField
      label="Box"
      value={mm}
      schema={z.number().min(1)}
      onChange={(next) => {
        told(next)
        setMm(next)
      }}
    />
  )
}

const Said = ({ mm }: { mm: number }) => <p>{useLength()(mm)}</p>
const show = (element: React.ReactNode) => render(<MantineProvider>{element}</MantineProvider>)
const type = (label: string, text: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value: text } })
const typed = (label: string) => (screen.getByLabelText(label) as HTMLInputElement).value

beforeEach(() => {
  unit = 'inches'
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }))
})
afterEach(cleanup)

describe('a length in inches', () => {
  it('is kept in millimetres, typed as a decimal or as a ruler has it', () => {
    const told = vi.fn()
    show(<Field start={65} told={told} />)
    expect(typed('Across')).toBe('2.56')
    type('Across', '2.5')
    expect(told).toHaveBeenLastCalledWith(63.5)
    expect(typed('Across')).toBe('2.5')
    type('Across', '2 3/4')
    expect(told).toHaveBeenLastCalledWith(69.85)
    expect(typed('Across')).toBe('2 3/4')
  })

  it('out of its range stays in the field with the reason in inches, and nothing is told', () => {
    const told = vi.fn()
    show(<Field start={65} told={told} />)
    type('Across', '1')
    expect(screen.getByText('A cupcake is at least 1 3/16 in across.')).toBeTruthy()
    expect([typed('Across'), told.mock.calls.length]).toEqual(['1', 0])
    type('Across', '')
    expect(screen.getByText('Type a number.')).toBeTruthy()
  })

  it('that nobody measured is empty, and can be emptied again', () => {
    const told = vi.fn()
    show(<Optional told={told} />)
    expect(typed('Box')).toBe('3')
    type('Box', '')
    expect(told).toHaveBeenLastCalledWith(null)
    type('Box', '4')
    expect(told).toHaveBeenLastCalledWith(101.6)
  })

  it('goes a sixteenth up and down with the arrow keys', () => {
    const told = vi.fn()
    show(<Field start={63.5} told={told} />)
    fireEvent.keyDown(screen.getByLabelText('Across'), { key: 'ArrowUp' })
    expect(told).toHaveBeenLastCalledWith(65.0875)
  })

  it('is said as a ruler reads', () => {
    show(<Said mm={65} />)
    expect(screen.getByText('2 9/16 in')).toBeTruthy()
  })
})

describe('a length in millimetres', () => {
  it('is typed and told as it is', () => {
    unit = 'millimetres'
    const told = vi.fn()
    show(<Field start={65} told={told} />)
    expect(typed('Across')).toBe('65')
    type('Across', '70')
    expect(told).toHaveBeenLastCalledWith(70)
    type('Across', '20')
    expect(screen.getByText('A cupcake is at least 30 mm across.')).toBeTruthy()
  })
})
