import { Button } from '@mantine/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import useSWR from 'swr'
import type { LearntFigure } from '#core/logbook/learn/index'
import type { LogEntry } from '#core/model/logEntry'
import type { Order } from '#core/model/order'
import type { Effect } from '#core/plan/effects'
import { type StrokeKind, strokeDefinition, strokes } from '#core/strokes/index'
import { formatMinutes } from '#core/units'
import { api } from '../../../data/api.ts'
import { useOrders } from '../../../data/orders.ts'
import { editIcing, editSettings, setBackLearnt, useWorkshop } from '../../../data/workshop.ts'
import { Card } from '../../../parts/Card.tsx'
import { today } from '../../../parts/calendar.ts'
import { DataTable } from '../../../parts/DataTable.tsx'
import { attempt, tell } from '../../../parts/notify.tsx'
import { Empty } from '../../../parts/states.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useEffects } from '../../../workers/planner.ts'
import css from './Learnt.module.css'

const groups: { kinds: LearntFigure['kind'][]; title: string; about: string }[] = [
  { kinds: ['grams'], title: 'Grams', about: 'weighed over computed' },
  { kinds: ['spread'], title: 'Spread of grams', about: 'from one day to the next, as a share' },
  { kinds: ['seconds'], title: 'Seconds', about: 'timed over computed' },
  { kinds: ['spoiled'], title: 'Spoiled', about: 'of all that are begun' },
  {
    kinds: ['residue', 'bowl', 'open'],
    title: 'Bags and bowls',
    about: 'what stays in them, and how long icing is good in bags; taken over by you',
  },
]

/** Every figure that records have taught: where it began, where it is, and what it did to the next order. */
export function Learnt({ entries }: { entries: readonly LogEntry[] }) {
  const { stored, workshop } = useWorkshop()
  const next = useNextOrder()
  const figures = stored?.learnt.figures
  const effects = useEffects(next, workshop, figures)
  const weight = useWeight()
  const of = useMemo(() => new Map((effects ?? []).map((e) => [`${e.kind} ${e.key}`, e])), [effects])
  if (!figures) return null
  if (figures.length === 0)
    return (
      <Empty title="Nothing is learnt yet">
        Weigh five flowers at the bench, or write in the logbook what was left and how long it took: every
        figure then moves a little from its start.
      </Empty>
    )
  return (
    <div className={css.page}>
      {(stored.learnt.aside.length > 0 || next) && (
        <Card title={next ? `What it did to “${next.title}”` : 'Set aside'}>
          {next && <Sum effects={effects ?? []} weight={weight} />}
          {stored.learnt.aside.map((a) => (
            <p key={`${a.entryId} ${a.why}`} className={css.aside}>
              <strong>{a.title}</strong>: {a.why} Nothing is learnt from it.{' '}
              <Link to={`/logbook/${a.entryId}`}>Look at it</Link>
            </p>
          ))}
        </Card>
      )}
      {groups.map(({ kinds, title, about }) => {
        const own = figures.filter((f) => kinds.includes(f.kind))
        if (own.length === 0) return null
        return (
          <Card key={title} title={title} aside={about}>
            <DataTable
              caption={`${title}: ${own.length}`}
              rows={own}
              rowKey={(f) => `${f.kind} ${f.key}`}
              columns={[
                { key: 'name', name: 'Of', value: (f) => nameOf(f) },
                {
                  key: 'start',
                  name: 'Start',
                  numeric: true,
                  value: (f) => f.start,
                  show: (f) => read(f, f.start),
                },
                {
                  key: 'now',
                  name: 'Now',
                  numeric: true,
                  value: (f) => f.now,
                  show: (f) => (
                    <>
                      <strong>{read(f, f.now)}</strong>
                      {f.band !== null && <span className="quiet"> ± {Math.round(100 * f.band)} %</span>}
                    </>
                  ),
                },
                { key: 'records', name: 'Records', numeric: true, value: (f) => f.records },
                {
                  key: 'effect',
                  name: next ? 'Did to the next order' : 'Did',
                  value: (f) => of.get(`${f.kind} ${f.key}`)?.grams ?? 0,
                  show: (f) => did(of.get(`${f.kind} ${f.key}`), weight),
                },
                {
                  key: 'back',
                  name: '',
                  value: () => '',
                  show: (f) => <Back figure={f} entries={entries} />,
                },
              ]}
            />
          </Card>
        )
      })}
    </div>
  )
}

