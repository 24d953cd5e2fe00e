// @vitest-environment happy-dom
import { Button, MantineProvider, Menu, Modal } from '@mantine/core'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { AskedMenu } from './AskedMenu.tsx'
import { Hint } from './Hint.tsx'
import { later } from './later.tsx'

beforeEach(() => {
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }))
})
afterEach(cleanup)
/** Later than any menu gives the focus back. */
const LATE_MS = 60
const within = (element: ReactNode) => <MantineProvider env="test">{element}</MantineProvider>

describe('a menu that is made when it is asked for', () => {
  it('opens at the first press, gives the focus back when it is left, and does what is pressed in it', async () => {
    const done = vi.fn()
    render(
      within(
        <AskedMenu position="bottom" button={<Button>More</Button>}>
          <Menu.Item onClick={done}>Duplicate</Menu.Item>
        </AskedMenu>,
      ),
    )
    expect(screen.queryByRole('menu')).toBeNull()
    const button = () => screen.getByRole('button', { name: 'More' })
    expect(button().getAttribute('aria-haspopup')).toBe('menu')
    fireEvent.click(button())
    fireEvent.keyDown(await screen.findByRole('menu'), { key: 'Escape' })
    await waitFor(() => expect(screen.queryByRole('menu')).toBeNull())
    await waitFor(() => expect(document.activeElement).toBe(button()))
    // and again, as any other menu
    fireEvent.click(button())
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Duplicate' }))
    expect(done).toHaveBeenCalledOnce()
    await waitFor(() => expect(screen.queryByRole('menu')).toBeNull())
  })

  it('has given the focus back before a field can be typed into, and leaves it where what was chosen has put it', async () => {
    render(
      within(
        <>
          <input aria-label="How many" />
          <AskedMenu position="bottom" button={<Button>Add</Button>}>
            <Menu.Item>Cupcakes</Menu.Item>
            <Menu.Item onClick={() => screen.getByLabelText('How many').focus()}>Cookies</Menu.Item>
          </AskedMenu>
        </>,
      ),
    )
    const button = () => screen.getByRole('button', { name: 'Add' })
    const field = screen.getByLabelText('How many')
    const choose = async (name: string) => {
      fireEvent.click(button())
      const item = await screen.findByRole('menuitem', { name })
      item.focus()
      fireEvent.click(item)
    }
    await choose('Cupcakes')
    expect(document.activeElement).toBe(button())
    field.focus()
    await act(() => new Promise((resolve) => setTimeout(resolve, LATE_MS)))
    expect(document.activeElement).toBe(field)
    await choose('Cookies')
    expect(document.activeElement).toBe(field)
  })

  it('does what its button does by itself at every press, the first one too', async () => {
    const pressed = vi.fn()
    render(
      within(
        <AskedMenu position="bottom" button={<Button onClick={pressed}>poppy</Button>}>
          <Menu.Item>Peony</Menu.Item>
        </AskedMenu>,
      ),
    )
    fireEvent.click(screen.getByRole('button'))
    await screen.findByRole('menu')
    fireEvent.click(screen.getByRole('button', { name: 'poppy', hidden: true }))
    expect(pressed).toHaveBeenCalledTimes(2)
  })
})

describe('a hint', () => {
  it('comes to a mouse, not to a finger, and the button that it is of is pressed all the same', async () => {
    const pressed = vi.fn()
    render(
      within(
        <Hint label="Leave it out">
          <Button onClick={pressed}>Mute</Button>
        </Hint>,
      ),
    )
    const button = screen.getByRole('button', { name: 'Mute' })
    fireEvent.pointerEnter(button, { pointerType: 'touch' })
    await act(() => new Promise((resolve) => setTimeout(resolve, 50)))
    expect(screen.queryByRole('tooltip')).toBeNull()
    fireEvent.pointerEnter(button, { pointerType: 'mouse' })
    // before the words are there
    fireEvent.click(button)
    expect((await screen.findByRole('tooltip')).textContent).toBe('Leave it out')
    expect(screen.getByRole('button', { name: 'Mute' })).toBe(button)
    fireEvent.click(button)
    expect(pressed).toHaveBeenCalledTimes(2)
    fireEvent.pointerLeave(button)
    await waitFor(() => expect(screen.queryByRole('tooltip')).toBeNull())
  })
})

describe('a dialog that is fetched when it is asked for', () => {
  it('is not fetched before, once then, and closes as it opened', async () => {
    const load = vi.fn(async () => (props: { opened: boolean; word: string }) => (
      <Modal opened={props.opened} onClose={() => undefined} title="Asked">
        {props.word}
      </Modal>
    ))
    const Asked = later<{ opened: boolean; word: string }>(load, ({ opened }) => opened)
    const { rerender } = render(within(<Asked opened={false} word="one" />))
    expect(load).not.toHaveBeenCalled()
    await act(async () => rerender(within(<Asked opened word="two" />)))
    expect(await screen.findByText('two')).toBeDefined()
    await act(async () => rerender(within(<Asked opened={false} word="two" />)))
    await waitFor(() => expect(screen.queryByText('two')).toBeNull())
    await act(async () => rerender(within(<Asked opened word="three" />)))
    expect(await screen.findByText('three')).toBeDefined()
    expect(load).toHaveBeenCalledOnce()
  })
})
