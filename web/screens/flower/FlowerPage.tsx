import { useParams } from 'react-router'
import { reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { Studio } from './Studio.tsx'

/** The address of one flower. */
export function FlowerPage() {
  const { flowerId } = useParams()
  const { workshop, stored, error } = useWorkshop()
  if (error && !workshop) return <Failed what="This flower" error={error} retry={reloadWorkshop} />
  if (!workshop || !stored) return <Loading what="the flower" />
  const flower = workshop.flowers.find((f) => f.id === flowerId)
  if (!flower)
    return (
      <Empty page title="There is no such flower">
        It may have been deleted; what was deleted can be brought back under Deleted.
      </Empty>
    )
  return <Studio key={flower.id} shown={flower} workshop={workshop} stored={stored} />
}
