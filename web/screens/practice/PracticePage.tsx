import { useParams } from 'react-router'
import { reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { Failed, Loading } from '../../parts/states.tsx'
import { Practice } from './Practice.tsx'

/** Practice by itself, without an order. */
export function PracticePage() {
  const { '*': drill } = useParams()
  const { workshop, error } = useWorkshop()
  if (error && !workshop) return <Failed what="The practice sheet" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the practice sheet" />
  return <Practice workshop={workshop} drillKey={drill || null} base="/practice" before={null} />
}
