import { Button, Group, Select } from '@mantine/core'
import { useSearchParams } from 'react-router'
import { toCsv } from '#core/files/csv'
import type { PracticeMark, PracticeTry } from '#core/model/practiceTry'
import { keepTry, removeTry } from '../../data/practice.ts'
import { useCalendar } from '../../parts/calendar.ts'
import { attempt, tell } from '../../parts/notify.tsx'
import { offerFile } from '../../parts/offer.ts'

/** Earlier tries at a drill: watched again, saved as a table, deleted. @param shown the one that is watched. */
export function Earlier({ marks, shown }: { marks: readonly PracticeMark[]; shown: PracticeTry | null }) {
  const [search, setSearch] = useSearchParams()
  const { shortMoment } = useCalendar()
  const open = (id: string | null) => {
    const next = new URLSearchParams(search)
    if (id) next.set('try', id)
    else next.delete('try')
    setSearch(next, { replace: true })
  }
  const remove = (made: PracticeTry) =>
    attempt(async () => {
      await removeTry(made.id)
      open(null)
      tell('The try is deleted.', () => void attempt(() => keepTry(made)))
    })
  return (
    <Group gap={8} align="end">
      <Select
        flex={1}
        label="Watch an earlier try"
        placeholder="Choose one"
        clearable
        value={shown?.id ?? null}
        data={[...marks]
          .reverse()
          .map((m) => ({ value: m.id, label: `${shortMoment(m.at)} · ${Math.round(m.marks)}` }))}
        onChange={open}
      />
      {shown ? (
        <Button onClick={() => remove(shown)}>Delete it</Button>
      ) : (
        <Button
          onClick={() => offerFile(new Blob([toCsv(rowsOf(marks))], { type: 'text/csv' }), 'practice.csv')}
        >
          Save as CSV
        </Button>
      )}
    </Group>
  )
}

/** A line a try, with a column a part. */
const rowsOf = (marks: readonly PracticeMark[]) =>
  marks.map((m) => ({
    ...{
      at: m.at,
      drill: m.label,
      person: m.person,
      icing: m.stiffness,
      marks: Math.round(m.marks * 10) / 10,
    },
    ...Object.fromEntries(m.parts.map((p) => [p.part, Math.round(p.marks * 10) / 10])),
    said: m.headline,
  }))
