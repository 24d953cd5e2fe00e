import { Button, Textarea } from '@mantine/core'
import { useRef, useState } from 'react'
import type { LineRead } from '#core/line/meant'
import { later } from '../parts/later.tsx'
import css from './LineBox.module.css'
import { Marked } from './Marked.tsx'
import { useReadLine } from './useReadLine.ts'

const Understood = later(
  async () => (await import('./Understood.tsx')).Understood,
  () => true,
)

/**
 * An order in plain words: what is understood is marked in the text as it is typed and said beneath it, what is not is
 * underlined. Enter does it; a line break takes Shift.
 */
export function LineBox(props: {
  label: string
  example: string
  act: string
  /** @returns whether it was done: the box is then emptied. */
  done: (read: LineRead) => Promise<boolean>
}) {
  const [text, setText] = useState('')
  const [busy, setBusy] = useState(false)
  const { read, wake } = useReadLine(text)
  const field = useRef<HTMLTextAreaElement>(null)
  const empty =
    !read || (read.pieces.length === 0 && !read.day && read.colours.length + read.avoid.length === 0)

  async function finish() {
    if (!read || empty || busy) return
    setBusy(true)
    if (await props.done(read)) setText('')
    setBusy(false)
  }
  function select(from: number, to: number) {
    field.current?.focus()
    field.current?.setSelectionRange(from, to)
  }
  function instead(from: number, to: number, words: string) {
    setText(text.slice(0, from) + words + text.slice(to))
    // the chip that was pressed is another one now
    field.current?.focus()
  }

  return (
    <section className={css.box} aria-label={props.label}>
      <div className={css.line}>
        <div className={css.field}>
          {read && <Marked text={text} read={read} />}
          <Textarea
            ref={field}
            label={props.label}
            placeholder={props.example}
            autosize
            minRows={1}
            maxRows={8}
            value={text}
            classNames={{ input: css.input }}
            onFocus={wake}
            onChange={(event) => setText(event.currentTarget.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || event.shiftKey) return
              event.preventDefault()
              void finish()
            }}
          />
        </div>
        <Button
          variant="filled"
          className={css.act}
          disabled={empty}
          loading={busy}
          onClick={() => void finish()}
        >
          {props.act}
        </Button>
      </div>
      {read && text.trim() !== '' && <Understood text={text} read={read} select={select} instead={instead} />}
    </section>
  )
}
