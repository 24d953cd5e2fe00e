import { type Site, siteSchema } from '#core/model/layout'
import { resizeSites } from '#core/model/onPiece'
import { placedFlowerSchema } from '#core/model/order'
import { change } from '#core/placing/byHand'
import { whereWords } from '#core/placing/findings/finding'
import { benchMm } from '#core/units'
import { useOrderBase } from '../../../data/orderEditor.tsx'
import { LengthField } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

const turnSchema = siteSchema.shape.turnDeg.unwrap()
const leanSchema = siteSchema.shape.leanDeg.unwrap()
const sizeSchema = placedFlowerSchema.shape.sizeMm.unwrap().unwrap()

/** Size, turn and lean of what is chosen, as the first of it has them; and where it stands. */
export function SiteFields(props: { placing: Placing; one: Site; ids: ReadonlySet<string> }) {
  const { placing, one, ids } = props
  const { layout, hand, piece } = placing
  const { edit } = useOrderBase()
  const kind = placing.kindOf(one.placedId)
  const spot = hand.chart.read(one.place)
  return (
    <div className={css.fields}>
      {kind && (
        <LengthField
          label="Across"
          width={92}
          decimals={1}
          value={benchMm(kind.kind.lies ? kind.kind.longMm : 2 * kind.kind.r)}
          schema={sizeSchema}
          onChange={(sizeMm) =>
            edit(
              'size',
              (o) => resizeSites(o, piece.id, layout.id, ids, sizeMm, newId),
              `${piece.id} size ${[...ids].join()}`,
            )
          }
        />
      )}
      <NumberField
        label="Turn"
        unit="°"
        width={84}
        step={5}
        value={Math.round(one.turnDeg)}
        schema={turnSchema}
        onChange={(turnDeg) =>
          placing.change('turn', (now) => change(now.layout, ids, { turnDeg }), `${one.id} turn`)
        }
      />
      <NumberField
        label="Lean"
        unit="°"
        width={84}
        step={5}
        value={one.leanDeg}
        schema={leanSchema}
        onChange={(leanDeg) =>
          placing.change('lean', (now) => change(now.layout, ids, { leanDeg }), `${one.id} lean`)
        }
      />
      <p className={`quiet ${css.where}`}>
        {ids.size > 1 ? `${ids.size} chosen` : whereWords(hand.chart, hand.chart.point(spot), spot)}
      </p>
    </div>
  )
}
