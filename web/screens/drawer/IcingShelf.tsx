import { Button } from '@mantine/core'
import { allergenWords, stiffnesses } from '#core/common'
import type { IcingKind } from '#core/model/icing'
import type { Workshop } from '#core/model/workshop'
import { copyIcing, removeIcing } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import css from './Drawer.module.css'
import { IcingForm } from './IcingForm.tsx'

/** Icing kinds with their recipes; the catalogue's are copied to be changed. */
export function IcingShelf({ workshop }: { workshop: Workshop }) {
  return (
    <div className={css.shelf}>
      {workshop.icings.map((icing) => (
        <Card
          key={icing.id}
          title={icing.name}
          aside={icing.source === 'own' ? 'our own' : 'from the catalogue'}
          actions={
            <>
              {icing.source === 'own' && (
                <Button
                  onClick={() =>
                    void removeWithUndo('icings', icing.id, icing.name, () => removeIcing(icing.id))
                  }
                >
                  Delete
                </Button>
              )}
              <Button
                onClick={() =>
                  void attempt(async () => tell(`“${(await copyIcing(icing.id)).name}” is yours to change.`))
                }
              >
                {icing.source === 'own' ? 'Copy' : 'Copy to change it'}
              </Button>
            </>
          }
        >
          {icing.source === 'own' ? <IcingForm icing={icing} /> : <IcingFacts icing={icing} />}
        </Card>
      ))}
    </div>
  )
}

function IcingFacts({ icing }: { icing: IcingKind }) {
  const parts = icing.ingredients.reduce((sum, i) => sum + i.parts, 0)
  const allergens = [...new Set(icing.ingredients.flatMap((i) => i.allergens))]
  const can = [
    icing.can.standUpright && 'stands upright',
    icing.can.freeze && 'can be frozen',
    icing.can.dryHard && 'dries hard',
    icing.can.brushWet && 'can be brushed',
  ].filter(Boolean)
  return (
    <div className={css.icing}>
      <Dab hex={icing.baseHex} size={56} />
      <div>
        <p>{icing.note}</p>
        <p>
          {icing.ingredients.map((i) => `${i.name} ${Math.round((100 * i.parts) / parts)} %`).join(', ')}
          {icing.yieldPercent !== 100 && `; ${icing.yieldPercent} g from 100 g`}
        </p>
        <p className="quiet">
          {icing.density} g/ml · {can.join(', ')} · contains{' '}
          {allergens.map((a) => allergenWords[a]).join(', ') || 'none of the listed allergens'} · liquid per
          100 g: {stiffnesses.map((s) => `${s} ${icing.liquidPer100[s]} g`).join(', ')}
        </p>
      </div>
    </div>
  )
}
