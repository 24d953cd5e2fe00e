import { type BagStock, bagStockSchema, settingsSchema, type Workshop } from '#core/model/workshop'
import { bagVolumeMl, usableGrams } from '#core/plan/bagStock'
import { editBag, editSettings } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { LengthField } from '../../parts/length.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { useWeight } from '../../parts/weight.tsx'
import css from './Drawer.module.css'

const shape = bagStockSchema.shape

/** Sizes of bag, what each holds, and the couplers. */
export function BagShelf({ workshop }: { workshop: Workshop }) {
  const { settings } = workshop
  return (
    <div className={css.shelf}>
      <Card title="Bags" aside="two thirds full at most, and no more than a hand controls">
        {workshop.bags.map((bag) => (
          <BagLine key={bag.id} bag={bag} workshop={workshop} />
        ))}
      </Card>
      <Card title="Couplers">
        <div className={css.fields}>
          <NumberField
            label="Standard"
            value={settings.couplersStandard}
            schema={settingsSchema.shape.couplersStandard}
            onChange={(couplersStandard) => editSettings((now) => ({ ...now, couplersStandard }))}
            width={120}
          />
          <NumberField
            label="Large"
            value={settings.couplersLarge}
            schema={settingsSchema.shape.couplersLarge}
            onChange={(couplersLarge) => editSettings((now) => ({ ...now, couplersLarge }))}
            width={120}
          />
        </div>
      </Card>
    </div>
  )
}

const kindWords = { disposable: 'disposable', washable: 'washable', parchment: 'parchment' }

function BagLine({ bag, workshop }: { bag: BagStock; workshop: Workshop }) {
  const weight = useWeight()
  const density = workshop.icings[0]!.density
  const change = (part: Partial<BagStock>) => editBag(bag.id, (now) => ({ ...now, ...part }))
  return (
    <div className={css.line}>
      <div>
        <strong>{bag.name}</strong>
        <div className="quiet">{kindWords[bag.kind]}</div>
      </div>
      <LengthField
        label={`Length of ${bag.name}`}
        value={bag.lengthMm}
        schema={shape.lengthMm}
        onChange={(lengthMm) => change({ lengthMm })}
      />
      <NumberField
        label="In the drawer"
        value={bag.owned}
        schema={shape.owned}
        onChange={(owned) => change({ owned })}
      />
      <NumberField
        label="Cannot be squeezed out"
        unit="g"
        value={bag.residueGrams}
        schema={shape.residueGrams}
        onChange={(residueGrams) => change({ residueGrams })}
      />
      <span />
      <p className="quiet">
        holds {Math.round(bagVolumeMl(bag.lengthMm))} ml to the brim;{' '}
        {weight(usableGrams(bag, density, workshop.settings))} in one filling
      </p>
    </div>
  )
}
