// @vitest-environment happy-dom
import { MantineProvider } from '@mantine/core'
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react'
import { type ReactNode, useState } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { z } from 'zod'
import { nameSchema } from '#core/common'
import { pieceSchema } from '#core/model/order'
import type { LengthUnit } from '#core/units'
import { DataTable } from './DataTable.tsx'
import { HexInput } from './HexInput.tsx'
import { LengthField } from './length.tsx'
import { NumberField, OptionalNumberField } from './NumberField.tsx'
import { TextField } from './TextField.tsx'

let unit: LengthUnit = 'millimetres'
vi.mock('../data/workshop.ts', () => ({
  useWorkshop: () => ({ workshop: { settings: { lengths: unit, units: 'grams' } } }),
}))

beforeEach(() => {
  unit = 'millimetres'
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }))
})
afterEach(cleanup)

const show = (element: ReactNode) => render(<MantineProvider>{element}</MantineProvider>)
const field = (label = 'Field') => screen.getByLabelText(label) as HTMLInputElement
const type = (text: string) => fireEvent.change(field(), { target: { value: text } })
/** Text as a person types it: one letter after the other, the field read after each. */
function typeSlowly(text: string): string[] {
  return [...text].map((_, i) => {
    type(text.slice(0, i + 1))
    return field().value
  })
}
const said = () => document.querySelector('.mantine-InputWrapper-error')?.textContent ?? null

/** A field that keeps what it is told, as an order does; `set` changes it from outside. */
function held<T>(start: T, draw: (value: T, onChange: (next: T) => void) => ReactNode) {
  const told: T[] = []
  let set: (next: T) => void = () => {}
  function Held() {
    const [value, setValue] = useState(start)
    set = setValue
    return draw(value, (next) => {
      told.push(next)
      setValue(next)
    })
  }
  show(<Held />)
  return { told, set: (next: T) => act(() => set(next)) }
}

const count = pieceSchema.shape.count

describe('a number', () => {
  const number = (start = 12, schema: z.ZodType<number> = count, more: object = {}) =>
    held(start, (value, onChange) => (
      <NumberField label="Field" value={value} onChange={onChange} schema={schema} {...more} />
    ))

  it('typed slowly stays as it is typed, and is told at every letter that makes a number', () => {
    const { told } = number(12, z.number())
    expect(typeSlowly('10.50')).toEqual(['1', '10', '10.', '10.5', '10.50'])
    expect(told).toEqual([1, 10, 10.5])
    fireEvent.blur(field())
    expect(field().value).toBe('10.5')
  })

  it('that cannot be stays in the field with what to do, and the last good one is kept', () => {
    const { told } = number()
    for (const [text, why] of [
      ['0', 'At least one piece.'],
      ['2.5', 'Whole pieces only.'],
      ['9999', 'At most 5,000 pieces.'],
      ['', 'Type a number.'],
      ['a dozen', 'Type a number, such as 12 or 2.5.'],
      ['1,200', 'Is this 1.2 or 1200? Type it without the comma.'],
    ] as const) {
      type(text)
      expect([field().value, said()]).toEqual([text, why])
      fireEvent.blur(field())
      expect(field().value).toBe(text)
    }
    expect(told).toEqual([])
    type('24')
    expect([said(), told]).toEqual([null, [24]])
  })

  it('tells a limit in its own unit', () => {
    number(5, z.number().min(0.5).max(40), { unit: 'g' })
    type('0.2')
    expect(said()).toBe('At least 0.5 g.')
    type('41 g')
    expect(said()).toBe('At most 40 g.')
  })

  it('goes up and down by its step with the arrow keys, no further than it may', () => {
    const { told } = number(3, z.number().min(2).max(4), { step: 0.5 })
    fireEvent.keyDown(field(), { key: 'ArrowUp' })
    fireEvent.keyDown(field(), { key: 'ArrowUp' })
    expect(told).toEqual([3.5, 4])
    fireEvent.keyDown(field(), { key: 'ArrowUp' })
    expect([told, said()]).toEqual([[3.5, 4], 'At most 4.'])
    fireEvent.keyDown(field(), { key: 'ArrowDown' })
    fireEvent.keyDown(field(), { key: 'ArrowDown' })
    expect(told).toEqual([3.5, 4, 3.5])
    fireEvent.keyDown(field(), { key: 'Enter' })
    expect(told).toHaveLength(3)
  })

  it('changed from outside replaces what is typed; told again as it is, it does not', () => {
    const { set } = number(12, z.number())
    type('7,0')
    expect(field().value).toBe('7,0')
    set(7)
    expect(field().value).toBe('7,0')
    set(30)
    expect(field().value).toBe('30')
    // an undo takes a refusal away with it
    type('x')
    expect(said()).not.toBeNull()
    set(12)
    expect([field().value, said()]).toEqual(['12', null])
  })

  it('that nobody knows is empty, and can be emptied again', () => {
    const { told } = held<number | null>(null, (value, onChange) => (
      <OptionalNumberField label="Field" value={value} onChange={onChange} schema={z.number().min(3)} />
    ))
    expect(field().value).toBe('')
    type('5')
    type('')
    type('2')
    expect([told, said()]).toEqual([[5, null], 'At least 3.'])
  })
})

