import { allergenWords } from '#core/common'
import type { Base } from '#core/model/plan'
import { counted, formatCups } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useParts, useWeight } from '../../../parts/weight.tsx'
import css from './Icing.module.css'

/** What goes into the mixer for one icing kind. */
export function BaseCard({ base }: { base: Base }) {
  const weight = useWeight()
  const count = base.makes.length
  const { workshop } = useOrderEditor()
  const icing = workshop.icings.find((k) => k.id === base.kind)
  const cups = (name: string, grams: number) => {
    const cupGrams = icing?.ingredients.find((i) => i.name === name)?.cupGrams
    if (workshop.settings.units !== 'ounces' || !cupGrams) return null
    return <span className="quiet">{formatCups(grams, cupGrams)}</span>
  }
  const shown = useParts()(base.ingredients.map((i) => i.grams))
  return (
    <Card
      title={`Make ${shown.total} of ${base.name.toLowerCase()}`}
      aside={count > 1 ? `in ${counted(count, 'make')} of ${weight(base.makes[0]!)}` : 'in one make'}
    >
      <ul className={css.ingredients}>
        {base.ingredients.map((i, at) => (
          <li key={i.name}>
            <span>{i.name}</span>
            <span className="figure">{shown.parts[at]}</span>
            {cups(i.name, i.grams)}
            {count > 1 && <span className="quiet">{weight(i.grams / count)} a make</span>}
          </li>
        ))}
      </ul>
      <p className="quiet">
        {base.allergens.length > 0
          ? `Contains ${base.allergens.map((a) => allergenWords[a]).join(', ')}. `
          : ''}
        <Term id="base">Base</Term>: {weight(base.mixerResidueGrams)} stays in the mixer.{' '}
        {icing &&
          icing.holds.coldDays > 0 &&
          `Keeps about ${icing.holds.roomHours} h at room temperature and ${icing.holds.coldDays} days cold; your food-safety plan decides.`}
      </p>
    </Card>
  )
}