/** The order that is collected next. */
function useNextOrder(): Order | undefined {
  const { orders } = useOrders('coming', today(), '')
  const next = [...(orders ?? [])].sort((a, b) => (a.collectAt < b.collectAt ? -1 : 1))[0]
  const { data } = useSWR<{ order: Order }, Error>(next ? `/orders/${next.id}` : null, api)
  return data?.order
}

/** Sets a figure back, or takes over one that only people take over. */
function Back({ figure, entries }: { figure: LearntFigure; entries: readonly LogEntry[] }) {
  const { workshop } = useWorkshop()
  const icing =
    figure.kind === 'open' ? workshop?.icings.find((i) => figure.key === `open ${i.id}`) : undefined
  return (
    <span className={css.acts}>
      {icing?.times && (
        <Button
          size="compact-sm"
          onClick={() => {
            editIcing(icing.id, (i) => ({
              ...i,
              times: i.times && { ...i.times, bagMinutes: Math.max(10, Math.round(figure.now)) },
            }))
            tell(`${icing.name} now has ${formatMinutes(figure.now)} in a bag.`)
          }}
        >
          Use it
        </Button>
      )}
      {figure.kind === 'bowl' && (
        <Button
          size="compact-sm"
          onClick={() => {
            const bowlResidueGrams = Math.round(figure.now * 10) / 10
            editSettings((s) => ({ ...s, bowlResidueGrams }))
            tell(`${bowlResidueGrams} g now stay in every bowl that is planned.`)
          }}
        >
          Use it
        </Button>
      )}
      <Button
        size="compact-sm"
        onClick={async () => {
          const done = await attempt(async () => {
            await setBackLearnt(figure.key, entries)
            return true
          })
          if (done) tell(`${nameOf(figure)} is back at its start; what is recorded from now on counts.`)
        }}
      >
        Set back
      </Button>
    </span>
  )
}

const isStroke = (name: string): name is StrokeKind => name in strokes
const nameOf = (f: LearntFigure): string =>
  f.key.includes(' stroke ') && isStroke(f.name) ? `Every ${strokeDefinition(f.name).label}` : f.name

function read({ kind }: LearntFigure, value: number): string {
  if (kind === 'spoiled' || kind === 'spread') return `${(100 * value).toFixed(1)} %`
  if (kind === 'open') return formatMinutes(value)
  if (kind === 'bowl') return `${value.toFixed(1)} g`
  return `× ${value.toFixed(2)}`
}

/** Less than this is nothing that anybody would notice. */
const HARDLY = { grams: 0.5, minutes: 0.5 }

function did(effect: Effect | undefined, weight: (grams: number) => string): string {
  if (!effect) return '–'
  const said: string[] = []
  if (Math.abs(effect.grams) >= HARDLY.grams)
    said.push(`${weight(Math.abs(effect.grams))} ${effect.grams > 0 ? 'more' : 'less'}`)
  if (Math.abs(effect.minutes) >= HARDLY.minutes)
    said.push(`${Math.round(Math.abs(effect.minutes))} min ${effect.minutes > 0 ? 'more' : 'less'}`)
  return said.join(', ') || 'next to nothing'
}

function Sum({ effects, weight }: { effects: readonly Effect[]; weight: (grams: number) => string }) {
  // a flower's own figure holds what its hand and strokes have taught too: those are not counted twice
  const own = effects.filter((e) => e.key.includes(' flower '))
  const grams = own.reduce((sum, e) => sum + e.grams, 0)
  const minutes = own.reduce((sum, e) => sum + e.minutes, 0)
  return (
    <p className={css.sum}>
      {did({ key: '', kind: 'grams', grams, minutes }, weight)}, by what was recorded of its own flowers
    </p>
  )
}
