import { Button } from '@mantine/core'
import { useNavigate, useParams } from 'react-router'
import type { Settings } from '#core/model/workshop'
import { editSettings, reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { PageHead } from '../../parts/Card.tsx'
import { PartLinks } from '../../parts/PartLinks.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { FirstName } from './FirstName.tsx'
import { FirstOrder } from './FirstOrder.tsx'
import { FirstTips } from './FirstTips.tsx'

const steps = [
  ['name', 'Your bakery'],
  ['tips', 'Your tips'],
  ['order', 'A first order'],
] as const

/** The first days of a bakery: who it is, which tips it owns, a first order. Nothing to read first; can be left and taken up. */
export function Start() {
  const { workshop, error } = useWorkshop()
  const { step = 'name' } = useParams()
  const navigate = useNavigate()
  if (error && !workshop) return <Failed what="The beginning" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the beginning" />
  const reach = (firstDays: Settings['firstDays']) => editSettings((now) => ({ ...now, firstDays }))
  function go(to: 'tips' | 'order') {
    reach(to)
    navigate(`/start/${to}`)
  }
  function leave() {
    reach('done')
    navigate('/orders')
  }
  return (
    <>
      <PageHead
        title="Begin"
        line="Three steps to a first plan; everything can be changed later under Settings and Drawer"
        actions={<Button onClick={leave}>Leave this, begin empty</Button>}
      />
      <PartLinks
        label="Steps"
        parts={steps.map(([id, name], i) => ({ to: `/start/${id}`, end: true, name: `${i + 1}. ${name}` }))}
      />
      {step === 'tips' ? (
        <FirstTips workshop={workshop} next={() => go('order')} />
      ) : step === 'order' ? (
        <FirstOrder workshop={workshop} made={() => reach('done')} />
      ) : (
        <FirstName settings={workshop.settings} next={() => go('tips')} />
      )}
    </>
  )
}