describe('a length', () => {
  it('says the limits of the schema in the unit it is typed in', () => {
    for (const [now, low, high] of [
      ['millimetres', 'At least 3 mm.', 'At most 1,200 mm.'],
      ['inches', 'At least 1/8 in.', 'At most 47 1/4 in.'],
    ] as const) {
      unit = now
      held(50, (value, onChange) => (
        <LengthField label="Field" value={value} onChange={onChange} schema={z.number().min(3).max(1200)} />
      ))
      type('0.1')
      expect(said()).toBe(low)
      type('5000')
      expect(said()).toBe(high)
      cleanup()
    }
  })
})

describe('a text', () => {
  const text = (start: string, schema: z.ZodType<string>) =>
    held(start, (value, onChange) => (
      <TextField label="Field" value={value} onChange={onChange} schema={schema} />
    ))
  it('keeps the space that was just typed, and is stored without it', () => {
    const { told } = text('Tea', nameSchema)
    expect(typeSlowly('High tea')).toContain('High ')
    expect(told).not.toContain('High ')
    expect(told.at(-1)).toBe('High tea')
  })
  it('that is empty or too long stays with what to do', () => {
    const { told } = text('Tea', nameSchema)
    type('  ')
    expect([field().value, said()]).toEqual(['  ', 'A name is needed.'])
    type('x'.repeat(81))
    expect([said(), told]).toEqual(['At most 80 characters.', []])
  })
})

describe('a colour', () => {
  const colour = (start = '#a05a6a') =>
    held(start, (value, onChange) => <HexInput label="Field" value={value} onChange={onChange} />)
  it('typed slowly is told when it is whole, and three digits when the field is left', () => {
    const { told } = colour()
    typeSlowly('#6f8a4a')
    expect(told).toEqual(['#6f8a4a'])
    type('#abc')
    expect(told).toHaveLength(1)
    fireEvent.blur(field())
    expect([told.at(-1), field().value]).toEqual(['#aabbcc', '#aabbcc'])
  })
  it('pasted without its sign or in capitals is the same colour; nothing is told where nothing changes', () => {
    const { told } = colour()
    type('A05A6A')
    expect(told).toEqual([])
    type('6F8A4A')
    expect(told).toEqual(['#6f8a4a'])
    fireEvent.blur(field())
    expect([told.length, field().value]).toEqual([1, '#6f8a4a'])
  })
  it('that is none stays in the field with what one looks like', () => {
    const { told } = colour()
    type('dusky pink')
    fireEvent.blur(field())
    expect([field().value, said(), told]).toEqual(['dusky pink', 'Use a colour like #a8510f.', []])
  })
})

describe('a table', () => {
  const rows = [
    { id: 'b', name: 'Béchamel', grams: 90 },
    { id: 'a', name: 'apple', grams: 1200 },
    { id: 'c', name: 'Cream', grams: 5 },
  ]
  const table = (more: object = {}) =>
    show(
      <DataTable
        caption="Bowls"
        rows={rows}
        rowKey={(r) => r.id}
        columns={[
          { key: 'name', name: 'Name', value: (r) => r.name },
          { key: 'grams', name: 'Grams', value: (r) => r.grams, show: (r) => `${r.grams} g`, numeric: true },
        ]}
        {...more}
      />,
    )
  const names = () => [...document.querySelectorAll('tbody tr td:first-child')].map((td) => td.textContent)

  it('stands as it was given, then sorts by any column, up and down: numbers as numbers, names as people do', () => {
    table()
    expect(names()).toEqual(['Béchamel', 'apple', 'Cream'])
    fireEvent.click(screen.getByRole('button', { name: /Grams/ }))
    expect(names()).toEqual(['Cream', 'Béchamel', 'apple'])
    fireEvent.click(screen.getByRole('button', { name: /Grams/ }))
    expect(names()).toEqual(['apple', 'Béchamel', 'Cream'])
    expect(document.querySelector('th[aria-sort="descending"]')?.textContent).toMatch(/Grams/)
    fireEvent.click(screen.getByRole('button', { name: /Name/ }))
    expect(names()).toEqual(['apple', 'Béchamel', 'Cream'])
  })

  it('is copied as it stands, by its plain values', () => {
    const copied = vi.fn(async () => {})
    vi.stubGlobal('navigator', { ...navigator, clipboard: { writeText: copied } })
    table()
    fireEvent.click(screen.getByRole('button', { name: /Grams/ }))
    fireEvent.click(screen.getByRole('button', { name: 'Copy: Bowls' }))
    expect(copied).toHaveBeenCalledWith('Name\tGrams\nCream\t5\nBéchamel\t90\napple\t1200')
  })

  it('tells which row was touched', () => {
    const onRow = vi.fn()
    table({ onRow, selectedKey: 'c' })
    fireEvent.click(screen.getByText('Cream'))
    expect(onRow).toHaveBeenCalledWith(rows[2])
    expect(document.querySelector('tr[data-selected]')?.textContent).toContain('Cream')
  })
})
