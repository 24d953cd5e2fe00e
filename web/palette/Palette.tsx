import '@mantine/spotlight/styles.css'
import { createSpotlight, Spotlight } from '@mantine/spotlight'
import { IconSearch } from '@tabler/icons-react'
import { useEffect, useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import useSWR from 'swr'
import type { OrderList } from '#contract/orders'
import { type Findable, findables, foundKinds } from '#core/finding/entries'
import { newFinder } from '#core/finding/find'
import { api } from '../data/api.ts'
import { useWorkshop } from '../data/workshop.ts'
import { Dab } from '../parts/Swatch.tsx'
import css from './Palette.module.css'

const [store, actions] = createSpotlight()

/** Orders that are gone to: those of the latest days, and more than anybody leafs through. */
const ORDERS = '/orders?latestFirst=1&limit=300'
const GROUPS: Record<Findable['kind'], string> = {
  order: 'Orders',
  flower: 'Flowers',
  tip: 'Tips',
  colour: 'Dyes',
  command: 'Screens',
}

/** Goes to any order, flower, tip, dye or screen by a part of its name or by what it has. */
export function Palette({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  const { workshop } = useWorkshop()
  const { data } = useSWR<OrderList, Error>(opened ? ORDERS : null, api)
  const [text, setText] = useState('')
  const navigate = useNavigate()
  const finder = useMemo(
    () => (workshop ? newFinder(findables(workshop, data?.orders ?? [])) : null),
    [workshop, data],
  )
  const found = useMemo(() => finder?.find(text) ?? [], [finder, text])
  useEffect(() => {
    if (opened) actions.open()
  }, [opened])
  // the component chooses the first one when something is typed; what comes in after that has nothing chosen, and Enter did nothing
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was found is looked for in the document
  useEffect(() => {
    const { listId } = store.getState()
    const list = listId ? document.getElementById(listId) : null
    if (!list || list.querySelector('[data-selected]')) return
    list.querySelector('[data-action]')?.setAttribute('data-selected', 'true')
    store.updateState((state) => ({ ...state, selected: 0 }))
  }, [found])
  return (
    <Spotlight.Root
      store={store}
      query={text}
      onQueryChange={setText}
      shortcut={null}
      scrollable
      maxHeight="60vh"
      onSpotlightClose={() => {
        setText('')
        onClose()
      }}
    >
      <Spotlight.Search
        aria-label="Find"
        placeholder="Order, flower, tip, dye or screen; a part or a stroke finds too: stamen, ruffle, lifted"
        leftSection={<IconSearch size={18} stroke={1.6} />}
      />
      <Spotlight.ActionsList>
        {foundKinds.map((kind) => {
          const own = found.filter((f) => f.kind === kind)
          return (
            own.length > 0 && (
              <Spotlight.ActionsGroup key={kind} label={GROUPS[kind]}>
                {own.map((f) => (
                  <Spotlight.Action
                    key={f.id}
                    className={css.action!}
                    onClick={() => {
                      actions.close()
                      navigate(f.to)
                    }}
                  >
                    {f.hex && <Dab hex={f.hex} />}
                    <span className={css.name}>{f.name}</span>
                    <span className="quiet">{f.about}</span>
                  </Spotlight.Action>
                ))}
              </Spotlight.ActionsGroup>
            )
          )
        })}
        {found.length === 0 && (
          <Spotlight.Empty>
            {text.trim() ? `Nothing is called “${text.trim()}”, and nothing has it.` : 'Type a few letters.'}
          </Spotlight.Empty>
        )}
      </Spotlight.ActionsList>
    </Spotlight.Root>
  )
}
